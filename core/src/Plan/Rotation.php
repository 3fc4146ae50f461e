<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** In which order the chains of a bike are ridden. Common practice, three schools. */
enum Rotation: string
{
    /** The least worn goes first, so that all wear alike. */
    case Even = 'even';
    /** One after the other, as they hang. */
    case InTurn = 'in_turn';
    /** One until it is worn out; the others wait. */
    case OneAtATime = 'one_at_a_time';
}
