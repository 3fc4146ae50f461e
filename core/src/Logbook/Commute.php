<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Interval\Condition;

/** The same ride on the same days of every week, from a local day until another (null: it goes on), YYYY-MM-DD. */
final readonly class Commute
{
    /** @param non-empty-list<int> $weekdays 1 Monday to 7 Sunday */
    public function __construct(
        public int $id,
        public Moment $moment,
        public int $bikeId,
        public array $weekdays,
        /** Local time at which it begins, HH:MM. */
        public string $time,
        public float $km,
        public ?float $hours,
        public Condition $condition,
        public string $fromDate,
        public ?string $untilDate,
    ) {}
}
