<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** Drip wax was put on a chain; `km` is what it is good for, `ml` what it took, from which bottle (null: nobody said). */
final readonly class TopUp extends Event
{
    public function __construct(
        int $id,
        Moment $moment,
        public int $chainId,
        public float $km,
        public ?float $ml = null,
        public ?int $bottleId = null,
    ) {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::TopUp;
    }

    public function component(Fittings $fittings): int
    {
        return $this->chainId;
    }
}
