<?php

declare(strict_types=1);

namespace Dripel\Core\Weather;

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlanHours;
use Dripel\Core\Plan\WorkshopPlan;

/**
 * A coming day on which a bike is expected to be ridden as usual, in rain that is expected at the hour at which it usually is. What was
 * planned by hand has its own condition, and a bike that is ridden indoors no rain.
 */
final readonly class WetDay
{
    /** House rules: no farther ahead is rain foretold; a usual hour is the middle one of so many rides. */
    public const DAYS = 10;

    private const LAST_RIDES = 20;

    private function __construct(
        public int $bikeId,
        /** Day ahead, 0 is today. */
        public int $day,
        /** As ridden. */
        public float $km,
        public RoadGuess $guess,
    ) {}

    /** @return list<self> day by day */
    public static function of(Book $book, WorkshopPlan $plan, Rain $rain, int $nowS): array
    {
        $wet = [];
        foreach ($plan->riding as $bikeId => $riding) {
            $rides = $book->ridesOf($bikeId);
            $hourS = self::usualHourS($book, $bikeId);
            foreach (array_slice($riding->ridden, 0, self::DAYS, true) as $day => $km) {
                $startS = $plan->days->today->plus($day)->startS() + $hourS;
                if ($km <= 0.0 || $startS < $nowS || !$riding->asUsual($day)) {
                    continue;
                }
                $guess = RoadGuess::ofBike($rain, $rides, $startS, $riding->hours[$day] > 0.0 ? $riding->hours[$day] : 1.0);
                if ($guess !== null && $guess->condition !== Condition::Dry) {
                    $wet[] = new self($bikeId, $day, $km, $guess);
                }
            }
        }
        usort($wet, fn(self $a, self $b) => $a->day <=> $b->day ?: $a->bikeId <=> $b->bikeId);

        return $wet;
    }

    /** Seconds from midnight at which a bike usually sets out; where nobody knows, at nine. */
    private static function usualHourS(Book $book, int $bikeId): int
    {
        $rides = $book->ridesOf($bikeId);
        $starts = [];
        for ($place = count($rides) - 1; $place >= 0 && count($starts) < self::LAST_RIDES; $place--) {
            $moment = $rides[$place]->moment;
            $moment->precision === Precision::Day ||
                ($starts[] = $moment->unixS - LocalDay::of($moment->unixS, $book->settings->zone())->startS());
        }
        sort($starts);

        return $starts[intdiv(count($starts), 2)] ?? Rain::HOUR_S * PlanHours::RIDE;
    }
}
