<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** An entry that is no ride and no fitting: something done to a chain, a part or a bike, or heard of it. */
abstract readonly class Event extends Entry
{
    /** The chain or part whose history it belongs to; null: none was there, or it is of the bike alone. */
    abstract public function component(Fittings $fittings): ?int;
}
