<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** Every interval looked at, and the cheapest of them; of two alike the shorter. */
final readonly class IntervalEconomyResult
{
    /** House rule: what costs at most so much more than the cheapest, as a share, is as good. */
    public const AS_GOOD = 0.05;

    /** @param non-empty-list<EconomyRow> $rows the shortest first */
    public function __construct(public array $rows, public EconomyRow $best, public bool $atEdge) {}

    /** What was looked at that is nearest to an interval. */
    public function nearest(float $intervalKm): EconomyRow
    {
        $rows = $this->rows;
        usort($rows, fn(EconomyRow $a, EconomyRow $b) => abs($a->intervalKm - $intervalKm) <=> abs($b->intervalKm - $intervalKm));

        return $rows[0];
    }

    /**
     * How flat it is around the cheapest: between which intervals it costs at most so much more.
     *
     * @param float $more a share: 0.05 for five percent
     *
     * @return array{float, float} km, of those looked at
     */
    public function within(float $more = self::AS_GOOD): array
    {
        $most = (1.0 + $more) * $this->best->costPer1000Km + 1e-9;
        $best = (int) array_search($this->best, $this->rows, true);
        for ($first = $best; $first > 0 && $this->rows[$first - 1]->costPer1000Km <= $most; $first--);
        for ($last = $best; $last < count($this->rows) - 1 && $this->rows[$last + 1]->costPer1000Km <= $most; $last++);

        return [$this->rows[$first]->intervalKm, $this->rows[$last]->intervalKm];
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
