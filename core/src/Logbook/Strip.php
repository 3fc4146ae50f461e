<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A chain was taken to bare metal; the moment is the end of its last bath. */
final readonly class Strip extends Event
{
    public function __construct(int $id, Moment $moment, public int $chainId)
    {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Strip;
    }

    public function component(Fittings $fittings): int
    {
        return $this->chainId;
    }
}
