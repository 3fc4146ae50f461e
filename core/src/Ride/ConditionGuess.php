<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Dripel\Core\Interval\Condition;

/** What a ride was probably like, and what says so: so many of so many rides, of the last days or of the season. */
final readonly class ConditionGuess
{
    public function __construct(public Condition $condition, public int $count, public int $of, public bool $late) {}
}
