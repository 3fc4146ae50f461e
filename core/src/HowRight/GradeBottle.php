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
    private const LEAST_DAYS = 7.0;

    private const EVERY_WEEKS = 4;

    /** @return list<GradedPromise> in the order in which they were made; days from then */
    public static function of(RecordedBook $recorded, Book $book, int $fromS, int $nowS): array
    {
        $zone = $book->settings->zone();
        $ends = BottleState::ends($book, $nowS);
        $promises = [];
        foreach (Mondays::between($fromS, $nowS, $zone, self::EVERY_WEEKS) as $madeS) {
            $made = LocalDay::of($madeS, $zone);
            foreach (BottleState::all($recorded->asKnown($madeS), $madeS) as $bottle) {
                if ($bottle->openedOn === null || $bottle->emptyOn === null || $bottle->emptyOn <= $made->date) {
                    continue;
                }
                $said = (float) $made->daysUntil($bottle->emptyOn);
                $end = $ends[$bottle->bottleId] ?? null;
                $emptied = $end !== null && $end->emptied;
                $came = (float) $made->daysUntil(LocalDay::of($emptied ? $end->atS : $nowS, $zone)->date);
                // It was put away with something in it, or its day is not over yet.
                if (!$emptied && ($end !== null || $came <= $said + GradedPromise::within($said, self::LEAST_DAYS))) {
                    continue;
                }
                $promises[] = GradedPromise::about(
                    PromiseKind::Bottle,
                    $madeS,
                    $said,
                    $came,
                    self::LEAST_DAYS,
                    over: $emptied,
                    bottleId: $bottle->bottleId,
                );
            }
        }

        return $promises;
    }
}
