<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\PotDay\PotDayPlan;

/** How long a pot was said to take to its working temperature on a pot day, and how long it took. Minutes. */
final readonly class HeatUp
{
    private const S_PER_MIN = 60.0;

    private function __construct(public int $potId, public int $pluggedS, public float $saidMin, public float $cameMin) {}

    /**
     * Null where it was not waited for, or nobody said how long.
     *
     * @param int|null $readS when a probe first read the temperature, Unix seconds; null: the hand that tapped it tells
     */
    public static function of(int $potId, JobRun $run, ?int $readS): ?self
    {
        $ends = [];
        foreach ($run->turns as $turn) {
            $step = $run->steps[$turn->step];
            if (
                $step->code === PotDayPlan::HEAT &&
                $step->seconds !== null &&
                $turn->endS !== null &&
                $turn->answer !== JobEventKind::Skip
            ) {
                $pluggedS = $step->since === null ? $turn->startS : $ends[$step->since] ?? $turn->startS;

                return new self(
                    $potId,
                    $pluggedS,
                    $step->seconds / self::S_PER_MIN,
                    (($readS !== null && $readS > $pluggedS ? $readS : $turn->endS) - $pluggedS) / self::S_PER_MIN,
                );
            }
            $ends[$turn->step] = (int) $turn->endS;
        }

        return null;
    }
}
