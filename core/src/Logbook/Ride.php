<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Interval\Condition;

/** A ride on a bike: km, hours if known, condition. Its chain is the one that was fitted at its start. */
final readonly class Ride extends Entry
{
    public function __construct(int $id, Moment $moment, public int $bikeId, public float $km, public ?float $hours, public Condition $condition)
    {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Ride;
    }
}
