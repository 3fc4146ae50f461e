<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

use Dripel\Core\Strip\Solvent;

/** What is bought again and again, by kind. */
enum Supply: string
{
    case Chain = 'chain';
    case Cassette = 'cassette';
    case Ring = 'ring';
    case JockeyWheels = 'jockey_wheels';
    case QuickLink = 'quick_link';
    case Wax = 'wax';
    case DripWax = 'drip_wax';
    case WhiteSpirit = 'white_spirit';
    case MethylatedSpirit = 'methylated_spirit';
    case IsopropylAlcohol = 'isopropyl_alcohol';
    case Acetone = 'acetone';
    case Petrol = 'petrol';
    case LampOil = 'lamp_oil';
    case Degreaser = 'degreaser';

    /** In what its quantity is counted. */
    public function unit(): SupplyUnit
    {
        return match ($this) {
            self::Chain, self::Cassette, self::Ring, self::JockeyWheels, self::QuickLink => SupplyUnit::Piece,
            self::Wax => SupplyUnit::Gram,
            default => SupplyUnit::Millilitre,
        };
    }

    /** Null for what costs nothing: water. */
    public static function ofSolvent(Solvent $solvent): ?self
    {
        return self::tryFrom($solvent->value);
    }
}
