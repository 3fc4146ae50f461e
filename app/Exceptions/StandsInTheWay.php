<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Action;
use RuntimeException;

/** While taking back: an action that has to go first. */
final class StandsInTheWay extends RuntimeException
{
    public function __construct(public readonly Action $action)
    {
        parent::__construct("Action {$action->id} builds on it.");
    }
}
