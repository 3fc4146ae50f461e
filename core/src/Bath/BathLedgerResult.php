<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

/** A bath as its book leaves it. g with oil, mm; grit counts from 0. */
final readonly class BathLedgerResult
{
    public function __construct(
        public float $waxG,
        public float $oilFraction,
        public int $dips,
        public float $depthMm,
        public bool $coversChain,
        public bool $overflow,
        public int $dipsLeft,
        public float $grit,
        public ?float $maxC,
        public bool $overheated,
        public BathNext $next,
        /** What a dip takes along: the mean of those weighed, else the default. */
        public float $pickupG,
        /** So much has to stay in it for a coil to be covered. */
        public float $neededG,
        /** Whether any dip of the batch was weighed. */
        public bool $weighed,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'wax_g' => $this->waxG,
            'oil_fraction' => $this->oilFraction,
            'dips' => $this->dips,
            'depth_mm' => $this->depthMm,
            'covers_chain' => $this->coversChain,
            'overflow' => $this->overflow,
            'dips_left' => $this->dipsLeft,
            'grit' => $this->grit,
            'max_c' => $this->maxC,
            'overheated' => $this->overheated,
            'next' => $this->next->value,
            'pickup_g' => $this->pickupG,
            'needed_g' => $this->neededG,
        ];
    }
}
