<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Bath\Vessel;

/** How a chain lies in the wax. Common practice: coiled on its wire, or zig-zag on a board in a flat pan, where a small block covers it. */
enum PotLay: string
{
    case Coiled = 'coiled';
    case Flat = 'flat';

    /** Wax over a chain that lies on its side: house rule. */
    private const FLAT_MM = 12.0;

    /** A chain laid zig-zag takes so much of the bottom, with room between its rows: house rule, 1.4 m in rows of 18 mm. */
    private const FLAT_MM2 = 25_200.0;

    /** How deep the wax has to be to cover one. */
    public function coversMm(): float
    {
        return $this === self::Flat ? self::FLAT_MM : BathLedgerInput::COIL_MM;
    }

    /** How many lie flat beside one another; one at least, for who has a pan that fits. */
    public static function flatBeside(Vessel $vessel): int
    {
        return max(1, (int) floor(((M_PI / 4) * $vessel->diameterMm ** 2) / self::FLAT_MM2));
    }
}
