<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Bath\BathDip;
use Dripel\Core\Bath\BathEvent;
use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Bath\BathNext;
use Dripel\Core\Bath\OpenBath;
use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Maths\KeptMemo;
use Dripel\Core\Model;
use LogicException;

/**
 * Years of riding by one policy, week by week: each week plan.pot_days looks two weeks ahead and the first is done as it says; wax goes
 * by wax.life, the pot by bath.ledger, wear by the rate at the interval (km/1000 · rate, times what the life points say of another
 * interval). A chain at its limit is replaced the next time the pot is hot; where there is none, at the end of the week.
 * Deterministic. Weeks begin on Monday. Source: the models named; when a chain is replaced is a house rule.
 */
final readonly class Simulate implements Model
{
    private const AHEAD_DAYS = 14;

    private const DAY_S = 86400;

    private const LEAST_WAX_G = 1.0;

    /** So much past its limit a chain ruins the cassette: house rule. */
    private const TOO_FAR_PCT = 0.1;

    /** A new chain is a little longer than nominal: house rule. */
    public const NEW_PCT = 0.02;

    public function __invoke(SimulateInput $in): SimulateResult
    {
        $sheds = array_map(fn(SimulatedBike $bike) => new SimulatedShed($bike, $in->policy, $in->curve), $in->bikes);
        $bath = OpenBath::filled(
            new BathLedgerInput($in->pot->vessel, [BathEvent::fill(0.0, $in->pot->waxG)], pickupDefaultG: $in->pot->pickupG),
        );
        $weeks = [];
        $potDays = new PotDays(($memo = new KeptMemo()), $memo);
        for ($w = 0; $w < $in->weeks; $w++) {
            $week = new SimulatedWeek($w);
            foreach ($sheds as $shed) {
                $this->buy($in, $shed, $week, $shed->missing());
            }
            $this->strip($in, $week, 0);
            [$input, $plan] = $this->plan($in, $sheds, $week, $potDays);
            for ($day = 0; $day < 7; $day++) {
                foreach ($plan->potDays as $pot) {
                    if ($pot->day === $day) {
                        $bath = $this->pot($in, $sheds, $week, $bath, (float) ((7 * $w + $day) * self::DAY_S), $input, $pot);
                    }
                }
                foreach ($plan->swaps as $swap) {
                    if ($swap->day === $day) {
                        $shed = $this->shed($sheds, $swap->bike);
                        $shed->on = $shed->now((string) $swap->to);
                        $week->swaps++;
                        $week->minutes += $in->pot->swapMinutes;
                    }
                }
                foreach ($plan->topUps as $drip) {
                    if ($drip->day === $day) {
                        $shed = $this->shed($sheds, $drip->bike);
                        $shed->chains[$shed->now((string) $drip->chain)]->drip(
                            $in->policy->dripOnly ? $in->policy->intervalKm : $in->pot->topUp->km ?? WaxTopUp::KM,
                        );
                        $week->topUps++;
                        $week->minutes += $in->pot->topUpWorkMinutes;
                        $week->cost += $in->costs->topUp;
                    }
                }
                foreach ($sheds as $shed) {
                    $km = $shed->bike->weekKm[$day];
                    if ($km > 0.0) {
                        $this->ride($in, $shed, $week, $km);
                    }
                }
            }
            $bought = $week->bought;
            foreach ($sheds as $shed) {
                $in->policy->dripOnly && $this->retire($in, $shed, $week, false);
                $week->wear[(string) $shed->bike->id] = array_map(fn(SimulatedChain $chain) => $chain->wearPct, $shed->chains);
            }
            $this->strip($in, $week, $bought);
            $week->waxG = $in->policy->dripOnly ? $in->pot->waxG : $bath->result()->waxG;
            $weeks[] = $week;
        }

        return new SimulateResult($weeks, $in->costs);
    }

    public function compute(Fields $input): array
    {
        return $this(SimulateInput::from($input))->toArray();
    }

    /**
     * @param list<SimulatedShed> $sheds
     *
     * @return array{PotDaysInput, PotDaysResult}
     */
    private function plan(SimulateInput $in, array $sheds, SimulatedWeek $week, PotDays $potDays): array
    {
        $bikes = array_map(fn(SimulatedShed $shed) => $shed->planned(self::AHEAD_DAYS), $sheds);
        // On drip wax alone a week begins as the one before planned it: its first ride, too, may be dripped for the evening before.
        $topUp = $in->policy->dripOnly
            ? PlannedTopUp::alone($in->policy->intervalKm, $in->pot->topUp->minutes ?? PlanTerms::TOPUP_MINUTES, 0)
            : $in->pot->topUp;
        $allowed = array_map(fn(int $day) => !$in->policy->dripOnly && $in->pot->weekdays[$day % 7], range(0, self::AHEAD_DAYS - 1));
        $input = new PotDaysInput(
            self::AHEAD_DAYS,
            $allowed,
            $in->pot->fixedMinutes,
            $in->pot->perDipMinutes,
            $in->pot->batchMinutes,
            $in->pot->capacity,
            $in->pot->swapMinutes,
            $topUp,
            $bikes,
            dips: $in->policy->dips,
            endMinutesPerChain: $in->pot->endMinutesPerChain,
        );
        $plan = $potDays($input);
        if (!$plan->feasible) {
            // Nobody stays at home: the pot is heated on another day, on as few of them as will do.
            $input = $input->reluctantly();
            $plan = $potDays($input);
            $week->forced = count(array_filter($plan->potDays, fn(PlannedPotDay $pot) => $pot->day < 7 && !$allowed[$pot->day]));
        }

        return [$input, $plan];
    }

    /** A ride on the fitted chain. Run too far past its limit, a chain takes its share of the cassette with it: house rule. */
    private function ride(SimulateInput $in, SimulatedShed $shed, SimulatedWeek $week, float $km): void
    {
        $chain = $shed->fitted();
        [$limit, $before] = [$shed->limitPct(), $chain->wearPct];
        $chain->ride($km, $shed->bike->factor, $shed->ratePctPer1000Km, $km * $shed->bike->hoursPerKm);
        $week->km += $km;
        $week->worn += ($chain->wearPct - $before) / max(Check::EPSILON, $limit - self::NEW_PCT);
        if ($chain->wearPct > $limit) {
            $week->kmPastLimit += $km * min(1.0, ($chain->wearPct - $limit) / ($chain->wearPct - $before));
        }
        if ($chain->wearPct >= $limit + self::TOO_FAR_PCT - Check::EPSILON && !$chain->ruinous) {
            $chain->ruinous = true;
            $week->cost += $in->costs->cassette / $in->costs->chainsPerCassette;
        }
    }

    /**
     * A pot day: worn chains make room for new ones, which are dipped with all that were ridden or with those that the plan chose, and
     * the bath gets what it wants.
     *
     * @param list<SimulatedShed> $sheds
     */
    private function pot(
        SimulateInput $in,
        array $sheds,
        SimulatedWeek $week,
        OpenBath $bath,
        float $atS,
        PotDaysInput $input,
        PlannedPotDay $pot,
    ): OpenBath {
        [$dips, $bought] = [[], $week->bought];
        foreach ($sheds as $shed) {
            $there = $shed->chains;
            $this->retire($in, $shed, $week, true);
            $chosen = array_map(
                $shed->now(...),
                array_intersect(array_map(strval(...), $pot->dips), array_map(strval(...), array_keys($there))),
            );
            foreach ($shed->chains as $chain) {
                $wants = $chain->cycleKm() > 0.0 || $shed->fresh($chain->id);
                if ($wants && ($input->dips === DipRule::Used || !isset($there[$chain->id]) || in_array($chain->id, $chosen, true))) {
                    $dips[] = new BathDip(BathDip::CHAIN_G, null, $chain->cycleKm(), $in->pot->rinsed);
                    $chain->dip();
                    $shed->dipped($chain->id);
                }
            }
        }
        $this->strip($in, $week, $bought);
        $week->potDays++;
        $week->dips += count($dips);
        $week->minutes += $input->potMinutes(count($dips));
        if ($dips === []) {
            return $bath;
        }
        $before = $bath->result()->waxG;
        $dip = BathEvent::dip($atS, $dips);
        $dipped = self::dipped($bath, $dip);
        if ($dipped === null && $before < $in->pot->waxG) {
            // It would not do: the pot is filled up first, as after a pot day.
            $bath = $bath->with(BathEvent::topUp($atS, $this->bought($in, $week, $in->pot->waxG - $before)));
            $before = $in->pot->waxG;
            $dipped = self::dipped($bath, $dip);
        }
        $dipped ?? throw new InvalidInput('pot.wax_g', 'is too little for the ' . count($dips) . ' dips of a pot day; start with more wax');
        $after = $dipped->result();
        $week->waxTakenG += $before - $after->waxG;

        return match ($after->next) {
            BathNext::TopUp => $dipped->with(
                BathEvent::topUp($atS, $this->bought($in, $week, max(self::LEAST_WAX_G, $in->pot->waxG - $after->waxG))),
            ),
            BathNext::Filter => $dipped->with(BathEvent::filter($atS)),
            BathNext::Replace => $dipped->with($this->replaced($in, $week, $after->waxG, $atS)),
            BathNext::Ok => $dipped,
        };
    }

    /** Null where there is not wax enough for it. */
    private static function dipped(OpenBath $bath, BathEvent $dip): ?OpenBath
    {
        try {
            return $bath->with($dip);
        } catch (InvalidInput) {
            return null;
        }
    }

    /** @return float the same grams, paid */
    private function bought(SimulateInput $in, SimulatedWeek $week, float $g): float
    {
        $week->waxBoughtG += $g;
        $week->cost += ($g / 1000.0) * $in->costs->waxKg;

        return $g;
    }

    private function replaced(SimulateInput $in, SimulatedWeek $week, float $leftG, float $atS): BathEvent
    {
        $week->waxThrownG += $leftG;

        return BathEvent::fill($atS, $this->bought($in, $week, $in->pot->waxG));
    }

    /** Chains at their limit go, and new ones come in their place. */
    private function retire(SimulateInput $in, SimulatedShed $shed, SimulatedWeek $week, bool $dip): void
    {
        foreach ($shed->worn() as $chain) {
            $week->retired[] = ['bike' => $shed->bike->id, 'chain' => $chain->id, 'km' => $chain->km, 'wear_pct' => $chain->wearPct];
            $shed->outlived++;
            if ($shed->outlived >= $in->costs->chainsPerCassette) {
                $shed->outlived = 0;
                $week->cassettes++;
                $week->cost += $in->costs->cassette;
            }
            $shed->replace($chain->id, self::NEW_PCT, $dip);
            $this->paid($in, $week);
        }
    }

    private function buy(SimulateInput $in, SimulatedShed $shed, SimulatedWeek $week, int $count): void
    {
        for ($i = 0; $i < $count; $i++) {
            $chain = $shed->add(self::NEW_PCT);
            $in->policy->dripOnly && $shed->dipped($chain->id);
            $this->paid($in, $week);
        }
    }

    private function paid(SimulateInput $in, SimulatedWeek $week): void
    {
        $week->bought++;
        $week->cost += $in->costs->chain + $in->costs->strip + $in->costs->quickLink;
    }

    /**
     * Those that were bought at once go through the jars together.
     *
     * @param int $bought in that week before
     */
    private function strip(SimulateInput $in, SimulatedWeek $week, int $bought): void
    {
        if ($week->bought > $bought) {
            $week->strips++;
            $week->minutes += $in->costs->stripMinutes;
        }
    }

    /** @param list<SimulatedShed> $sheds */
    private function shed(array $sheds, string|int $bike): SimulatedShed
    {
        foreach ($sheds as $shed) {
            if ($shed->bike->id === $bike) {
                return $shed;
            }
        }
        throw new LogicException("There is no bike {$bike}.");
    }
}
