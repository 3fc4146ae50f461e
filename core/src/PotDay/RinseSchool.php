<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Logbook\ChainState;

/** What a ridden chain goes through before the pot. Common practice. */
enum RinseSchool: string
{
    /** Straight into the pot: after dry use. */
    case Straight = 'straight';
    /** Boiling water from a kettle, then bone dry: after wet, dusty or gritty use. */
    case HotWater = 'hot_water';
    /** A dirty jar and a clean jar of white spirit, then air until no smell is left. */
    case TwoJars = 'two_jars';

    /** What a chain wants by the worst that it was ridden in since its dip; one without wax goes in as it is. */
    public static function usual(ChainState $chain): self
    {
        return $chain->wax->life !== null && $chain->wax->worstCondition()?->wantsRinse() === true ? self::HotWater : self::Straight;
    }
}
