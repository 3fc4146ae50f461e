<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Fields;
use Dripel\Core\Maths\Memo;
use Dripel\Core\Maths\NoMemo;
use Dripel\Core\Model;

/**
 * On which days to heat the pot, and for which chains, so that pot, swaps and top-ups take the fewest minutes. How the rides go to the
 * chains is BikeRun's rule; which days, EveryDip finds where a pot day dips all that was used, ChosenDips where the plan chooses.
 * Days count from 0; minutes. Ties: fewer pot days, then the later first one, then fewer dips.
 */
final readonly class PotDays implements Model
{
    /**
     * @param Memo $memo of what a bike comes to alone
     * @param Memo|null $weekly of what the rides of a bike come to, for plans of the same bikes week after week; null: each is another
     */
    public function __construct(private Memo $memo = new NoMemo(), private ?Memo $weekly = null) {}

    public function __invoke(PotDaysInput $in): PotDaysResult
    {
        return $this->against($in, EveryDip::best($in, $this->weekly));
    }

    /**
     * The same for whoever has asked EveryDip already.
     *
     * @param list<int>|PlanBlock $every the best pot days where all that was used is dipped
     */
    public function against(PotDaysInput $in, array|PlanBlock $every): PotDaysResult
    {
        if ($in->dips === DipRule::Chosen) {
            return (new ChosenDips($in, $every, $this->memo))->best();
        }

        return $every instanceof PlanBlock ? PotDaysResult::blocked($every, $in->dips) : $this->along($in, $every);
    }

    /**
     * What comes of a choice of pot days, good or not, each dipping every chain that was used: for whoever moves one.
     *
     * @param list<int> $potDays rising
     */
    public function along(PotDaysInput $in, array $potDays): PotDaysResult
    {
        return $this->replay($in, array_fill_keys($potDays, null));
    }

    /**
     * What comes of a choice of pot days and chains, good or not.
     *
     * @param array<int, list<string|int>|null> $dips by day: the chains; null: every one that was used
     */
    public function replay(PotDaysInput $in, array $dips): PotDaysResult
    {
        $runs = array_map(fn(PlannedBike $bike) => new BikeRun($bike, $in->topUp), $in->bikes);
        $pots = [];
        $minutes = 0.0;
        for ($day = 0; $day < $in->days; $day++) {
            if (array_key_exists($day, $dips)) {
                $dipped = [];
                foreach ($runs as $n => $run) {
                    $chains = array_values(
                        array_filter(
                            $run->worn($day),
                            fn(int $chain) => $dips[$day] === null || in_array($in->bikes[$n]->chains[$chain]->id, $dips[$day], true),
                        ),
                    );
                    $run->dip($chains, $day);
                    foreach ($chains as $chain) {
                        $dipped[] = $in->bikes[$n]->chains[$chain]->id;
                    }
                }
                $pots[] = new PlannedPotDay($day, $in->batches(count($dipped)), $dipped);
                $minutes += $in->potMinutes(count($dipped));
            }
            $block = null;
            foreach ($runs as $n => $run) {
                $missed = $run->missed($day);
                if ($missed !== null) {
                    $block = new PlanBlock($day, $in->bikes[$n]->id, $in->bikes[$n]->chains[$missed]->id);
                    break;
                }
            }
            foreach ($block === null ? $runs : [] as $n => $run) {
                if (!$run->ride($day)) {
                    $block = new PlanBlock($day, $in->bikes[$n]->id);
                    break;
                }
            }
            if ($block !== null) {
                return PotDaysResult::blocked($block, $in->dips, $pots, ...$this->events($in, $runs));
            }
        }
        [$swaps, $topUps] = $this->events($in, $runs);
        $end =
            $in->dips === DipRule::Used ? null : $in->endMinutesPerChain * array_sum(array_map(fn(BikeRun $run) => $run->spent(), $runs));
        $minutes += count($swaps) * $in->swapMinutes + count($topUps) * ($in->topUp->minutes ?? 0.0);

        return new PotDaysResult(true, $minutes + ($end ?? 0.0), $pots, $swaps, $topUps, null, $end, dips: $in->dips);
    }

    public function compute(Fields $input): array
    {
        return $this(PotDaysInput::from($input))->toArray();
    }

    /**
     * @param list<BikeRun> $runs
     *
     * @return array{list<PlannedSwap>, list<PlannedDrip>} in order of the days, then of the bikes
     */
    private function events(PotDaysInput $in, array $runs): array
    {
        [$swaps, $drips] = [[], []];
        foreach ($runs as $n => $run) {
            $bike = $in->bikes[$n];
            foreach ($run->swaps as [$day, $from, $to]) {
                $swaps[] = new PlannedSwap($day, $bike->id, $bike->chains[$from]->id, $bike->chains[$to]->id);
            }
            foreach ($run->dripped as [$day, $chain]) {
                $drips[] = new PlannedDrip($day, $bike->id, $bike->chains[$chain]->id);
            }
        }
        usort($swaps, fn(PlannedSwap $a, PlannedSwap $b) => $a->day <=> $b->day);
        usort($drips, fn(PlannedDrip $a, PlannedDrip $b) => $a->day <=> $b->day);

        return [$swaps, $drips];
    }
}
