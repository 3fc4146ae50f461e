<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

/** Rate in % per 1000 km, elongation in %, distances from now in km (null: beyond the horizon). */
final readonly class WearForecastResult
{
    /** @param array{rate: float, initial: float}|null $standardError without a prior */
    public function __construct(
        public float $rateMean,
        public float $rateP10,
        public float $rateP50,
        public float $rateP90,
        public float $initialMean,
        public float $nowMean,
        public float $nowP10,
        public float $nowP90,
        public ?float $kmToLimitP10,
        public ?float $kmToLimitP50,
        public ?float $kmToLimitP90,
        public float $probabilityPastLimit,
        public ?float $nextMeasurementKm,
        public WearVerdict $verdict,
        public ?array $standardError = null,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'rate_pct_per_1000km' => ['mean' => $this->rateMean, 'p10' => $this->rateP10, 'p50' => $this->rateP50, 'p90' => $this->rateP90],
            'initial_pct' => ['mean' => $this->initialMean],
            'now_pct' => ['mean' => $this->nowMean, 'p10' => $this->nowP10, 'p90' => $this->nowP90],
            'km_to_limit' => ['p10' => $this->kmToLimitP10, 'p50' => $this->kmToLimitP50, 'p90' => $this->kmToLimitP90],
            'probability_past_limit' => $this->probabilityPastLimit,
            'next_measurement_km' => $this->nextMeasurementKm,
            'verdict' => $this->verdict->value,
        ] + ($this->standardError === null ? [] : ['standard_error' => $this->standardError]);
    }
}
