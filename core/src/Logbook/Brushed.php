<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** When the drivetrain of a bike was brushed last, and what it was ridden since; km as ridden. */
final readonly class Brushed
{
    public function __construct(public Brushing $last, public float $km) {}
}
