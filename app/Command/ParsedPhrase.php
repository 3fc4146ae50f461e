<?php

declare(strict_types=1);

namespace App\Command;

use App\Logbook\Moments;
use App\Text\Duration;
use App\Text\Translator;
use App\Text\Units;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Plan\LocalDay;

/** What somebody said: a verb, a bike, the letter of a chain, a figure, a condition, a day, in any order and each perhaps not. */
final readonly class ParsedPhrase
{
    private function __construct(
        public ?string $verb,
        public ?int $bikeId,
        public ?int $chainId,
        /** The figure as it was written. */
        public ?float $figure,
        /** The figure as a distance, in km. */
        public ?float $km,
        public ?Condition $condition,
        public bool $loud,
        public ?LocalDay $since,
        public When $when,
        /** How long it took. */
        public ?float $hours = null,
    ) {}

    /** @throws NotUnderstood if there is a word in it that nobody knows, or a day that never was */
    public static function of(string $text, Lexicon $lexicon, Translator $translator, Moments $moments): self
    {
        $phrase = new Phrase($text);
        $phrase->left() === [] && throw NotUnderstood::because('empty');
        // Names come first, so that a bike may be called like a word; its chains are known once it is.
        $bikeId = $phrase->takeOneOf($lexicon->bikes) ?? (count($lexicon->bikes) === 1 ? array_key_first($lexicon->bikes) : null);
        $verb = $phrase->takeOneOf($lexicon->verbs);
        $loud = $verb === 'ride' && $phrase->takeOneOf([$lexicon->verbs['loud']]) !== null;
        $since =
            $phrase->take('/ ' . preg_quote($lexicon->since, '/') . '(?= )/u') === null
                ? null
                : When::day($phrase, $lexicon, $translator, LocalDay::of($translator->nowS, $translator->zone()));
        $hours = self::hours($phrase);
        $when = When::takenFrom($phrase, $lexicon, $translator, $moments);
        $condition = $phrase->takeOneOf($lexicon->conditions);
        [$figure, $unit] = self::figure($phrase, $lexicon);
        $chainId = $bikeId === null ? null : $phrase->takeOneOf($lexicon->lettersOf((int) $bikeId));
        while ($phrase->takeOneOf([$lexicon->fillers]) !== null);
        self::expectNothing($phrase->left(), $lexicon, $text);
        $units = $unit === null ? Units::of($translator->settings) : new Units($unit);

        return new self(
            $verb === null ? null : (string) $verb,
            $bikeId === null ? null : (int) $bikeId,
            $chainId === null ? null : (int) $chainId,
            $figure,
            $figure === null ? null : $units->toKm($figure),
            $condition === null ? null : Condition::from((string) $condition),
            $loud,
            $since,
            $when,
            $hours,
        );
    }

    /** 2h10, 2 h, 130 min took so long; a time of day has a colon, or "at" before it. */
    private static function hours(Phrase $phrase): ?float
    {
        $found = $phrase->take(
            '/(?<! ' . preg_quote((string) __('command.at'), '/') . ') (\d{1,2}(?:\.\d+)? ?h(?: ?[0-5]\d)?(?: ?min)?|\d{1,4} ?min)(?= )/u',
        );

        return $found === null ? null : Duration::hours($found[1]);
    }

    /** @return array{float|null, string|null} a figure and the unit of distance behind it */
    private static function figure(Phrase $phrase, Lexicon $lexicon): array
    {
        $words = array_map(fn(string $unit) => preg_quote($unit, '/'), ['%', ...array_merge(...array_values($lexicon->units))]);
        $found = $phrase->take('/ (\d+(?:\.\d+)?) ?(' . implode('|', $words) . ')?(?= )/u');
        $unit = array_key_first(array_filter($lexicon->units, fn(array $all) => in_array($found[2] ?? '', $all, true)));

        return [$found === null ? null : (float) $found[1], $unit];
    }

    /**
     * @param list<string> $left
     *
     * @throws NotUnderstood at the first word that nobody knows
     */
    public static function expectNothing(array $left, Lexicon $lexicon, string $text): void
    {
        if ($left === []) {
            return;
        }
        $near = $lexicon->near($left[0]);
        $guess =
            $near === null
                ? null
                : preg_replace('/(?<![\p{L}\p{N}])' . preg_quote($left[0], '/') . '(?![\p{L}\p{N}])/iu', $near, trim($text), 1);
        throw NotUnderstood::because('unknown', ['word' => $left[0]], $guess);
    }
}
