<?php

declare(strict_types=1);

namespace App\Guided;

enum GuidedKind: string
{
    case Strip = 'strip';
    case PotDay = 'pot_day';
    case Drip = 'drip';
    case Fit = 'fit';
    case Care = 'care';
}
