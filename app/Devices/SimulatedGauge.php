<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\Device;
use App\Models\Workshop;
use App\Wear\ReadWear;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Support\Facades\Http;
use Random\Engine\Secure;
use Random\Randomizer;

/**
 * A stand-in for a digital gauge: what a chain most likely has, with the scatter of its spots and of the gauge, sent through the same
 * address as a real one.
 */
final readonly class SimulatedGauge
{
    /** A cheap gauge and an even chain scatter by so many percent together. */
    private const NOISE_PCT = 0.02;

    private const DECIMALS = 2;

    public function __construct(private ReadWear $readWear) {}

    /** What a chain most likely has now, in percent; of one of which nobody knows how far it went, a new one's. */
    public function truth(Workshop $workshop, int $chainId): float
    {
        return ($this->readWear)($workshop)->of($chainId)->result->nowMean ?? 0.0;
    }

    /** Reads once and sends it; false where the gauge is not wanted any more. A machine that is away is asked again. */
    public function send(Device $device, string $token, float $truthPct): bool
    {
        $dice = new Randomizer(new Secure());
        $value = round($truthPct + (self::NOISE_PCT * ($dice->getInt(-100, 100) + $dice->getInt(-100, 100))) / 100, self::DECIMALS);
        try {
            return Http::withToken($token)
                ->timeout(5)
                ->post(config()->string('app.url') . '/api/v1/gauges/values', [
                    'readings' => [['sequence' => (int) floor(microtime(true) * 1000), 'value_pct' => $value]],
                ])
                ->successful();
        } catch (ConnectionException) {
            return true;
        }
    }
}
