<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;

/** What is on a chain before it is stripped, in grams: house rules. */
enum Load: string
{
    /** The storage grease of a new chain. */
    case Greased = 'greased';
    /** Old oil and grit of a chain that was ridden: far harder to strip. */
    case Oiled = 'oiled';
    /** Wax of the factory: nothing to strip. */
    case FactoryWaxed = 'factory_waxed';
    /** Wax and what it picked up: hot water first, then one or two baths. */
    case UsedWax = 'used_wax';
    /** Dipped and not ridden since: nobody strips that without being asked. */
    case FreshWax = 'fresh_wax';

    /** @return list<self> what a chain can come with */
    public static function comesWith(): array
    {
        return [self::Greased, self::Oiled, self::FactoryWaxed];
    }

    /** What a chain came with, as it was said, else oil for one that was ridden elsewhere. */
    public static function cameWith(ChainState $chain, Settings $settings): self
    {
        return self::tryFrom($settings->text(SettingKey::ChainLoad, $chain->chainId)) ??
            ($chain->opening === null ? self::Greased : self::Oiled);
    }

    /** What is on it now. */
    public static function on(ChainState $chain, Settings $settings): self
    {
        $came = self::cameWith($chain, $settings);

        return match (true) {
            $chain->status === ChainStatus::Oiled => self::Oiled,
            $chain->status === ChainStatus::Waxed && $chain->dips > 0 => self::FreshWax,
            $chain->status === ChainStatus::Waxed && $came === self::FactoryWaxed => $came,
            $chain->wax->life !== null => self::UsedWax,
            $came === self::FactoryWaxed && $chain->km->km > 0.0 => self::UsedWax,
            default => $came,
        };
    }

    /** @param non-empty-list<self> $loads what baths are laid out for where several chains are in one jar */
    public static function hardest(array $loads): self
    {
        foreach ([self::Oiled, self::UsedWax, self::FreshWax] as $load) {
            if (in_array($load, $loads, true)) {
                return $load;
            }
        }

        return $loads[0];
    }

    public function grams(): float
    {
        return match ($this) {
            self::Greased => StripRinseInput::START_G,
            self::Oiled => 16.0,
            // What hot water leaves.
            self::UsedWax, self::FreshWax => 2.0,
            self::FactoryWaxed => 0.0,
        };
    }

    public function isWax(): bool
    {
        return $this === self::UsedWax || $this === self::FreshWax;
    }
}
