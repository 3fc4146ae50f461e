<?php

declare(strict_types=1);

namespace Dripel\Core\Riders;

use Closure;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;

/** Who rides which bike. A rider is a name: of somebody who signs in, or of somebody who only rides. A bike without one is everybody's. */
final readonly class Riders
{
    /**
     * @param array<int, string> $byBike names by bike, as they were first written; bikes without one are left out
     * @param Closure(int, int): ?int $bikeOfChain
     */
    private function __construct(private array $byBike, private Closure $bikeOfChain) {}

    public static function of(Book $book): self
    {
        return self::among($book->bikeIds, $book->settings, $book->bikeOfChain(...));
    }

    /**
     * Of a logbook that nobody has read yet.
     *
     * @param list<int> $bikeIds
     * @param Closure(int, int): ?int $bikeOfChain the bike that a chain is on or hangs with at Unix seconds, asked for when a chain is
     */
    public static function among(array $bikeIds, Settings $settings, Closure $bikeOfChain): self
    {
        $written = $byBike = [];
        foreach ($bikeIds as $bikeId) {
            $name = trim($settings->text(SettingKey::BikeRider, $bikeId));
            $name === '' || ($byBike[$bikeId] = $written[self::key($name)] ??= $name);
        }

        return new self($byBike, $bikeOfChain);
    }

    /** @return list<string> in the order of their bikes */
    public function names(): array
    {
        return array_values(array_unique($this->byBike));
    }

    /** Whether there is anything to tell apart. */
    public function several(): bool
    {
        return count($this->names()) > 1;
    }

    /** Null: everybody's, or no bike. */
    public function ofBike(?int $bikeId): ?string
    {
        return $this->byBike[$bikeId ?? 0] ?? null;
    }

    /** By the bike it is on or hangs with at an instant. */
    public function ofChain(int $chainId, int $atS): ?string
    {
        return $this->ofBike(($this->bikeOfChain)($chainId, $atS));
    }

    /** How a name is written on the bikes; null: nobody of that name rides here. */
    public function named(string $name): ?string
    {
        return array_values(array_filter($this->names(), fn(string $rider) => self::key($rider) === self::key($name)))[0] ?? null;
    }

    /** Capitals and spaces around tell nobody apart. */
    private static function key(string $name): string
    {
        return mb_strtolower(trim($name));
    }
}
