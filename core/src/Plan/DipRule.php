<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** Which chains a pot day dips: every one that was used, or those that the plan chooses of them. */
enum DipRule: string
{
    case Used = 'used';
    case Chosen = 'chosen';
}
