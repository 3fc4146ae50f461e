<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\ChainHistory;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Logbook\TopUp;

/** What a chain on drip wax has had since it was last cleaned with solvent. */
final readonly class DeepClean
{
    private function __construct(public int $applications, public bool $mud, public bool $due) {}

    public static function of(ChainHistory $history, DripCleanSchool $school): self
    {
        $strip = $history->last(Strip::class);
        $since = fn(Entry $entry): bool => $strip === null || Entry::compare($entry, $strip) > 0;
        $applications = count(array_filter($history->events, fn(Entry $event) => $event instanceof TopUp && $since($event)));
        $rides = $strip === null ? $history->rides : $history->ridesAfter($strip);
        $mud = array_filter($rides->all(), fn(Ride $ride) => $ride->condition === Condition::Muddy) !== [];

        return new self(
            $applications,
            $mud,
            $school === DripCleanSchool::Solvent && $applications > 0 && ($mud || $applications >= DripCleanSchool::APPLICATIONS),
        );
    }
}
