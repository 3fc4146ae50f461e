<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** What is left of one wax cycle. `because` is null unless due. */
final readonly class WaxLifeResult
{
    /** @param list<float> $leftAfterKm what was left after each ride and the top-ups that followed it */
    public function __construct(
        public float $effectiveKm,
        public float $hours,
        public float $leftKm,
        public float $leftFraction,
        public ?DueBecause $because,
        public array $leftAfterKm,
    ) {}

    public function due(): bool
    {
        return $this->because !== null;
    }

    /** The rider's ear overrules the count: nothing is left. */
    public function silencedByNoise(): self
    {
        return new self($this->effectiveKm, $this->hours, 0.0, 0.0, DueBecause::Noise, $this->leftAfterKm);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'effective_km' => $this->effectiveKm,
            'hours' => $this->hours,
            'left_km' => $this->leftKm,
            'left_fraction' => $this->leftFraction,
            'due' => $this->due(),
            'because' => $this->because?->value,
        ];
    }
}
