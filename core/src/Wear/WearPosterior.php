<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Maths\GaussPanel;
use Dripel\Core\Maths\Normal;

/**
 * What is believed of e0 and r after the readings, by quadrature: at each u = ln r a slice over e0 (WearSlice), the slices in panels
 * over u, halved until nothing is in doubt. How much lies beyond a cut is asked slice by slice where the cut is broad along u;
 * where it is sharp, quantile by quantile of the slices, each of which it cuts at one u only.
 */
final class WearPosterior implements WearBelief
{
    /** How far the search for the most likely rate goes, in log_sd of the prior, and in how many steps. */
    private const SEARCH_SD = 9.0;

    private const SEARCH_STEPS = 24;

    private const MOST_STEPS = 400;

    /** So much of the whole may be in doubt: of the belief itself, and of what lies beyond a cut. */
    private const DOUBT = 1e-5;

    private const CUT_DOUBT = 1e-5;

    /** The likelihood itself is known to so much of its logarithm: readings that exclude each other can make that many. */
    private const DIGITS = 1e-14;

    private const MOST_HALVINGS = 30;

    private const CUT_HALVINGS = 6;

    /** What is nearer to none or all than this is not told from it. */
    private const SURE = 1e-12;

    /** So many times the variance within the slices lies between their means where a cut along u is called sharp. */
    private const SHARP = 16.0;

    /** A normal distribution from end to end, as the bounds of panels. */
    private const SHEETS = [-4.8, 0.0, 4.8];

    /** @var list<WearPanel> in order of u */
    private array $panels = [];

    /** @var list<float> what lies before each panel, and all */
    private array $before = [0.0];

    /** @var list<array{float, list<float>, list<GaussPanel>}>|null weight of a quantile of the slices, where it is at the bounds of the panels, and within */
    private ?array $sheets = null;

    /** @var array{float, float, float, float, float, float}|null see moments */
    private ?array $moments = null;

    /** @var array<string, float> what was asked for, by x and limit */
    private array $pasts = [];

    /** ln of how likely the most likely is. */
    private float $peak = 0.0;

    private float $lastX;

    private function __construct(private readonly WearLikelihood $likelihood, private readonly WearPrior $prior)
    {
        $this->lastX = $likelihood->lastX;
    }

    /**
     * @param list<ForecastReading> $readings
     *
     * @throws InvalidInput at `readings` if they exclude each other so far that nothing is left of any difference in their likelihood
     */
    public static function of(array $readings, WearPrior $prior): self
    {
        $belief = new self(new WearLikelihood($readings), $prior);
        $belief->lay();

        return $belief;
    }

    public function rateMean(): float
    {
        return $this->moments()[1];
    }

    public function rateQuantile(float $p): float
    {
        $wanted = $p * $this->all();
        for ($i = 0; $i < count($this->panels) - 1 && $this->before[$i + 1] < $wanted; $i++);
        $mass = $this->panels[$i]->mass;
        [$low, $high] = [$mass->from, $mass->to];
        for ($n = 0; $n < 60 && $high - $low > 1e-10; $n++) {
            $u = ($low + $high) / 2;
            [$low, $high] = $this->before[$i] + $mass->until($u) < $wanted ? [$u, $high] : [$low, $u];
        }

        return exp(($low + $high) / 2);
    }

    public function initialMean(): float
    {
        return $this->moments()[0];
    }

    public function mean(float $x): float
    {
        [$initial, $rate] = $this->moments();

        return $initial + $rate * $x;
    }

    public function quantile(float $x, float $p): float
    {
        $mean = $this->mean($x);
        [$between, $within] = $this->spread($x);

        return self::solve(
            fn(float $e) => 1.0 - $this->past($x, $e) - $p,
            $mean + Normal::quantile($p) * sqrt($between + $within),
            0.3 * sqrt($between + $within),
        );
    }

    public function past(float $x, float $limitPct): float
    {
        // Of the ends between which something is looked for it is asked again and again.
        return $this->pasts[pack('dd', $x, $limitPct)] ??= $this->findPast($x, $limitPct);
    }

    private function findPast(float $x, float $limitPct): float
    {
        [$between, $within] = $this->spread($x);
        $sharp = $between > self::SHARP * $within && $x >= $this->lastX;

        return max(0.0, min(1.0, $sharp ? $this->pastBySheets($x, $limitPct) : $this->pastBySlices($x, $limitPct)));
    }

    public function firstPast(float $fromX, float $toX, float $limitPct, float $q): ?float
    {
        if ($this->past($fromX, $limitPct) >= $q) {
            return $fromX;
        }
        if ($this->past($toX, $limitPct) < $q) {
            return null;
        }
        // Rates are above 0, so it only grows; halved in the logarithm of the way ahead, which may be short or very long.
        [$low, $high] = [1e-6, $toX - $fromX];
        if ($this->past($fromX + $low, $limitPct) >= $q) {
            return $fromX;
        }
        // As a normal quantile it is nearly a straight line in the logarithm: a chord soon finds it.
        $z = fn(float $p): float => Normal::quantile(max(self::SURE, min(1.0 - self::SURE, $p)));
        $g = fn(float $log): float => $z($this->past($fromX + exp($log), $limitPct)) - $z($q);

        // Begun around where the means reach it, as far as that lies ahead.
        $mean = $this->initialMean();
        $likely = ($limitPct - $mean) / $this->rateQuantile(1.0 - $q) - $fromX;
        $start = log(min($high, max($low, $likely)));

        return $fromX + exp(max(log($low), min(log($high), self::solve($g, $start, 0.2))));
    }

    private function all(): float
    {
        return $this->before[count($this->before) - 1];
    }

    /**
     * The means of e0 and of r; of the means of the slices the variances of e0 and of r and what they have in common; the variance within
     * the slices. What is believed at any x follows from these.
     *
     * @return array{float, float, float, float, float, float}
     */
    private function moments(): array
    {
        if ($this->moments === null) {
            $initial = $this->average(fn(WearSlice $slice) => $slice->mean);
            $rate = $this->average(fn(WearSlice $slice, float $rate) => $rate);
            $this->moments = [
                $initial,
                $rate,
                $this->average(fn(WearSlice $slice) => ($slice->mean - $initial) ** 2),
                $this->average(fn(WearSlice $slice, float $each) => ($each - $rate) ** 2),
                $this->average(fn(WearSlice $slice, float $each) => ($slice->mean - $initial) * ($each - $rate)),
                $this->average(fn(WearSlice $slice) => $slice->sd ** 2),
            ];
        }

        return $this->moments;
    }

    /** @param callable(WearSlice, float): float $of slice and rate */
    private function average(callable $of): float
    {
        $sum = 0.0;
        foreach ($this->panels as $panel) {
            foreach ($panel->slices as $i => $slice) {
                $sum += $panel->shares[$i] * $of($slice, $panel->rates[$i]);
            }
        }

        return $sum / $this->all();
    }

    /** @return array{float, float} variance of the elongation at x: of the means of the slices, and within them */
    private function spread(float $x): array
    {
        [, , $initial, $rate, $common, $within] = $this->moments();

        return [max(0.0, $initial + $x * (2.0 * $common + $x * $rate)), $within];
    }

    private function pastBySlices(float $x, float $limitPct): float
    {
        $sum = 0.0;
        foreach ($this->panels as $panel) {
            $sum += $this->pastIn($panel, $x, $limitPct, 0);
        }

        return $sum / $this->all();
    }

    private function pastIn(WearPanel $panel, float $x, float $limitPct, int $halved): float
    {
        $past = [];
        foreach ($panel->slices as $i => $slice) {
            $past[] = $slice->mass * $slice->above($limitPct - $panel->rates[$i] * $x);
        }
        $cut = new GaussPanel($panel->mass->from, $panel->mass->to, $past);
        if ($halved === self::CUT_HALVINGS || $cut->doubt() <= self::CUT_DOUBT * $this->all()) {
            return $cut->integral();
        }
        $sum = 0.0;
        foreach ($panel->halves($this->slice(...)) as $half) {
            $sum += $this->pastIn($half, $x, $limitPct, $halved + 1);
        }

        return $sum;
    }

    /** From the last reading on each quantile of the slices gives an elongation that grows with the rate. */
    private function pastBySheets(float $x, float $limitPct): float
    {
        $this->sheets ??= $this->sheets();
        $ends = [exp($this->panels[0]->mass->from), ...array_map(fn(WearPanel $panel) => exp($panel->mass->to), $this->panels)];
        $past = 0.0;
        foreach ($this->sheets as [$weight, $bounds, $sheet]) {
            $at = fn(int $i): float => $bounds[$i] + $x * $ends[$i] - $limitPct;
            [$low, $high] = [0, count($this->panels)];
            if ($at(0) >= 0.0) {
                $past += $weight;
                continue;
            }
            if ($at($high) < 0.0) {
                continue;
            }
            while ($high - $low > 1) {
                $middle = intdiv($low + $high, 2);
                [$low, $high] = $at($middle) < 0.0 ? [$middle, $high] : [$low, $middle];
            }
            $panel = $this->panels[$low];
            [$from, $to, $atFrom, $atTo] = [$panel->mass->from, $panel->mass->to, $at($low), $at($high)];
            // The slices themselves are known: it lies between two of them, or beside the outermost.
            foreach ($panel->places as $k => $u) {
                $here = $sheet[$low]->values[$k] + $x * $panel->rates[$k] - $limitPct;
                if ($here >= 0.0) {
                    [$to, $atTo] = [$u, $here];
                    break;
                }
                [$from, $atFrom] = [$u, $here];
            }
            $u = self::root(fn(float $u) => $sheet[$low]->value($u) + $x * exp($u) - $limitPct, $from, $to, $atFrom, $atTo);
            $past += $weight * (1.0 - ($this->before[$low] + $panel->mass->until($u)) / $this->all());
        }

        return $past;
    }

    /** @return list<array{float, list<float>, list<GaussPanel>}> */
    private function sheets(): array
    {
        $sheets = [];
        for ($i = 1; $i < count(self::SHEETS); $i++) {
            $half = (self::SHEETS[$i] - self::SHEETS[$i - 1]) / 2;
            foreach (GaussPanel::places(self::SHEETS[$i - 1], self::SHEETS[$i]) as $k => $z) {
                $p = Normal::cdf($z);
                $sheet = array_map(
                    fn(WearPanel $panel) => new GaussPanel(
                        $panel->mass->from,
                        $panel->mass->to,
                        array_map(fn(WearSlice $slice) => $slice->quantile($z, $p), $panel->slices),
                    ),
                    $this->panels,
                );
                $bounds = [$sheet[0]->value($sheet[0]->from), ...array_map(fn(GaussPanel $panel) => $panel->value($panel->to), $sheet)];
                $sheets[] = [$half * GaussPanel::weights()[$k] * Normal::density($z), $bounds, $sheet];
            }
        }
        $all = array_sum(array_column($sheets, 0));

        return array_map(fn(array $sheet) => [$sheet[0] / $all, $sheet[1], $sheet[2]], $sheets);
    }

    private function slice(float $u): WearSlice
    {
        return WearSlice::at($this->likelihood, $this->prior, $u)->weighed($this->peak);
    }

    /** The slices, as far as anything is there on either side of the most likely ones. */
    private function lay(): void
    {
        $summits = $this->summits();
        $this->peak = max(array_column($summits, 1));
        $bounds = [];
        foreach ($summits as [$u, $peak]) {
            // How wide it is there: where it has fallen by a half, as a normal has at one standard deviation.
            [$low, $high] = [0.0, $this->prior->rateLogSd];
            for ($i = 0; $i < 40 && $high - $low > 0.05 * $high; $i++) {
                $middle = ($low + $high) / 2;
                $fall = $peak - 0.5 * ($this->profile($u - $middle) + $this->profile($u + $middle));
                [$low, $high] = $fall > 0.5 ? [$low, $middle] : [$middle, $high];
            }
            $width = max(1e-12 * (1.0 + abs($u)), ($low + $high) / 2);
            $bounds[] = $u;
            foreach ([-1, 1] as $side) {
                for ($far = 2.5 * $width, $n = 0; $n < self::MOST_STEPS; $n++, $far += $width * max(2.5, 0.5 * $n)) {
                    $bounds[] = $u + $side * $far;
                    if ($this->profile($u + $side * $far) < $this->peak - WearSlice::NOTHING) {
                        break;
                    }
                }
            }
        }
        sort($bounds);
        [$from, $panels] = [$bounds[0], []];
        foreach (array_slice($bounds, 1) as $to) {
            if ($to - $from > 1e-13 * (1.0 + abs($from))) {
                $panels[] = WearPanel::of($from, $to, $this->slice(...));
                $from = $to;
            }
        }
        $about = (float) array_sum(array_map(fn(WearPanel $panel) => $panel->mass->integral(), $panels));
        foreach ($panels as $panel) {
            $this->settle($panel, $about, 0);
        }
        foreach ($this->panels as $panel) {
            $this->before[] = $this->before[count($this->before) - 1] + max(0.0, $panel->mass->integral());
        }
    }

    private function settle(WearPanel $panel, float $about, int $halved): void
    {
        if ($halved < self::MOST_HALVINGS && $panel->mass->doubt() > max(self::DOUBT, self::DIGITS * abs($this->peak)) * $about) {
            foreach ($panel->halves($this->slice(...)) as $half) {
                $this->settle($half, $about, $halved + 1);
            }

            return;
        }
        $this->panels[] = $panel;
    }

    /** @return non-empty-list<array{float, float}> u of the most likely places, and ln of how likely they are; those that count beside the first */
    private function summits(): array
    {
        $step = (2 * self::SEARCH_SD * $this->prior->rateLogSd) / self::SEARCH_STEPS;
        $u = fn(int $i): float => log($this->prior->rateMedian) + $i * $step;
        $logs = [];
        for ($i = -self::SEARCH_STEPS / 2; $i <= self::SEARCH_STEPS / 2; $i++) {
            $logs[$i] = $this->profile($u($i));
        }
        // Readings may pull it further than anybody expected.
        foreach ([-1, 1] as $side) {
            for (
                $n = 0, $i = ($side * self::SEARCH_STEPS) / 2;
                $n < self::MOST_STEPS && $logs[$i] >= $logs[$i - $side] && abs($u($i + $side)) < 300.0;
                $n++
            ) {
                $logs[($i += $side)] = $this->profile($u($i));
            }
        }
        $summits = [];
        foreach ($logs as $i => $log) {
            if ($log >= ($logs[$i - 1] ?? -INF) && $log >= ($logs[$i + 1] ?? -INF)) {
                $at = $this->climb($u($i), $step);
                $summits[] = [$at, $this->profile($at)];
            }
        }
        $most = max([-INF, ...array_column($summits, 1)]);
        $summits = array_values(array_filter($summits, fn(array $one) => $one[1] > $most - WearSlice::NOTHING));
        ($summits !== [] && self::DIGITS * abs($most) < 1.0) ||
            throw new InvalidInput('readings', 'exclude each other, or what was expected: no chain can be all of it; check km and values');

        return $summits;
    }

    private function profile(float $u): float
    {
        return WearSlice::at($this->likelihood, $this->prior, $u)->peak;
    }

    /** Golden section around the best of the search. */
    private function climb(float $u, float $around): float
    {
        $golden = (sqrt(5) - 1) / 2;
        [$a, $b] = [$u - $around, $u + $around];
        [$c, $d] = [$b - $golden * ($b - $a), $a + $golden * ($b - $a)];
        [$fc, $fd] = [$this->profile($c), $this->profile($d)];
        while ($b - $a > 1e-5 * $around) {
            if ($fc > $fd) {
                [$b, $d, $fd] = [$d, $c, $fc];
                $c = $b - $golden * ($b - $a);
                $fc = $this->profile($c);
            } else {
                [$a, $c, $fc] = [$c, $d, $fd];
                $d = $a + $golden * ($b - $a);
                $fd = $this->profile($d);
            }
        }

        return ($a + $b) / 2;
    }

    /** @param callable(float): float $g growing */
    private static function solve(callable $g, float $start, float $width): float
    {
        $at = $g($start);
        [$low, $high] = [$start, $start];
        [$atLow, $atHigh] = [$at, $at];
        for ($i = 0; $atLow > 0.0 && $i < 60; $i++) {
            [$high, $atHigh] = [$low, $atLow];
            $atLow = $g($low -= $width);
            $width *= 1.6;
        }
        for ($i = 0; $atHigh < 0.0 && $i < 60; $i++) {
            [$low, $atLow] = [$high, $atHigh];
            $atHigh = $g($high += $width);
            $width *= 1.6;
        }

        return self::root($g, $low, $high, $atLow, $atHigh);
    }

    /**
     * The Illinois rule: a chord that does not stick at one end.
     *
     * @param callable(float): float $g
     */
    private static function root(callable $g, float $low, float $high, float $atLow, float $atHigh): float
    {
        $side = 0;
        for ($i = 0; $i < 100 && abs($high - $low) > 1e-8 * (1 + abs($low)); $i++) {
            $middle = $atHigh === $atLow ? ($low + $high) / 2 : ($low * $atHigh - $high * $atLow) / ($atHigh - $atLow);
            $at = $g($middle);
            if (abs($at) < 1e-7) {
                return $middle;
            }
            if ($at > 0.0 === $atHigh > 0.0) {
                [$high, $atHigh, $atLow, $side] = [$middle, $at, $side === 1 ? $atLow / 2 : $atLow, 1];
            } else {
                [$low, $atLow, $atHigh, $side] = [$middle, $at, $side === -1 ? $atHigh / 2 : $atHigh, -1];
            }
        }

        return ($low + $high) / 2;
    }
}
