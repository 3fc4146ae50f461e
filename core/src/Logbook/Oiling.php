<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** Oil got on a chain: from then on no wax holds on it, until it is stripped. Common practice. */
final readonly class Oiling extends Event
{
    public function __construct(int $id, Moment $moment, public int $chainId)
    {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Oiling;
    }

    public function component(Fittings $fittings): int
    {
        return $this->chainId;
    }
}
