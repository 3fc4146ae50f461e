<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Settings;

/**
 * What a bike would cost on plain drip: one chain after the other, a dose every so many km, no pot. Minor units of money, km.
 * House rules until somebody knows better: a coat of drip wax wears like a wax interval so many times as long as its own
 * (Settings), as much faster or slower as the bike's own chains do, and a dose is a drop on each roller every 200 km.
 */
final readonly class PlainDrip
{
    /**
     * @param array<int, float> $livesKm of a chain, by bike
     * @param list<Supply> $unpriced that count as nothing because nobody noted a price
     *
     * @throws InvalidInput at `life_km` and `every_km` unless above 0
     */
    public function __construct(
        public array $livesKm,
        public float $everyKm,
        private float $chainMinor,
        private float $cassetteMinor,
        private float $doseMinor,
        private float $chainsPerCassette,
        public array $unpriced = [],
    ) {
        array_walk($livesKm, fn(float $km) => Check::positive('life_km', $km));
        Check::positive('every_km', $everyKm);
    }

    /**
     * At the prices of an instant.
     *
     * @param array<int, float> $factors how many times as fast as the life points expect chains wear, by bike
     */
    public static function of(Settings $settings, array $factors, PriceList $prices, float $chainsPerCassette, int $atS): self
    {
        $cost = fn(Supply $supply, float $quantity): float => $prices->costMinor($supply, $quantity, $atS) ?? 0.0;
        $everyKm = $settings->plainDripEveryKm();

        return new self(
            array_map(fn(float $factor) => $settings->lifeCurve()->lifeKm($settings->dripAsWax() * $everyKm) / $factor, $factors),
            $everyKm,
            $cost(Supply::Chain, 1) + $cost(Supply::QuickLink, 1),
            $cost(Supply::Cassette, 1),
            $cost(Supply::DripWax, DripDoseInput::USUAL_ML),
            $chainsPerCassette,
            $prices->without([Supply::Chain, Supply::QuickLink, Supply::Cassette, Supply::DripWax]),
        );
    }

    /** Of one bike after so many km: its first chain, those that took the place of worn ones, their cassettes, and the drip. */
    public function costMinor(float $km, int $bikeId): float
    {
        $worn = floor($km / $this->livesKm[$bikeId] + Check::EPSILON);

        return (1.0 + $worn) * $this->chainMinor +
            floor($worn / $this->chainsPerCassette + Check::EPSILON) * $this->cassetteMinor +
            floor($km / $this->everyKm + Check::EPSILON) * $this->doseMinor;
    }
}
