<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Interval\LifeCurve;

/** A bike and its chains while they are simulated. */
final class SimulatedShed
{
    /** @var array<string, SimulatedChain> by id, in the order in which they came */
    public array $chains = [];

    public string $on;

    /** Chains that the cassette has outlived. */
    public int $outlived = 0;

    public readonly float $ratePctPer1000Km;

    private int $came = 0;

    /** @var array<string, string> what took the place of which */
    private array $became = [];

    /** @var array<string, true> new ones that were never in the pot */
    private array $undipped = [];

    public function __construct(public readonly SimulatedBike $bike, private readonly SimulatedPolicy $policy, LifeCurve $curve)
    {
        $this->ratePctPer1000Km =
            ($bike->ratePctPer1000Km * $curve->lifeKm($bike->rateIntervalKm)) / $curve->lifeKm($policy->wearsAsKm ?? $policy->intervalKm);
        foreach ($bike->chains as $chain) {
            $this->chains[(string) $chain['id']] = new SimulatedChain(
                (string) $chain['id'],
                $chain['wear_pct'],
                min($policy->intervalKm, $chain['used_km']),
                $chain['km'] ?? 0.0,
                min($this->hours() ?? 0.0, $chain['used_hours'] ?? 0.0),
            );
        }
        $this->on = (string) $bike->onBike;
        // With fewer chains the most worn ones that are not fitted stay in the drawer.
        $spare = array_values(array_filter($this->chains, fn(SimulatedChain $chain) => $chain->id !== $this->on));
        usort($spare, fn(SimulatedChain $a, SimulatedChain $b) => $b->wearPct <=> $a->wearPct);
        foreach (array_slice($spare, 0, max(0, count($this->chains) - ($policy->chains ?? count($this->chains)))) as $chain) {
            unset($this->chains[$chain->id]);
        }
    }

    /** The hours of a coat; null where it does not go by them, and on drip wax alone, where each drip is a new coat. */
    private function hours(): ?float
    {
        return $this->policy->dripOnly ? null : $this->bike->intervalHours;
    }

    public function fitted(): SimulatedChain
    {
        return $this->chains[$this->on];
    }

    /** How many chains the policy wants more. */
    public function missing(): int
    {
        return max(0, ($this->policy->chains ?? 0) - count($this->chains));
    }

    public function add(float $wearPct): SimulatedChain
    {
        $id = SimulatedBike::BOUGHT . ++$this->came;
        $this->undipped[$id] = true;

        return $this->chains[$id] = new SimulatedChain($id, $wearPct);
    }

    /** A new one takes the place of another; on a pot day it is dipped with the rest. */
    public function replace(string $old, float $wearPct, bool $dip): void
    {
        $new = $this->add($wearPct);
        if (!$dip) {
            unset($this->undipped[$new->id]);
        }
        unset($this->chains[$old]);
        $this->became[$old] = $new->id;
        if ($this->on === $old) {
            // Who rides one at a time takes the next from its hook, and hangs the new one behind the others.
            $this->on = $this->policy->rotation === Rotation::OneAtATime ? (string) array_key_first($this->chains) : $new->id;
            $this->became[$old] = $this->on;
        }
    }

    /** A chain by the name that it had when the week was planned. */
    public function now(string $id): string
    {
        return isset($this->chains[$id]) ? $id : $this->now($this->became[$id]);
    }

    public function fresh(string $id): bool
    {
        return isset($this->undipped[$id]);
    }

    public function dipped(string $id): void
    {
        unset($this->undipped[$id]);
    }

    public function limitPct(): float
    {
        return $this->policy->limitPct ?? $this->bike->limitPct;
    }

    /** @return list<SimulatedChain> at their limit */
    public function worn(): array
    {
        return array_values(
            array_filter($this->chains, fn(SimulatedChain $chain) => $chain->wearPct >= $this->limitPct() - Check::EPSILON),
        );
    }

    public function planned(int $days): PlannedBike
    {
        $order = $this->order();
        $hours = $this->hours();
        $dailyKm = array_map(fn(int $day) => $this->bike->weekKm[$day % 7], range(0, $days - 1));

        return new PlannedBike(
            $this->bike->id,
            $this->policy->intervalKm,
            array_map(fn(float $km) => $km * $this->bike->factor, $dailyKm),
            array_map(
                fn(SimulatedChain $chain) => new PlannedChain(
                    $chain->id,
                    // What differs by less stands the same.
                    round($chain->usedKm($this->policy->intervalKm), 9),
                    $hours === null ? 0.0 : min($hours, round($chain->usedHours(), 9)),
                    bare: isset($this->undipped[$chain->id]),
                    topUps: $chain->topUpCount(),
                ),
                $order,
            ),
            (int) array_search($this->on, array_map(fn(SimulatedChain $chain) => $chain->id, $order), true),
            $hours,
            $hours === null ? [] : array_map(fn(float $km) => $km * $this->bike->hoursPerKm, $dailyKm),
        );
    }

    /** @return non-empty-list<SimulatedChain> those that may be ridden, the next first */
    private function order(): array
    {
        $chains = array_values($this->chains);
        $at = (int) array_search($this->on, array_map(fn(SimulatedChain $chain) => $chain->id, $chains), true);
        $order = match ($this->policy->rotation) {
            Rotation::OneAtATime => [$chains[$at]],
            Rotation::InTurn => [...array_slice($chains, $at + 1), ...array_slice($chains, 0, $at + 1)],
            Rotation::Even => (function () use ($chains): array {
                usort($chains, fn(SimulatedChain $a, SimulatedChain $b) => $a->wearPct <=> $b->wearPct);

                return $chains;
            })(),
        };
        assert($order !== []);

        return $order;
    }
}
