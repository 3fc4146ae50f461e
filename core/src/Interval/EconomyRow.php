<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** One interval and what it comes to. km, money per 1000 km, minutes per 1000 km. */
final readonly class EconomyRow
{
    public function __construct(
        public float $intervalKm,
        public float $lifeKm,
        public float $costPer1000Km,
        public float $rewaxesPer1000Km,
        public float $minutesPer1000Km,
        /** Beyond the points that the life is known at. */
        public bool $extrapolated,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'interval_km' => $this->intervalKm,
            'life_km' => $this->lifeKm,
            'cost_per_1000km' => $this->costPer1000Km,
            'rewaxes_per_1000km' => $this->rewaxesPer1000Km,
            'minutes_per_1000km' => $this->minutesPer1000Km,
            'extrapolated' => $this->extrapolated,
        ];
    }
}
