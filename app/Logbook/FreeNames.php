<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Exceptions\NotPossible;
use App\Models\Bike;
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

    /**
     * Refused with NotPossible at `name` where another one that is in use is called so, in small letters or large.
     *
     * @param class-string<Bike|Jar|Pot|Instrument|Bottle> $kind
     */
    public function expect(Workshop $workshop, string $kind, string $name, ?int $exceptId = null): void
    {
        [$key, $taken] = match ($kind) {
            Bike::class => [SettingKey::BikeName, 'name_taken'],
            Jar::class => [SettingKey::JarName, 'jar_name_taken'],
            Pot::class => [SettingKey::PotName, 'pot_name_taken'],
            Instrument::class => [SettingKey::InstrumentName, 'instrument_name_taken'],
            Bottle::class => [SettingKey::BottleName, 'bottle_name_taken'],
        };
        $settings = $this->readBook->settings($workshop);
        $ids = $kind
            ::query()
            ->in($workshop)
            ->live()
            ->whereKeyNot($exceptId ?? 0)
            ->pluck('id');
        foreach ($ids as $id) {
            mb_strtolower($settings->text($key, $id)) === mb_strtolower($name) && throw new NotPossible('name', $taken, ['name' => $name]);
        }
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
}
