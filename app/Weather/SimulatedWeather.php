<?php

declare(strict_types=1);

namespace App\Weather;

use App\Models\Workshop;
use App\Support\AppClock;
use Dripel\Core\Weather\Rain;
use Dripel\Core\Weather\SimulatedRain;
use Dripel\Core\Weather\WetDay;

/** The stand-in for a weather service: as it was, and as it is expected for as many days as rain is foretold. */
final readonly class SimulatedWeather implements WeatherSource
{
    public function __construct(private AppClock $clock) {}

    public function rain(Workshop $workshop, int $fromS, int $untilS): Rain
    {
        return (new SimulatedRain($workshop->id))->between($fromS, min($untilS, $this->clock->unixS() + 86400 * WetDay::DAYS));
    }
}
