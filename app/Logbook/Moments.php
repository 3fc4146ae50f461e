<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Exceptions\NotPossible;
use App\Support\AppClock;
use DateTimeImmutable;
use DateTimeZone;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Plan\LocalDay;

/** Turns what people write (a day, perhaps a time) into moments of the logbook. */
final readonly class Moments
{
    /** A phone's clock may be a little ahead of the server's. */
    public const SLACK_S = 300;

    public function __construct(private AppClock $clock) {}

    /** The minute that it is: forms know no seconds, and what is done in the same minute keeps the order in which it is done. */
    public function now(): Moment
    {
        return new Moment($this->clock->unixS() - ($this->clock->unixS() % 60));
    }

    /** @throws NotPossible at $field if it lies ahead */
    public function local(string $date, ?string $time, DateTimeZone $zone, string $field = 'date'): Moment
    {
        if ($time === null) {
            $day = LocalDay::named($date, $zone);
            $this->notAhead($day->startS(), $field);

            return new Moment($day->endS(), Precision::Day);
        }

        return $this->notAhead((new DateTimeImmutable("{$date} {$time}", $zone))->getTimestamp(), $field);
    }

    /** @throws NotPossible at $field if it lies ahead */
    public function notAhead(int $unixS, string $field): Moment
    {
        return $unixS <= $this->clock->unixS() + self::SLACK_S ? new Moment($unixS) : throw new NotPossible($field, 'in_the_future');
    }
}
