<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** The drivetrain of a bike was brushed clean: sprockets, chainrings, jockey wheels, cage. */
final readonly class Brushing extends Event
{
    public function __construct(int $id, Moment $moment, public int $bikeId)
    {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Brushing;
    }

    public function component(Fittings $fittings): null
    {
        return null;
    }
}
