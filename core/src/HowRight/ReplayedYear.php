<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\PotDaysInput;

/** What a year of riding took: as it was, or as it would have been. Minutes by the terms of the plan, whoever did it. */
final class ReplayedYear
{
    public int $potDays = 0;

    public int $dips = 0;

    public int $topUps = 0;

    public int $swaps = 0;

    public float $minutes = 0.0;

    /** Effective. */
    public float $km = 0.0;

    /** Of them, those that the coat no longer carried. */
    public float $kmPastWax = 0.0;

    /** @param PotDaysInput $minutesBy what a pot day and a swap take */
    public function __construct(private readonly PotDaysInput $minutesBy) {}

    public function pot(int $dips): void
    {
        $this->potDays++;
        $this->dips += $dips;
        $this->minutes += $this->minutesBy->potMinutes($dips);
    }

    public function swap(): void
    {
        $this->swaps++;
        $this->minutes += $this->minutesBy->swapMinutes;
    }

    public function topUp(): void
    {
        $this->topUps++;
        $this->minutes += PlanTerms::TOPUP_WORK_MINUTES;
    }

    public function ride(float $km, float $pastShare): void
    {
        $this->km += $km;
        $this->kmPastWax += $km * $pastShare;
    }

    /** Minutes that it took more than another. */
    public function minutesMore(self $than): float
    {
        return $this->minutes - $than->minutes;
    }

    /** Of the wax and the drip that it took, at today's prices, in minor units. */
    public function costMinor(float $pickupG, float $waxKgMinor, float $topUpMinor): float
    {
        return (($this->dips * $pickupG) / 1000.0) * $waxKgMinor + $this->topUps * $topUpMinor;
    }
}
