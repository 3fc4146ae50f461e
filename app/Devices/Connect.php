<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\Device;
use App\Models\Pot;
use App\Models\Workshop;
use App\Support\AppClock;

/**
 * Connects a probe to a pot, a gauge to the bench, a bike computer to the inbox or a display to all that is to be read, and disconnects
 * it. Its token is told once and kept only as a hash.
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
        return $this->connect($workshop, Device::PROBE, $name, Device::SENDS_TEMPERATURES, [
            'pot_id' => $pot->id,
            'simulates' => $simulates,
        ]);
    }

    /**
     * @param array{chain: int}|null $simulates
     *
     * @return array{Device, string} with the token
     */
    public function gauge(Workshop $workshop, string $name, ?array $simulates = null): array
    {
        return $this->connect($workshop, Device::GAUGE, $name, Device::SENDS_VALUES, ['simulates' => $simulates]);
    }

    /** @return array{Device, string} with the token */
    public function bikeComputer(Workshop $workshop, string $name): array
    {
        return $this->connect($workshop, Device::BIKE_COMPUTER, $name, Device::SENDS_RIDES);
    }

    /** @return array{Device, string} with the token */
    public function display(Workshop $workshop, string $name): array
    {
        return $this->connect($workshop, Device::DISPLAY, $name, Device::READS_WORKSHOP);
    }

    /**
     * @param string $ability the one thing that its token is for
     * @param array<string, mixed> $more what else is known of it
     *
     * @return array{Device, string} with the token
     */
    private function connect(Workshop $workshop, string $kind, string $name, string $ability, array $more = []): array
    {
        $device = Device::query()->create(
            ['workshop_id' => $workshop->id, 'kind' => $kind, 'name' => $name, 'added_at' => $this->clock->unixS()] + $more,
        );
        $until = $this->clock->now()->modify('+' . self::TOKEN_DAYS . ' days');

        return [$device->refresh(), $device->createToken($name, [$ability], $until)->plainTextToken];
    }

    public function disconnect(Device $device): void
    {
        $device->tokens()->delete();
        $device->update(['gone_at' => $this->clock->unixS()]);
    }
}
