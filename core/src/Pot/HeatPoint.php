<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

/** One point of a heat curve: minutes, °C, how much of the wax is liquid. */
final readonly class HeatPoint
{
    public function __construct(public float $min, public float $tempC, public float $liquidFraction) {}

    /** @return array<string, float> */
    public function toArray(): array
    {
        return ['min' => $this->min, 'temp_c' => $this->tempC, 'liquid_fraction' => $this->liquidFraction];
    }
}
