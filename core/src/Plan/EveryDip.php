<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Maths\Memo;

/**
 * The best pot days where each dips every chain that was used: exact. A pot day makes all fresh, so the bikes do not depend on one
 * another between two of them, and the best choice is a shortest path over the allowed days. What a pot day leaves is the same whatever
 * came before, but for chains that had top-ups and have used nothing: they are not dipped, and have fewer top-ups to come; and for
 * chains that are not dipped on just any day. Source: shortest paths, any textbook.
 */
final class EveryDip
{
    /** @var array<string, EveryStretch> by what they start from */
    private array $stretches = [];

    /** What a stretch follows from that begins with all chains as good as new; null: nothing is kept of it. */
    private readonly ?string $terms;

    private function __construct(private readonly PotDaysInput $in, private readonly ?Memo $memo)
    {
        $this->terms = $memo === null ? null : $this->terms();
    }

    /**
     * @param Memo|null $memo of stretches, for plans of the same rides week after week; null: it is another than all before
     *
     * @return list<int>|PlanBlock the days; or, where no choice will do, the latest day that any comes to
     */
    public static function best(PotDaysInput $in, ?Memo $memo = null): array|PlanBlock
    {
        return (new self($in, $memo))->search();
    }

    /** @return list<int>|PlanBlock */
    private function search(): array|PlanBlock
    {
        $in = $this->in;
        // From today and from what each allowed day leaves: cost, pot days that nobody wants, pot days, the first of them, what came
        // before.
        $start = new EveryStretch($in, -1, []);
        $this->stretches = ['' => $start];
        $best = ['' => [0.0, 0, 0, 0, null]];
        for ($day = 0; $day < $in->days; $day++) {
            if (!$in->allowedDays[$day]) {
                continue;
            }
            $found = [];
            foreach ($this->stretches as $from => $stretch) {
                if ($stretch->blocked < $day || $this->jumps($stretch->from, $day)) {
                    continue;
                }
                [$cost, $reluctant, $count, $first] = $best[$from];
                $candidate = [
                    $cost + $stretch->minutes[$day] + $in->potMinutes($stretch->dips[$day]),
                    $reluctant + (in_array($day, $in->reluctant, true) ? 1 : 0),
                    $count + 1,
                    $stretch->from === -1 ? $day : $first,
                    $from,
                ];
                $left = $stretch->left[$day] ?? [];
                $key = $day . implode('', array_map(fn(int $n, BikeRun $run) => "|{$n}:{$run->state()}", array_keys($left), $left));
                if (!isset($best[$key]) || self::beats($candidate, $best[$key])) {
                    $best[$key] = $candidate;
                    $found[$key] = $left;
                }
            }
            foreach ($found as $key => $left) {
                $this->stretches[$key] = $this->stretch($day, $left);
            }
        }
        [$end, $last] = [null, ''];
        foreach ($this->stretches as $from => $stretch) {
            if ($stretch->blocked >= $in->days && !$this->jumps($stretch->from, $in->days)) {
                [$cost, $reluctant, $count, $first] = $best[$from];
                $candidate = [$cost + $stretch->minutes[$in->days], $reluctant, $count, $first, $from];
                if ($end === null || self::beats($candidate, $end)) {
                    [$end, $last] = [$candidate, $from];
                }
            }
        }
        if ($end === null) {
            return $this->block();
        }
        $days = [];
        for ($key = $last; $key !== null && $this->stretches[$key]->from >= 0; $key = $best[$key][4]) {
            array_unshift($days, $this->stretches[$key]->from);
        }

        return $days;
    }

    /** @param array<int, BikeRun> $left bikes that the pot did not make as good as new */
    private function stretch(int $day, array $left): EveryStretch
    {
        $make = fn(): EveryStretch => new EveryStretch($this->in, $day, $left);

        return $this->memo === null || $this->terms === null || $left !== [] ? $make() : $this->memo->of("{$this->terms} {$day}", $make);
    }

    /** Chains as good as new are alike, and which is on makes no difference. Null where not every pot day dips just any of them. */
    private function terms(): ?string
    {
        $in = $this->in;
        $bikes = [];
        foreach ($in->bikes as $bike) {
            if ($bike->choosy()) {
                return null;
            }
            $bikes[] = [$bike->id, $bike->intervalKm, $bike->intervalHours, $bike->dailyKm, $bike->dailyHours, count($bike->chains)];
        }

        return 'stretch ' .
            serialize([$in->days, $in->allowedDays, $in->swapMinutes, $in->topUp, $in->dips, $in->endMinutesPerChain, $bikes]);
    }

    /** The latest day to which any choice comes, and what is wrong then: a deadline before a ride, of the first bike. */
    private function block(): PlanBlock
    {
        $blocked = array_values(array_filter($this->stretches, fn(EveryStretch $stretch) => $stretch->block !== null));
        usort(
            $blocked,
            fn(EveryStretch $a, EveryStretch $b) => $b->blocked <=> $a->blocked ?:
            ($a->block?->chain === null) <=> ($b->block?->chain === null) ?:
            $a->bike <=> $b->bike,
        );

        return $blocked[0]->block ?? new PlanBlock(0, $this->in->bikes[0]->id);
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
