<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Wear\ReadingDue;
use Dripel\Core\Wear\WorkshopWear;

/**
 * On which days of a plan chains are due to be measured: at once where wear.forecast says so today, else after the ride that takes
 * them to the km it names.
 */
final readonly class MeasuringDays
{
    /**
     * @param array<int, list<LaneDay>> $lanes by bike
     *
     * @param list<int> $chainIds all that the plan is for, those on hooks too
     *
     * @return array<int, int> day by chain
     */
    public static function of(array $lanes, array $chainIds, Book $book, WorkshopWear $wear, int $nowS): array
    {
        $dueKm = array_combine($chainIds, array_map(fn(int $id) => self::dueKm($book, $wear, $id, $nowS), $chainIds));
        $km = array_fill_keys($chainIds, 0.0);
        $days = array_fill_keys(array_keys(array_filter($dueKm, fn(?float $due) => $due === 0.0)), 0);
        foreach ($lanes as $lane) {
            foreach ($lane as $day) {
                $id = $day->chainId;
                $km[$id] = ($km[$id] ?? 0.0) + ($day->broken ? 0.0 : $day->riddenKm);
                if (!isset($days[$id]) && isset($dueKm[$id]) && $km[$id] >= $dueKm[$id]) {
                    $days[$id] = $day->day;
                }
            }
        }

        return $days;
    }

    /** km from now; 0: at once; null: nothing is foreseen. */
    private static function dueKm(Book $book, WorkshopWear $wear, int $chainId, int $nowS): ?float
    {
        $forecast = $wear->of($chainId);

        return match (true) {
            $forecast === null => null,
            ReadingDue::of($book->chain($chainId, $nowS), $forecast->result) => 0.0,
            // One that lies behind was answered by the reading that was taken since.
            $forecast->result->nextMeasurementKm === null || $forecast->result->nextMeasurementKm <= $forecast->nowKm => null,
            default => $forecast->result->nextMeasurementKm - $forecast->nowKm,
        };
    }
}
