<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

use Dripel\Core\Logbook\Moment;

/** What was done with the wax in a pot, as it was written down; dips stand with their chains. */
final readonly class PotEntry
{
    public function __construct(public int $id, public Moment $moment, public int $potId, public BathEvent $event) {}
}
