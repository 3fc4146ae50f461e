<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** After one chain, in grams: what is left on it and what is in each jar. */
final readonly class CascadeState
{
    public function __construct(public float $leftG, public float $dirtyG, public float $cleanG) {}

    /** @return array<string, float> */
    public function toArray(): array
    {
        return ['left_g' => $this->leftG, 'dirty_g' => $this->dirtyG, 'clean_g' => $this->cleanG];
    }
}
