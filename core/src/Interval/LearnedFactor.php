<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** What a kilometre in a condition costs, in dry ones; in eight of ten cases between the two. */
final readonly class LearnedFactor
{
    /** @param int $cycles in which it was ridden */
    public function __construct(public float $factor, public float $p10, public float $p90, public int $cycles) {}

    /** @return array<string, float|int> */
    public function toArray(): array
    {
        return ['factor' => $this->factor, 'p10' => $this->p10, 'p90' => $this->p90, 'cycles' => $this->cycles];
    }
}
