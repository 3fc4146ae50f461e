<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A chain was taken out of use. */
final readonly class Retirement extends Entry
{
    public function __construct(int $id, Moment $moment, public int $chainId)
    {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Retirement;
    }
}
