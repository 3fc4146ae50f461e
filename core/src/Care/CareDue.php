<?php

declare(strict_types=1);

namespace Dripel\Core\Care;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Opening;

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
        return $book->kept("care {$bikeId}", fn() => self::derive($book, $bikeId, $nowS), $nowS);
    }

    private static function derive(Book $book, int $bikeId, int $nowS): self
    {
        $brushed = $book->brushed($bikeId, $nowS)?->last;
        $past = $book->ridesOf($bikeId)->through($nowS);
        $sinceKm = ($brushed === null ? $past : $past->after($brushed))->effectiveKm($book->settings);

        return new self($sinceKm, $sinceKm >= self::EVERY_KM, $brushed === null && !self::waxedBefore($book, $bikeId, $nowS));
    }

    /** Whether a chain that was waxed then was ever on it. */
    private static function waxedBefore(Book $book, int $bikeId, int $nowS): bool
    {
        foreach ($book->fittings()->componentsOf($bikeId) as $chainId) {
            foreach ($book->history($chainId)->until($nowS)->events as $event) {
                if ($event instanceof Dip || ($event instanceof Opening && $event->waxed())) {
                    return true;
                }
            }
        }

        return false;
    }
}
