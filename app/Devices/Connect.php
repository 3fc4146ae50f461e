<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\Device;
use App\Models\Pot;
use App\Models\Workshop;
use App\Support\AppClock;

/**
 * Connects a probe to a pot, a gauge to the bench or a bike computer to the inbox, and disconnects it. Its token is told once and kept only
 * as a hash.
 */
final readonly class Connect
{
    /** Then it is connected anew: nobody remembers every device of a garage. */
    private const TOKEN_DAYS = 365;

    public function __construct(private AppClock $clock) {}

    /**
     * @param array{job: string, speed: float, extra_w: float}|null $simulates
     *
     * @return array{Device, string} with the token
     */
    public function probe(Workshop $workshop, Pot $pot, string $name, ?array $simulates = null): array
    {
        $device = Device::query()->create([
            'workshop_id' => $workshop->id,
            'kind' => Device::PROBE,
            'pot_id' => $pot->id,
            'name' => $name,
            'added_at' => $this->clock->unixS(),
            'simulates' => $simulates,
        ]);

        return [$device->refresh(), $this->token($device, [Device::SENDS_TEMPERATURES])];
    }

    /**
     * @param array{chain: int}|null $simulates
     *
     * @return array{Device, string} with the token
     */
    public function gauge(Workshop $workshop, string $name, ?array $simulates = null): array
    {
        $device = Device::query()->create([
            'workshop_id' => $workshop->id,
            'kind' => Device::GAUGE,
            'name' => $name,
            'added_at' => $this->clock->unixS(),
            'simulates' => $simulates,
        ]);

        return [$device->refresh(), $this->token($device, [Device::SENDS_VALUES])];
    }

    /** @return array{Device, string} with the token */
    public function bikeComputer(Workshop $workshop, string $name): array
    {
        $device = Device::query()->create([
            'workshop_id' => $workshop->id,
            'kind' => Device::BIKE_COMPUTER,
            'name' => $name,
            'added_at' => $this->clock->unixS(),
        ]);

        return [$device->refresh(), $this->token($device, [Device::SENDS_RIDES])];
    }

    /** @param list<string> $abilities */
    private function token(Device $device, array $abilities): string
    {
        $until = $this->clock->now()->modify('+' . self::TOKEN_DAYS . ' days');

        return $device->createToken($device->name, $abilities, $until)->plainTextToken;
    }

    public function disconnect(Device $device): void
    {
        $device->tokens()->delete();
        $device->update(['gone_at' => $this->clock->unixS()]);
    }
}
