<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;

/**
 * The best pot days where each dips every chain that was used: exact. A pot day makes all fresh, so the bikes do not depend on one
 * another between two of them, and the best choice is a shortest path over the allowed days. Source: shortest paths, any textbook.
 */
final class EveryDip
{
    /** @var array<int, array{block: PlanBlock|null, blocked: int, bike: int, minutes: array<int, float>, dips: array<int, int>}> by the day from which on; −1: from the start */
    private array $stretches = [];

    private function __construct(private readonly PotDaysInput $in) {}

    /** @return list<int>|PlanBlock the days; or, where no choice will do, the latest day that any comes to */
    public static function best(PotDaysInput $in): array|PlanBlock
    {
        return (new self($in))->search();
    }

    /** @return list<int>|PlanBlock */
    private function search(): array|PlanBlock
    {
        $in = $this->in;
        // From today (-1) and from each allowed day: how long it lasts, and what each day costs.
        $this->stretches = [-1 => $this->stretch(-1)];
        $best = [-1 => [0.0, 0, 0, 0, null]];
        for ($day = 0; $day < $in->days; $day++) {
            if (! $in->allowedDays[$day]) {
                continue;
            }
            foreach ($this->stretches as $from => $stretch) {
                if (! isset($best[$from]) || $from >= $day || $stretch['blocked'] < $day || $this->jumps($from, $day)) {
                    continue;
                }
                [$cost, $reluctant, $count, $first] = $best[$from];
                $candidate = [$cost + $stretch['minutes'][$day] + $in->potMinutes($stretch['dips'][$day]), $reluctant + (in_array($day, $in->reluctant, true) ? 1 : 0), $count + 1, $from === -1 ? $day : $first, $from];
                if (! isset($best[$day]) || self::beats($candidate, $best[$day])) {
                    $best[$day] = $candidate;
                }
            }
            if (isset($best[$day])) {
                $this->stretches[$day] = $this->stretch($day);
            }
        }
        [$end, $last] = [null, null];
        foreach ($best as $from => [$cost, $reluctant, $count, $first]) {
            if ($this->stretches[$from]['blocked'] >= $in->days && ! $this->jumps($from, $in->days)) {
                $candidate = [$cost + $this->stretches[$from]['minutes'][$in->days], $reluctant, $count, $first, $from];
                if ($end === null || self::beats($candidate, $end)) {
                    [$end, $last] = [$candidate, $from];
                }
            }
        }
        if ($end === null || $last === null) {
            return $this->block();
        }
        $days = [];
        for ($day = $last; $day !== -1; $day = $best[$day][4] ?? -1) {
            array_unshift($days, $day);
        }

        return $days;
    }

    /**
     * All bikes from a pot day on, without another one.
     *
     * @return array{block: PlanBlock|null, blocked: int, bike: int, minutes: array<int, float>, dips: array<int, int>} the first day that one of
     *                                                                       them cannot be ridden (all days: never), which; until each day: minutes of swaps and top-ups, chains that a pot would dip
     */
    private function stretch(int $from): array
    {
        $in = $this->in;
        $first = max(0, $from);
        [$blocked, $block, $at] = [$in->days, null, 0];
        $minutes = $dips = array_fill($first, $in->days - $first + 1, 0);
        foreach ($in->bikes as $n => $bike) {
            $run = new BikeRun($bike, $in->topUp);
            // After the pot it makes no difference which chain is on: all are alike.
            $from < 0 || $run->dip($run->worn());
            for ($day = $first; $day <= $blocked && $day < $in->days; $day++) {
                $minutes[$day] += count($run->swaps) * $in->swapMinutes + count($run->dripped) * ($in->topUp->minutes ?? 0.0);
                $dips[$day] += count($run->worn());
                $missed = $run->dipBy === [] ? null : $run->missed($day);
                if ($missed !== null || ! $run->ride($day)) {
                    $found = new PlanBlock($day, $bike->id, $missed === null && $run->tooLong, $missed === null ? null : $bike->chains[$missed]->id);
                    // A deadline is told before a ride of the same day.
                    if ($day < $blocked || ($missed !== null && $block?->chain === null)) {
                        [$blocked, $block, $at] = [$day, $found, $n];
                    }
                    continue 2;
                }
            }
            if ($blocked === $in->days) {
                $minutes[$in->days] += count($run->swaps) * $in->swapMinutes + count($run->dripped) * ($in->topUp->minutes ?? 0.0)
                    + ($in->dips === DipRule::Chosen ? $in->endMinutesPerChain * $run->spent() : 0.0);
            }
        }

        return ['block' => $block, 'blocked' => $blocked, 'bike' => $at, 'minutes' => $minutes, 'dips' => $dips];
    }

    /** The latest day to which any choice comes, and what is wrong then: a deadline before a ride, of the first bike. */
    private function block(): PlanBlock
    {
        $blocked = array_filter($this->stretches, fn(array $stretch) => $stretch['block'] !== null);
        usort($blocked, fn(array $a, array $b) => $b['blocked'] <=> $a['blocked'] ?: ($a['block']->chain === null) <=> ($b['block']->chain === null) ?: $a['bike'] <=> $b['bike']);

        return $blocked[0]['block'] ?? new PlanBlock(0, $this->in->bikes[0]->id, false);
    }

    /** Whether a pinned day lies between two others. */
    private function jumps(int $from, int $to): bool
    {
        foreach ($this->in->pinned as $day) {
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
}
