<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Drip\BottleState;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\RecordedBook;
use Dripel\Core\Plan\LocalDay;

/**
 * Bottles against the day on which they were said to be empty: within a fifth of the days until then, and never closer than a week. House
 * rule. One that was put away with more than a dose in it says nothing.
 */
final readonly class GradeBottle
{
    private const SHARE = 0.2;

    private const LEAST_DAYS = 7.0;

    private const EVERY_WEEKS = 4;

    /** @return list<GradedPromise> in the order in which they were made; days from then */
    public static function of(RecordedBook $recorded, Book $book, int $fromS, int $nowS): array
    {
        $zone = $book->settings->zone();
        $today = LocalDay::of($nowS, $zone);
        $ends = BottleState::ends($book, $nowS);
        $promises = [];
        foreach (Mondays::between($fromS, $nowS, $zone, self::EVERY_WEEKS) as $madeS) {
            $made = LocalDay::of($madeS, $zone);
            foreach (BottleState::all($recorded->asKnown($madeS), $madeS) as $bottle) {
                if ($bottle->openedOn === null || $bottle->emptyOn === null || $bottle->emptyOn <= $made->date) {
                    continue;
                }
                $said = (float) $made->daysUntil($bottle->emptyOn);
                $within = max(self::LEAST_DAYS, self::SHARE * $said);
                $end = $ends[$bottle->bottleId] ?? null;
                $came = $end?->emptied === true ? (float) $made->daysUntil(LocalDay::of($end->atS, $zone)->date) : null;
                // It was put away, or its day is not over yet.
                if ($came === null && ($end !== null || $made->daysUntil($today->date) <= $said + $within)) {
                    continue;
                }
                $kept = $came !== null && abs($came - $said) <= $within;
                $off = abs(($came ?? (float) $made->daysUntil($today->date)) - $said);
                $promises[] = new GradedPromise(
                    PromiseKind::Bottle,
                    $madeS,
                    null,
                    null,
                    $kept,
                    $said,
                    $came,
                    low: $said - $within,
                    high: $said + $within,
                    off: $kept ? 0.0 : $off / max($within, $said),
                    bottleId: $bottle->bottleId,
                );
            }
        }

        return $promises;
    }
}
