<?php

declare(strict_types=1);

namespace App\Devices;

use App\Actions\PotDay\PotDayJob;
use App\Exceptions\NotPossible;
use App\Guided\GuidedKind;
use App\Jobs\RunSimulatedProbe;
use App\Models\Device;
use App\Models\GuidedJob;
use App\Models\Pot;
use App\Models\Workshop;

/** Puts the simulated probe into the wax of a pot day of the demo, in the place of an earlier one. */
final readonly class Simulate
{
    public function __construct(private Connect $connect) {}

    /** Refused with NotPossible at `job` outside the demo, and for a job that is over or no pot day. */
    public function __invoke(Workshop $workshop, GuidedJob $job, float $speed): Device
    {
        $workshop->demo || throw new NotPossible('job', 'only_demo');
        ($job->kind === GuidedKind::PotDay && $job->ended_at === null) || throw new NotPossible('job', 'job_over');
        foreach (
            Device::query()->in($workshop)->where('kind', Device::PROBE)->whereNotNull('simulates')->whereNull('gone_at')->get()
            as $earlier
        ) {
            $this->connect->disconnect($earlier);
        }
        [$device, $token] = $this->connect->probe($workshop, Pot::query()->findOrFail(PotDayJob::choices($job)->potId), 'Simulated probe', [
            'job' => $job->id,
            'speed' => $speed,
            'extra_w' => 0.0,
        ]);
        RunSimulatedProbe::dispatch($device->id, $token);

        return $device;
    }
}
