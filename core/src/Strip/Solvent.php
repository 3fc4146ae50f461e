<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/**
 * What chains are stripped with, by kind. Flash and boiling points in °C: NIOSH Pocket Guide (memory), typical for the
 * kind; the product's own sheet goes before them. Null: they differ so much that only the sheet can tell.
 */
enum Solvent: string
{
    case WhiteSpirit = 'white_spirit';
    case MethylatedSpirit = 'methylated_spirit';
    case IsopropylAlcohol = 'isopropyl_alcohol';
    case Acetone = 'acetone';
    /** Common practice with some, not advised: explosive vapour at any temperature. */
    case Petrol = 'petrol';
    case LampOil = 'lamp_oil';
    /** Water-based. */
    case Degreaser = 'degreaser';
    case SoapyWater = 'soapy_water';
    case Water = 'water';

    public function flashC(): ?float
    {
        return match ($this) {
            self::WhiteSpirit => 39.0,
            self::MethylatedSpirit => 13.0,
            self::IsopropylAlcohol => 12.0,
            self::Acetone => -18.0,
            self::Petrol => -43.0,
            self::LampOil, self::Degreaser, self::SoapyWater, self::Water => null,
        };
    }

    public function boilingC(): ?float
    {
        return match ($this) {
            self::WhiteSpirit => 154.0,
            self::MethylatedSpirit => 78.0,
            self::IsopropylAlcohol => 83.0,
            self::Acetone => 56.0,
            // Petrol begins to boil anywhere between 25 and 40 °C: unknown, so the safer class.
            self::Petrol, self::LampOil, self::Degreaser, self::SoapyWater, self::Water => null,
        };
    }

    /** Its class by the figures of its sheet, else those of its kind; null where neither knows or it does not burn. */
    public function hazard(?float $flashC = null, ?float $boilingC = null): ?SolventHazardResult
    {
        $flash = $flashC ?? $this->flashC();
        // A sheet's flash point with the boiling point of the kind would be a mixture of two liquids.
        $boiling = $boilingC ?? ($flashC === null ? $this->boilingC() : null);

        return $flash === null ? null : (new SolventHazard())(new SolventHazardInput($flash, $boiling));
    }

    /** Whether it can burn, as far as anybody knows without its sheet. */
    public function flammable(): bool
    {
        return !in_array($this, [self::Degreaser, self::SoapyWater, self::Water], true);
    }

    /** What removes the last film. */
    public function isAlcohol(): bool
    {
        return $this === self::MethylatedSpirit || $this === self::IsopropylAlcohol;
    }

    /** Whether it comes from a bottle that costs something and ends as hazardous waste; water does neither. */
    public function isStocked(): bool
    {
        return $this !== self::SoapyWater && $this !== self::Water;
    }

    public function advised(): bool
    {
        return $this !== self::Petrol;
    }

    /** @return list<self> what a jar may hold */
    public static function stocked(): array
    {
        return array_values(array_filter(self::cases(), fn(self $solvent) => $solvent->isStocked()));
    }
}
