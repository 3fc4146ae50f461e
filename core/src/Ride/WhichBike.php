<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Plan\LocalDay;

/** Proposes a bike for a ride file: by its name, else by weekday and speed against the bike's last rides. House rules throughout. */
final readonly class WhichBike
{
    /** So many of its newest rides speak for a bike. */
    private const RIDES = 60;

    /** Speeds of one bike differ by so much at least, km/h. */
    private const LEAST_SD_KMH = 2.0;

    /** Less than this many times likelier than the next is no answer. */
    private const MARGIN = 2.0;

    /** @param array<int, string> $names by bike */
    public function __construct(private Book $book, private array $names) {}

    /** @param float|null $hours moving; null: unknown */
    public function of(string $fileName, ?int $startS, float $km, ?float $hours): BikeGuess
    {
        if (count($this->names) <= 1) {
            return new BikeGuess(array_key_first($this->names), $this->names === [] ? GuessBecause::Nothing : GuessBecause::Only);
        }
        $words = ' ' . mb_strtolower((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', $fileName)) . ' ';
        $named = array_keys(
            array_filter(
                $this->names,
                fn(string $name) => str_contains($words, ' ' . mb_strtolower((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', $name)) . ' '),
            ),
        );
        if (count($named) === 1) {
            return new BikeGuess($named[0], GuessBecause::Name);
        }
        $scores = array_map(
            fn(int $bikeId) => $this->score($bikeId, $startS, $km, $hours),
            array_combine(array_keys($this->names), array_keys($this->names)),
        );
        arsort($scores);
        [$best, $next] = array_slice(array_values($scores), 0, 2);

        return $best - $next > log(self::MARGIN)
            ? new BikeGuess((int) array_key_first($scores), GuessBecause::Habit)
            : new BikeGuess(null, GuessBecause::Nothing);
    }

    /** @return list<Ride> its last rides before an instant */
    private function newest(int $bikeId, ?int $beforeS): array
    {
        $all = $this->book->ridesOf($bikeId);
        $rides = [];
        for ($i = ($beforeS === null ? count($all) : $all->countBefore($beforeS)) - 1; $i >= 0 && count($rides) < self::RIDES; $i--) {
            if ($all[$i]->guess === null) {
                $rides[] = $all[$i];
            }
        }

        return $rides;
    }

    /** How likely it is on a bike, in logarithms: how often it goes on such a weekday, and how near its usual speed. */
    private function score(int $bikeId, ?int $startS, float $km, ?float $hours): float
    {
        $zone = $this->book->settings->zone();
        $rides = $this->newest($bikeId, $startS);
        $weekday = $startS === null ? null : LocalDay::of($startS, $zone)->weekday();
        $onDay =
            $weekday === null
                ? count($rides)
                : count(array_filter($rides, fn(Ride $ride) => LocalDay::of($ride->moment->unixS, $zone)->weekday() === $weekday));
        $speeds = array_values(
            array_map(
                fn(Ride $ride) => $ride->km / (float) $ride->hours,
                array_filter($rides, fn(Ride $ride) => (float) $ride->hours > 0.0),
            ),
        );
        $score = log($onDay + 0.5);
        if ($hours === null || $hours <= 0.0 || count($speeds) < 3) {
            return $score;
        }
        $mean = array_sum($speeds) / count($speeds);
        $sd = max(self::LEAST_SD_KMH, sqrt(array_sum(array_map(fn(float $v) => ($v - $mean) ** 2, $speeds)) / (count($speeds) - 1)));

        return $score - 0.5 * (($km / $hours - $mean) / $sd) ** 2 - log($sd);
    }
}
