<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use DateTimeImmutable;
use DateTimeZone;

/** A calendar day of the workshop's time zone, written YYYY-MM-DD. */
final readonly class LocalDay
{
    private function __construct(public string $date, private DateTimeZone $zone) {}

    public static function of(int $unixS, DateTimeZone $zone): self
    {
        return new self((new DateTimeImmutable("@{$unixS}"))->setTimezone($zone)->format('Y-m-d'), $zone);
    }

    /** @param string $date YYYY-MM-DD */
    public static function named(string $date, DateTimeZone $zone): self
    {
        return new self($date, $zone);
    }

    public function plus(int $days): self
    {
        return new self($this->midnight()->modify(sprintf('%+d days', $days))->format('Y-m-d'), $this->zone);
    }

    /** 1 Monday to 7 Sunday. */
    public function weekday(): int
    {
        return (int) $this->midnight()->format('N');
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

    private function midnight(): DateTimeImmutable
    {
        return new DateTimeImmutable("{$this->date} 00:00:00", $this->zone);
    }
}
