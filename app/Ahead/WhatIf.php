<?php

declare(strict_types=1);

namespace App\Ahead;

use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Pot\PotFacts;
use App\Pot\ReadBaths;
use App\Strip\Protocols;
use App\Strip\ReadPrices;
use App\Support\AppClock;
use App\Wear\ReadWear;
use Dripel\Core\Bath\BathDip;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Bath\Vessel;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Interval\IntervalEconomyInput;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\PlannedTopUp;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\SimulatedBike;
use Dripel\Core\Plan\SimulatedCosts;
use Dripel\Core\Plan\SimulatedPolicy;
use Dripel\Core\Plan\SimulatedPot;
use Dripel\Core\Plan\SimulateInput;
use Dripel\Core\Plan\YearOfRiding;
use Dripel\Core\PotDay\PotCapacity;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Strip\SolventCost;
use Dripel\Core\Wear\LimitSchool;
use Dripel\Core\Wear\WorkshopWear;

/** A workshop as plan.simulate and interval.economy take it: ridden as in the last year, worn as its own chains wear, at its own prices. */
final readonly class WhatIf
{
    /** A pot that nobody described: a small slow cooker, half full. House rule. */
    private const USUAL_POT = [130.0, 105.0, 500.0];

    public function __construct(private ReadBook $readBook, private ReadWear $readWear, private ReadBaths $readBaths, private ReadPrices $readPrices, private Protocols $protocols, private AppClock $clock) {}

    /** @param LimitSchool|null $school null: each bike's own */
    public function input(Workshop $workshop, SimulatedPolicy $policy, int $years, float $hourMinor, ?LimitSchool $school = null): SimulateInput
    {
        $book = ($this->readBook)($workshop);
        $nowS = $this->clock->unixS();

        return new SimulateInput(52 * $years, $this->bikes($book, ($this->readWear)($workshop), $nowS, $school), $policy, $this->pot($workshop, $book, $nowS), $this->costs($workshop, $hourMinor), $book->settings->lifeCurve());
    }

    /** The cheapest interval of a bike; money in minor units. */
    public function economy(Workshop $workshop, SimulatedBike $bike, float $hourMinor): IntervalEconomyInput
    {
        $book = ($this->readBook)($workshop);
        $costs = $this->costs($workshop, $hourMinor);
        $terms = PlanTerms::of($book, 8, null, $this->clock->unixS());
        $curve = $book->settings->lifeCurve();
        $pickupG = BathState::pickupG(($this->readBaths)($workshop));
        // Minutes of one re-wax: its dip, and its share of the pot day of three chains.
        $minutes = $terms->dipMinutes + ($terms->fixedMinutes + $terms->batchMinutes) / 3.0;

        return new IntervalEconomyInput(
            $curve,
            $costs->chain,
            $pickupG / 1000.0 * $costs->waxKg,
            1000.0 * $bike->limitPct / $bike->ratePctPer1000Km / $curve->lifeKm($bike->rateIntervalKm),
            $costs->strip,
            $costs->quickLink,
            $costs->cassette,
            $costs->chainsPerCassette,
            $minutes,
            $costs->hour,
        );
    }

    /** @return list<SimulatedBike> that have a chain on and are ridden */
    private function bikes(Book $book, WorkshopWear $wear, int $nowS, ?LimitSchool $school): array
    {
        $bikes = [];
        foreach (Rail::all($book, $nowS, $book->settings->zone()) as $rail) {
            $year = YearOfRiding::of($book->ridesOf($rail->bikeId), $book->settings, $nowS, $book->settings->zone());
            if ($rail->fitted === null || array_sum($year->weekKm) <= 0.0) {
                continue;
            }
            $chains = array_values(array_filter($rail->chains(), fn(ChainState $chain) => $chain === $rail->fitted || (! $chain->pastLimit && $chain->life !== null && ! $rail->kept($chain))));
            if ($chains === []) {
                continue;
            }
            $forecasts = array_values(array_filter(array_map($wear->of(...), $chains)));
            $interval = $rail->fitted->terms->intervalKm;
            $rates = array_map(fn($one) => $one->result->rateMean, $forecasts);
            $intervals = array_map(fn($one) => $one->intervalKm, $forecasts);
            $limit = $school?->limitPct($book->settings->whole(SettingKey::BikeSpeeds, $rail->bikeId, 12)) ?? $rail->fitted->terms->limitPct;
            $bikes[] = new SimulatedBike(
                $rail->bikeId,
                $year->weekKm,
                $year->factor,
                $limit,
                $rates === [] ? 1000.0 * $limit / $book->settings->lifeCurve()->lifeKm($interval) : max(1e-4, array_sum($rates) / count($rates)),
                $intervals === [] ? $interval : array_sum($intervals) / count($intervals),
                array_map(fn(ChainState $chain) => ['id' => (string) $chain->chainId, 'wear_pct' => max(0.0, $wear->of($chain)->result->nowMean ?? 0.0), 'used_km' => max(0.0, $interval - $rail->rideableKm($chain)), 'km' => $chain->km->km], $chains),
                (string) $rail->fitted->chainId,
            );
        }

        return $bikes;
    }

    private function pot(Workshop $workshop, Book $book, int $nowS): SimulatedPot
    {
        $terms = PlanTerms::of($book, 8, null, $nowS);
        [$diameter, $height, $waxG] = self::USUAL_POT;
        $vessel = new Vessel($diameter, $height);
        foreach (($this->readBaths)($workshop) as $potId => $bath) {
            if ($bath->ledger !== null) {
                [$vessel, $waxG] = [PotFacts::of($book->settings, $potId)->vessel(), $bath->ledger->waxG];
                break;
            }
        }
        $most = $book->settings->topUpsMost();

        return new SimulatedPot(
            array_map(fn(int $day) => in_array($day, $terms->weekdays, true), range(1, 7)),
            $terms->fixedMinutes,
            $terms->dipMinutes,
            $terms->batchMinutes,
            max(1, PotCapacity::of($vessel, $waxG, BathDip::CHAIN_G)->chains),
            $terms->swapMinutes,
            $most === 0 ? null : new PlannedTopUp(WaxTopUp::KM, $terms->topUpMinutes, $most),
            $vessel,
            $waxG,
            BathState::pickupG(($this->readBaths)($workshop)),
        );
    }

    private function costs(Workshop $workshop, float $hourMinor): SimulatedCosts
    {
        $prices = ($this->readPrices)($workshop);
        $nowS = $this->clock->unixS();
        $cost = fn(Supply $supply, float $quantity): float => $prices->costMinor($supply, $quantity, $nowS) ?? 0.0;

        return new SimulatedCosts(
            $cost(Supply::Chain, 1),
            $this->strip($workshop, $prices, $nowS),
            $cost(Supply::QuickLink, 1),
            $cost(Supply::Cassette, 1),
            IntervalEconomyInput::CHAINS_PER_CASSETTE,
            $cost(Supply::Wax, 1000),
            $cost(Supply::DripWax, DripDoseInput::USUAL_PITCHES * DripDoseInput::ML_PER_DROP),
            $hourMinor,
        );
    }

    /** The fresh solvents of the usual school, shared by the three chains that go through its jars together. */
    private function strip(Workshop $workshop, PriceList $prices, int $nowS): float
    {
        $protocol = $this->protocols->find($workshop, Protocols::DEFAULT);
        $ml = [];
        foreach ($protocol?->solvents() ?? [] as $solvent) {
            if ($solvent->isStocked()) {
                $ml[$solvent->value] = (float) $protocol?->volumeMl(Solvent::from($solvent->value));
            }
        }

        return SolventCost::of($ml, $prices, $nowS)->minor / 3.0;
    }

    /** What an hour is worth to the workshop, in minor units. */
    public function hourMinor(Workshop $workshop): float
    {
        return (float) ($this->readBook->settings($workshop)->at(SettingKey::PlanHourValue, 0, PHP_INT_MAX) ?? 0.0);
    }
}
