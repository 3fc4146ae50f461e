<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** Solvent with what it has dissolved: ml and grams. Chains leave it with their share of what is then in it. */
final readonly class SolventBath
{
    public function __construct(public float $volumeMl, public float $greaseG = 0.0) {}

    /**
     * Ideal mixing: of everything in bath and chains, each chain takes along what its carry-over holds.
     *
     * @param float $loadG on all the chains together
     *
     * @return array{float, self} grams left on all the chains together, and the bath afterwards, its volume as it was
     */
    public function wash(float $loadG, float $carryOverMl, int $chains = 1): array
    {
        $inAllG = $this->greaseG + $loadG;
        $leftG = ($inAllG * $chains * $carryOverMl) / ($this->volumeMl + $chains * $carryOverMl);

        return [$leftG, new self($this->volumeMl, $inAllG - $leftG)];
    }
}
