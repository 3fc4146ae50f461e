<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A local day (YYYY-MM-DD) on which a bike was not ridden, whatever was estimated for it. */
final readonly class RestDay
{
    public function __construct(public int $id, public Moment $moment, public int $bikeId, public string $date) {}
}
