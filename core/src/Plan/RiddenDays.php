<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Logbook\Book;

/** What a bike was really ridden day by day: effective km by the factors of each day, hours as timed or at the bike's pace. */
final readonly class RiddenDays
{
    /**
     * @param list<float> $km effective
     * @param list<float> $hours
     */
    private function __construct(public array $km, public array $hours) {}

    public static function of(Book $book, int $bikeId, LocalDay $first, int $days): self
    {
        [$km, $hours] = [array_fill(0, $days, 0.0), array_fill(0, $days, 0.0)];
        $rides = $book->ridesOf($bikeId);
        $pace = $book->terms()->ofBike($bikeId, $first->startS())->hoursPerKm;
        $place = [];
        for ($day = 0; $day < $days; $day++) {
            $place[$first->plus($day)->date] = $day;
        }
        foreach ($rides->between($first->startS(), $first->plus($days)->startS()) as $ride) {
            $day = $place[LocalDay::of($ride->moment->unixS, $book->settings->zone())->date] ?? null;
            if ($day !== null) {
                $km[$day] += $ride->km * $book->settings->factor($ride->condition, $ride->moment->unixS);
                $hours[$day] += $ride->hours ?? $ride->km * $pace;
            }
        }

        return new self(array_values($km), array_values($hours));
    }
}
