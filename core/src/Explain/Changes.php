<?php

declare(strict_types=1);

namespace Dripel\Core\Explain;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Distance;

/** What becomes different when the logbook is put right: every figure that changes, of every chain concerned. */
final readonly class Changes
{
    /** Distances that differ by less than this are the same, in km. */
    private const SAME_KM = 1e-6;

    /** @return array<int, non-empty-list<Change>> by chain, in the workshop's order; chains with no change are left out */
    public static function between(Book $before, Book $after, int $nowS): array
    {
        $changes = [];
        foreach (array_unique([...$before->chainIds, ...$after->chainIds]) as $chainId) {
            $of = self::ofChain(
                self::figures($before, $before->chain($chainId, $nowS)),
                self::figures($after, $after->chain($chainId, $nowS)),
            );
            $of === [] || ($changes[$chainId] = $of);
        }

        return $changes;
    }

    /**
     * @param array<string, Distance|float|string|null> $before
     * @param array<string, Distance|float|string|null> $after
     *
     * @return list<Change>
     */
    private static function ofChain(array $before, array $after): array
    {
        $changes = [];
        foreach ($before as $figure => $was) {
            $is = $after[$figure];
            self::same($was, $is) || ($changes[] = new Change($figure, $was, $is));
        }

        return $changes;
    }

    private static function same(Distance|float|string|null $was, Distance|float|string|null $is): bool
    {
        return match (true) {
            $was instanceof Distance && $is instanceof Distance => $was->whole === $is->whole && self::same($was->km, $is->km),
            is_float($was) && is_float($is) => abs($was - $is) < self::SAME_KM,
            default => $was === $is,
        };
    }

    /** @return array<string, Distance|float|string|null> */
    private static function figures(Book $book, ChainState $chain): array
    {
        $bikeId = $book->fittings()->bikeOf($chain->chainId, $chain->nowS);

        return [
            'place' => $bikeId === null ? null : (string) $bikeId,
            'status' => $chain->status->value,
            'left' => $chain->wax->life === null || !$chain->wax->known ? null : $chain->leftKm(),
            'since' => $chain->wax->life === null ? null : $chain->wax->cycleKm(),
            'km' => $chain->km,
            'wear' => $chain->wear->result?->atLeastPct(),
            'measured_at' => $chain->wear->atKm?->whole === true ? $chain->wear->atKm->km : null,
            'limit' => $chain->terms->limitPct,
        ];
    }
}
