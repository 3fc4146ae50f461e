<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

/** What wax is melted in. Never an open flame or a bare stove ring: the wax can overheat and catch fire. Common practice. */
enum PotKind: string
{
    /** The default: low and high, and a lid. */
    case SlowCooker = 'slow_cooker';
    /** Some say yes, some say never: it runs hotter. */
    case RiceCooker = 'rice_cooker';
    /** Only for people who stay beside it, with a thermometer in it. */
    case Pan = 'pan';
}
