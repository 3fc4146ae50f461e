<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A chain was taken out of use. */
final readonly class Retirement extends Event
{
    public function __construct(int $id, Moment $moment, public int $chainId)
    {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Retirement;
    }

    public function component(Fittings $fittings): int
    {
        return $this->chainId;
    }
}
