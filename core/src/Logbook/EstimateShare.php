<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** How an estimate is spread: the km that were logged already, the free local days, and the km that each of them gets. */
final readonly class EstimateShare
{
    /** @param list<string> $dates YYYY-MM-DD */
    public function __construct(public float $knownKm, public array $dates, public float $kmEach) {}
}
