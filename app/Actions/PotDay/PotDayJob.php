<?php

declare(strict_types=1);

namespace App\Actions\PotDay;

use App\Devices\ReadTemperatures;
use App\Models\Dip;
use App\Models\GuidedJob;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Pot\PotCourse;
use Dripel\Core\PotDay\BathNow;
use Dripel\Core\PotDay\PotDayCourse;
use Dripel\Core\PotDay\PotDayTerms;

/** What a job of the kind pot day keeps in its terms. */
final class PotDayJob
{
    public static function choices(GuidedJob $job): PotDayChoices
    {
        return PotDayChoices::fromArray($job->terms['wish']);
    }

    public static function terms(GuidedJob $job): PotDayTerms
    {
        return PotDayTerms::fromArray($job->terms['day']);
    }

    /** @return list<Dip> those that it recorded, as they stand now */
    public static function dips(GuidedJob $job): array
    {
        $dips = [];
        foreach ($job->action_id === null ? [] : Dip::query()->where('action_id', $job->action_id)->orderBy('at')->get() as $dip) {
            while ($dip !== null && $dip->voided_by !== null) {
                $dip = Dip::query()->where('workshop_id', $job->workshop_id)->where('replaces_id', $dip->id)->orderByDesc('id')->first();
            }
            $dip === null || ($dips[] = $dip);
        }

        return $dips;
    }

    public static function bath(GuidedJob $job, JobRun $run, ReadTemperatures $readTemperatures, int $atS): BathNow
    {
        $latest = $readTemperatures->latest(self::choices($job)->potId, $job->started_at, $atS);

        return BathNow::of(
            self::terms($job),
            self::course($job, $run, $atS)->celsius($atS - $job->started_at),
            $latest === null ? null : [$latest->at, $latest->temp_c],
            $atS,
        );
    }

    /** The bath as the job's steps, done and still to come, would have it. */
    public static function course(GuidedJob $job, JobRun $run, int $nowS): PotCourse
    {
        return PotDayCourse::of(
            self::terms($job),
            array_map(floatval(...), $job->terms['masses']),
            $run->steps,
            $run->spans($nowS),
            $job->started_at,
        );
    }
}
