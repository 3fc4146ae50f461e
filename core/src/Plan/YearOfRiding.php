<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use DateTimeZone;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Settings;

/** What a bike was ridden in the last year: the mean week, km as ridden from Monday, and how much wax a km took. */
final readonly class YearOfRiding
{
    public const DAYS = 364;

    private const LEAST_WEEKS = 4.0;

    /** @param list<float> $weekKm */
    private function __construct(public array $weekKm, public float $factor) {}

    /** @param list<Ride> $rides of one bike, in order */
    public static function of(array $rides, Settings $settings, int $nowS, DateTimeZone $zone): self
    {
        $fromS = $nowS - 86400 * self::DAYS;
        $late = array_values(array_filter($rides, fn(Ride $ride) => $ride->moment->unixS > $fromS && $ride->moment->unixS <= $nowS));
        $weekKm = array_fill(0, 7, 0.0);
        $effective = 0.0;
        foreach ($late as $ride) {
            $weekKm[LocalDay::of($ride->moment->unixS, $zone)->weekday() - 1] += $ride->km;
            $effective += $ride->km * $settings->factor($ride->condition, $ride->moment->unixS);
        }
        $km = array_sum($weekKm);
        $weeks = $late === [] ? 1.0 : max(self::LEAST_WEEKS, ($nowS - $late[0]->moment->unixS) / (7 * 86400));

        return new self(array_values(array_map(fn(float $day) => $day / $weeks, $weekKm)), $km > 0.0 ? $effective / $km : 1.0);
    }
}
