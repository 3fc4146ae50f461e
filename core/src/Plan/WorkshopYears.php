<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Bath\BathDip;
use Dripel\Core\Bath\Vessel;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Interval\IntervalAdvise;
use Dripel\Core\Interval\IntervalEconomyInput;
use Dripel\Core\Interval\LifeCurve;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\PotDay\PotCapacity;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Strip\SolventCost;
use Dripel\Core\Wear\LimitSchool;
use Dripel\Core\Wear\WorkshopWear;

/**
 * A workshop as plan.simulate and interval.economy take it: ridden as in the last year, worn as its own chains wear, its pot, its
 * minutes, at its prices. Money in minor units.
 */
final readonly class WorkshopYears
{
    private const WEEKS = 52;

    private const LEAST_LIFE_PCT = 0.01;

    /** A pot that nobody described: a small slow cooker (diameter and height in mm), half full (g). House rule. */
    private const USUAL_POT = [130.0, 105.0, 500.0];

    /** A pot day of all chains takes no more than one part in so many of what is in the pot: who has less pours in first. House rule. */
    private const PARTS = 2.0;

    /**
     * @param list<SimulatedBike> $bikes that have a chain on and are ridden
     * @param array<int, int> $speeds of each of them
     * @param list<Supply> $unpriced that count as nothing because nobody noted a price
     */
    private function __construct(
        public array $bikes,
        private array $speeds,
        private SimulatedPot $pot,
        private SimulatedCosts $costs,
        private LifeCurve $curve,
        private float $dripAsWax,
        public array $unpriced,
    ) {}

    /**
     * @param Vessel|null $vessel the pot that the dips go into, and the wax in it, in g; null: nobody described one
     * @param array<string, float> $stripMl by solvent, of the school of stripping
     * @param float $hourMinor what an hour of work is worth
     */
    public static function of(
        Book $book,
        WorkshopWear $wear,
        ?Vessel $vessel,
        ?float $waxG,
        float $pickupG,
        PriceList $prices,
        array $stripMl,
        float $hourMinor,
        int $nowS,
        ?int $atOnce = null,
    ): self {
        $terms = PlanTerms::of($book, null, $nowS);
        [$bikes, $speeds] = [[], []];
        foreach (Rail::all($book, $nowS, $book->settings->zone()) as $rail) {
            $bike = self::bike($book, $rail, $wear, $nowS);
            if ($bike !== null) {
                $bikes[] = $bike;
                $speeds[$rail->bikeId] = $book->settings->whole(SettingKey::BikeSpeeds, $rail->bikeId, 12);
            }
        }
        $strip = SolventCost::of($stripMl, $prices, $nowS);
        $cost = fn(Supply $supply, float $quantity): float => $prices->costMinor($supply, $quantity, $nowS) ?? 0.0;

        return new self(
            $bikes,
            $speeds,
            self::pot($book, $terms, $vessel, $waxG, $pickupG, $atOnce, $nowS),
            new SimulatedCosts(
                $cost(Supply::Chain, 1),
                $strip->minor,
                $cost(Supply::QuickLink, 1),
                $cost(Supply::Cassette, 1),
                IntervalEconomyInput::CHAINS_PER_CASSETTE,
                $cost(Supply::Wax, 1000),
                $cost(Supply::DripWax, DripDoseInput::USUAL_ML),
                $hourMinor,
                $terms->stripMinutes,
            ),
            $book->settings->lifeCurve(),
            $book->settings->dripAsWax(),
            [
                ...$prices->without([Supply::Chain, Supply::QuickLink, Supply::Cassette, Supply::Wax, Supply::DripWax]),
                ...array_map(fn(Solvent $solvent) => Supply::from($solvent->value), $strip->unpriced),
            ],
        );
    }

    /** The interval that is gone by now: that of each bike, weighed by what it was ridden. km; 300 where nothing was. */
    public static function intervalKm(Book $book, int $nowS): float
    {
        return $book->kept('interval gone by', fn() => self::findIntervalKm($book, $nowS), $nowS);
    }

    private static function findIntervalKm(Book $book, int $nowS): float
    {
        [$sum, $km] = [0.0, 0.0];
        foreach ($book->bikeIds as $bikeId) {
            $ridden = $book->ridesOf($bikeId)->km();
            $sum += $ridden * $book->terms()->ofBike($bikeId, $nowS)->intervalKm;
            $km += $ridden;
        }

        return $km > 0.0 ? $sum / $km : Settings::INTERVAL_KM;
    }

    /** The same with one of its bikes alone. */
    public function only(int $bikeId): self
    {
        return new self(
            array_values(array_filter($this->bikes, fn(SimulatedBike $bike) => $bike->id === $bikeId)),
            $this->speeds,
            $this->pot,
            $this->costs,
            $this->curve,
            $this->dripAsWax,
            $this->unpriced,
        );
    }

    /**
     * The years of somebody who plans well: the chains of each pot day chosen, or all that were used, whichever takes less time, top-ups at
     * the price by which they are planned.
     *
     * @param LimitSchool|null $school by which chains are retired; null: each bike's own
     */
    public function ridden(SimulatedPolicy $policy, int $years, ?LimitSchool $school = null): SimulateResult
    {
        return $this->better($policy, $years, $school, $this->simply($policy, $years, $school));
    }

    /** The same as if all chains that were used went into each pot day: found sooner; its pot days and top-ups may be others. */
    public function simply(SimulatedPolicy $policy, int $years, ?LimitSchool $school = null): SimulateResult
    {
        return (new Simulate())($this->input($policy->dipping(DipRule::Used), $years, $school));
    }

    /** @param SimulateResult $used what `simply` said of the same */
    public function better(SimulatedPolicy $policy, int $years, ?LimitSchool $school, SimulateResult $used): SimulateResult
    {
        $chosen = (new Simulate())($this->input($policy->dipping(DipRule::Chosen), $years, $school));

        return !$policy->dripOnly && $this->planned($used) < $this->planned($chosen) ? $used : $chosen;
    }

    /** Minutes, with what a top-up is priced at beyond what it takes. */
    private function planned(SimulateResult $years): float
    {
        $more = ($this->pot->topUp->minutes ?? 0.0) - $this->pot->topUpWorkMinutes;

        return $years->minutes() + $years->sum(fn(SimulatedWeek $week) => $week->topUps) * max(0.0, $more);
    }

    /** @param LimitSchool|null $school likewise */
    public function input(SimulatedPolicy $policy, int $years, ?LimitSchool $school = null): SimulateInput
    {
        $policy = $policy->dripOnly ? $policy->wearingAs($this->dripAsWax * $policy->intervalKm) : $policy;
        $bikes =
            $school === null
                ? $this->bikes
                : array_map(fn(SimulatedBike $bike) => $bike->upTo($school->limitPct($this->speeds[$bike->id])), $this->bikes);

        $chains = array_sum(array_map(fn(SimulatedBike $bike) => $policy->chains ?? count($bike->chains), $bikes));

        return new SimulateInput(
            self::WEEKS * $years,
            $bikes,
            $policy,
            $this->pot->shared($chains / max(1, count($bikes)))->withAtLeast(self::PARTS * $this->pot->pickupG * $chains),
            $this->costs,
            $this->curve,
        );
    }

    /** The wax that a policy is counted with because what is in the pot would not do for all its chains, in g; null: it does. */
    public function pouredG(SimulateInput $in): ?float
    {
        return $in->pot->waxG > $this->pot->waxG && !$in->policy->dripOnly ? $in->pot->waxG : null;
    }

    /**
     * The cheapest interval of a bike, by its own limit. What a re-wax takes is what it takes in its simulated years at its own
     * interval, by each interval of wax used up, so that curve and years say the same there.
     *
     * @param float $ownKm the interval that it has now
     */
    public function economy(SimulatedBike $bike, float $ownKm, int $years): IntervalEconomyInput
    {
        $year = $this->only((int) $bike->id)->ridden(new SimulatedPolicy($ownKm), $years);
        $rewaxes = max(1.0, $year->km() / $ownKm);
        $waxG = $year->sum(fn(SimulatedWeek $week) => $week->waxTakenG + $week->waxThrownG);

        return new IntervalEconomyInput(
            $this->curve,
            $this->costs->chain,
            (($waxG / 1000.0) * $this->costs->waxKg + $year->sum(fn(SimulatedWeek $week) => $week->topUps) * $this->costs->topUp) /
                $rewaxes,
            // It lives from where it is new to its limit, as it is simulated.
            IntervalAdvise::lifeFactor(
                max(self::LEAST_LIFE_PCT, $bike->limitPct - Simulate::NEW_PCT),
                $bike->ratePctPer1000Km,
                $bike->rateIntervalKm,
                $this->curve,
            ),
            // The hands that strip it are paid by the chain, not by the re-wax.
            $this->costs->strip + $this->costs->stripHands(),
            $this->costs->quickLink,
            $this->costs->cassette,
            $this->costs->chainsPerCassette,
            ($year->minutes() - $year->sum(fn(SimulatedWeek $week) => $week->strips) * $this->costs->stripMinutes) / $rewaxes,
            $this->costs->hour,
        );
    }

    /** Null where it has no chain on or was not ridden. */
    private static function bike(Book $book, Rail $rail, WorkshopWear $wear, int $nowS): ?SimulatedBike
    {
        $year = YearOfRiding::of($book->ridesOf($rail->bikeId), $book->settings, $nowS, $book->settings->zone());
        if ($rail->fitted === null || array_sum($year->weekKm) <= 0.0) {
            return null;
        }
        $terms = $rail->fitted->terms;
        $chains = array_values(
            array_filter(
                $rail->chains(),
                fn(ChainState $chain) => $chain === $rail->fitted ||
                    (!$chain->wear->pastLimit && $chain->wax->life !== null && $rail->serves($chain)),
            ),
        );
        assert($chains !== []);
        $ofBike = $wear->ofBike($rail->bikeId);

        return new SimulatedBike(
            $rail->bikeId,
            $year->weekKm,
            $year->factor,
            $terms->limitPct,
            $ofBike->ratePctPer1000Km(),
            $ofBike->intervalKm,
            array_map(
                fn(ChainState $chain) => [
                    'id' => $chain->chainId,
                    'wear_pct' => max(0.0, $wear->of($chain)->result->nowMean ?? 0.0),
                    'used_km' => max(0.0, $terms->intervalKm - ($chain->rideable() ? $chain->leftKm() : 0.0)),
                    'km' => $chain->km->km,
                    'used_hours' => self::usedHours($chain, $terms->intervalHours ?? 0.0),
                ],
                $chains,
            ),
            $rail->fitted->chainId,
            $terms->intervalHours,
            $terms->hoursPerKm,
        );
    }

    /** What is due, or of which nobody knows the wax, has used up all of them. */
    private static function usedHours(ChainState $chain, float $interval): float
    {
        return $chain->rideable() ? max(0.0, $interval - ($chain->wax->life->leftHours ?? $interval)) : $interval;
    }

    private static function pot(
        Book $book,
        PlanTerms $terms,
        ?Vessel $vessel,
        ?float $waxG,
        float $pickupG,
        ?int $atOnce,
        int $nowS,
    ): SimulatedPot {
        [$diameterMm, $heightMm, $usualG] = self::USUAL_POT;
        $vessel ??= new Vessel($diameterMm, $heightMm);
        $waxG ??= $usualG;
        $most = $book->settings->topUpsMost();

        return new SimulatedPot(
            array_map(fn(int $day) => in_array($day, $terms->weekdays, true), range(1, 7)),
            $terms->fixedMinutes,
            $terms->dipMinutes,
            $terms->batchMinutes,
            PotCapacity::of($vessel, $waxG, BathDip::CHAIN_G, $atOnce)->atOnce(),
            $terms->swapMinutes,
            $most === 0 ? null : new PlannedTopUp(WaxTopUp::KM, $terms->topUpMinutes, $most),
            $vessel,
            $waxG,
            $pickupG,
            rinsed: self::rinses($book, $nowS),
        );
    }

    /** Whether re-waxes of the last year were rinsed, more often than not; where there is none yet they are taken to be. */
    private static function rinses(Book $book, int $nowS): bool
    {
        $rinsed = [];
        foreach ($book->chainIds as $chainId) {
            $dips = array_filter($book->history($chainId)->until($nowS)->events, fn(Entry $event) => $event instanceof Dip);
            foreach (array_slice($dips, 1) as $dip) {
                $dip->moment->unixS > $nowS - YearOfRiding::DAYS * 86400 && ($rinsed[] = $dip->rinsed);
            }
        }

        return 2 * count(array_filter($rinsed)) >= count($rinsed);
    }
}
