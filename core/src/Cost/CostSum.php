<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

/** What some of a workshop's costs come to, and the km that they were for. Minor units of money, km. */
final readonly class CostSum
{
    private const KM = 1000.0;

    /** @param array<value-of<Supply>, int> $minorBySupply */
    public function __construct(private array $minorBySupply = [], public float $km = 0.0) {}

    /** @param list<Supply>|null $supplies null: all of them */
    public function minor(?array $supplies = null): int
    {
        return array_sum(
            $supplies === null ? $this->minorBySupply : array_intersect_key($this->minorBySupply, array_column($supplies, null, 'value')),
        );
    }

    /** Null where nothing was ridden, or nothing was paid. */
    public function per1000Km(): ?float
    {
        return $this->km > 0.0 && $this->minor() > 0 ? (self::KM * $this->minor()) / $this->km : null;
    }
}
