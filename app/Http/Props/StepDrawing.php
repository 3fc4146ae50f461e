<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Guided\GuidedKind;

/** Which drawing stands beside a step of a guided job. */
enum StepDrawing: string
{
    case Route = 'route';
    case RouteSingle = 'route_single';
    case InnerEnds = 'inner_ends';
    case PinEnds = 'pin_ends';
    case Direction = 'direction';
    case Teeth = 'teeth';
    case Box = 'box';
    case Sprockets = 'sprockets';
    case Flat = 'flat';

    public static function of(GuidedKind $kind, string $code): ?self
    {
        return match ("{$kind->value} {$code}") {
            'fit route_cages' => self::Route,
            'fit route_single' => self::RouteSingle,
            'fit cut_link' => self::InnerEnds,
            'fit cut_pin' => self::PinEnds,
            'fit direction' => self::Direction,
            'fit look_teeth', 'care teeth' => self::Teeth,
            'care sprockets' => self::Sprockets,
            'drip cover' => self::Box,
            'pot_day practise' => self::Flat,
            default => null,
        };
    }
}
