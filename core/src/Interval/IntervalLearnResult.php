<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** km. The band: where the interval lies in eight of ten cases, going by how sharply the cycles tell. */
final readonly class IntervalLearnResult
{
    public function __construct(
        public float $shape,
        public float $scaleKm,
        public float $medianKm,
        public float $intervalKm,
        public int $cycles,
        public int $noises,
        public float $intervalP10Km,
        public float $intervalP90Km,
    ) {}

    /** How likely a cycle is still quiet after so many effective km. */
    public function quietAfter(float $km): float
    {
        return $km <= 0.0 ? 1.0 : exp(-exp($this->shape * log($km / $this->scaleKm)));
    }

    /** @return array<string, float|int> */
    public function toArray(): array
    {
        return [
            'shape' => $this->shape,
            'scale_km' => $this->scaleKm,
            'median_km' => $this->medianKm,
            'interval_km' => $this->intervalKm,
            'cycles' => $this->cycles,
            'noises' => $this->noises,
            'interval_p10_km' => $this->intervalP10Km,
            'interval_p90_km' => $this->intervalP90Km,
        ];
    }
}
