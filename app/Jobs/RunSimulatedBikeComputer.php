<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Devices\Connect;
use App\Devices\RideAddress;
use App\Devices\SimulatedRides;
use App\Models\Device;
use App\Models\Workshop;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** The simulated bike computer comes home and sends what it recorded; then it is switched off. */
final class RunSimulatedBikeComputer implements ShouldQueue
{
    use Queueable;

    public const RIDES = 2;

    public function __construct(private readonly int $deviceId, private readonly string $token) {}

    public function handle(SimulatedRides $rides, Connect $connect): void
    {
        $device = Device::query()->findOrFail($this->deviceId);
        $rides->deliver(Workshop::query()->findOrFail($device->workshop_id), new RideAddress($this->token), self::RIDES);
        $connect->disconnect($device);
    }
}
