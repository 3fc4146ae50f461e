<?php

declare(strict_types=1);

namespace App\Weather;

/** From what the rain of a workshop is known; as a setting, where nothing is off. */
enum WeatherKind: string
{
    /** The stand-in, to try it with. */
    case Simulated = 'simulated';
    /** What was taken from tables. */
    case Table = 'table';

    public function source(): WeatherSource
    {
        return app(
            match ($this) {
                self::Simulated => SimulatedWeather::class,
                self::Table => KeptRain::class,
            },
        );
    }
}
