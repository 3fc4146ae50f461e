<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;

/**
 * An oil-ridden chain against a new one: how many baths of the protocol's first solvent bring it down to what a new chain
 * is left with (strip.rinse), what the solvent costs, and what a new chain costs. ml and minor units.
 */
final readonly class StripOrBuy
{
    private function __construct(
        public int $baths,
        public int $bathsOfNew,
        public float $freshMl,
        public SolventCost $strip,
        /** What a new chain costs; null if no price is known. */
        public ?float $newMinor,
    ) {}

    /** @param float $startG what is on the ridden chain */
    public static function of(Protocol $protocol, float $startG, PriceList $prices, int $atS): self
    {
        $washes = $protocol->washesFor($startG);
        $fresh = $protocol->forLoad(Load::Oiled, $startG)->freshMl();

        return new self(
            $washes,
            $protocol->ofFirst(),
            array_sum($fresh),
            SolventCost::of($fresh, $prices, $atS),
            $prices->costMinor(Supply::Chain, 1.0, $atS),
        );
    }

    /** Whether the solvent alone costs at least as much as a new chain; null where a price is missing. */
    public function dearer(): ?bool
    {
        return $this->newMinor === null || !$this->strip->known() ? null : $this->strip->minor >= $this->newMinor;
    }
}
