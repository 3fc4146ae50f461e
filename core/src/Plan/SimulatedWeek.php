<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** What one week of a simulation came to: what every total is made of. km as ridden, g, minutes, money. */
final class SimulatedWeek
{
    public float $km = 0.0;

    public int $potDays = 0;

    /** Of them, those on a chain past its limit. */
    public float $kmPastLimit = 0.0;

    /** Pot days on a weekday that is not meant for it: nothing else would have carried the rides. */
    public int $forced = 0;

    public int $dips = 0;

    public int $topUps = 0;

    public int $swaps = 0;

    /** @var list<array{bike: string|int, chain: string, km: float, wear_pct: float}> chains worn out */
    public array $retired = [];

    /** Chains by the share of their lives that was worn off them. */
    public float $worn = 0.0;

    public int $bought = 0;

    /** How often new chains were stripped: those bought at once together. */
    public int $strips = 0;

    public int $cassettes = 0;

    public float $waxBoughtG = 0.0;

    public float $waxTakenG = 0.0;

    public float $waxThrownG = 0.0;

    /** In the pot at its end. */
    public float $waxG = 0.0;

    public float $minutes = 0.0;

    public float $cost = 0.0;

    /** @var array<string, array<string, float>> wear in percent by bike and chain, at its end */
    public array $wear = [];

    public function __construct(public readonly int $week) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'week' => $this->week,
            'km' => $this->km,
            'km_past_limit' => $this->kmPastLimit,
            'pot_days' => $this->potDays,
            'forced' => $this->forced,
            'dips' => $this->dips,
            'topups' => $this->topUps,
            'swaps' => $this->swaps,
            'retired' => $this->retired,
            'bought' => $this->bought,
            'cassettes' => $this->cassettes,
            'wax_bought_g' => $this->waxBoughtG,
            'wax_taken_g' => $this->waxTakenG,
            'wax_thrown_g' => $this->waxThrownG,
            'wax_g' => $this->waxG,
            'minutes' => $this->minutes,
            'cost' => $this->cost,
            'wear' => $this->wear,
        ];
    }
}
