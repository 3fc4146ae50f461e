<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** Effective km. */
final readonly class FactorsLearnResult
{
    /** @param array<string, LearnedFactor> $factors by the condition's name */
    public function __construct(public array $factors, public float $medianKm, public float $shape, public int $noises) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'factors' => array_map(fn(LearnedFactor $factor) => $factor->toArray(), $this->factors),
            'median_km' => $this->medianKm,
            'shape' => $this->shape,
            'noises' => $this->noises,
        ];
    }
}
