<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** Something that happened, as the logbook holds it. */
abstract readonly class Entry
{
    public function __construct(public int $id, public Moment $moment) {}

    abstract public function kind(): EntryKind;

    /** The one order of the logbook: instant, then kind, then what is known to the minute, then as recorded. */
    public static function compare(self $a, self $b): int
    {
        return $a->moment->unixS <=> $b->moment->unixS ?:
            $a->kind()->rank() <=> $b->kind()->rank() ?:
            ($a->moment->precision === Precision::Day) <=> ($b->moment->precision === Precision::Day) ?:
            $a->moment->sequence <=> $b->moment->sequence ?:
            $a->id <=> $b->id;
    }
}
