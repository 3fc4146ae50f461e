<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;

/**
 * What a bike would cost on plain drip: one chain after the other, a dose every so many km, no pot. Minor units of money, km.
 * House rules until somebody knows better: a chain then lives as long as one that is waxed every 400 km, and a dose is a drop on
 * each roller every 200 km.
 */
final readonly class PlainDrip
{
    private const LIVES_AS_AT_KM = 400.0;

    /** @throws InvalidInput at `life_km` and `every_km` unless above 0 */
    public function __construct(
        public float $lifeKm,
        public float $everyKm,
        private float $chainMinor,
        private float $cassetteMinor,
        private float $doseMinor,
        private float $chainsPerCassette,
        /** @var list<Supply> that count as nothing because nobody noted a price */
        public array $unpriced = [],
    ) {
        Check::positive('life_km', $lifeKm);
        Check::positive('every_km', $everyKm);
    }

    /** At the prices of an instant. */
    public static function of(Settings $settings, PriceList $prices, float $chainsPerCassette, int $atS): self
    {
        $cost = fn(Supply $supply, float $quantity): float => $prices->costMinor($supply, $quantity, $atS) ?? 0.0;

        return new self(
            $settings->number(SettingKey::PlainDripLifeKm, 0) ?? $settings->lifeCurve()->lifeKm(self::LIVES_AS_AT_KM),
            $settings->number(SettingKey::PlainDripEveryKm, 0) ?? WaxTopUp::KM,
            $cost(Supply::Chain, 1) + $cost(Supply::QuickLink, 1),
            $cost(Supply::Cassette, 1),
            $cost(Supply::DripWax, DripDoseInput::USUAL_ML),
            $chainsPerCassette,
            $prices->without([Supply::Chain, Supply::QuickLink, Supply::Cassette, Supply::DripWax]),
        );
    }

    /** Of one bike after so many km: its first chain, those that took the place of worn ones, their cassettes, and the drip. */
    public function costMinor(float $km): float
    {
        $worn = floor($km / $this->lifeKm + Check::EPSILON);

        return (1.0 + $worn) * $this->chainMinor + floor($worn / $this->chainsPerCassette + Check::EPSILON) * $this->cassetteMinor + floor($km / $this->everyKm + Check::EPSILON) * $this->doseMinor;
    }
}
