<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use App\Logbook\Draft;
use App\Models\Bath;
use App\Models\GuidedJob;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Strip\StripPlan;

/** Writes the baths that a job went through: which jar, how much, and what was seen. */
final class RecordBaths
{
    public static function of(Draft $draft, GuidedJob $job, JobRun $run): int
    {
        $baths = 0;
        foreach ($run->turns as $turn) {
            $step = $run->steps[$turn->step];
            if ($turn->endS === null || !in_array($step->code, StripPlan::ENDS_BATH, true)) {
                continue;
            }
            // Round again is with fresh solvent, whatever the first round used.
            $again = $turn->round > 1;
            $draft->enter(Bath::class, new Moment($turn->endS), [
                'component_id' => $again ? null : $step->about['jar'],
                'into_id' => $step->about['into'],
                'solvent' => $step->about['solvent'],
                'volume_ml' => $again ? $step->about['fresh_ml'] : $step->about['volume_ml'],
                'chains' => count($job->chains),
                'start_g' => $job->number('start_g'),
                'look' => $step->code === 'lift' ? null : ($turn->answer === JobEventKind::Again ? 'cloudy' : 'clear'),
            ]);
            $baths++;
        }

        return $baths;
    }
}
