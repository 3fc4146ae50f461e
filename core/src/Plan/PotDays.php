<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Model;

/**
 * On which days to heat the pot so that pot, swaps and top-ups take the fewest minutes: exact. A pot day makes every chain fresh, so
 * the bikes do not depend on one another between two of them, and the best choice is a shortest path over the allowed days. Days
 * count from 0; minutes. Ties: fewer pot days, then the later first one. Source: shortest paths, any textbook; how the rides go to
 * the chains is common practice.
 */
final readonly class PotDays implements Model
{
    public function __invoke(PotDaysInput $in): PotDaysResult
    {
        // From today (-1) and from each allowed day: how long it lasts, and what each day costs.
        $stretches = [-1 => $this->stretch($in, -1)];
        $best = [-1 => [0.0, 0, 0, 0, null]];
        for ($day = 0; $day < $in->days; $day++) {
            if (! $in->allowedDays[$day]) {
                continue;
            }
            foreach ($stretches as $from => $stretch) {
                if (! isset($best[$from]) || $from >= $day || $stretch['blocked'] < $day || self::jumps($in, $from, $day)) {
                    continue;
                }
                [$cost, $reluctant, $count, $first] = $best[$from];
                $candidate = [$cost + $stretch['minutes'][$day] + $in->potMinutes($stretch['dips'][$day]), $reluctant + (in_array($day, $in->reluctant, true) ? 1 : 0), $count + 1, $from === -1 ? $day : $first, $from];
                if (! isset($best[$day]) || self::beats($candidate, $best[$day])) {
                    $best[$day] = $candidate;
                }
            }
            if (isset($best[$day])) {
                $stretches[$day] = $this->stretch($in, $day);
            }
        }
        $end = null;
        $last = null;
        foreach ($best as $from => [$cost, $reluctant, $count, $first]) {
            if ($stretches[$from]['blocked'] >= $in->days && ! self::jumps($in, $from, $in->days)) {
                $candidate = [$cost + $stretches[$from]['minutes'][$in->days], $reluctant, $count, $first, $from];
                if ($end === null || self::beats($candidate, $end)) {
                    [$end, $last] = [$candidate, $from];
                }
            }
        }
        if ($end === null || $last === null) {
            return PotDaysResult::blocked(...$this->block($in, $stretches));
        }
        $days = [];
        for ($day = $last; $day !== -1; $day = $best[$day][4] ?? -1) {
            array_unshift($days, $day);
        }

        return $this->along($in, $days);
    }

    /**
     * What comes of a choice of pot days, good or not: for whoever moves one.
     *
     * @param list<int> $potDays rising
     */
    public function along(PotDaysInput $in, array $potDays): PotDaysResult
    {
        $runs = array_map(fn(PlannedBike $bike) => new BikeRun($bike, $in->topUp), $in->bikes);
        $pots = [];
        $minutes = 0.0;
        for ($day = 0; $day < $in->days; $day++) {
            if (in_array($day, $potDays, true)) {
                $dips = [];
                foreach ($runs as $n => $run) {
                    foreach ($run->dip() as $chain) {
                        $dips[] = $in->bikes[$n]->chains[$chain];
                    }
                }
                $pots[] = new PlannedPotDay($day, $in->batches(count($dips)), $dips);
                $minutes += $in->potMinutes(count($dips));
            }
            foreach ($runs as $n => $run) {
                if (! $run->ride($day)) {
                    return PotDaysResult::blocked($day, $in->bikes[$n]->id, $run->tooLong, $pots, ...$this->events($in, $runs));
                }
            }
        }
        [$swaps, $topUps] = $this->events($in, $runs);
        $minutes += count($swaps) * $in->swapMinutes + count($topUps) * ($in->topUp->minutes ?? 0.0);

        return new PotDaysResult(true, $minutes, $pots, $swaps, $topUps, null);
    }

    public function compute(Fields $input): array
    {
        return $this(PotDaysInput::from($input))->toArray();
    }

    /**
     * All bikes from a pot day on, without another one.
     *
     * @return array{blocked: int, bikes: list<int>, tooLong: list<bool>, minutes: array<int, float>, dips: array<int, int>} the first day that one of
     *                                                                       them cannot be ridden (all days: never), which; until each day: minutes of swaps and top-ups, chains that a pot would dip
     */
    private function stretch(PotDaysInput $in, int $from): array
    {
        $first = max(0, $from);
        [$blocked, $bikes, $tooLong] = [$in->days, [], []];
        $minutes = $dips = array_fill($first, $in->days - $first + 1, 0);
        foreach ($in->bikes as $n => $bike) {
            $run = new BikeRun($bike, $in->topUp);
            // After the pot it makes no difference which chain is on: all are alike.
            $from < 0 || $run->dip();
            for ($day = $first; $day <= $blocked && $day < $in->days; $day++) {
                $minutes[$day] += count($run->swaps) * $in->swapMinutes + count($run->dripped) * ($in->topUp->minutes ?? 0.0);
                $dips[$day] += count($run->worn());
                if (! $run->ride($day)) {
                    if ($day < $blocked) {
                        [$blocked, $bikes, $tooLong] = [$day, [], []];
                    }
                    $bikes[] = $n;
                    $tooLong[] = $run->tooLong;
                    continue 2;
                }
            }
            if ($blocked === $in->days) {
                $minutes[$in->days] += count($run->swaps) * $in->swapMinutes + count($run->dripped) * ($in->topUp->minutes ?? 0.0);
            }
        }

        return ['blocked' => $blocked, 'bikes' => $bikes, 'tooLong' => $tooLong, 'minutes' => $minutes, 'dips' => $dips];
    }

    /**
     * The latest day to which any choice comes, and the first bike that cannot be ridden then.
     *
     * @param array<int, array{blocked: int, bikes: list<int>, tooLong: list<bool>, minutes: array<int, float>, dips: array<int, int>}> $stretches
     *
     * @return array{int, string|int, bool}
     */
    private function block(PotDaysInput $in, array $stretches): array
    {
        $latest = max(0, ...array_column($stretches, 'blocked'));
        $found = [];
        foreach ($stretches as $stretch) {
            foreach ($stretch['blocked'] === $latest ? $stretch['bikes'] : [] as $i => $bike) {
                $found[$bike] = $stretch['tooLong'][$i];
            }
        }
        ksort($found);
        $bike = (int) array_key_first($found);

        return [$latest, $in->bikes[$bike]->id, $found[$bike]];
    }

    /** Whether a pinned day lies between two others. */
    private static function jumps(PotDaysInput $in, int $from, int $to): bool
    {
        foreach ($in->pinned as $day) {
            if ($day > $from && $day < $to) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param array{float, int, int, int, mixed} $a cost, pot days that nobody wants, pot days, the first of them
     * @param array{float, int, int, int, mixed} $b
     */
    private static function beats(array $a, array $b): bool
    {
        if ($a[1] !== $b[1]) {
            return $a[1] < $b[1];
        }
        $tie = abs($a[0] - $b[0]) <= Check::EPSILON * max(1.0, $a[0], $b[0]);

        return $tie ? ($a[2] <=> $b[2] ?: $b[3] <=> $a[3]) < 0 : $a[0] < $b[0];
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
                $swaps[] = new PlannedSwap($day, $bike->id, $bike->chains[$from], $bike->chains[$to]);
            }
            foreach ($run->dripped as [$day, $chain]) {
                $drips[] = new PlannedDrip($day, $bike->id, $bike->chains[$chain]);
            }
        }
        usort($swaps, fn(PlannedSwap $a, PlannedSwap $b) => $a->day <=> $b->day);
        usort($drips, fn(PlannedDrip $a, PlannedDrip $b) => $a->day <=> $b->day);

        return [$swaps, $drips];
    }
}
