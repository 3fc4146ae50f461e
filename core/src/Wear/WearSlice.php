<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Maths\GaussPanel;
use Dripel\Core\Maths\Normal;

/**
 * What is believed of e0 at one rate. Prior and exact readings make it a normal distribution, known in closed form; each interval
 * cuts an edge into it, and is integrated in panels that follow its edges, however sharp they are.
 */
final class WearSlice
{
    /** What has fallen by that much from the most likely counts for nothing: e to the minus this. */
    public const NOTHING = 18.0;

    /**
     * A panel is no wider than so many standard deviations of what bends in it, and is halved while it is in doubt by so much of the whole.
     */
    private const WIDEST_SD = 4.0;

    private const DOUBT = 1e-3;

    /** Three is what the sharpest edges take. What is in doubt after that is noise: so far out a logarithm has no digits left. */
    private const MOST_HALVINGS = 4;

    /** So many of its own standard deviations from its edge an interval says nothing more. */
    private const EDGE_SD = 6.5;

    /** Further than that beyond an edge, in its standard deviations, probabilities are told by their logarithms. */
    private const TELLABLE_SD = 8.0;

    /** ln of how likely the most likely e0 is, and where it lies. */
    public readonly float $peak;

    public readonly float $mode;

    /** How likely this rate is, over all e0, in parts of e to the reference. */
    public float $mass = 0.0;

    /** Mean and standard deviation of e0. */
    public float $mean = 0.0;

    public float $sd = 0.0;

    /** @var list<GaussPanel> the density, in order; none where it is normal */
    private array $panels = [];

    /** @var list<float> what lies before each panel, and all */
    private array $before = [0.0];

    /**
     * @param float $middle of the normal distribution
     * @param float $precision of it: one over its variance
     * @param list<array{float, float, float}> $intervals e0 between two bounds, and one over the sharpness
     */
    private function __construct(
        private float $middle,
        private float $precision,
        private readonly float $logTop,
        private readonly array $intervals,
    ) {
        if ($intervals === []) {
            [$this->mode, $this->peak] = [$middle, $logTop];

            return;
        }
        $this->mode = $this->summit();
        $this->peak = $this->log($this->mode);
    }

    /** The slice at a rate, as far as its summit: `weighed` makes the rest. */
    public static function at(WearLikelihood $likelihood, WearPrior $prior, float $u): self
    {
        $rate = exp($u);
        [$top, $middle, $precision] = $likelihood->normal($rate, $prior->initialMean, $prior->initialSd);

        return new self(
            $middle,
            $precision,
            $top - 0.5 * (($u - log($prior->rateMedian)) / $prior->rateLogSd) ** 2,
            $likelihood->between($rate),
        );
    }

    /** @param float $reference ln of what its mass is told in parts of */
    public function weighed(float $reference): self
    {
        $sd = 1.0 / sqrt($this->precision);
        if ($this->intervals === []) {
            [$this->mass, $this->mean, $this->sd] = [exp($this->peak - $reference) * $sd * sqrt(2 * M_PI), $this->middle, $sd];

            return $this;
        }
        if ($this->peak < $reference - 2 * self::NOTHING) {
            // Far from everything likely: a normal distribution of no weight, where its summit is.
            [, $bend] = $this->slope($this->mode);
            $this->precision = is_finite($bend) ? max($this->precision, -$bend) : $this->precision;
            [$this->mass, $this->mean, $this->sd, $this->middle] = [0.0, $this->mode, 1.0 / sqrt($this->precision), $this->mode];

            return $this;
        }
        $density = $this->density();
        foreach ($this->stretches($sd) as [$from, $to]) {
            $this->lay(GaussPanel::of($from, $to, $density), $density, $sd, 0);
        }
        [$mean, $square] = [0.0, 0.0];
        foreach ($this->panels as $panel) {
            $half = ($panel->to - $panel->from) / 2;
            $weights = GaussPanel::weights();
            foreach (GaussPanel::places($panel->from, $panel->to) as $i => $e) {
                $share = $half * $weights[$i] * $panel->values[$i];
                $mean += $share * ($e - $this->mode);
                $square += $share * ($e - $this->mode) ** 2;
            }
            $this->before[] = $this->before[count($this->before) - 1] + $panel->integral();
        }
        $all = $this->all();
        $this->mass = $all * exp($this->peak - $reference);
        $this->mean = $this->mode + $mean / $all;
        $this->sd = sqrt(max(1e-300, $square / $all - ($mean / $all) ** 2));

        return $this;
    }

    /** How much of it lies at a value of e0 or above. */
    public function above(float $e): float
    {
        if ($this->panels === []) {
            return Normal::cdf(($this->middle - $e) * sqrt($this->precision));
        }
        if ($e <= $this->panels[0]->from) {
            return 1.0;
        }
        // Halved: the panels lie in order.
        for ([$low, $high] = [0, count($this->panels)]; $high - $low > 1; ) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $this->panels[$middle]->from <= $e ? [$middle, $high] : [$low, $middle];
        }

        return max(0.0, min(1.0, 1.0 - ($this->before[$low] + $this->panels[$low]->until($e)) / $this->all()));
    }

    /** The e0 below which so much lies as below z in a standard normal distribution: p. */
    public function quantile(float $z, float $p): float
    {
        if ($this->panels === []) {
            return $this->middle + $z / sqrt($this->precision);
        }
        $wanted = $p * $this->all();
        for ($i = 0; $i < count($this->panels) - 1 && $this->before[$i + 1] < $wanted; $i++);
        $panel = $this->panels[$i];
        [$low, $high] = [$panel->from, $panel->to];
        // A chord across the panel, then Newton's steps.
        $e = $low + (($high - $low) * ($wanted - $this->before[$i])) / max(1e-300, $this->before[$i + 1] - $this->before[$i]);
        for ($n = 0; $n < 60; $n++) {
            [$until, $slope] = $panel->course($e);
            $off = $this->before[$i] + $until - $wanted;
            [$low, $high] = $off > 0.0 ? [$low, $e] : [$e, $high];
            $next = $slope > 0.0 ? $e - $off / $slope : INF;
            $next = $next > $low && $next < $high ? $next : ($low + $high) / 2;
            if (abs($next - $e) < 1e-5 * $this->sd) {
                break;
            }
            $e = $next;
        }

        return $e;
    }

    private function all(): float
    {
        return $this->before[count($this->before) - 1];
    }

    /** @param callable(float): float $density */
    private function lay(GaussPanel $panel, callable $density, float $sd, int $halved): void
    {
        if ($halved < self::MOST_HALVINGS && $panel->doubt() > self::DOUBT * $sd) {
            $middle = ($panel->from + $panel->to) / 2;
            foreach ([[$panel->from, $middle], [$middle, $panel->to]] as [$from, $to]) {
                $this->lay(GaussPanel::of($from, $to, $density), $density, min($sd, $middle - $panel->from), $halved + 1);
            }

            return;
        }
        $this->panels[] = $panel;
    }

    /**
     * From where it is nothing to where it is nothing again: no wider than the normal distribution, nor than an edge leaves it.
     *
     * @return list<array{float, float}>
     */
    private function stretches(float $sd): array
    {
        $wide = sqrt(2 * self::NOTHING) * $sd;
        [$from, $to] = [$this->mode - $wide, $this->mode + $wide];
        foreach ($this->intervals as [$lower, $upper, $sharp]) {
            // Past an edge it falls by more than a third of the square in standard deviations.
            $from = max($from, min($lower, $this->mode) - sqrt(3 * self::NOTHING) / $sharp);
            $to = min($to, max($upper, $this->mode) + sqrt(3 * self::NOTHING) / $sharp);
        }
        [$stretches, $at] = [[], $from];
        while ($at < $to) {
            $end = min($to, $at + self::WIDEST_SD * $sd);
            foreach ($this->intervals as [$lower, $upper, $sharp]) {
                $zone = self::EDGE_SD / $sharp;
                // Below its lower edge and above its upper one an interval bends all the way.
                foreach ([[-INF, $lower + $zone], [$upper - $zone, INF]] as [$begin, $over]) {
                    if ($at < $over && is_finite($begin === -INF ? $lower : $upper)) {
                        $end = min($end, $at < $begin ? $begin : $at + self::WIDEST_SD / $sharp);
                    }
                }
            }
            $end = $to - $end < 1e-9 * $sd ? $to : max($end, $at + 1e-12 * (abs($at) + $sd));
            $stretches[] = [$at, $end];
            $at = $end;
        }

        return $stretches;
    }

    /**
     * In parts of what it is at the summit: by probabilities where these are not too small to be told, else by their logarithms.
     *
     * @return callable(float): float
     */
    private function density(): callable
    {
        $far = false;
        foreach ($this->intervals as [$lower, $upper, $sharp]) {
            $far =
                $far ||
                ($lower - $this->mode) * $sharp > self::TELLABLE_SD ||
                ($this->mode - $upper) * $sharp > self::TELLABLE_SD ||
                ($upper - $lower) * $sharp < 1.0;
        }
        if ($far) {
            return fn(float $e): float => exp($this->log($e) - $this->peak);
        }
        [$top, $half, $middle] = [$this->logTop - $this->peak, -0.5 * $this->precision, $this->middle];

        return function (float $e) use ($top, $half, $middle): float {
            $density = exp($top + $half * ($e - $middle) ** 2);
            foreach ($this->intervals as [$lower, $upper, $sharp]) {
                [$below, $above] = [($e - $lower) * $sharp, ($upper - $e) * $sharp];
                // Well within its bounds an interval says nothing.
                if ($above < 8.0) {
                    $density *= $below < 8.0 ? max(0.0, Normal::cdf($above) - Normal::cdf(-$below)) : Normal::cdf($above);
                } elseif ($below < 8.0) {
                    $density *= Normal::cdf($below);
                }
            }

            return $density;
        };
    }

    private function log(float $e): float
    {
        $log = $this->logTop - 0.5 * $this->precision * ($e - $this->middle) ** 2;
        foreach ($this->intervals as [$lower, $upper, $sharp]) {
            [$a, $b] = [($lower - $e) * $sharp, ($upper - $e) * $sharp];
            // Well within its bounds an interval says nothing.
            if ($a > -8.0 || $b < 8.0) {
                $log += Normal::logBetween($a, $b);
            }
        }

        return $log;
    }

    /** The logarithm bends down everywhere, at least as the normal distribution does: so far from its middle the summit can lie. */
    private function summit(): float
    {
        [$slope] = $this->slope($this->middle);
        $reach = $this->middle + $slope / $this->precision;
        [$low, $high] = $slope < 0.0 ? [$reach, $this->middle] : [$this->middle, $reach];
        $e = $this->middle;
        for ($i = 0; $i < 80 && $high > $low; $i++) {
            [$slope, $bend] = $this->slope($e);
            [$low, $high] = $slope > 0.0 ? [$e, $high] : [$low, $e];
            $next = $e - $slope / $bend;
            $next = $next > $low && $next < $high ? $next : ($low + $high) / 2;
            if (abs($next - $e) < 1e-6 / sqrt(-$bend)) {
                return $next;
            }
            $e = $next;
        }

        return $e;
    }

    /** @return array{float, float} d/de0, d²/de0² of the logarithm */
    private function slope(float $e): array
    {
        [$slope, $bend] = [-$this->precision * ($e - $this->middle), -$this->precision];
        foreach ($this->intervals as [$lower, $upper, $sharp]) {
            [$a, $b] = [($lower - $e) * $sharp, ($upper - $e) * $sharp];
            if ($a > -8.0 || $b < 8.0) {
                [$one, $two] = Normal::slopeBetween($a, $b);
                [$slope, $bend] = [$slope + $one * $sharp, $bend + $two * $sharp * $sharp];
            }
        }

        return [$slope, $bend];
    }
}
