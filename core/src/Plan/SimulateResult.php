<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** A simulation: its weeks, and what they add up to. */
final readonly class SimulateResult
{
    /** @param list<SimulatedWeek> $weeks */
    public function __construct(public array $weeks, private SimulatedCosts $costs) {}

    public function km(): float
    {
        return $this->sum(fn(SimulatedWeek $week) => $week->km);
    }

    public function cost(): float
    {
        return $this->sum(fn(SimulatedWeek $week) => $week->cost);
    }

    public function minutes(): float
    {
        return $this->sum(fn(SimulatedWeek $week) => $week->minutes);
    }

    /** Money and time, per 1000 km; null where nothing is ridden. */
    public function per1000Km(): ?float
    {
        return $this->km() > 0.0 ? (1000.0 * ($this->cost() + ($this->minutes() / 60.0) * $this->costs->hour)) / $this->km() : null;
    }

    /**
     * The same, but of each chain and its share of a cassette only what was worn of it: what it costs in the long run, as
     * interval.economy has it. Null where nothing is ridden.
     */
    public function usedUpPer1000Km(): ?float
    {
        [$new, $hands] = [$this->costs->newChain(), $this->costs->stripHands()];
        $worn = $this->sum(fn(SimulatedWeek $week) => $week->worn) * ($new + $this->costs->cassette / $this->costs->chainsPerCassette);
        $bought =
            $this->sum(fn(SimulatedWeek $week) => $week->bought) * ($new - $hands) +
            $this->sum(fn(SimulatedWeek $week) => $week->strips) * $hands +
            $this->sum(fn(SimulatedWeek $week) => $week->cassettes) * $this->costs->cassette;

        return $this->km() > 0.0
            ? (1000.0 * ($this->cost() - $bought + $worn + ($this->minutes() / 60.0) * $this->costs->hour)) / $this->km()
            : null;
    }

    /** Mean km of the chains that were worn out, with what they had been ridden before; null: none was. */
    public function chainLifeKm(): ?float
    {
        $lives = array_merge(...array_map(fn(SimulatedWeek $week) => array_column($week->retired, 'km'), $this->weeks));

        return $lives === [] ? null : array_sum($lives) / count($lives);
    }

    /** What went into stripping new chains. */
    public function solventCost(): float
    {
        return $this->sum(fn(SimulatedWeek $week) => $week->bought) * $this->costs->strip;
    }

    /** @param callable(SimulatedWeek): (int|float) $of */
    public function sum(callable $of): float
    {
        return (float) array_sum(array_map($of, $this->weeks));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'totals' => [
                'km' => $this->km(),
                'km_past_limit' => $this->sum(fn(SimulatedWeek $w) => $w->kmPastLimit),
                'pot_days' => (int) $this->sum(fn(SimulatedWeek $w) => $w->potDays),
                'forced' => (int) $this->sum(fn(SimulatedWeek $w) => $w->forced),
                'dips' => (int) $this->sum(fn(SimulatedWeek $w) => $w->dips),
                'topups' => (int) $this->sum(fn(SimulatedWeek $w) => $w->topUps),
                'swaps' => (int) $this->sum(fn(SimulatedWeek $w) => $w->swaps),
                'retired' => (int) $this->sum(fn(SimulatedWeek $w) => count($w->retired)),
                'bought' => (int) $this->sum(fn(SimulatedWeek $w) => $w->bought),
                'cassettes' => (int) $this->sum(fn(SimulatedWeek $w) => $w->cassettes),
                'wax_bought_g' => $this->sum(fn(SimulatedWeek $w) => $w->waxBoughtG),
                'minutes' => $this->minutes(),
                'cost' => $this->cost(),
                'per_1000km' => $this->per1000Km(),
                'chain_life_km' => $this->chainLifeKm(),
            ],
            'weeks' => array_map(fn(SimulatedWeek $week) => $week->toArray(), $this->weeks),
        ];
    }
}
