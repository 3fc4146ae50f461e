<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;

/** What fresh solvent costs: money in minor units, unrounded, and the solvents that no price is known of. */
final readonly class SolventCost
{
    /** @param list<Solvent> $unpriced */
    private function __construct(public float $minor, public array $unpriced) {}

    /** @param array<string, float> $freshMl by solvent */
    public static function of(array $freshMl, PriceList $prices, int $atS): self
    {
        [$minor, $unpriced] = [0.0, []];
        foreach ($freshMl as $name => $ml) {
            $supply = Supply::ofSolvent(Solvent::from($name));
            $cost = $supply === null ? 0.0 : $prices->costMinor($supply, $ml, $atS);
            $cost === null ? ($unpriced[] = Solvent::from($name)) : ($minor += $cost);
        }

        return new self($minor, $unpriced);
    }

    public function known(): bool
    {
        return $this->unpriced === [];
    }
}
