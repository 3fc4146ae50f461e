<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A chain was seen to with a cloth. It takes no wax away and puts none on. */
final readonly class WipeDown extends Event
{
    public function __construct(int $id, Moment $moment, public int $chainId, public WipeDownKind $care)
    {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::WipeDown;
    }

    public function component(Fittings $fittings): int
    {
        return $this->chainId;
    }
}
