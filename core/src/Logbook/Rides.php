<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use ArrayAccess;
use Countable;
use IteratorAggregate;
use LogicException;
use Traversable;

/**
 * Rides in order: of a bike, or of a chain on whatever bikes it was. It says how many, how far and how long without making any of them;
 * by place, or one after the other, they are made as they are asked for.
 *
 * @implements ArrayAccess<int, Ride>
 * @implements IteratorAggregate<int, Ride>
 */
final class Rides implements ArrayAccess, Countable, IteratorAggregate
{
    /** While they are put in order, one number says the run of a ride and its place there. */
    private const PLACE_BITS = 32;

    private const PLACE = (1 << self::PLACE_BITS) - 1;

    /** @var non-empty-list<int<0, max>> how many there are before each stretch, and in all */
    private readonly array $before;

    /** @var array<string, non-empty-list<int>> what those before each stretch add up to, in parts, once it was asked for */
    private array $sums = [];

    /** @param list<array{RideRun, int, int}> $stretches each of a run, from one place to before another, none of them empty; in order */
    private function __construct(private readonly array $stretches)
    {
        $before = [0];
        foreach ($stretches as [, $from, $to]) {
            $before[] = $before[count($before) - 1] + max(0, $to - $from);
        }
        $this->before = $before;
    }

    /** @param list<Ride> $rides in any order, of any bike */
    public static function of(array $rides): self
    {
        return self::whole(RideRun::of(null, $rides));
    }

    public static function whole(RideRun $run): self
    {
        return new self(count($run) === 0 ? [] : [[$run, 0, count($run)]]);
    }

    /** @param list<array{RideRun, int, int}> $stretches in any order; what was ridden at the same time on two bikes is put in its place */
    public static function ofStretches(array $stretches): self
    {
        usort($stretches, fn(array $a, array $b) => $a[0]->atS[$a[1]] <=> $b[0]->atS[$b[1]]);
        $rides = new self($stretches);
        for ($i = 1; $i < count($stretches); $i++) {
            [[$run, , $to], [$next, $from]] = [$stretches[$i - 1], $stretches[$i]];
            if ($run->atS[$to - 1] >= $next->atS[$from] && $run->comesAfter($to - 1, $next->ride($from))) {
                return self::of($rides->all());
            }
        }

        return $rides;
    }

    /** @param list<RideRun> $runs of different bikes; by instant first, which needs no comparisons, then within each instant */
    public static function merged(array $runs): self
    {
        $atS = [];
        foreach ($runs as $n => $run) {
            foreach ($run->atS as $place => $at) {
                $atS[($n << self::PLACE_BITS) | $place] = $at;
            }
        }
        asort($atS);
        [$order, $atS] = [array_keys($atS), array_values($atS)];
        $ride = fn(int $one): Ride => $runs[$one >> self::PLACE_BITS]->ride($one & self::PLACE);
        for ($i = 0, $count = count($order); $i < $count; $i = $next) {
            for ($next = $i + 1; $next < $count && $atS[$next] === $atS[$i]; $next++);
            if ($next > $i + 1) {
                $atOnce = array_slice($order, $i, $next - $i);
                usort($atOnce, fn(int $a, int $b) => Entry::compare($ride($a), $ride($b)));
                foreach ($atOnce as $n => $one) {
                    $order[$i + $n] = $one;
                }
            }
        }
        $stretches = [];
        for ($i = 0; $i < $count; $i = $next) {
            // What follows in its run too makes a stretch longer.
            for ($next = $i + 1; $next < $count && $order[$next] === $order[$next - 1] + 1; $next++);
            $place = $order[$i] & self::PLACE;
            $stretches[] = [$runs[$order[$i] >> self::PLACE_BITS], $place, $place + $next - $i];
        }

        return new self($stretches);
    }

    /** @return int<0, max> */
    public function count(): int
    {
        return $this->before[count($this->stretches)];
    }

    public function first(): ?Ride
    {
        return $this->count() === 0 ? null : $this[0];
    }

    public function last(): ?Ride
    {
        return $this->count() === 0 ? null : $this[$this->count() - 1];
    }

    /** @return list<Ride> all of them, made */
    public function all(): array
    {
        return iterator_to_array($this, false);
    }

    /** @return list<int> when each began, Unix seconds */
    public function instants(): array
    {
        $instants = [];
        foreach ($this->stretches as [$run, $from, $to]) {
            for ($place = $from; $place < $to; $place++) {
                $instants[] = $run->atS[$place];
            }
        }

        return $instants;
    }

    /** Those from a place on; of these so many, or all. */
    public function slice(int $from, ?int $length = null): self
    {
        $to = $length === null ? $this->count() : min($this->count(), $from + $length);
        $cut = [];
        foreach ($this->stretches as $i => [$run, $start, $end]) {
            $first = max($start, $start + $from - $this->before[$i]);
            $past = min($end, $start + $to - $this->before[$i]);
            $first < $past && ($cut[] = [$run, $first, $past]);
        }

        return new self($cut);
    }

    /** The same and later ones. */
    public function and(self $later): self
    {
        return new self([...$this->stretches, ...$later->stretches]);
    }

    /** Those that satisfy something. */
    public function where(callable $wanted): self
    {
        $found = [];
        foreach ($this->stretches as [$run, $from, $to]) {
            for ($place = $from; $place < $to; $place++) {
                $wanted($run->ride($place)) && ($found[] = [$run, $place, $place + 1]);
            }
        }

        return new self($found);
    }

    /**
     * The same in another order; what is asked by instant has no answer then.
     *
     * @param list<int> $places
     */
    public function arranged(array $places): self
    {
        return new self(
            array_map(function (int $at): array {
                [$run, $place] = $this->placeOf($at);

                return [$run, $place, $place + 1];
            }, $places),
        );
    }

    /** How many come before an entry, or are it. */
    public function countUpTo(Entry $entry): int
    {
        $count = $this->countBefore($entry->moment->unixS);
        // Few begin at one instant.
        for ($all = $this->count(); $count < $all; $count++) {
            [$run, $place] = $this->placeOf($count);
            if ($run->comesAfter($place, $entry)) {
                break;
            }
        }

        return $count;
    }

    /** How many began before an instant, Unix seconds: half of what is left goes with each question. */
    public function countBefore(int $atS): int
    {
        [$low, $high] = [0, count($this->stretches)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$run, , $to] = $this->stretches[$middle];
            $run->atS[$to - 1] < $atS ? ($low = $middle + 1) : ($high = $middle);
        }
        if ($low === count($this->stretches)) {
            return $this->count();
        }
        [$run, $start, $to] = $this->stretches[$low];
        $from = $start;
        while ($from < $to) {
            $middle = intdiv($from + $to, 2);
            $run->atS[$middle] < $atS ? ($from = $middle + 1) : ($to = $middle);
        }

        return max(0, $this->before[$low] + $from - $start);
    }

    /** Those that began at an instant or before it, Unix seconds. */
    public function through(int $atS): self
    {
        return $atS === PHP_INT_MAX ? $this : $this->slice(0, $this->countBefore($atS + 1));
    }

    /** Those that began from an instant on and before another, Unix seconds; null: all later ones. */
    public function between(int $fromS, ?int $untilS): self
    {
        $from = $this->countBefore($fromS);

        return $this->slice($from, $untilS === null ? null : max(0, $this->countBefore($untilS) - $from));
    }

    /** Those that come after an entry. */
    public function after(Entry $entry): self
    {
        return $this->slice($this->countUpTo($entry));
    }

    /** What all of them add up to, or the first so many. */
    public function sum(RideSum $of, ?int $count = null): float
    {
        return $this->parts($of, $count ?? $this->count()) / RideRun::PARTS;
    }

    /** km as ridden. */
    public function km(): float
    {
        return $this->sum(RideSum::Km);
    }

    /** km of wax by the factors of a workshop. */
    public function effectiveKm(Settings $settings): float
    {
        $parts = 0;
        foreach ($this->stretches as [$run, $from, $to]) {
            $parts += $run->effective($settings, $from, $to);
        }

        return $parts / RideRun::PARTS;
    }

    public function getIterator(): Traversable
    {
        foreach ($this->stretches as [$run, $from, $to]) {
            for ($place = $from; $place < $to; $place++) {
                yield $run->ride($place);
            }
        }
    }

    /** @param int $offset */
    public function offsetExists(mixed $offset): bool
    {
        return $offset >= 0 && $offset < $this->count();
    }

    /** @param int $offset */
    public function offsetGet(mixed $offset): Ride
    {
        $this->offsetExists($offset) || throw new LogicException("There is no ride {$offset} among {$this->count()}.");
        [$run, $place] = $this->placeOf($offset);

        return $run->ride($place);
    }

    public function offsetSet(mixed $offset, mixed $value): never
    {
        throw new LogicException('Rides do not change.');
    }

    public function offsetUnset(mixed $offset): never
    {
        throw new LogicException('Rides do not change.');
    }

    private function parts(RideSum $of, int $count): int
    {
        if (!isset($this->sums[$of->name])) {
            $sums = [0];
            foreach ($this->stretches as [$run, $from, $to]) {
                $sums[] = $sums[count($sums) - 1] + $run->sum($of, $from, $to);
            }
            $this->sums[$of->name] = $sums;
        }
        if ($count >= $this->count()) {
            return $this->sums[$of->name][count($this->stretches)];
        }
        $i = $this->stretchOf($count);
        [$run, $from] = $this->stretches[$i];

        return $this->sums[$of->name][$i] + $run->sum($of, $from, $from + $count - $this->before[$i]);
    }

    /** @return array{RideRun, int} the run that one of them is of, and its place there */
    private function placeOf(int $at): array
    {
        $i = $this->stretchOf($at);
        [$run, $from] = $this->stretches[$i];

        return [$run, $from + $at - $this->before[$i]];
    }

    /** The stretch that a place is in. */
    private function stretchOf(int $place): int
    {
        [$low, $high] = [0, count($this->stretches) - 1];
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            $this->before[$middle] <= $place ? ($low = $middle) : ($high = $middle - 1);
        }

        return $low;
    }
}
