<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use DateTimeImmutable;
use DateTimeZone;

/** A calendar day of the workshop's time zone, written YYYY-MM-DD. */
final readonly class LocalDay
{
    private const DAY_S = 86_400;

    /** @param int $utcS the start of a day of that date in UTC: counting days is counting with it */
    private function __construct(public string $date, private DateTimeZone $zone, private int $utcS) {}

    public static function of(int $unixS, DateTimeZone $zone): self
    {
        return self::named((new DateTimeImmutable("@{$unixS}"))->setTimezone($zone)->format('Y-m-d'), $zone);
    }

    /** @param string $date YYYY-MM-DD */
    public static function named(string $date, DateTimeZone $zone): self
    {
        return new self($date, $zone, self::utcS($date));
    }

    public function plus(int $days): self
    {
        $utcS = $this->utcS + self::DAY_S * $days;

        return new self(gmdate('Y-m-d', $utcS), $this->zone, $utcS);
    }

    /** Days from this one to another, YYYY-MM-DD; less than 0: it was before. */
    public function daysUntil(string $date): int
    {
        return intdiv(self::utcS($date) - $this->utcS, self::DAY_S);
    }

    /** 1 Monday to 7 Sunday. */
    public function weekday(): int
    {
        return (int) gmdate('N', $this->utcS);
    }

    /** 1 to 12. */
    public function month(): int
    {
        return (int) substr($this->date, 5, 2);
    }

    public function startS(): int
    {
        return $this->midnight()->getTimestamp();
    }

    /** The clock on the wall, which may have been changed that day. */
    public function atHour(int $hour): int
    {
        return $this->midnight()->setTime($hour, 0)->getTimestamp();
    }

    /** The last second of the day, which has 23 or 25 hours when the clocks change. */
    public function endS(): int
    {
        return $this->plus(1)->startS() - 1;
    }

    /** A calendar goes on by whole days of 24 hours only in a zone without summer time. */
    private static function utcS(string $date): int
    {
        [$year, $month, $day] = explode('-', $date);

        return (int) gmmktime(0, 0, 0, (int) $month, (int) $day, (int) $year);
    }

    private function midnight(): DateTimeImmutable
    {
        return new DateTimeImmutable("{$this->date} 00:00:00", $this->zone);
    }
}
