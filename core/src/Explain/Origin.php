<?php

declare(strict_types=1);

namespace Dripel\Core\Explain;

/** Where a number in an explanation comes from. */
enum Origin: string
{
    case Logbook = 'logbook';
    case Setting = 'setting';
    case HouseRule = 'house_rule';
    case CommonPractice = 'common_practice';
    case Computed = 'computed';
}
