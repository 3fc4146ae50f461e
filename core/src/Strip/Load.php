<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** What a chain brings into its first bath. The grams are house rules, to be changed where somebody knows better. */
enum Load: string
{
    /** The storage grease of a new chain. */
    case Greased = 'greased';
    /** Old oil and grit of a chain that was ridden: far harder to strip. */
    case Oiled = 'oiled';
    /** Wax of the factory: nothing to strip. */
    case FactoryWaxed = 'factory_waxed';

    public function grams(): float
    {
        return match ($this) {
            self::Greased => StripRinseInput::START_G,
            self::Oiled => 16.0,
            self::FactoryWaxed => 0.0,
        };
    }
}
