<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

/** Schools of when a chain is worn out. Common practice, no publication behind any of them. */
enum LimitSchool: string
{
    /** The default: sprockets cost more than chains. */
    case Strict = 'strict';
    /** The more sprockets, the earlier. */
    case BySpeeds = 'by_speeds';
    /** One mark of the drop-in gauge for every bike. */
    case OneMark = 'one_mark';
    /** For people who read a digital gauge. */
    case Digital = 'digital';

    /** Elongation in percent at which the chain is retired. */
    public function limitPct(int $speeds): float
    {
        return match ($this) {
            self::Strict => 0.5,
            self::BySpeeds => match (true) {
                $speeds >= 11 => 0.5,
                $speeds >= 2 => 0.75,
                default => 1.0,
            },
            self::OneMark => 0.75,
            self::Digital => 0.8,
        };
    }
}
