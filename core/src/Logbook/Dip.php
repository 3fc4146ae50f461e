<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A chain was waxed in the pot. */
final readonly class Dip extends Entry
{
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
    ) {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Dip;
    }
}
