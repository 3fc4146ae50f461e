<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\LocalDay;

/** Guided jobs that wait for somebody. */
final readonly class OpenJobs implements NextSource
{
    public function items(NextInput $in): array
    {
        return array_map(function (OpenJob $job) use ($in): NextItem {
            $chains = array_map(fn(int $id) => $in->book->chain($id, $in->nowS), $job->chainIds);
            $rings = $job->dueS !== null && $job->dueS > $in->nowS;

            return new NextItem(
                NextKind::Job,
                $job->bikeId ?? $in->book->bikeOfChain($job->chainIds[0] ?? 0, $in->nowS),
                $chains,
                LocalDay::of($rings ? $job->dueS : $in->nowS, $in->zone)->date,
                Verb::Go,
                // Bare steel waits no longer for a job than for anything else.
                urgent: array_filter($chains, BareChains::presses(...)) !== [],
                byS: $rings ? $job->dueS : null,
                about: $job,
                // What rests until a timer rings waits at the bench; what waits for somebody cannot wait.
                evening: $job->planned || $rings
                    ? max($in->today->date, LocalDay::of($rings ? $job->dueS : $in->nowS, $in->zone)->date)
                    : null,
                minutes: $job->planned ? $in->plan->input->potMinutes(count($job->chainIds)) : 0.0,
            );
        }, $in->jobs);
    }
}
