<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobTurn;

/** What the baths of a strip that runs should leave: those it had, repeats with fresh solvent among them, and those to come. */
final readonly class JobResidues
{
    /** @return list<BathLeft> in the order of the baths */
    public static function of(JobRun $run, float $startG, int $chains, float $carryOverMl = StripRinseInput::CARRY_OVER_ML): array
    {
        $turns = $run->turns;
        foreach ($run->ahead as $step) {
            $before = count(array_filter($turns, fn(JobTurn $turn) => $turn->step === $step));
            $turns[] = new JobTurn(count($turns), $step, $before + 1, 0);
        }
        [$loadG, $jars, $left] = [$startG * $chains, [], []];
        foreach ($turns as $turn) {
            $step = $run->steps[$turn->step];
            if (!in_array($step->code, StripPlan::ENDS_BATH, true)) {
                continue;
            }
            $jar = $turn->round === 1 ? $step->about['jar'] : null;
            $bath =
                $turn->round > 1
                    ? new SolventBath((float) $step->about['fresh_ml'])
                    : $jars[(int) $jar] ?? new SolventBath((float) $step->about['volume_ml'], (float) $step->about['jar_g']);
            [$loadG, $after] = $bath->wash($loadG, $carryOverMl, $chains);
            if ($jar !== null) {
                $jars[(int) $jar] = $after;
            }
            $left[] = new BathLeft(
                (int) $step->about['bath'],
                $turn->round,
                $loadG / $chains,
                $turn->endS !== null,
                $step->againFrom === null ? null : $turn->answer,
            );
        }

        return $left;
    }
}
