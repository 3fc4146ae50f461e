<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Next\Verb;
use Dripel\Core\Strip\Load;

/** Why a chain is not put on a pot day. */
enum PotRefusal: string
{
    case Retired = 'retired';
    /** Past its limit: not worth the wax, and it eats the sprockets. */
    case Worn = 'worn';
    /** It was near its limit, and was ridden since it was measured. */
    case Measure = 'measure';
    /** Ridden far, and nobody ever measured it. */
    case NeverMeasured = 'never_measured';
    /** Wax does not stick to storage grease. */
    case Greased = 'greased';
    /** Oil got on it: no wax holds. */
    case Oiled = 'oiled';

    /** From this part of its limit on a chain is measured before it is waxed again: house rule. */
    private const NEAR_LIMIT = 0.8;

    /** So many km without a reading, and nobody can say: house rule. */
    private const UNMEASURED_KM = 2000.0;

    public static function of(ChainState $chain, Settings $settings): ?self
    {
        return match (true) {
            $chain->retired() => self::Retired,
            $chain->wear->pastLimit => self::Worn,
            self::unmeasured($chain) => self::maybeWorn($chain) ?? self::greasy($chain, $settings),
            default => self::greasy($chain, $settings),
        };
    }

    /** Whether no wax would hold on it, hot or drip: grease and oil come off first; wax from the factory may stay. Common practice. */
    public static function greasy(ChainState $chain, Settings $settings): ?self
    {
        return match (true) {
            $chain->status === ChainStatus::Oiled => self::Oiled,
            $chain->status === ChainStatus::Unwaxed &&
                Load::tryFrom($settings->text(SettingKey::ChainLoad, $chain->chainId)) !== Load::FactoryWaxed
                => self::Greased,
            default => null,
        };
    }

    /** What is done with it instead, mostly so that it may go in; null: nothing is left to do. */
    public function remedy(): ?Verb
    {
        return match ($this) {
            self::Measure, self::NeverMeasured => Verb::Measure,
            self::Greased, self::Oiled => Verb::Strip,
            self::Worn => Verb::Retire,
            self::Retired => null,
        };
    }

    /** Common practice: a chain is measured every time it comes off, before it goes into the pot. */
    public static function unmeasured(ChainState $chain): bool
    {
        return $chain->km->km - ($chain->wear->atKm->km ?? 0.0) >= 1.0;
    }

    private static function maybeWorn(ChainState $chain): ?self
    {
        $last = $chain->wear->result;

        return match (true) {
            $last === null => $chain->km->km >= self::UNMEASURED_KM ? self::NeverMeasured : null,
            ($last->valuePct ?? ($last->lowerPct ?? 0.0)) >= self::NEAR_LIMIT * $chain->terms->limitPct => self::Measure,
            default => null,
        };
    }
}
