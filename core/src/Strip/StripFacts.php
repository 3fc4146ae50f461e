<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Logbook\Drivetrain;

/** For whom a strip is laid out: what the bike is like, and whether the chain still sits on it. */
final readonly class StripFacts
{
    public function __construct(public Drivetrain $bike = new Drivetrain(), public bool $onBike = false) {}
}
