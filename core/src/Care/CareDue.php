<?php

declare(strict_types=1);

namespace Dripel\Core\Care;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Ride;

/**
 * Whether a drivetrain wants to be cleaned: by what it was ridden since, in which weather, and before its first waxed chain. km
 * effective.
 */
final readonly class CareDue
{
    /** House rule: so many effective km, so that a muddy one counts for three and a half. */
    public const EVERY_KM = 500.0;

    private function __construct(
        /** Effective km since it was cleaned, or since the first ride in the book. */
        public float $sinceKm,
        public bool $due,
        /** No waxed chain was on it yet since it was ridden, and nobody cleaned it for one. */
        public bool $beforeFirstWax,
    ) {}

    public static function of(Book $book, int $bikeId, int $nowS): self
    {
        $brushed = $book->brushed($bikeId, $nowS)?->last;
        $rides = array_filter(
            $book->ridesOf($bikeId),
            fn(Ride $ride) => $ride->moment->unixS <= $nowS && ($brushed === null || Entry::compare($ride, $brushed) > 0),
        );
        $sinceKm = array_sum(
            array_map(fn(Ride $ride) => $ride->km * $book->settings->factor($ride->condition, $ride->moment->unixS), $rides),
        );

        return new self($sinceKm, $sinceKm >= self::EVERY_KM, $brushed === null && !self::waxedBefore($book, $bikeId, $nowS));
    }

    /** Whether a chain that was waxed then was ever on it. */
    private static function waxedBefore(Book $book, int $bikeId, int $nowS): bool
    {
        foreach ($book->fittings->componentsOf($bikeId) as $chainId) {
            foreach ($book->history($chainId)->until($nowS)->events as $event) {
                if ($event instanceof Dip || ($event instanceof Opening && $event->waxed())) {
                    return true;
                }
            }
        }

        return false;
    }
}
