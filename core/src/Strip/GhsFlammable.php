<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** Categories of flammable liquids with their signal words and hazard statements. Source: UN GHS, chapter 2.6 (memory). */
enum GhsFlammable: int
{
    case Category1 = 1;
    case Category2 = 2;
    case Category3 = 3;
    case Category4 = 4;

    public function signal(): string
    {
        return match ($this) {
            self::Category1, self::Category2 => 'Danger',
            self::Category3, self::Category4 => 'Warning',
        };
    }

    public function statement(): string
    {
        return match ($this) {
            self::Category1 => 'Extremely flammable liquid and vapour',
            self::Category2 => 'Highly flammable liquid and vapour',
            self::Category3 => 'Flammable liquid and vapour',
            self::Category4 => 'Combustible liquid',
        };
    }
}
