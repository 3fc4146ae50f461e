<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Wear\TeethSeen;

/**
 * What the chains did to a cassette, a chainring or jockey wheels: how many it has outlived, and how far it was ridden with a
 * chain past its limit. km. Common practice: a cassette outlives four to five chains if each is retired in time; run too far,
 * its gaps widen and a new chain skips.
 */
final readonly class PartWear
{
    public const CHAINS_LEAST = 4;

    public const CHAINS_MOST = 5;

    /** @param array<int, float> $chainsKm km on it by chain, in the order in which they came */
    private function __construct(
        public Part $part,
        public array $chainsKm,
        /** Retired chains that ran most of their km on it. */
        public int $outlived,
        public float $pastLimitKm,
        /** What was seen of its teeth last; null: nobody looked. */
        public ?TeethSeen $teeth = null,
        public ?int $seenS = null,
    ) {}

    public static function of(Part $part, Book $book, int $nowS): self
    {
        return $book->kept("part wear {$part->id}", fn() => self::derive($part, $book, $nowS), $nowS);
    }

    private static function derive(Part $part, Book $book, int $nowS): self
    {
        [$chainsKm, $pastKm, $wornS] = [[], 0.0, []];
        foreach ($book->inventory()->ridesOn($part, $nowS) as $ride) {
            $chainId = $book->chainOfRide($ride);
            if ($chainId !== null) {
                $chainsKm[$chainId] = ($chainsKm[$chainId] ?? 0.0) + $ride->km;
                $wornS[$chainId] ??= self::wornS($chainId, $book, $nowS);
                $pastKm += $ride->moment->unixS > $wornS[$chainId] ? $ride->km : 0.0;
            }
        }
        $outlived = array_filter(
            $chainsKm,
            function (float $km, int $chainId) use ($book, $nowS): bool {
                $history = $book->history($chainId)->until($nowS);

                return $history->last(Retirement::class) !== null && $km > $history->km()->km / 2;
            },
            ARRAY_FILTER_USE_BOTH,
        );

        $seen = $book->settings->newest(SettingKey::PartTeeth, $part->id);

        return new self(
            $part,
            $chainsKm,
            count($outlived),
            $pastKm,
            TeethSeen::tryFrom((string) (is_string($seen?->value) ? $seen->value : '')),
            $seen?->from->unixS,
        );
    }

    /** Whether a new chain may skip on it under load: as somebody saw, else as what it has run says. */
    public function mayMakeSkip(): bool
    {
        return $this->teeth === null ? $this->outlived >= self::CHAINS_LEAST || $this->pastLimitKm > 0.0 : $this->teeth->worn();
    }

    /** When a reading first said that a chain had reached its limit; never, if none did. */
    private static function wornS(int $chainId, Book $book, int $nowS): int
    {
        $limitPct = $book->terms()->ofChain($chainId, $nowS)->limitPct;
        foreach ($book->history($chainId)->events as $event) {
            if ($event instanceof Reading && $event->input()->result()->reaches($limitPct)) {
                return $event->moment->unixS;
            }
        }

        return PHP_INT_MAX;
    }
}
