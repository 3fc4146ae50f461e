<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Interval\Condition;

/**
 * A ride on a bike: km, hours if known, condition. Its chain is the one that was fitted at its start. Without a bike it
 * is open: nobody said yet which one it was.
 */
final readonly class Ride extends Entry
{
    public function __construct(
        int $id,
        Moment $moment,
        public ?int $bikeId,
        public float $km,
        public ?float $hours,
        public Condition $condition,
        /** Not null: nobody logged it, it was filled in. */
        public ?Guess $guess = null,
    ) {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Ride;
    }

    public function numbered(int $id): self
    {
        return new self($id, $this->moment, $this->bikeId, $this->km, $this->hours, $this->condition, $this->guess);
    }
}
