<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Devices\Connect;
use App\Devices\SimulatedGauge;
use App\Models\Device;
use App\Models\Workshop;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** The simulated gauge, pushed between the rollers at a few spots; then it is put away. */
final class RunSimulatedGauge implements ShouldQueue
{
    use Queueable;

    public const SPOTS = 3;

    private const EVERY_MS = 1200;

    public function __construct(private readonly int $deviceId, private readonly string $token) {}

    public function handle(SimulatedGauge $gauge, Connect $connect): void
    {
        $device = Device::query()->findOrFail($this->deviceId);
        $truth = $gauge->truth(Workshop::query()->findOrFail($device->workshop_id), (int) ($device->simulates['chain'] ?? 0));
        for ($i = 0; $i < self::SPOTS && $gauge->send($device, $this->token, $truth); $i++) {
            usleep(1000 * self::EVERY_MS);
        }
        $connect->disconnect($device);
    }
}
