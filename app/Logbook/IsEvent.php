<?php

declare(strict_types=1);

namespace App\Logbook;

use Dripel\Core\Logbook\Event;
use Dripel\Core\Logbook\Moment;

/** A table of the logbook whose rows are events: how each is read, without a model for every row. */
interface IsEvent
{
    /** @return list<string> its own columns, in the order in which `event` takes them */
    public static function columns(): array;

    /** @param list<mixed> $row these columns, as the database gives them */
    public static function event(int $id, Moment $moment, array $row): Event;
}
