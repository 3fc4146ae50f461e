<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Bath\Vessel;
use Dripel\Core\Input\Check;
use Dripel\Core\Pot\PotLay;
use Dripel\Core\Pot\WaxProperties;

/**
 * How many chains a pot takes at once: as many as lie beside one another on its bottom, coils in as many layers as the wax
 * covers with the steel in it, flat ones in one, without running over. mm, g. Circles in a circle: R. L. Graham's packings up to seven
 * (memory); the size of a coil is a house rule.
 */
final readonly class PotCapacity
{
    /** A chain coiled on its wire is so wide: house rule. */
    public const COIL_WIDE_MM = 90.0;

    private const STEEL_G_PER_ML = 7.85;

    /** So many coils lie in one layer once the pot is so many times as wide as a coil. */
    private const BESIDE = [7 => 3.0, 5 => 2.701, 4 => 2.414, 3 => 2.155, 2 => 2.0];

    private const MOST = 12;

    private function __construct(
        /** 0 where the wax does not cover even one, or runs over with it. */
        public int $chains,
        public bool $coversOne,
        public bool $overflowsWithOne,
        private ?int $said,
    ) {}

    /** How many its owner puts in: as somebody said, else as many as fit, one at least. */
    public function atOnce(): int
    {
        return $this->said ?? max(1, $this->chains);
    }

    /** @param int|null $said how many its owner puts in at once, as they are laid; null: nobody said */
    public static function of(Vessel $vessel, float $waxG, float $chainG, ?int $said = null, PotLay $lay = PotLay::Coiled): self
    {
        $depthMm = fn(int $chains): float => $vessel->depthMm(
            $waxG / WaxProperties::LIQUID_G_PER_ML + ($chains * $chainG) / self::STEEL_G_PER_ML,
        );
        $flat = $lay === PotLay::Flat;
        $beside = $flat ? PotLay::flatBeside($vessel) : self::beside($vessel->diameterMm);
        $fits = fn(int $chains): bool => (!$flat || $chains <= $beside) &&
            $depthMm($chains) >= ceil($chains / $beside) * $lay->coversMm() - Check::EPSILON &&
            $depthMm($chains) <= $vessel->heightMm + Check::EPSILON;
        $most = 0;
        while ($most < self::MOST && $fits($most + 1)) {
            $most++;
        }

        return new self($most, $depthMm(1) >= $lay->coversMm() - Check::EPSILON, $depthMm(1) > $vessel->heightMm + Check::EPSILON, $said);
    }

    private static function beside(float $diameterMm): int
    {
        foreach (self::BESIDE as $coils => $wide) {
            if ($diameterMm >= $wide * self::COIL_WIDE_MM - Check::EPSILON) {
                return $coils;
            }
        }

        return 1;
    }
}
