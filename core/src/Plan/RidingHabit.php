<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use DateTimeZone;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Pace;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Maths\Median;

/**
 * How a bike has been ridden lately, in effective km: what is expected of it in the days to come.
 * House rules: the last 8 whole weeks before today count, those that somebody left out skipped; a weekday has a usual ride if it was
 * ridden in at least 4 of them, as long as the median of those days; the usual rides stand for the week if they make up 70 % of it.
 */
final readonly class RidingHabit
{
    public const WEEKS = 8;

    private const USUAL_WEEKS = 4;

    private const USUAL_SHARE = 0.7;

    /**
     * @param array<int, float> $usualKm effective km by weekday, 1 Monday to 7 Sunday
     * @param array<int, float> $usualRiddenKm the same as ridden
     */
    private function __construct(
        public float $weeklyKm,
        /** The same in km as ridden: what wears a chain. */
        public float $weeklyRiddenKm,
        public array $usualKm,
        public array $usualRiddenKm,
        /** Hours of riding per km as ridden, null if none are known. */
        public ?float $hoursPerKm,
        public bool $riddenToday,
    ) {}

    public static function ofBike(Book $book, int $bikeId, int $nowS, DateTimeZone $zone): self
    {
        $today = LocalDay::of($nowS, $zone)->date;

        return $book->kept(
            "habit {$bikeId} {$today} {$zone->getName()}",
            fn() => self::of($book->ridesOf($bikeId), $book->settings, $nowS, $zone, $book->settings->oddWeeks($bikeId)),
            $nowS,
        );
    }

    /**
     * @param Rides $rides of one bike
     * @param list<string> $leftOut Mondays of weeks that do not count, YYYY-MM-DD
     */
    public static function of(Rides $rides, Settings $settings, int $nowS, DateTimeZone $zone, array $leftOut = []): self
    {
        $today = LocalDay::of($nowS, $zone);
        $first = self::firstDay($today, $leftOut);
        [$fromS, $todayS] = [$first->startS(), $today->startS()];
        [$byDay, $riddenByDay, $total, $ridden] = [[], [], 0.0, 0.0];
        $lately = $rides->between($fromS, $todayS);
        foreach ($lately as $ride) {
            $km = $ride->km * $settings->factor($ride->condition, $ride->moment->unixS);
            $day = LocalDay::of($ride->moment->unixS, $zone);
            if (self::isOut($day, $leftOut)) {
                continue;
            }
            $byDay[$day->weekday()][$day->date] = ($byDay[$day->weekday()][$day->date] ?? 0.0) + $km;
            $riddenByDay[$day->weekday()][$day->date] = ($riddenByDay[$day->weekday()][$day->date] ?? 0.0) + $ride->km;
            $total += $km;
            $ridden += $ride->km;
        }
        $firstS = $rides->first()->moment->unixS ?? $todayS;
        $outS = 7 * 86400 * count(array_filter($leftOut, fn(string $monday) => LocalDay::named($monday, $zone)->startS() >= $firstS));
        $weeks = $firstS <= $fromS ? self::WEEKS : max(1.0, ($todayS - $firstS - $outS) / (7 * 86400));
        $usual = array_map(Median::of(...), array_filter($byDay, fn(array $days) => count($days) >= self::USUAL_WEEKS));
        ksort($usual);
        $isUsual = array_sum($usual) >= (self::USUAL_SHARE * $total) / $weeks;

        return new self(
            weeklyKm: $total / $weeks,
            weeklyRiddenKm: $ridden / $weeks,
            usualKm: $isUsual ? $usual : [],
            usualRiddenKm: $isUsual ? array_map(Median::of(...), array_intersect_key($riddenByDay, $usual)) : [],
            hoursPerKm: Pace::hoursPerKm($lately),
            riddenToday: ($rides->last()->moment->unixS ?? 0) >= $todayS,
        );
    }

    /**
     * The first of the last 56 days that count.
     *
     * @param list<string> $leftOut
     */
    private static function firstDay(LocalDay $today, array $leftOut): LocalDay
    {
        if ($leftOut === []) {
            return $today->plus(-7 * self::WEEKS);
        }
        for ([$ago, $count] = [0, 0]; $count < 7 * self::WEEKS; ) {
            $ago++;
            $count += (int) !self::isOut($today->plus(-$ago), $leftOut);
        }

        return $today->plus(-$ago);
    }

    /** @param list<string> $leftOut */
    private static function isOut(LocalDay $day, array $leftOut): bool
    {
        return $leftOut !== [] && in_array($day->plus(1 - $day->weekday())->date, $leftOut, true);
    }

    /** @param int $weekday 1 Monday to 7 Sunday */
    public function usualOn(int $weekday): float
    {
        return $this->usualKm[$weekday] ?? 0.0;
    }

    /** The same as ridden. */
    public function riddenOn(int $weekday): float
    {
        return $this->usualRiddenKm[$weekday] ?? 0.0;
    }
}
