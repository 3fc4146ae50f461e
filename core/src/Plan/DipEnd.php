<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** What one way of dipping a bike's chains has come to at the end of the days. */
final readonly class DipEnd
{
    /**
     * @param float $minutes with the wax that is used by then, without the pot days and the batches
     * @param int $choice its pot days, one bit each
     * @param int $counts how many dips on each of them, so many bits each; 0 where they make no difference
     * @param array<int, list<int>> $taken the chains of each pot day
     */
    public function __construct(public float $minutes, public int $dips, public int $choice, public int $counts, public array $taken) {}
}
