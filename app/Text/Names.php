<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;

/** What bikes and chains are called. */
final readonly class Names
{
    public function __construct(private Settings $settings) {}

    public function bike(?int $bikeId): string
    {
        return $bikeId === null ? '' : $this->settings->text(SettingKey::BikeName, $bikeId);
    }

    /** Its letter on the hook tag. */
    public function chain(int $chainId): string
    {
        return $this->settings->text(SettingKey::ChainLabel, $chainId);
    }

    /** "A" of the bike that is spoken of, "Heron A" where it is on another. */
    public function chainOn(?int $bikeId, int $chainId): string
    {
        return $this->settings->home($chainId, PHP_INT_MAX) === $bikeId ? $this->chain($chainId) : $this->fullChain($chainId);
    }

    /** "Heron A": the letter with the bike it hangs with. */
    public function fullChain(int $chainId): string
    {
        return trim($this->bike($this->settings->home($chainId, PHP_INT_MAX)) . ' ' . $this->chain($chainId));
    }

    public function pot(?int $potId): string
    {
        return $potId === null ? '' : $this->settings->text(SettingKey::PotName, $potId);
    }

    public function bottle(?int $bottleId): string
    {
        return $bottleId === null ? '' : $this->settings->text(SettingKey::BottleName, $bottleId);
    }

    public function instrument(int $instrumentId): string
    {
        return $this->settings->text(SettingKey::InstrumentName, $instrumentId);
    }

    public function jar(?int $jarId): string
    {
        return $jarId === null ? '' : $this->settings->text(SettingKey::JarName, $jarId);
    }

    /** @param list<int> $chainIds */
    public function chains(array $chainIds): string
    {
        $byBike = [];
        foreach ($chainIds as $chainId) {
            $byBike[$this->bike($this->settings->home($chainId, PHP_INT_MAX))][] = $this->chain($chainId);
        }
        foreach (array_keys($byBike) as $bike) {
            sort($byBike[$bike], SORT_NATURAL);
        }

        return $this->list(
            array_map(fn(string $bike, array $letters) => trim($bike . ' ' . $this->list($letters)), array_keys($byBike), $byBike),
        );
    }

    /** @param list<string> $items */
    public function list(array $items): string
    {
        $last = array_pop($items);

        return $items === [] ? (string) $last : (string) __('words.and', ['first' => implode(', ', $items), 'last' => $last]);
    }
}
