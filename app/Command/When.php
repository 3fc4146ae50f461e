<?php

declare(strict_types=1);

namespace App\Command;

use App\Logbook\Moments;
use App\Text\Translator;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Plan\LocalDay;

/** Days and times in words: yesterday, on Monday, 3 days ago, 24 Nov, 24.11., 2026-11-24, at 18:30. */
final readonly class When
{
    private function __construct(private ?LocalDay $day, private ?string $time, private Translator $translator, private Moments $moments) {}

    /** @throws NotUnderstood if there is no such day */
    public static function takenFrom(Phrase $phrase, Lexicon $lexicon, Translator $translator, Moments $moments): self
    {
        $today = LocalDay::of($translator->nowS, $translator->zone());
        $time = $phrase->take('/(?: ' . preg_quote((string) __('command.at'), '/') . ')? ([01]?\d|2[0-3])[:h]([0-5]\d)(?= )/u');

        return new self(
            self::day($phrase, $lexicon, $translator, $today),
            $time === null ? null : sprintf('%02d:%02d', $time[1], $time[2]),
            $translator,
            $moments,
        );
    }

    /**
     * @param bool $ahead whether it is a day to come, not one that was
     *
     * @throws NotUnderstood if there is no such day
     */
    public static function day(Phrase $phrase, Lexicon $lexicon, Translator $translator, LocalDay $today, bool $ahead = false): ?LocalDay
    {
        $named = function (int $year, int $month, int $day) use ($translator): LocalDay {
            checkdate($month, $day, $year) || throw NotUnderstood::because('no_such_day');

            return LocalDay::named(sprintf('%04d-%02d-%02d', $year, $month, $day), $translator->zone());
        };
        // A day and month without a year is the last one that there was, or the next.
        $nearest = fn(int $month, int $day): LocalDay => $named(
            (int) substr($today->date, 0, 4) +
                match (sprintf('%02d-%02d', $month, $day) <=> substr($today->date, 5)) {
                    1 => $ahead ? 0 : -1,
                    -1 => $ahead ? 1 : 0,
                    default => 0,
                },
            $month,
            $day,
        );
        $months = [];
        foreach ($lexicon->months() as $month => $words) {
            foreach ($words as $word) {
                $months[$word] = $month;
            }
        }
        $monthPattern = implode('|', array_map(fn(string $word) => preg_quote($word, '/'), array_keys($months)));
        if (($found = $phrase->take('/ (\d{4})-(\d{1,2})-(\d{1,2})(?= )/u')) !== null) {
            return $named((int) $found[1], (int) $found[2], (int) $found[3]);
        }
        if (($found = $phrase->take('/ (\d{1,2})\.(\d{1,2})\.(\d{4})?(?= )/u')) !== null) {
            return isset($found[3]) && $found[3] !== ''
                ? $named((int) $found[3], (int) $found[2], (int) $found[1])
                : $nearest((int) $found[2], (int) $found[1]);
        }
        if (($found = $phrase->take("/ (\\d{1,2})\\.? ({$monthPattern})(?= )/u")) !== null) {
            return $nearest($months[$found[2]], (int) $found[1]);
        }
        if (($found = $phrase->take((string) __('command.ago'))) !== null) {
            return $today->plus(-(int) $found[1]);
        }
        if ($phrase->takeOneOf($lexicon->yesterday) !== null) {
            return $today->plus(-1);
        }
        if ($phrase->takeOneOf($lexicon->today) !== null) {
            return $today;
        }
        if ($ahead && $phrase->takeOneOf($lexicon->tomorrow) !== null) {
            return $today->plus(1);
        }
        $weekday = $phrase->takeOneOf($lexicon->weekdays());

        return match (true) {
            $weekday === null => null,
            $ahead => $today->plus(((int) $weekday - $today->weekday() + 7) % 7 ?: 7),
            default => $today->plus(-(($today->weekday() - (int) $weekday + 7) % 7 ?: 7)),
        };
    }

    /** Of what has a time: now, unless a day or time was said; a day alone means its evening. */
    public function moment(): Moment
    {
        return match (true) {
            $this->day === null && $this->time === null => $this->moments->now(),
            default => $this->moments->local($this->date(), $this->time ?? $this->latest(), $this->translator->zone(), 'text'),
        };
    }

    /** Of a ride: known by its day alone unless a time was said. */
    public function ofRide(): Moment
    {
        return $this->moments->local($this->date(), $this->time, $this->translator->zone(), 'text');
    }

    public function words(): string
    {
        return trim($this->translator->dayWord($this->date()) . ' ' . ($this->time ?? ''));
    }

    private function date(): string
    {
        return ($this->day ?? LocalDay::of($this->translator->nowS, $this->translator->zone()))->date;
    }

    private function latest(): string
    {
        return $this->date() === LocalDay::of($this->translator->nowS, $this->translator->zone())->date
            ? $this->translator->quantities->time($this->translator->nowS)
            : '20:00';
    }
}
