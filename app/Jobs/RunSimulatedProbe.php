<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Devices\SimulatedProbe;
use App\Models\Device;
use App\Models\GuidedJob;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** The simulated probe at work for a short while, then again, until its job is over or it is disconnected: the queue is not its own. */
final class RunSimulatedProbe implements ShouldQueue
{
    use Queueable;

    private const READINGS = 4;

    private const EVERY_S = 2;

    public function __construct(private readonly int $deviceId, private readonly string $token) {}

    public function handle(SimulatedProbe $probe): void
    {
        for ($i = 0; $i < self::READINGS; $i++) {
            $device = Device::query()->find($this->deviceId);
            $job =
                !isset($device->simulates['job']) || $device->gone_at !== null
                    ? null
                    : GuidedJob::query()->with('taps')->find($device->simulates['job']);
            if ($device === null || $job === null || $job->ended_at !== null || !$probe->send($device, $this->token, $job)) {
                return;
            }
            sleep(self::EVERY_S);
        }
        self::dispatch($this->deviceId, $this->token);
    }
}
