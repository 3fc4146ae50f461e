<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** A top-up, with the local day of the ride that it is for. */
final readonly class DripOfPlan
{
    public function __construct(public string $rideOn) {}
}
