<?php

declare(strict_types=1);

namespace App\Plan;

use App\Guided\GuidedKind;
use App\Models\Action;
use App\Models\GuidedJob;
use App\Models\Workshop;
use Dripel\Core\Plan\LearnedMinutes;
use Dripel\Core\Plan\WorkedDay;

/** What pot days, swaps and strips took, from the taps of those that were led to their end and not taken back. */
final readonly class ReadMinutes
{
    public function __invoke(Workshop $workshop): LearnedMinutes
    {
        return LearnedMinutes::of(
            array_values(
                array_filter(array_map(fn(GuidedJob $job) => WorkedDay::potDay($job->run()), self::last($workshop, GuidedKind::PotDay))),
            ),
            array_map(
                fn(GuidedJob $job) => WorkedDay::through($job->run(), (int) $job->number('done_step')),
                self::last($workshop, GuidedKind::Fit),
            ),
            array_values(
                array_filter(
                    array_map(
                        fn(GuidedJob $job) => WorkedDay::strip($job->run(), (int) $job->number('bare_step')),
                        self::last($workshop, GuidedKind::Strip),
                    ),
                ),
            ),
        );
    }

    /** @return list<GuidedJob> the newest last */
    private static function last(Workshop $workshop, GuidedKind $kind): array
    {
        return array_values(
            GuidedJob::query()
                ->in($workshop)
                ->where('kind', $kind)
                ->whereNotNull('ended_at')
                ->whereIn('action_id', Action::query()->in($workshop)->whereNull('reverted_by')->select('id'))
                ->orderByDesc('ended_at')
                ->limit(LearnedMinutes::LAST)
                ->with('taps')
                ->get()
                ->reverse()
                ->all(),
        );
    }
}
