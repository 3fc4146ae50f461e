<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use DateTimeZone;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Logbook\Settings;

/** What a bike was ridden in the last year: the mean week, km as ridden from Monday, and how much wax a km took. */
final readonly class YearOfRiding
{
    public const DAYS = 364;

    private const LEAST_WEEKS = 4.0;

    /** @param list<float> $weekKm */
    private function __construct(public array $weekKm, public float $factor) {}

    /** @param Rides $rides of one bike */
    public static function of(Rides $rides, Settings $settings, int $nowS, DateTimeZone $zone): self
    {
        $fromS = $nowS - 86400 * self::DAYS;
        $late = $rides->through($nowS)->between($fromS + 1, null);
        $weekKm = array_fill(0, 7, 0.0);
        $effective = 0.0;
        foreach ($late as $ride) {
            $weekKm[LocalDay::of($ride->moment->unixS, $zone)->weekday() - 1] += $ride->km;
            $effective += $ride->km * $settings->factor($ride->condition, $ride->moment->unixS);
        }
        $km = array_sum($weekKm);
        $first = $late->first();
        $weeks = $first === null ? 1.0 : max(self::LEAST_WEEKS, ($nowS - $first->moment->unixS) / (7 * 86400));

        return new self(array_values(array_map(fn(float $day) => $day / $weeks, $weekKm)), $km > 0.0 ? $effective / $km : 1.0);
    }
}
