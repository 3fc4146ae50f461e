<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** Every interval looked at, and the cheapest of them; of two alike the shorter. */
final readonly class IntervalEconomyResult
{
    /** @param non-empty-list<EconomyRow> $rows the shortest first */
    public function __construct(public array $rows, public EconomyRow $best, public bool $atEdge) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['rows' => array_map(fn(EconomyRow $row) => $row->toArray(), $this->rows), 'best' => $this->best->toArray() + ['at_edge' => $this->atEdge]];
    }
}
