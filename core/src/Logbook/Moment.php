<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** When something happened: Unix seconds (UTC), how well that is known, and its place among things of one instant. */
final readonly class Moment
{
    public function __construct(public int $unixS, public Precision $precision = Precision::Minute, public int $sequence = 0) {}
}
