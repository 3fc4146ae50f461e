<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use DateTimeImmutable;
use DateTimeZone;
use Dripel\Core\Interval\EarSeason;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\SettingKey;

/**
 * What a bike will be ridden day by day, in effective km and as ridden: single rides that are planned, else nothing on a holiday, else the
 * week as somebody wrote it down, else as in the last eight weeks; today no more once it was ridden or its evening has begun. On the day of
 * an event the chain that is kept for it is ridden and no other loses any wax. What the road will take is the bike's own past in that half
 * of the year.
 */
final readonly class RidingPlan
{
    /**
     * @param list<float> $km effective km for each day from today
     * @param list<float> $ridden the same as ridden
     * @param list<float> $hours likewise, at the bike's pace; 0 where nobody ever timed a ride and it goes by km too
     * @param list<bool> $habit whether a day is like the last eight weeks
     * @param list<bool> $spread whether its km are a share of the week's: on no day of the week is a ride usual
     * @param list<string> $names of planned rides, by day; empty where none is
     * @param list<bool> $meant whether somebody planned a day by hand
     * @param array<int, ChainState> $kept the chain that is kept for the event of a day, by day
     */
    private function __construct(
        public array $km,
        public array $ridden,
        public array $hours,
        public array $names,
        private array $habit,
        public array $spread,
        private array $meant,
        public array $kept,
        /** Whether single rides, days off or an event make these weeks unlike others. */
        public bool $special,
        /** Hours for a km as ridden; 0: nobody ever timed a ride, and it goes by km too. */
        public float $hoursPerKm,
    ) {}

    /** @param list<PlannedRide> $planned */
    public static function of(Book $book, Rail $rail, array $planned, int $days, int $nowS, DateTimeZone $zone): self
    {
        $today = LocalDay::of($nowS, $zone);
        $settings = $book->settings;
        // Only where somebody wrote rides down: all that the bike was ever ridden is gone through for it.
        $factors = [];
        $factor = function (EarSeason $season) use (&$factors, $book, $rail, $zone): float {
            return $factors[$season->value] ??= self::factor($book, $rail->bikeId, $season, $zone);
        };
        $weeks = [];
        foreach (EarSeason::cases() as $season) {
            $key = $season === EarSeason::Summer ? SettingKey::WeekSummer : SettingKey::WeekWinter;
            $weeks[$season->value] = $settings->numbers($key, $rail->bikeId);
        }
        [$km, $ridden, $names, $habit, $spread, $meant] = [[], [], [], [], [], []];
        for ($ahead = 0; $ahead < $days; $ahead++) {
            $day = $today->plus($ahead);
            $season = EarSeason::inMonth($day->month());
            $mine = array_values(array_filter($planned, fn(PlannedRide $ride) => $ride->concerns($day->date, $rail->bikeId)));
            $week = $weeks[$season->value];
            $habit[] = $mine === [] && $week === [];
            $meant[] = $mine !== [];
            $spread[] = $mine === [] && $week === [] && $rail->habit->usualKm === [];
            $ofWeek = $week[$day->weekday() - 1] ?? 0.0;
            [$ridden[], $km[]] = match (true) {
                $mine !== [] => [
                    array_sum(array_map(fn(PlannedRide $ride) => $ride->km, $mine)),
                    array_sum(
                        array_map(
                            fn(PlannedRide $ride) => $ride->km *
                                ($ride->condition === null ? $factor($season) : $settings->factor($ride->condition, $nowS)),
                            $mine,
                        ),
                    ),
                ],
                $ahead === 0 && ($rail->habit->riddenToday || $nowS >= $today->atHour(PlanHours::RIDDEN)) => [0.0, 0.0],
                $week !== [] => [$ofWeek, $ofWeek * $factor($season)],
                $rail->habit->usualKm !== [] => [$rail->habit->riddenOn($day->weekday()), $rail->habit->usualOn($day->weekday())],
                default => [$rail->habit->weeklyRiddenKm / 7, $rail->habit->weeklyKm / 7],
            };
            $names[] = implode(', ', array_filter(array_map(fn(PlannedRide $ride) => $ride->km > 0.0 ? $ride->name : '', $mine)));
        }

        $kept = [];
        foreach (array_filter($rail->hanging, $rail->kept(...)) as $chain) {
            $ahead = (int) (new DateTimeImmutable($today->date))->diff(new DateTimeImmutable((string) $chain->keptFor?->on))->days;
            if ($ahead < $days) {
                [$kept[$ahead], $km[$ahead], $ridden[$ahead]] = [$chain, 0.0, 0.0];
            }
        }

        $pace = $rail->habit->hoursPerKm ?? $book->terms()->ofBike($rail->bikeId, $nowS)->hoursPerKm;

        return new self(
            array_values($km),
            array_values($ridden),
            array_map(fn(float $each) => $each * $pace, array_values($ridden)),
            $names,
            $habit,
            $spread,
            $meant,
            $kept,
            $kept !== [] ||
                array_filter($planned, fn(PlannedRide $ride) => $ride->bikeId === null || $ride->bikeId === $rail->bikeId) !== [],
            $pace,
        );
    }

    /** The same over the first days alone. */
    public function first(int $days): self
    {
        return new self(
            array_slice($this->km, 0, $days),
            array_slice($this->ridden, 0, $days),
            array_slice($this->hours, 0, $days),
            array_slice($this->names, 0, $days),
            array_slice($this->habit, 0, $days),
            array_slice($this->spread, 0, $days),
            array_slice($this->meant, 0, $days),
            array_filter($this->kept, fn(int $day) => $day < $days, ARRAY_FILTER_USE_KEY),
            $this->special,
            $this->hoursPerKm,
        );
    }

    /** Whether a ride is usual on a day and nobody planned another: not where km are a share of the week's. */
    public function asUsual(int $day): bool
    {
        return !$this->meant[$day] && !$this->spread[$day];
    }

    /** When the next ride after today may begin at the earliest; null: none is expected. */
    public function nextRideS(LocalDay $today): ?int
    {
        foreach ($this->ridden as $day => $km) {
            if ($day > 0 && $km > 0.0) {
                return $today->plus($day)->atHour(PlanHours::FIRST_RIDE);
            }
        }

        return null;
    }

    /** Whether nothing is ridden in all of it. */
    public function idle(): bool
    {
        return array_sum($this->ridden) <= 0.0;
    }

    /** Whether any of it is taken from the last eight weeks. */
    public function byHabit(): bool
    {
        return in_array(true, $this->habit, true);
    }

    /** Effective km in an hour of the day on which they are fewest; infinitely many where nobody ever timed a ride. */
    public function slowestKmPerHour(): float
    {
        return min([
            INF,
            ...array_map(fn(float $km, float $hours) => $km > 0.0 && $hours > 0.0 ? $km / $hours : INF, $this->km, $this->hours),
        ]);
    }

    /** What a km of the bike takes in one half of the year, by all that it was ridden in it; 1 where it never was. */
    private static function factor(Book $book, int $bikeId, EarSeason $season, DateTimeZone $zone): float
    {
        [$km, $effective] = [0.0, 0.0];
        $rides = $book->ridesOf($bikeId);
        [$first, $last] = [$rides->first()?->moment->unixS, $rides->last()?->moment->unixS];
        foreach ($first === null || $last === null ? [] : $season->spans($first, $last, $zone) as [$fromS, $untilS]) {
            $in = $rides->between($fromS, $untilS);
            $km += $in->km();
            $effective += $in->effectiveKm($book->settings);
        }

        return $km > 0.0 ? $effective / $km : 1.0;
    }
}
