<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/**
 * A component came onto a bike, in place of the one before: a chain, or in another slot a cassette, chainring or pair of jockey wheels;
 * without one the slot was left bare. Holds until the next fitting there.
 */
final readonly class Fitting extends Entry
{
    public function __construct(int $id, Moment $moment, public int $bikeId, public ?int $componentId, public Slot $slot = Slot::Chain)
    {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Fitting;
    }
}
