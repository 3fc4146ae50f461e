<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

/** What a length over so many pitches more likely is than a worn chain. */
enum RulerSlip: string
{
    /** Inches, typed where millimetres are asked for. */
    case Inches = 'inches';
    /** Other pitches were counted than were said. */
    case Miscounted = 'miscounted';
    /** Shorter than a new chain: not pulled straight, or misread. */
    case Short = 'short';
}
