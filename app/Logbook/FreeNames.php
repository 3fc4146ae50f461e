<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Exceptions\NotPossible;
use App\Models\Bottle;
use App\Models\Instrument;
use App\Models\Jar;
use App\Models\Pot;
use App\Models\Workshop;
use Dripel\Core\Logbook\SettingKey;

/** Two bikes, jars or pots with one name, or two chains with one letter on a rail, could not be told apart. */
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

    /** Refused with NotPossible at `name`. */
    public function expectJar(Workshop $workshop, string $name, ?int $exceptId = null): void
    {
        $this->expect(
            $workshop,
            SettingKey::JarName,
            Jar::query()
                ->in($workshop)
                ->live()
                ->whereKeyNot($exceptId ?? 0)
                ->pluck('id')
                ->all(),
            $name,
            'jar_name_taken',
        );
    }

    /** Refused with NotPossible at `name`. */
    public function expectPot(Workshop $workshop, string $name, ?int $exceptId = null): void
    {
        $this->expect(
            $workshop,
            SettingKey::PotName,
            Pot::query()
                ->in($workshop)
                ->live()
                ->whereKeyNot($exceptId ?? 0)
                ->pluck('id')
                ->all(),
            $name,
            'pot_name_taken',
        );
    }

    /** Refused with NotPossible at `name`. */
    public function expectInstrument(Workshop $workshop, string $name, ?int $exceptId): void
    {
        $this->expect(
            $workshop,
            SettingKey::InstrumentName,
            Instrument::query()
                ->in($workshop)
                ->live()
                ->whereKeyNot($exceptId ?? 0)
                ->pluck('id')
                ->all(),
            $name,
            'instrument_name_taken',
        );
    }

    /** Refused with NotPossible at `name`. */
    public function expectBottle(Workshop $workshop, string $name, ?int $exceptId): void
    {
        $this->expect(
            $workshop,
            SettingKey::BottleName,
            Bottle::query()
                ->in($workshop)
                ->live()
                ->whereKeyNot($exceptId ?? 0)
                ->pluck('id')
                ->all(),
            $name,
            'bottle_name_taken',
        );
    }

    /** Refused with NotPossible at `label`. Letters of retired chains are free again. */
    public function expectChain(Workshop $workshop, int $bikeId, string $label, ?int $exceptId = null): void
    {
        $book = $this->readBook->withoutRides($workshop);
        foreach ($book->chainIds as $id) {
            if (
                $id !== $exceptId &&
                $book->settings->home($id, PHP_INT_MAX) === $bikeId &&
                $book->settings->text(SettingKey::ChainLabel, $id) === $label &&
                !$book->isRetired($id)
            ) {
                throw new NotPossible('label', 'label_taken', ['label' => $label]);
            }
        }
    }

    /** @param array<int> $ids of the live ones */
    private function expect(Workshop $workshop, SettingKey $key, array $ids, string $name, string $taken): void
    {
        $settings = $this->readBook->settings($workshop);
        foreach ($ids as $id) {
            mb_strtolower($settings->text($key, $id)) === mb_strtolower($name) && throw new NotPossible('name', $taken, ['name' => $name]);
        }
    }
}
