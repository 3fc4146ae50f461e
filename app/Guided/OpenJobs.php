<?php

declare(strict_types=1);

namespace App\Guided;

use App\Models\GuidedJob;
use App\Models\Workshop;
use Dripel\Core\Next\OpenJob;

/** The guided jobs that are under way. */
final readonly class OpenJobs
{
    /** @return list<OpenJob> */
    public function __invoke(Workshop $workshop): array
    {
        return array_values(
            GuidedJob::query()
                ->in($workshop)
                ->open()
                ->with('taps')
                ->get()
                ->map(function (GuidedJob $job): OpenJob {
                    $run = $job->run();

                    return $job->begun_at === null
                        ? new OpenJob(
                            $job->id,
                            $job->kind->value,
                            $job->chains,
                            $run->step()->code ?? '',
                            $job->started_at,
                            true,
                            $job->kind === GuidedKind::PotDay ? $run->aboutS($job->started_at) : null,
                            jarIds: $job->jars(),
                        )
                        : new OpenJob(
                            $job->id,
                            $job->kind->value,
                            $job->chains,
                            $run->step()->code ?? '',
                            $run->step()?->leavable() === true ? $run->dueS() : null,
                            bikeId: is_int($job->terms['bike'] ?? null) ? $job->terms['bike'] : null,
                            jarIds: $job->jars(),
                        );
                })
                ->all(),
        );
    }

    /**
     * @param list<OpenJob>|null $jobs where they were read already
     *
     * @return list<int> jars that a job has open
     */
    public function busyJars(Workshop $workshop, ?array $jobs = null): array
    {
        return array_merge(...array_map(fn(OpenJob $job) => $job->jarIds, $jobs ?? $this($workshop)));
    }

    /** @return array<int, string> the job by the chain that is in it; one that is only planned holds no chain */
    public function byChain(Workshop $workshop): array
    {
        $jobs = [];
        foreach (GuidedJob::query()->in($workshop)->open()->whereNotNull('begun_at')->get() as $job) {
            foreach ($job->chains as $chainId) {
                $jobs[$chainId] = $job->id;
            }
        }

        return $jobs;
    }
}
