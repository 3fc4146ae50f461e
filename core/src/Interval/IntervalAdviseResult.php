<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

final readonly class IntervalAdviseResult
{
    public function __construct(public float $intervalKm, public AdviseBecause $because) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['interval_km' => $this->intervalKm, 'because' => $this->because->value];
    }
}
