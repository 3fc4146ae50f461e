<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Input\Fields;
use Dripel\Core\Model;

/**
 * How dangerous a solvent's vapour is: its class as a flammable liquid, from flash point and boiling point in °C. Where
 * the boiling point is unknown the safer class is taken. The product's own sheet says more and goes before this.
 * Source: the UN's Globally Harmonized System (GHS), chapter 2.6, table 2.6.1, and its hazard statements (memory).
 */
final readonly class SolventHazard implements Model
{
    private const HIGH_FLASH_C = 23.0;

    private const FLAMMABLE_UP_TO_C = 60.0;

    private const COMBUSTIBLE_UP_TO_C = 93.0;

    private const LOW_BOILING_C = 35.0;

    public function __invoke(SolventHazardInput $in): SolventHazardResult
    {
        return new SolventHazardResult(
            match (true) {
                $in->flashC < self::HIGH_FLASH_C => $in->boilingC === null || $in->boilingC <= self::LOW_BOILING_C
                    ? GhsFlammable::Category1
                    : GhsFlammable::Category2,
                $in->flashC <= self::FLAMMABLE_UP_TO_C => GhsFlammable::Category3,
                $in->flashC <= self::COMBUSTIBLE_UP_TO_C => GhsFlammable::Category4,
                default => null,
            },
        );
    }

    public function compute(Fields $input): array
    {
        return $this(SolventHazardInput::from($input))->toArray();
    }
}
