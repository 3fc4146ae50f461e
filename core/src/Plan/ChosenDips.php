<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Maths\Memo;
use Dripel\Core\Maths\NoMemo;

/**
 * The best pot days and the best chains for each. Bikes depend on one another only by the pot: each is searched alone for all that the
 * pot can do for it (BikeDips), bounded by what a plan that is known takes and by what the others will take at least; then the bikes
 * are put together, choice of pot days by choice of pot days. Exact unless there is too much to search: then the best that was found,
 * never worse than to dip everything, with a proved bound on what better there could be. Source: branch and bound, any textbook of
 * operations research.
 */
final class ChosenDips
{
    /** So many ways are made, and days ridden by them, at most: about a second. */
    private const STEPS = 150_000;

    /** Up to here the search is carried through whatever it takes: seldom more than a third of a second. */
    private const SMALL = ['days' => 28, 'allowed' => 8, 'bikes' => 5, 'chains' => 14];

    /** So many sums of two bikes' minutes take as long as a step. */
    private const SUMS_PER_STEP = 20;

    /** Where there are too many allowed days, so many of them are searched; in plans of a fortnight and in very long ones none. */
    private const NEAR = 7;

    private const NEAR_DAYS = [15, 60];

    /** Up to so many allowed days it is quicker to search them all at once than those of the best plan first. */
    private const FEW = 5;

    /** So many sets of days that nobody wants are searched one by one. */
    private const SETS = 500;

    /** Choices of pot days are looked up in a table that doubles with each allowed day: where a plan is known, and where none is. */
    private const MOST_SEARCHED = 10;

    private const MOST_ALLOWED = 14;

    /** Up to so many allowed days what is of interest is told apart by the number of pot days to come. */
    private const MOST_COUNTED = 10;

    /** Steps spent on a good plan to begin with, where the search follows, and where it is all that is done. */
    private const FIRST_STEPS = 15_000;

    private const ONLY_STEPS = 600_000;

    /** Steps spent on what a bike would come to alone. */
    private const ALONE_STEPS = 3_000;

    /** Ways kept of each bike while a good plan is sought. */
    private const WIDTH = 8;

    /** A pot day that nobody wants is put off before any minutes are saved. */
    private const RELUCTANCE = 1e5;

    private readonly PotDays $replay;

    private ?PotDaysResult $best = null;

    /** @var array{float, int, int, int} of the best: minutes with reluctance, pot days, −first day, dips */
    private array $bestKey = [INF, 0, 0, 0];

    /** @var non-empty-list<BatchPrice> */
    private readonly array $prices;

    /** @var list<BikeDips> */
    private readonly array $bikes;

    /** Left to try. */
    private int $steps = 0;

    /** @param list<int>|PlanBlock $every the best pot days where all that was used is dipped */
    public function __construct(private readonly PotDaysInput $in, private readonly array|PlanBlock $every, Memo $memo = new NoMemo())
    {
        $this->replay = new PotDays();
        $this->prices = BatchPrice::all($in);
        $this->bikes = array_map(fn(PlannedBike $bike) => new BikeDips($in, $bike, $this->prices, $memo), $in->bikes);
    }

    public function best(): PotDaysResult
    {
        $allowed = array_keys(array_filter($this->in->allowedDays));
        $sets = $this->sets($allowed, is_array($this->every) ? $this->every : $allowed);
        $most = is_array($this->every) ? self::MOST_SEARCHED : self::MOST_ALLOWED;
        $searched = $sets !== [] && count($sets[0]) <= min([$most, ...array_map(BikeDips::mostAllowed(...), $this->in->bikes)]);
        if (is_array($this->every)) {
            $this->offer(array_fill_keys($this->every, null));
            $this->improve($this->every, $searched ? self::FIRST_STEPS : self::ONLY_STEPS);
            // Its own days first, for which little is to be searched: the better the plan that is known, the less of the rest.
            $pots = array_map(fn(PlannedPotDay $pot) => $pot->day, $this->best->potDays ?? []);
            $searched && count($sets[0]) > self::FEW && $this->search(array_values(array_intersect($allowed, $pots)));
            // Too many days to search them all: those of the best plan and the ones beside them.
            $near = $this->in->days >= self::NEAR_DAYS[0] && $this->in->days <= self::NEAR_DAYS[1];
            $searched || !$near || $this->search($this->around($pots));
        }
        $exact = $searched;
        foreach ($searched ? $sets : [] as $days) {
            $exact = $exact && $this->search($days);
        }
        if ($this->best === null) {
            return PotDaysResult::blocked($this->block(), $this->in->dips);
        }

        return $this->best->within($exact ? 0.0 : max(0.0, $this->best->totalMinutes - $this->least()));
    }

    /**
     * The sets of days that together are all there is. Of the days that nobody wants no more are looked at together than a plan has that is
     * known: one more costs more than it could save.
     *
     * @param list<int> $allowed
     * @param list<int> $known the pot days of that plan
     *
     * @return list<list<int>> empty: they are too many
     */
    private function sets(array $allowed, array $known): array
    {
        $unwanted = array_values(array_intersect($allowed, $this->in->reluctant));
        $count = count(array_intersect($known, $unwanted));
        $ways = 1;
        for ($n = 0; $n < $count; $n++) {
            $ways = intdiv($ways * (count($unwanted) - $n), $n + 1);
        }

        return $ways > self::SETS
            ? []
            : array_map(function (array $set) use ($allowed, $unwanted): array {
                $days = [...array_diff($allowed, $unwanted), ...$set];
                sort($days);

                return $days;
            }, self::choices($unwanted, $count));
    }

    /**
     * @param list<int> $of
     *
     * @return list<list<int>> every choice of so many of them
     */
    private static function choices(array $of, int $count): array
    {
        if ($count === 0) {
            return [[]];
        }
        $choices = [];
        foreach ($of as $n => $one) {
            foreach (self::choices(array_slice($of, $n + 1), $count - 1) as $others) {
                $choices[] = [$one, ...$others];
            }
        }

        return $choices;
    }

    /**
     * All that there is on some days; false if that was too much.
     *
     * @param list<int> $allowed the days on which the pot may be heated: a choice of them is a number, the first day its last bit
     */
    private function search(array $allowed): bool
    {
        if ($this->best !== null) {
            foreach ($this->bikes as $bike) {
                if ($bike->alone($allowed, 0, self::ALONE_STEPS) === INF) {
                    return true;
                }
            }
        }
        $choices = 1 << count($allowed);
        // By way to price batches and by choice of pot days: what they take, and what each bike comes to at least.
        $pot = array_map(fn(BatchPrice $price) => $this->potMinutes($allowed, $price), $this->prices);
        $atLeast = array_map(
            fn(int $k) => array_map(
                fn(BikeDips $bike) => array_fill(
                    0,
                    $choices,
                    $this->best === null ? $bike->least($k) : $bike->alone($allowed, $k, self::ALONE_STEPS),
                ),
                $this->bikes,
            ),
            array_keys($this->prices),
        );
        [$ends, $until, $this->steps] = [[], $this->in->days, $this->small(count($allowed)) ? PHP_INT_MAX : self::STEPS];
        // The simplest bike first: what is known of it bounds the next.
        $order = array_keys($this->bikes);
        usort($order, fn(int $a, int $b) => count($this->in->bikes[$a]->chains) <=> count($this->in->bikes[$b]->chains));
        foreach ($order as $n) {
            $room = array_map(fn(array $taken, array $of) => $this->room($taken, $of, $n, count($allowed)), $pot, $atLeast);
            $found = $this->bikes[$n]->search($allowed, $room, $this->steps, $until);
            $this->steps -= $this->bikes[$n]->steps();
            if ($found === null) {
                return false;
            }
            // Where one is stuck there is no plan; what is left to know is whether another is stuck before it.
            $until = min($until, $this->bikes[$n]->block()->day ?? $until);
            $ends[$n] = $found;
            foreach ($this->prices as $k => $price) {
                $atLeast[$k][$n] = self::leastWithin($found, $price, $choices, count($allowed));
            }
        }
        if ($until < $this->in->days) {
            return true;
        }
        ksort($ends);
        // The choice that promises most first: what it brings leaves the less to look at.
        $least = [];
        for ($choice = 0; $choice < $choices; $choice++) {
            $least[$choice] = max(
                array_map(fn(array $taken, array $of) => $taken[$choice] + array_sum(array_column($of, $choice)), $pot, $atLeast),
            );
        }
        asort($least);
        foreach ($least as $choice => $minutes) {
            if ($minutes > $this->allowance()) {
                break;
            }
            $this->combine(
                $choice,
                $allowed,
                $ends,
                array_map(fn(array $of) => array_column($of, $choice), $atLeast),
                array_column($pot, $choice),
            );
            if ($this->steps < 0) {
                return false;
            }
        }

        return true;
    }

    private function small(int $allowed): bool
    {
        return $this->in->days <= self::SMALL['days'] &&
            $allowed <= self::SMALL['allowed'] &&
            count($this->in->bikes) <= self::SMALL['bikes'] &&
            array_sum(array_map(fn(PlannedBike $bike) => count($bike->chains), $this->in->bikes)) <= self::SMALL['chains'];
    }

    /**
     * What each choice of pot days takes whatever is dipped; infinitely much without a pinned day, or
     * where they are fewer than a bike needs.
     *
     * @param list<int> $allowed
     *
     * @return list<float>
     */
    private function potMinutes(array $allowed, BatchPrice $price): array
    {
        $pinned = 0;
        foreach ($allowed as $bit => $day) {
            $pinned |= in_array($day, $this->in->pinned, true) ? 1 << $bit : 0;
        }
        $minutes = [0.0];
        foreach ($allowed as $day) {
            $each = $price->potMinutes + (in_array($day, $this->in->reluctant, true) ? self::RELUCTANCE : 0.0);
            foreach ($minutes as $so) {
                $minutes[] = $so + $each;
            }
        }

        $fewest = max([0, ...array_map(fn(BikeDips $bike) => $bike->pots(), $this->bikes)]);

        return array_map(
            fn(float $each, int $choice) => ($choice & $pinned) === $pinned && self::count($choice) >= $fewest ? $each : INF,
            $minutes,
            array_keys($minutes),
        );
    }

    /**
     * Up to what minutes of its own a bike that dips on some days is still of interest: what the best plan leaves of the pot and of the
     * other bikes, on these days and perhaps more.
     *
     * @param list<float> $pot
     * @param array<int, list<float>> $atLeast
     *
     * @return list<list<float>> by the fewest pot days that there will be in all, and by choice
     */
    private function room(array $pot, array $atLeast, int $bike, int $bits): array
    {
        unset($atLeast[$bike]);
        $own = $pot;
        foreach ($atLeast as $of) {
            foreach ($of as $choice => $minutes) {
                $own[$choice] += $minutes;
            }
        }
        $allowance = $this->allowance();
        $room = [];
        for ($fewest = 0; $fewest <= ($bits > self::MOST_COUNTED ? 0 : $bits); $fewest++) {
            $taken = $own;
            foreach ($taken as $choice => $_) {
                if (self::count($choice) < $fewest) {
                    $taken[$choice] = INF;
                }
            }
            for ($bit = 0; $bit < $bits; $bit++) {
                foreach ($taken as $choice => $minutes) {
                    if (!(($choice >> $bit) & 1)) {
                        $taken[$choice] = min($minutes, $taken[$choice | (1 << $bit)]);
                    }
                }
            }
            $room[$fewest] = array_values(array_map(fn(float $minutes) => is_infinite($minutes) ? -INF : $allowance - $minutes, $taken));
        }

        return array_values($room);
    }

    /** How many days are chosen. */
    private static function count(int $choice): int
    {
        return substr_count(decbin($choice), '1');
    }

    /**
     * The least that a bike comes to where it may dip on some days, and need not on all.
     *
     * @param list<DipEnd> $ends
     *
     * @return list<float>
     */
    private static function leastWithin(array $ends, BatchPrice $price, int $choices, int $bits): array
    {
        $least = array_fill(0, $choices, INF);
        foreach ($ends as $end) {
            $least[$end->choice] = min($least[$end->choice], $end->minutes + $end->dips * $price->share);
        }
        for ($bit = 0; $bit < $bits; $bit++) {
            foreach ($least as $choice => $minutes) {
                if (($choice >> $bit) & 1) {
                    $least[$choice] = min($minutes, $least[$choice ^ (1 << $bit)]);
                }
            }
        }

        return array_values($least);
    }

    /**
     * The best that the bikes bring on some pot days, with the batches as they come.
     *
     * @param list<int> $allowed
     * @param array<int, list<DipEnd>> $ends of each bike, the cheapest first
     * @param list<list<float>> $atLeast of each bike on these days, by way to price batches
     * @param list<float> $pot what these days take, by way to price batches
     */
    private function combine(int $choice, array $allowed, array $ends, array $atLeast, array $pot): void
    {
        $in = $this->in;
        $chosen = array_values(array_filter(array_keys($allowed), fn(int $bit) => (($choice >> $bit) & 1) === 1));
        $room = $this->allowance();
        // Each pot day has one batch at least.
        $batches = array_map(
            fn(int $dips) => max(1, $in->batches($dips)) * $in->batchMinutes,
            range(0, array_sum(array_map(fn(PlannedBike $bike) => count($bike->chains), $in->bikes))),
        );
        $heat = $pot[0] - count($chosen) * $in->batchMinutes;
        $shared = count($this->prices) - 1;
        $share = $this->prices[$shared]->share;
        $rest = array_map(array_sum(...), $atLeast);
        // By the dips of each pot day: minutes, dips, how many on each day, the end of each bike.
        $sums = [[0.0, 0, array_fill(0, count($chosen), 0), []]];
        foreach ($ends as $n => $of) {
            $others = array_map(fn(array $each) => array_sum($each) - $each[$n], $atLeast);
            $rest = array_map(fn(float $so, array $each) => $so - $each[$n], $rest, $atLeast);
            $fit = [];
            foreach ($of as $end) {
                if ($end->minutes + $others[0] + $pot[0] > $room) {
                    break;
                }
                if (
                    ($end->choice | $choice) === $choice &&
                    $end->minutes + $end->dips * $share + $others[$shared] + $pot[$shared] <= $room
                ) {
                    $counts = $this->bikes[$n]->counts($end, count($allowed));
                    $fit[] = [$end, array_map(fn(int $bit) => $counts[$bit], $chosen)];
                }
            }
            $next = [];
            $this->steps -= intdiv(count($sums) * count($fit), self::SUMS_PER_STEP);
            if ($this->steps < 0) {
                return;
            }
            foreach ($sums as [$minutes, $dips, $counts, $picks]) {
                foreach ($fit as [$end, $more]) {
                    $sum = $minutes + $end->minutes;
                    if ($sum + $rest[0] + $pot[0] > $room) {
                        break;
                    }
                    if ($sum + ($dips + $end->dips) * $share + $rest[$shared] + $pot[$shared] > $room) {
                        continue;
                    }
                    $total = $sum + $rest[0] + $heat;
                    foreach ($counts as $at => $count) {
                        $total += $batches[($more[$at] += $count)];
                    }
                    if ($total > $room) {
                        continue;
                    }
                    $key = implode(',', $more);
                    if (!isset($next[$key]) || self::less($sum, $dips + $end->dips, $next[$key][0], $next[$key][1])) {
                        $next[$key] = [$sum, $dips + $end->dips, $more, [...$picks, $end]];
                    }
                }
            }
            $sums = $next;
        }
        foreach ($sums as [$minutes, $dips, $counts, $picks]) {
            $plan = $this->dips($choice, $allowed, $picks);
            // A pot day for nobody is the plan without it: it comes up there.
            if (
                $minutes + $heat + array_sum(array_map($in->batches(...), $counts)) * $in->batchMinutes <= $this->allowance() &&
                array_filter(
                    $plan,
                    fn(array $chains, int $day) => $chains === [] && !in_array($day, $in->pinned, true),
                    ARRAY_FILTER_USE_BOTH,
                ) === []
            ) {
                $this->offer($plan);
            }
        }
    }

    /**
     * @param list<int> $allowed
     * @param list<DipEnd> $picks one of each bike
     *
     * @return array<int, list<string|int>> the chains of each pot day
     */
    private function dips(int $choice, array $allowed, array $picks): array
    {
        $dips = [];
        foreach ($allowed as $bit => $day) {
            if (($choice >> $bit) & 1) {
                $dips[$day] = [];
            }
        }
        foreach ($picks as $n => $end) {
            foreach ($end->taken as $day => $chains) {
                foreach ($chains as $chain) {
                    $dips[$day][] = $this->in->bikes[$n]->chains[$chain]->id;
                }
            }
        }

        return $dips;
    }

    /**
     * Takes a plan, ridden once more from the start, if it beats the best.
     *
     * @param array<int, list<string|int>|null> $dips by pot day
     */
    private function offer(array $dips): bool
    {
        $plan = $this->replay->replay($this->in, $dips);
        if (!$plan->feasible) {
            return false;
        }
        $days = array_keys($dips);
        $key = [
            $plan->totalMinutes + self::RELUCTANCE * count(array_intersect($days, $this->in->reluctant)),
            count($days),
            -($days[0] ?? 0),
            $plan->dipCount(),
        ];
        $tie = abs($key[0] - $this->bestKey[0]) <= self::slack($key[0]);
        if (
            !($tie ? [$key[1], $key[2], $key[3]] < [$this->bestKey[1], $this->bestKey[2], $this->bestKey[3]] : $key[0] < $this->bestKey[0])
        ) {
            return false;
        }
        [$this->best, $this->bestKey] = [$plan, $key];

        return true;
    }

    /**
     * A good plan before the search, and the plan where there is too much to search: the ways that look best on given days, then with a
     * day fewer, moved or more, as long as it helps and steps are left.
     *
     * @param list<int> $pots
     */
    private function improve(array $pots, int $steps): void
    {
        $this->steps = $steps;
        $tried = [implode(',', $pots) => true];
        $this->along($pots);
        for ($better = true; $better && $this->best !== null; ) {
            $better = false;
            foreach ($this->variants() as $days) {
                if ($this->steps < 0) {
                    return;
                }
                $key = implode(',', $days);
                if (!isset($tried[$key])) {
                    $tried[$key] = true;
                    if ($this->along($days)) {
                        $better = true;
                        break;
                    }
                }
            }
        }
    }

    /**
     * The pot days of the best plan with one left out, with one moved to an allowed day beside it, with one more.
     *
     * @return list<list<int>>
     */
    private function variants(): array
    {
        $now = array_map(fn(PlannedPotDay $pot) => $pot->day, $this->best->potDays ?? []);
        $variants = [];
        foreach (array_diff($now, $this->in->pinned) as $day) {
            $without = array_diff($now, [$day]);
            foreach ([$day, $this->beside($day, -1), $this->beside($day, 1)] as $to) {
                $variants[] = $to === null || in_array($to, $now, true) ? $without : [...$without, $to];
            }
        }
        foreach (array_diff(array_keys(array_filter($this->in->allowedDays)), $now, $this->in->reluctant) as $day) {
            $variants[] = [...$now, $day];
        }

        return array_map(function (array $days): array {
            sort($days);

            return $days;
        }, $variants);
    }

    /**
     * Takes what looks best on given pot days, if it beats the best.
     *
     * @param list<int> $days
     */
    private function along(array $days): bool
    {
        [$dips, $minutes] = [array_fill_keys($days, []), 0.0];
        foreach ($this->bikes as $n => $bike) {
            $found = $bike->along($days, self::WIDTH);
            $this->steps -= $bike->steps();
            if ($found === null) {
                return false;
            }
            $minutes += $found[1];
            foreach ($found[0] as $day => $chains) {
                $dips[$day] = [...$dips[$day], ...array_map(fn(int $chain) => $this->in->bikes[$n]->chains[$chain]->id, $chains)];
            }
        }
        $dips = array_filter(
            $dips,
            fn(array $chains, int $day) => $chains !== [] || in_array($day, $this->in->pinned, true),
            ARRAY_FILTER_USE_BOTH,
        );
        foreach ($dips as $day => $chains) {
            $minutes +=
                $this->in->fixedMinutes +
                $this->in->batches(count($chains)) * $this->in->batchMinutes +
                (in_array($day, $this->in->reluctant, true) ? self::RELUCTANCE : 0.0);
        }

        // One that takes longer is not ridden once more to see it.
        return $minutes - self::slack($minutes) <= $this->allowance() && $this->offer($dips);
    }

    /**
     * Allowed days in which a better plan is likely: those given, the first ones, and those beside them.
     *
     * @param list<int> $pots
     *
     * @return list<int> rising
     */
    private function around(array $pots): array
    {
        $allowed = array_keys(array_filter($this->in->allowedDays));
        $likely = [...$pots, ...$this->in->pinned, ...array_slice($allowed, 0, 2)];
        foreach ([...$pots, ...array_slice($allowed, 0, 1)] as $day) {
            for ($i = 0, $before = $after = $day; $i < 2; $i++) {
                $before = $before === null ? null : $this->beside($before, -1);
                $after = $after === null ? null : $this->beside($after, 1);
                array_push($likely, ...array_filter([$before, $after], fn(?int $one) => $one !== null));
            }
        }
        $likely = array_slice(array_values(array_unique($likely)), 0, max(self::NEAR, count($this->in->pinned)));
        sort($likely);

        return $likely;
    }

    /** The next allowed day before (−1) or after (1) another that nobody minds. */
    private function beside(int $day, int $step): ?int
    {
        for ($day += $step; $day >= 0 && $day < $this->in->days; $day += $step) {
            if ($this->in->allowedDays[$day] && !in_array($day, $this->in->reluctant, true)) {
                return $day;
            }
        }

        return null;
    }

    /** No plan takes less. */
    private function least(): float
    {
        $pots = max([0, ...array_map(fn(BikeDips $bike) => $bike->pots(), $this->bikes)]);

        return max(
            array_map(
                fn(BatchPrice $price, int $k) => $pots * $price->potMinutes +
                    array_sum(array_map(fn(BikeDips $bike) => $bike->least($k), $this->bikes)),
                $this->prices,
                array_keys($this->prices),
            ),
        );
    }

    /** The latest day that any choice comes to. */
    private function block(): PlanBlock
    {
        assert($this->every instanceof PlanBlock);
        $blocks = array_filter(array_map(fn(BikeDips $bike) => $bike->block(), $this->bikes));
        usort($blocks, fn(PlanBlock $a, PlanBlock $b) => $a->day <=> $b->day);

        return $blocks !== [] && $blocks[0]->day > $this->every->day ? $blocks[0] : $this->every;
    }

    private function allowance(): float
    {
        return $this->bestKey[0] + ($this->best === null ? 0.0 : self::slack($this->bestKey[0]));
    }

    private static function slack(float $minutes): float
    {
        return Check::EPSILON * max(1.0, $minutes);
    }

    /** Less time, or as much of it with fewer dips. */
    public static function less(float $minutes, int $dips, float $thanMinutes, int $thanDips): bool
    {
        return abs($minutes - $thanMinutes) <= Check::EPSILON ? $dips < $thanDips : $minutes < $thanMinutes;
    }
}
