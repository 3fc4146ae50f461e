<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** What follows from a jar's book at one instant: what is in it, how dirty, and how many cleanings it will still do. ml, grams. */
final readonly class JarState
{
    public function __construct(
        public int $jarId,
        public JarRole $role,
        public ?Solvent $solvent,
        public float $volumeMl,
        /** Dissolved so far, by ideal mixing: an estimate. */
        public float $greaseG,
        public ?int $filledS,
        /** Chains cleaned in it since it was filled. */
        public int $cleanings,
        /** How many it will do: ten by common practice, fewer where strip.cascade says so; null for a waste can. */
        public ?int $cleaningsAllowed,
        /** Whether strip.cascade set that number. */
        public bool $byCascade,
        /** Since when it stands to settle. */
        public ?int $settlingS,
        public ?SolventHazardResult $hazard,
        /** From the sheet of what is in it; null: that of its kind. */
        public ?float $flashC = null,
        public ?float $boilingC = null,
    ) {}

    /** Whether it has done its cleanings, so that it is to be handed in. */
    public function spent(): bool
    {
        return $this->cleaningsAllowed !== null && $this->volumeMl > 0.0 && $this->cleanings >= $this->cleaningsAllowed;
    }

    /** The same when so many more chains were cleaned in it. */
    public function after(int $chains): self
    {
        return new self(
            $this->jarId,
            $this->role,
            $this->solvent,
            $this->volumeMl,
            $this->greaseG,
            $this->filledS,
            $this->cleanings + $chains,
            $this->cleaningsAllowed,
            $this->byCascade,
            $this->settlingS,
            $this->hazard,
            $this->flashC,
            $this->boilingC,
        );
    }

    /** When the dirt has sunk and the clear part can be poured off; null unless it stands. */
    public function settledS(): ?int
    {
        return $this->settlingS === null ? null : $this->settlingS + 3600 * JarShelf::SETTLE_HOURS;
    }
}
