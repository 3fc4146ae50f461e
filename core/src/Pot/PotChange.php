<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

/** What changes in a pot at an instant: its power, chains that go in, steel that comes out. s, W, g. */
final readonly class PotChange
{
    /** @param list<DippedChain> $in */
    private function __construct(public float $atS, public ?float $powerW, public array $in, public float $outG) {}

    public static function power(float $atS, float $watts): self
    {
        return new self($atS, $watts, [], 0.0);
    }

    /** @param list<DippedChain> $chains */
    public static function in(float $atS, array $chains): self
    {
        return new self($atS, null, $chains, 0.0);
    }

    public static function out(float $atS, float $steelG): self
    {
        return new self($atS, null, [], $steelG);
    }
}
