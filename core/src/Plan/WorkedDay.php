<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobTurn;
use Dripel\Core\PotDay\PotDayPlan;

/**
 * The minutes that a guided job kept somebody, as its taps tell: of a pot day apart what is done once, for each dip and for each batch. A
 * wait of half an hour and more, which can be left, is no work; a step that nobody tapped for as long was forgotten, and counts as what it
 * is taken to last. House rules.
 */
final readonly class WorkedDay
{
    private const S_PER_MIN = 60.0;

    private const FORGOTTEN_S = 1800;

    private function __construct(
        public float $fixedMinutes,
        public float $dipMinutes,
        public float $batchMinutes,
        public int $dips,
        public int $batches,
    ) {}

    /** A pot day that was led to its end; null where nothing was dipped. */
    public static function potDay(JobRun $run): ?self
    {
        $minutes = ['fixed' => 0.0, 'dip' => 0.0, 'batch' => 0.0];
        [$hung, $batches] = [[], 0];
        foreach ($run->turns as $turn) {
            $step = $run->steps[$turn->step];
            $of = match (count($step->chains)) {
                0 => 'fixed',
                1 => 'dip',
                default => 'batch',
            };
            $minutes[$of] += self::minutesOf($run, $turn);
            if ($turn->answer === JobEventKind::Skip) {
                continue;
            }
            $batches += (int) ($step->code === PotDayPlan::IN);
            $hung = $step->code === PotDayPlan::HANG ? [...$hung, ...$step->chains] : $hung;
        }
        $dips = count(array_unique($hung));

        return $dips === 0 || $batches === 0 ? null : new self($minutes['fixed'], $minutes['dip'], $minutes['batch'], $dips, $batches);
    }

    /** All turns through a step: what a swap took, without the first kilometre. */
    public static function through(JobRun $run, int $lastStep): float
    {
        return array_sum(
            array_map(
                fn(JobTurn $turn) => self::minutesOf($run, $turn),
                array_filter($run->turns, fn(JobTurn $turn) => $turn->step <= $lastStep),
            ),
        );
    }

    /** A strip, its drying too; null where it was given up before its last bath was over. */
    public static function strip(JobRun $run, int $bareStep): ?float
    {
        return $run->endedS($bareStep) === null ? null : self::through($run, count($run->steps));
    }

    public function minutes(): float
    {
        return $this->fixedMinutes + $this->dipMinutes + $this->batchMinutes;
    }

    private static function minutesOf(JobRun $run, JobTurn $turn): float
    {
        $step = $run->steps[$turn->step];
        $seconds = $turn->endS === null || $step->leavable() ? 0 : $turn->endS - $turn->startS;

        return ($seconds < self::FORGOTTEN_S ? $seconds : $step->seconds ?? $step->handlingS) / self::S_PER_MIN;
    }
}
