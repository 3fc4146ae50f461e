<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

/** What a ridden chain goes through before the pot. Common practice. */
enum RinseSchool: string
{
    /** Straight into the pot: after dry use. */
    case Straight = 'straight';
    /** Boiling water from a kettle, then bone dry: after wet, dusty or gritty use. */
    case HotWater = 'hot_water';
    /** A dirty jar and a clean jar of white spirit, then air until no smell is left. */
    case TwoJars = 'two_jars';
}
