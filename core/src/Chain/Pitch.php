<?php

declare(strict_types=1);

namespace Dripel\Core\Chain;

/** The pitch of a bicycle chain: half an inch. Source: ISO 9633 and ISO 606, 08 series (memory). */
final class Pitch
{
    public const MM = 12.7;

    /** The pitch circle of a ring or sprocket: its teeth are the corners, one pitch apart (plane geometry). */
    public static function radiusMm(int $teeth): float
    {
        return self::MM / (2 * sin(M_PI / $teeth));
    }
}
