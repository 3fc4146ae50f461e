<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobSpan;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Pot\DippedChain;
use Dripel\Core\Pot\PotChange;
use Dripel\Core\Pot\PotCourse;

/** What the steps of a pot day, done and still to come, do to the bath: the predicted curve, and what a simulated probe sees. */
final readonly class PotDayCourse
{
    /**
     * @param list<JobStep> $steps
     * @param list<JobSpan> $spans
     * @param array<int, float> $massesG by chain
     * @param int $fromS the instant that counts as second 0
     */
    public static function of(PotDayTerms $terms, array $massesG, array $steps, array $spans, int $fromS): PotCourse
    {
        $changes = [];
        foreach ($spans as $span) {
            $step = $steps[$span->step];
            $chains = fn(): array => array_map(fn(int $id) => new DippedChain($massesG[$id], $terms->pot->ambientC), $step->chains);
            $change = match ($step->code) {
                // Passed over: it did not go in. Of the others the wax does not know who did it.
                PotDayPlan::LAY_ON => PotChange::in($span->startS - $fromS, $chains()),
                PotDayPlan::IN => $span->answer === JobEventKind::Skip || ($step->about['melted_in'] ?? false) === true
                    ? null
                    : PotChange::in($span->startS - $fromS, $chains()),
                PotDayPlan::PLUG_IN => PotChange::power($span->endS - $fromS, $terms->pot->powerW),
                PotDayPlan::TO_LOW => PotChange::power($span->endS - $fromS, $terms->holdW),
                PotDayPlan::OFF => PotChange::power($span->endS - $fromS, 0.0),
                PotDayPlan::LIFT => PotChange::out(
                    $span->startS - $fromS,
                    array_sum(array_map(fn(int $id) => $massesG[$id], $step->chains)),
                ),
                default => null,
            };
            $change === null || ($changes[] = $change);
        }
        usort($changes, fn(PotChange $a, PotChange $b) => $a->atS <=> $b->atS);

        return new PotCourse($terms->pot, $changes);
    }
}
