<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

/** Which bike a ride was probably on, and what says so; without a bike nothing does. */
final readonly class BikeGuess
{
    public function __construct(public ?int $bikeId, public GuessBecause $because) {}
}
