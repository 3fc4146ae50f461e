<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A chain was waxed in the pot. */
final readonly class Dip extends Entry
{
    public function __construct(int $id, Moment $moment, public int $chainId)
    {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Dip;
    }
}
