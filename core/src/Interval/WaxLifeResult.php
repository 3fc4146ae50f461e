<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** What is left of one wax cycle; null: not limited. `because` is null unless due. */
final readonly class WaxLifeResult
{
    /**
     * @param list<float> $rideLeftKm what was left after each ride; infinite where no km end it
     * @param list<float> $rideLeftHours the same in hours; empty where none end it
     * @param list<float> $leftAfterKm and after the top-ups that followed it
     */
    public function __construct(
        public float $effectiveKm,
        public float $hours,
        public ?float $leftKm,
        public ?float $leftHours,
        public float $leftFraction,
        public ?DueBecause $because,
        public array $rideLeftKm,
        public array $rideLeftHours,
        public array $leftAfterKm,
    ) {}

    public function due(): bool
    {
        return $this->because !== null;
    }

    /** The rider's ear overrules the count: nothing is left. */
    public function silencedByNoise(): self
    {
        return new self(
            $this->effectiveKm,
            $this->hours,
            $this->leftKm === null ? null : 0.0,
            $this->leftHours === null ? null : 0.0,
            0.0,
            DueBecause::Noise,
            $this->rideLeftKm,
            $this->rideLeftHours,
            $this->leftAfterKm,
        );
    }

    /** Ridden on after the wet, the day for drying is past: it is due by its wax alone. */
    public function afterTheWet(): self
    {
        return $this->because !== DueBecause::Wet
            ? $this
            : new self(
                $this->effectiveKm,
                $this->hours,
                $this->leftKm,
                $this->leftHours,
                $this->leftFraction,
                null,
                $this->rideLeftKm,
                $this->rideLeftHours,
                $this->leftAfterKm,
            );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'effective_km' => $this->effectiveKm,
            'hours' => $this->hours,
            'left_km' => $this->leftKm,
            'left_hours' => $this->leftHours,
            'left_fraction' => $this->leftFraction,
            'due' => $this->due(),
            'because' => $this->because?->value,
        ];
    }
}
