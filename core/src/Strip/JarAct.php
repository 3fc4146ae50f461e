<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** What is done with a jar, besides washing chains in it. */
enum JarAct: string
{
    /** Emptied before, then filled with fresh solvent. */
    case Fill = 'fill';
    /** Fresh solvent on top of what is in it. */
    case TopUp = 'top_up';
    /** Left to stand, so that the dirt sinks. */
    case Settle = 'settle';
    /** The clear part was poured off and kept. */
    case Decant = 'decant';
    /** Poured through a filter. */
    case Filter = 'filter';
    /** Handed in as hazardous waste. */
    case HandIn = 'hand_in';

    /** Whether it takes a volume: what is in the jar afterwards, or what was added or handed in. */
    public function hasVolume(): bool
    {
        return $this !== self::Settle;
    }
}
