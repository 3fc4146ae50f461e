<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

/** The rule of models.md written down once more, with hours, bare chains and deadlines: a shed on one day. */
final class RuledShed
{
    /** @var array<string, array{km: float, h: float, tops: int, bare: bool, by: int|null}> */
    public array $chains = [];

    /** @var array<string, string> the fitted chain of each bike */
    public array $on = [];

    public float $minutes = 0.0;

    public int $swaps = 0;

    public int $drips = 0;

    public function __construct(public readonly array $in)
    {
        foreach ($in['bikes'] as $bike) {
            $this->on[$bike['id']] = $bike['on_bike'];
            foreach ($bike['chains'] as $chain) {
                $this->chains[$chain['id']] = [
                    'km' => $bike['interval_km'] === null ? 0 : $chain['used_km'],
                    'h' => ($bike['interval_hours'] ?? null) === null ? 0 : $chain['used_hours'] ?? 0,
                    'tops' => $chain['topups'] ?? 0,
                    'bare' => $chain['bare'] ?? false,
                    'by' => $chain['dip_by'] ?? null,
                ];
            }
        }
    }

    /** @return list<string> */
    public function used(): array
    {
        return array_keys(
            array_filter($this->chains, fn(array $one) => $one['km'] > 0 || $one['h'] > 0 || $one['bare'] || $one['by'] !== null),
        );
    }

    public function pot(array $dips): void
    {
        foreach ($dips as $chain) {
            $this->chains[$chain] = ['km' => 0, 'h' => 0, 'tops' => 0, 'bare' => false, 'by' => null];
        }
        $in = $this->in;
        $batches = $dips === [] ? 0 : ($in['pot_capacity'] === null ? 1 : ceil(count($dips) / $in['pot_capacity']));
        $this->minutes += $in['fixed_minutes'] + count($dips) * $in['per_dip_minutes'] + $batches * $in['batch_minutes'];
    }

    /** @return array{string, string}|null the bike that is stuck, and why */
    public function day(int $day): ?array
    {
        foreach ($this->in['bikes'] as $bike) {
            foreach ($bike['chains'] as $chain) {
                if ($this->chains[$chain['id']]['by'] !== null && $this->chains[$chain['id']]['by'] <= $day) {
                    return [$bike['id'], $chain['id']];
                }
            }
        }
        foreach ($this->in['bikes'] as $bike) {
            if (
                !$this->ride(
                    $bike,
                    $bike['interval_km'] === null ? 0 : $bike['daily_km'][$day],
                    ($bike['interval_hours'] ?? null) === null ? 0 : $bike['daily_hours'][$day],
                )
            ) {
                return [$bike['id'], ''];
            }
        }

        return null;
    }

    private function ride(array $bike, float $km, float $h): bool
    {
        [$most, $mostH, $topUp] = [$bike['interval_km'] ?? INF, $bike['interval_hours'] ?? INF, $this->in['topup']];
        if ($km == 0 && $h == 0) {
            return true;
        }
        $fits = fn(float $used, float $ride, float $interval): bool => $ride > $interval
            ? $used <= 0
            : $used + $ride <= $interval + 1e-9 || $used <= 0;
        $with = function (string $chain) use ($fits, $km, $h, $most, $mostH, $topUp): ?int {
            $of = $this->chains[$chain];
            for ($n = 0; $n <= max(0, ($topUp['max_per_cycle'] ?? 0) - $of['tops']); $n++) {
                if (!$of['bare'] && $fits(max(0, $of['km'] - $n * ($topUp['km'] ?? 0)), $km, $most) && $fits($of['h'], $h, $mostH)) {
                    return $n;
                }
            }

            return null;
        };
        $on = $this->on[$bike['id']];
        $others = array_values(array_diff(array_column($bike['chains'], 'id'), [$on]));
        usort(
            $others,
            fn(string $a, string $b) => $this->share($bike, $a) <=> $this->share($bike, $b) ?:
            $this->chains[$a]['tops'] <=> $this->chains[$b]['tops'],
        );
        $free = array_values(array_filter($others, fn(string $chain) => $with($chain) === 0));
        $helped = array_values(array_filter($others, fn(string $chain) => $with($chain) !== null));
        $chain = $with($on) === 0 ? $on : $free[0] ?? ($with($on) !== null ? $on : $helped[0] ?? null);
        if ($chain === null) {
            return false;
        }
        $n = (int) $with($chain);
        $this->minutes += ($chain === $on ? 0 : $this->in['swap_minutes']) + $n * ($topUp['minutes'] ?? 0);
        $this->swaps += $chain === $on ? 0 : 1;
        $this->drips += $n;
        $this->on[$bike['id']] = $chain;
        $of = $this->chains[$chain];
        $this->chains[$chain] =
            [
                'km' => min($most, max(0, $of['km'] - $n * ($topUp['km'] ?? 0)) + $km),
                'h' => min($mostH, $of['h'] + $h),
                'tops' => $of['tops'] + $n,
            ] + $of;

        return true;
    }

    private function share(array $bike, string $chain): float
    {
        return max(
            $bike['interval_km'] === null ? 0 : $this->chains[$chain]['km'] / $bike['interval_km'],
            ($bike['interval_hours'] ?? null) === null ? 0 : $this->chains[$chain]['h'] / $bike['interval_hours'],
        );
    }

    public function end(): float
    {
        $in = $this->in;
        $each = $in['end_minutes_per_chain'] ?? $in['per_dip_minutes'] + $in['batch_minutes'] / ($in['pot_capacity'] ?? 4);
        $sum = 0.0;
        foreach ($in['bikes'] as $bike) {
            foreach ($bike['chains'] as $chain) {
                $sum += $this->chains[$chain['id']]['bare'] ? 1 : min(1, $this->share($bike, $chain['id']));
            }
        }

        return $each * $sum;
    }
}
