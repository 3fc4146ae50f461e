<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** All bikes from a pot day on, or from the start, without another one: how long they last, and what that takes. */
final readonly class EveryStretch
{
    /** The first day that one of them cannot be ridden; all days: never. */
    public int $blocked;

    public ?PlanBlock $block;

    /** Which one that is. */
    public int $bike;

    /**
     * @var array<int, float> until each day: minutes of swaps and top-ups; until the end with the wax that is used, where that is counted
     */
    public array $minutes;

    /** @var array<int, int> on each day: chains that a pot would dip */
    public array $dips;

    /** @var array<int, array<int, BikeRun>> on each allowed day: bikes that the pot would not make as good as new, as it leaves them */
    public array $left;

    /**
     * @param int $from −1: the start
     * @param array<int, BikeRun> $bikes as the pot left those that it did not make as good as new
     */
    public function __construct(PotDaysInput $in, public int $from, array $bikes)
    {
        $first = max(0, $from);
        [$blocked, $block, $at, $left] = [$in->days, null, 0, []];
        $minutes = $dips = array_fill($first, $in->days - $first + 1, 0);
        foreach ($in->bikes as $n => $bike) {
            $run = isset($bikes[$n]) ? clone $bikes[$n] : new BikeRun($bike, $in->topUp);
            $from < 0 || isset($bikes[$n]) || $run->renew();
            [$run->swaps, $run->dripped] = [[], []];
            $special = max([0, ...$run->topUps]) > 0 || $bike->choosy();
            for ($day = $first; $day <= $blocked && $day < $in->days; $day++) {
                $minutes[$day] += count($run->swaps) * $in->swapMinutes + count($run->dripped) * ($in->topUp->minutes ?? 0.0);
                $worn = $run->worn($day);
                $dips[$day] += count($worn);
                if ($special && $in->allowedDays[$day]) {
                    $after = clone $run;
                    $after->dip($worn, $day);
                    $after->renewed() || ($left[$day][$n] = $after);
                }
                $missed = $run->dipBy === [] ? null : $run->missed($day);
                if ($missed !== null || !$run->ride($day)) {
                    $found = new PlanBlock($day, $bike->id, $missed === null ? null : $bike->chains[$missed]->id);
                    // A deadline is told before a ride of the same day.
                    if ($day < $blocked || ($missed !== null && $block?->chain === null)) {
                        [$blocked, $block, $at] = [$day, $found, $n];
                    }
                    continue 2;
                }
            }
            if ($blocked === $in->days) {
                $minutes[$in->days] +=
                    count($run->swaps) * $in->swapMinutes +
                    count($run->dripped) * ($in->topUp->minutes ?? 0.0) +
                    ($in->dips === DipRule::Chosen ? $in->endMinutesPerChain * $run->spent() : 0.0);
            }
        }
        [$this->blocked, $this->block, $this->bike, $this->minutes, $this->dips, $this->left] = [
            $blocked,
            $block,
            $at,
            $minutes,
            $dips,
            $left,
        ];
    }
}
