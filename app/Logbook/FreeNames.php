<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Exceptions\NotPossible;
use App\Models\Workshop;
use Dripel\Core\Logbook\Retirement;
use Dripel\Core\Logbook\SettingKey;

/** Two bikes with one name, or two chains with one letter on a rail, could not be told apart. */
final readonly class FreeNames
{
    public function __construct(private ReadBook $readBook) {}

    /** Refused with NotPossible at `name`. */
    public function expectBike(Workshop $workshop, string $name, ?int $exceptId = null): void
    {
        $book = $this->readBook->withoutRides($workshop);
        foreach ($book->bikeIds as $id) {
            if ($id !== $exceptId && mb_strtolower($book->settings->text(SettingKey::BikeName, $id)) === mb_strtolower($name)) {
                throw new NotPossible('name', 'name_taken', ['name' => $name]);
            }
        }
    }

    /** Refused with NotPossible at `label`. Letters of retired chains are free again. */
    public function expectChain(Workshop $workshop, int $bikeId, string $label, ?int $exceptId = null): void
    {
        $book = $this->readBook->withoutRides($workshop);
        foreach ($book->chainIds as $id) {
            if ($id !== $exceptId && $book->settings->home($id, PHP_INT_MAX) === $bikeId
                && $book->settings->text(SettingKey::ChainLabel, $id) === $label && $book->history($id)->last(Retirement::class) === null) {
                throw new NotPossible('label', 'label_taken', ['label' => $label]);
            }
        }
    }
}
