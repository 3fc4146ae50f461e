<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** Drip wax was put on a chain; `km` is what it is good for. */
final readonly class TopUp extends Entry
{
    public function __construct(int $id, Moment $moment, public int $chainId, public float $km)
    {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::TopUp;
    }
}
