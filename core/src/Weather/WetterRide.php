<?php

declare(strict_types=1);

namespace Dripel\Core\Weather;

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Pace;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\Ride;

/**
 * A ride that was written down drier than the rain has it: dry is what nobody chose. One that was written down wetter is believed, so is
 * what the road itself did, dust and mud.
 */
final readonly class WetterRide
{
    /** House rule: how far back it is asked for. */
    public const DAYS = 14;

    private function __construct(public Ride $ride, public RoadGuess $guess) {}

    /** @return list<self> the newest first */
    public static function of(Book $book, Rain $rain, int $nowS): array
    {
        $wetter = [];
        foreach ($book->rides()->between($nowS - 86400 * self::DAYS, $nowS) as $ride) {
            if ($ride->guess !== null || $ride->moment->precision === Precision::Day) {
                continue;
            }
            $guess = RoadGuess::of($rain, $ride->moment->unixS, self::hours($book, $ride));
            if ($guess !== null && self::isWetter($guess->condition, $ride->condition)) {
                $wetter[] = new self($ride, $guess);
            }
        }

        return array_reverse($wetter);
    }

    private static function hours(Book $book, Ride $ride): float
    {
        return $ride->hours ?? $ride->km * Pace::counted($ride->bikeId === null ? null : $book->hoursPerKm($ride->bikeId), true);
    }

    private static function isWetter(Condition $guess, Condition $written): bool
    {
        return match ($written) {
            Condition::Dry, Condition::Dusty => $guess !== Condition::Dry,
            Condition::Damp => $guess === Condition::Wet,
            Condition::Indoor, Condition::Wet, Condition::Muddy => false,
        };
    }
}
