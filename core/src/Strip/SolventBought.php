<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** So much of a solvent left its can at an instant: into a jar, or fresh into a bath. ml. */
final readonly class SolventBought
{
    public function __construct(public int $atS, public Solvent $solvent, public float $ml) {}
}
