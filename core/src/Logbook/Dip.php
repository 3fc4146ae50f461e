<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Interval\Condition;

/** A chain was waxed in the pot. */
final readonly class Dip extends Event
{
    private const PARTLY = 0.5;

    public function __construct(
        int $id,
        Moment $moment,
        public int $chainId,
        /** °C of the bath; null: nobody measured. */
        public ?float $bathC = null,
        /** How long it was under; null: nobody counted. */
        public ?int $soakS = null,
        /** Dusted with a friction powder. */
        public bool $powder = false,
        public ?int $potId = null,
        /** g of wax that it took along, weighed before and after; null: nobody weighed. */
        public ?float $pickupG = null,
        /** Whether it was rinsed before it went in. */
        public bool $rinsed = false,
        /** Its soak was cut short and it took only part of a coat. */
        public bool $partly = false,
        /** Its quick link went in with it, tied on. */
        public bool $linkIn = false,
    ) {
        parent::__construct($id, $moment);
    }

    /** A chain that was waxed only partly starts with half of its interval used: house rule. */
    public function rideBefore(float $intervalKm): ?Ride
    {
        return $this->partly ? new Ride(0, $this->moment, null, self::PARTLY * $intervalKm, null, Condition::Dry) : null;
    }

    public function kind(): EntryKind
    {
        return EntryKind::Dip;
    }

    public function component(Fittings $fittings): int
    {
        return $this->chainId;
    }
}
