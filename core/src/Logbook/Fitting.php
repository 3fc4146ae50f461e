<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/**
 * A chain came onto a bike, in place of the one before; without a chain the bike was left bare. Holds until the next
 * fitting there. In another slot it is a cassette or a chainring, under the same rules.
 */
final readonly class Fitting extends Entry
{
    public function __construct(int $id, Moment $moment, public int $bikeId, public ?int $chainId, public Slot $slot = Slot::Chain)
    {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Fitting;
    }
}
