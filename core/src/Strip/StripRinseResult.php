<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** What is left on the chain, how it came to that wash by wash, and the solvent it took. Grams, ml. */
final readonly class StripRinseResult
{
    /** @param list<float> $byWashG grams left after each wash */
    public function __construct(
        public float $leftG,
        public float $leftFraction,
        public int $washes,
        public float $solventMl,
        public array $byWashG,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'left_g' => $this->leftG,
            'left_fraction' => $this->leftFraction,
            'washes' => $this->washes,
            'solvent_ml' => $this->solventMl,
            'by_wash' => $this->byWashG,
        ];
    }
}
