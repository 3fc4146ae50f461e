<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use DateTimeZone;

/** The days of a plan from today on, and for each when its pot is heated: that morning, or the evening before. */
final readonly class PlanDays
{
    /** @var list<bool> on which days the pot may be heated */
    public array $allowed;

    /** @var list<int> those on which it is heated whatever it costs */
    public array $pinned;

    /** @var list<int> those of accepted pot days */
    public array $accepted;

    /** @var array<string, int> when the first accepted pot day of a local day begins */
    private array $bookedS;

    public LocalDay $today;

    /** The first day whose pot can still be heated. */
    public int $first;

    /** @param list<BookedPot> $booked pot days that are accepted: allowed, whatever the weekday */
    public function __construct(private PlanTerms $terms, array $booked, private int $nowS, private DateTimeZone $zone)
    {
        $this->today = LocalDay::of($nowS, $zone);
        $over = $nowS >= $this->today->atHour($terms->evening ? PlanHours::POT_LAST : PlanHours::MORNING_LAST);
        $this->first = ($terms->evening ? 1 : 0) + ($over ? 1 : 0);
        $bookedS = [];
        foreach ($booked as $pot) {
            if (!$pot->begun && $pot->startS >= $this->today->startS()) {
                $date = $this->dateOf($pot->startS);
                $bookedS[$date] = min($bookedS[$date] ?? PHP_INT_MAX, $pot->startS);
            }
        }
        $this->bookedS = $bookedS;
        $allowed = $pinned = $accepted = [];
        for ($day = 0; $day < $terms->days; $day++) {
            $date = $this->potOn($day);
            $lies = $day >= $this->first;
            $accept = $lies && isset($bookedS[$date]);
            $pin = $accept || ($lies && in_array($date, $terms->pinned, true));
            $usual =
                $lies &&
                !in_array($date, $terms->forbidden, true) &&
                in_array(LocalDay::named($date, $zone)->weekday(), $terms->weekdays, true);
            $allowed[] = $pin || $usual;
            $pin && ($pinned[] = $day);
            $accept && ($accepted[] = $day);
        }
        [$this->allowed, $this->pinned, $this->accepted] = [$allowed, $pinned, $accepted];
    }

    public function date(int $day): string
    {
        return $this->today->plus($day)->date;
    }

    /** The local day on which the pot of a day is heated. */
    public function potOn(int $day): string
    {
        return $this->today->plus($this->terms->evening ? $day - 1 : $day)->date;
    }

    /** When it begins: as it was accepted, else at the usual hour. */
    public function potS(int $day): int
    {
        $date = $this->potOn($day);

        return max($this->nowS, $this->bookedS[$date] ?? LocalDay::named($date, $this->zone)->atHour(PlanHours::pot($this->terms)));
    }

    public function dateOf(int $unixS): string
    {
        return LocalDay::of($unixS, $this->zone)->date;
    }

    /** Null beyond its end, or before today. */
    public function ofDate(string $date): ?int
    {
        for ($day = 0; $day < $this->terms->days; $day++) {
            if ($this->date($day) === $date) {
                return $day;
            }
        }

        return null;
    }

    /** The day that a pot on a local day serves; null beyond its end, or before today. */
    public function ofPot(string $date): ?int
    {
        $day = $this->ofDate($date);

        return $day === null || !$this->terms->evening ? $day : ($day + 1 < $this->terms->days ? $day + 1 : null);
    }

    /** @return list<string> local days of a day's week, Monday to Sunday, on which the pot may be heated */
    public function weekOf(string $date): array
    {
        $day = LocalDay::named($date, $this->zone);
        [$monday, $sunday] = [$day->plus(1 - $day->weekday())->date, $day->plus(7 - $day->weekday())->date];
        $dates = array_map($this->potOn(...), array_keys(array_filter($this->allowed)));

        return array_values(array_filter($dates, fn(string $one) => $one >= $monday && $one <= $sunday));
    }

    /** The last day whose pot is hot by an instant; −1: none is. */
    public function lastBefore(int $unixS): int
    {
        for ($day = $this->terms->days - 1; $day >= $this->first; $day--) {
            if ($this->potS($day) <= $unixS) {
                return $day;
            }
        }

        return -1;
    }
}
