<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use DateTimeImmutable;
use DateTimeZone;
use Dripel\Core\Plan\LocalDay;

/**
 * Fills days that nobody logged: estimates are spread evenly over their days, commutes recur. What was logged before an
 * estimate counts as part of its total and takes no further share; a ride logged afterwards, or a day of rest, replaces
 * the share of its day. A commute gives way to any ride, rest or estimate of its day. House rules.
 */
final readonly class FillIn
{
    /**
     * @param list<Estimate> $estimates
     * @param list<Commute> $commutes
     * @param list<RestDay> $restDays
     * @param int $throughS commutes that begin later have not happened
     */
    public function __construct(
        private array $estimates,
        private array $commutes,
        private array $restDays,
        private DateTimeZone $zone,
        private int $throughS,
    ) {}

    /**
     * @param list<Ride> $rides as logged, in any order
     *
     * @return list<Ride> the estimated ones
     */
    public function rides(array $rides): array
    {
        if ($this->estimates === [] && $this->commutes === []) {
            return [];
        }
        $known = $this->knownDays($rides);
        [$filled, $covered] = [[], []];
        $estimates = $this->estimates;
        usort($estimates, fn(Estimate $a, Estimate $b) => $a->moment->sequence <=> $b->moment->sequence);
        foreach ($estimates as $estimate) {
            array_push($filled, ...$this->spread($estimate, $known[$estimate->bikeId] ?? [], $covered[$estimate->bikeId] ?? []));
            foreach (self::days($estimate->fromDate, $estimate->toDate) as $date) {
                $covered[$estimate->bikeId][$date] ??= $this->shareOn($filled, $estimate, $date);
            }
        }
        foreach ($this->commutes as $commute) {
            array_push($filled, ...$this->recur($commute, ($known[$commute->bikeId] ?? []) + ($covered[$commute->bikeId] ?? [])));
        }

        return array_map(fn(Ride $ride, int $i) => $ride->numbered(-1 - $i), $filled, array_keys($filled));
    }

    /**
     * What of an estimate was logged before it, and how the rest is spread.
     *
     * @param list<Ride> $rides as logged
     */
    public function shareOf(Estimate $estimate, array $rides): EstimateShare
    {
        $known = $this->knownDays($rides, $estimate)[$estimate->bikeId] ?? [];
        $covered = [];
        foreach ($this->estimates as $other) {
            if ($other->bikeId === $estimate->bikeId && $other->moment->sequence < $estimate->moment->sequence) {
                foreach ($this->spread($other, $known, $covered) as $share) {
                    $covered[(string) $share->guess?->date] = $share->km;
                }
            }
        }

        return $this->share($estimate, $known, $covered);
    }

    public function estimate(int $id): ?Estimate
    {
        return array_values(array_filter($this->estimates, fn(Estimate $estimate) => $estimate->id === $id))[0] ?? null;
    }

    /** The last reading of a bike's odometer. */
    public function lastOdometer(int $bikeId): ?Estimate
    {
        $readings = array_filter(
            $this->estimates,
            fn(Estimate $estimate) => $estimate->bikeId === $bikeId && $estimate->odometerKm !== null,
        );
        usort(
            $readings,
            fn(Estimate $a, Estimate $b) => $a->moment->unixS <=> $b->moment->unixS ?: $a->moment->sequence <=> $b->moment->sequence,
        );

        return $readings === [] ? null : $readings[count($readings) - 1];
    }

    /** When the last commute began that has happened, filled in or not: until the next one all that is filled in stays as it is. */
    public function lastCommuteS(): int
    {
        $lastS = PHP_INT_MIN;
        foreach ($this->commutes as $commute) {
            // In a week each of its days comes once; today's may not have begun.
            $day = new DateTimeImmutable("{$this->lastDateOf($commute)} 00:00:00 UTC");
            for ($back = 0; $back <= 7 && ($date = $day->format('Y-m-d')) >= $commute->fromDate; $back++) {
                $lastS = max($lastS, $this->beganS($commute, $date) ?? PHP_INT_MIN);
                $day = $day->modify('-1 day');
            }
        }

        return $lastS;
    }

    /** @return list<Commute> of one bike */
    public function commutesOf(int $bikeId): array
    {
        return array_values(array_filter($this->commutes, fn(Commute $commute) => $commute->bikeId === $bikeId));
    }

    /**
     * @param array<string, list<Ride|RestDay>> $known
     * @param array<string, float> $covered km by day of earlier estimates
     */
    private function share(Estimate $estimate, array $known, array $covered): EstimateShare
    {
        [$knownKm, $free] = [0.0, []];
        foreach (self::days($estimate->fromDate, $estimate->toDate) as $date) {
            $before = array_filter(
                $known[$date] ?? [],
                fn(Ride|RestDay $entry) => $entry->moment->sequence < $estimate->moment->sequence &&
                    ($entry instanceof RestDay || self::within($entry, $estimate)),
            );
            $knownKm +=
                array_sum(array_map(fn(Ride|RestDay $entry) => $entry instanceof Ride ? $entry->km : 0.0, $before)) +
                ($before === [] ? $covered[$date] ?? 0.0 : 0.0);
            if ($before === [] && !isset($covered[$date])) {
                $free[] = $date;
            }
        }

        return new EstimateShare($knownKm, $free, $free === [] ? 0.0 : max(0.0, $estimate->km - $knownKm) / count($free));
    }

    /**
     * @param array<string, list<Ride|RestDay>> $known
     * @param array<string, float> $covered
     *
     * @return list<Ride>
     */
    private function spread(Estimate $estimate, array $known, array $covered): array
    {
        $share = $this->share($estimate, $known, $covered);
        $rides = [];
        foreach ($share->kmEach > 0 ? $share->dates : [] as $date) {
            $replaced = array_filter(
                $known[$date] ?? [],
                fn(Ride|RestDay $entry) => $entry instanceof RestDay || self::within($entry, $estimate),
            );
            if ($replaced === []) {
                $rides[] = new Ride(
                    0,
                    new Moment(
                        min(LocalDay::named($date, $this->zone)->endS(), $estimate->moment->unixS),
                        Precision::Day,
                        $estimate->moment->sequence,
                    ),
                    $estimate->bikeId,
                    $share->kmEach,
                    null,
                    $estimate->condition,
                    Guess::ofEstimate($estimate->id, $date),
                );
            }
        }

        return $rides;
    }

    /**
     * @param array<string, mixed> $taken by day
     *
     * @return list<Ride>
     */
    private function recur(Commute $commute, array $taken): array
    {
        $rides = [];
        foreach (self::days($commute->fromDate, $this->lastDateOf($commute)) as $date) {
            // Years of confirmed days are passed over before anything is asked of the calendar.
            $startS = isset($taken[$date]) ? null : $this->beganS($commute, $date);
            if ($startS !== null) {
                $rides[] = new Ride(
                    0,
                    new Moment($startS, Precision::Minute, $commute->moment->sequence),
                    $commute->bikeId,
                    $commute->km,
                    $commute->hours,
                    $commute->condition,
                    Guess::ofCommute($commute->id, $date),
                );
            }
        }

        return $rides;
    }

    private function lastDateOf(Commute $commute): string
    {
        $today = LocalDay::of($this->throughS, $this->zone)->date;

        return min($commute->untilDate ?? $today, $today);
    }

    /** When a commute began on a day; null: it is none of its days, or it has not happened. */
    private function beganS(Commute $commute, string $date): ?int
    {
        $start = new DateTimeImmutable("{$date} {$commute->time}", $this->zone);

        return in_array((int) $start->format('N'), $commute->weekdays, true) && $start->getTimestamp() <= $this->throughS
            ? $start->getTimestamp()
            : null;
    }

    /** @param list<Ride> $filled */
    private function shareOn(array $filled, Estimate $estimate, string $date): float
    {
        foreach ($filled as $ride) {
            if ($ride->guess?->estimateId === $estimate->id && $ride->guess->date === $date) {
                return $ride->km;
            }
        }

        return 0.0;
    }

    /** @return array<int, int> from when on anything may be filled in, Unix seconds by bike */
    public function fromS(?Estimate $also = null): array
    {
        $fromS = [];
        foreach ([...$this->estimates, ...$this->commutes, ...$also === null ? [] : [$also]] as $filler) {
            $fromS[$filler->bikeId] = min(
                $fromS[$filler->bikeId] ?? PHP_INT_MAX,
                LocalDay::named($filler->fromDate, $this->zone)->startS(),
            );
        }

        return $fromS;
    }

    /**
     * @param list<Ride> $rides
     *
     * @return array<int, array<string, list<Ride|RestDay>>> by bike and day, as far as anything is filled in there
     */
    private function knownDays(array $rides, ?Estimate $also = null): array
    {
        $fromS = $this->fromS($also);
        $known = [];
        foreach ($this->restDays as $rest) {
            $known[$rest->bikeId][$rest->date][] = $rest;
        }
        foreach ($rides as $ride) {
            if ($ride->guess === null && $ride->bikeId !== null && $ride->moment->unixS >= ($fromS[$ride->bikeId] ?? PHP_INT_MAX)) {
                $known[$ride->bikeId][LocalDay::of($ride->moment->unixS, $this->zone)->date][] = $ride;
            }
        }

        return $known;
    }

    /** A ride that began before or after what the estimate covers is no part of it; one known by its day alone may be. */
    private static function within(Ride $ride, Estimate $estimate): bool
    {
        return $ride->moment->precision === Precision::Day ||
            ($ride->moment->unixS >= $estimate->fromS && $ride->moment->unixS <= $estimate->moment->unixS);
    }

    /** @return iterable<string> */
    private static function days(string $from, string $to): iterable
    {
        for ($day = new DateTimeImmutable("{$from} 00:00:00 UTC"); ($date = $day->format('Y-m-d')) <= $to; $day = $day->modify('+1 day')) {
            yield $date;
        }
    }
}
