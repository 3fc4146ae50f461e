<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** Every interval looked at, and the cheapest of them; of two alike the shorter. */
final readonly class IntervalEconomyResult
{
    /** @param non-empty-list<EconomyRow> $rows the shortest first */
    public function __construct(public array $rows, public EconomyRow $best, public bool $atEdge) {}

    /** What was looked at that is nearest to an interval. */
    public function nearest(float $intervalKm): EconomyRow
    {
        $rows = $this->rows;
        usort($rows, fn(EconomyRow $a, EconomyRow $b) => abs($a->intervalKm - $intervalKm) <=> abs($b->intervalKm - $intervalKm));

        return $rows[0];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'rows' => array_map(fn(EconomyRow $row) => $row->toArray(), $this->rows),
            'best' => $this->best->toArray() + ['at_edge' => $this->atEdge],
        ];
    }
}
