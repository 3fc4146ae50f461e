<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A rider heard the chain of a bike run dry. */
final readonly class Noise extends Event
{
    public function __construct(int $id, Moment $moment, public int $bikeId)
    {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Noise;
    }

    public function component(Fittings $fittings): ?int
    {
        return $fittings->componentOn($this->bikeId, $this->moment->unixS);
    }
}
