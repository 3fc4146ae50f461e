<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Maths\KeptMemo;
use Dripel\Core\Plan\PotDays;

/** @return array<string, mixed> */
function planned(array $input): array
{
    return (new PotDays())->compute(Fields::fromJson((string) json_encode($input)));
}

/**
 * The rule of models.md, written down a second time and day by day: what a choice of pot days comes to.
 *
 * @return array{minutes: float|null, blocked: int, bikes: list<int>}
 */
function walked(array $in, array $potDays): array
{
    $state = array_map(
        fn(array $bike) => [
            'used' => array_column($bike['chains'], 'used_km', 'id'),
            'tops' => array_fill_keys(array_column($bike['chains'], 'id'), 0),
            'on' => $bike['on_bike'],
        ],
        $in['bikes'],
    );
    $minutes = 0.0;
    for ($day = 0; $day < $in['days']; $day++) {
        if (in_array($day, $potDays, true)) {
            $dips = 0;
            foreach ($state as &$of) {
                foreach ($of['used'] as $chain => $km) {
                    if ($km > 0) {
                        [$of['used'][$chain], $of['tops'][$chain]] = [0, 0];
                        $dips++;
                    }
                }
            }
            unset($of);
            $batches = $dips === 0 ? 0 : ($in['pot_capacity'] === null ? 1 : ceil($dips / $in['pot_capacity']));
            $minutes += $in['fixed_minutes'] + $dips * $in['per_dip_minutes'] + $batches * $in['batch_minutes'];
        }
        $stuck = [];
        foreach ($in['bikes'] as $b => $bike) {
            $km = $bike['daily_km'][$day];
            $can = fn(float $used): bool => $km > $bike['interval_km'] ? $used <= 0 : $used + $km <= $bike['interval_km'];
            $with = function (string $chain) use (&$state, $b, $can, $in): ?int {
                for ($n = 0; $n <= ($in['topup']['max_per_cycle'] ?? 0) - $state[$b]['tops'][$chain]; $n++) {
                    if ($can(max(0, $state[$b]['used'][$chain] - $n * ($in['topup']['km'] ?? 0)))) {
                        return $n;
                    }
                }

                return null;
            };
            if ($km == 0) {
                continue;
            }
            $order = array_column($bike['chains'], 'id');
            usort(
                $order,
                fn(string $x, string $y) => $state[$b]['used'][$x] <=> $state[$b]['used'][$y] ?:
                $state[$b]['tops'][$x] <=> $state[$b]['tops'][$y],
            );
            $on = $state[$b]['on'];
            $others = array_values(array_filter($order, fn(string $chain) => $chain !== $on));
            $free = array_values(array_filter($others, fn(string $chain) => $can($state[$b]['used'][$chain])));
            $helped = array_values(array_filter($others, fn(string $chain) => $with($chain) !== null));
            $chain = $can($state[$b]['used'][$on]) ? $on : $free[0] ?? ($with($on) !== null ? $on : $helped[0] ?? null);
            if ($chain === null) {
                $stuck[] = $b;
                continue;
            }
            $n = (int) $with($chain);
            $minutes += ($chain === $on ? 0 : $in['swap_minutes']) + $n * ($in['topup']['minutes'] ?? 0);
            $state[$b]['tops'][$chain] += $n;
            $state[$b]['used'][$chain] = min(
                $bike['interval_km'],
                max(0, $state[$b]['used'][$chain] - $n * ($in['topup']['km'] ?? 0)) + $km,
            );
            $state[$b]['on'] = $chain;
        }
        if ($stuck !== []) {
            return ['minutes' => null, 'blocked' => $day, 'bikes' => $stuck];
        }
    }

    return ['minutes' => $minutes, 'blocked' => $in['days'], 'bikes' => []];
}

/** A shed by the dice: a few days, bikes and chains. @return array<string, mixed> */
function someShed(int $seed): array
{
    mt_srand($seed);
    $pick = fn(array $of) => $of[mt_rand(0, count($of) - 1)];
    $days = mt_rand(4, 9);
    $bikes = [];
    for ($b = 0; $b < mt_rand(1, 3); $b++) {
        $chains = array_map(fn(int $n) => ['id' => $b . 'ABCD'[$n], 'used_km' => $pick([0, 0, 40, 80, 100])], range(0, mt_rand(0, 3)));
        $bikes[] = [
            'id' => "bike {$b}",
            'interval_km' => 100,
            'daily_km' => array_map(fn() => $pick([0, 0, 20, 40, 60, 130]), range(1, $days)),
            'chains' => $chains,
            'on_bike' => $pick($chains)['id'],
        ];
    }

    return [
        'days' => $days,
        'allowed_days' => array_map(fn() => $pick([true, true, false]), range(1, $days)),
        'fixed_minutes' => $pick([0, 30, 45]),
        'per_dip_minutes' => $pick([0, 5]),
        'batch_minutes' => $pick([0, 20]),
        'pot_capacity' => $pick([null, 1, 2]),
        'swap_minutes' => $pick([0, 3]),
        'topup' => $pick([
            null,
            ['km' => 50, 'minutes' => $pick([0, 20]), 'max_per_cycle' => 2],
            ['km' => 80, 'minutes' => 25, 'max_per_cycle' => 1],
        ]),
        'bikes' => $bikes,
    ];
}

it('finds the least minutes of all choices of pot days, and says where none will do', function (): void {
    [$feasible, $blocked] = [0, 0];
    for ($seed = 1; $seed <= 300; $seed++) {
        $in = someShed($seed);
        $allowed = array_keys(array_filter($in['allowed_days']));
        [$best, $latest] = [null, ['blocked' => -1, 'bikes' => []]];
        for ($subset = 0; $subset < 1 << count($allowed); $subset++) {
            $days = array_values(array_filter($allowed, fn(int $i) => (($subset >> $i) & 1) === 1, ARRAY_FILTER_USE_KEY));
            $way = walked($in, $days);
            if ($way['minutes'] !== null) {
                // Ties: fewer pot days, then the later first one.
                $key = [round($way['minutes'], 6), count($days), -($days[0] ?? 0)];
                $best = $best === null || $key < $best[0] ? [$key, $days] : $best;
            } elseif ($way['blocked'] > $latest['blocked']) {
                $latest = $way;
            } elseif ($way['blocked'] === $latest['blocked']) {
                $latest['bikes'] = [...$latest['bikes'], ...$way['bikes']];
            }
        }
        $found = planned($in);
        if ($best === null) {
            $blocked++;
            expect($found)
                ->toMatchArray(
                    ['feasible' => false, 'total_minutes' => null, 'pot_days' => [], 'swaps' => [], 'topups' => []],
                    "seed {$seed}",
                )
                ->and($found['blocked']['day'])
                ->toBe($latest['blocked'], "seed {$seed}")
                ->and($found['blocked']['bike'])
                ->toBe($in['bikes'][min($latest['bikes'])]['id'], "seed {$seed}");
            continue;
        }
        $feasible++;
        expect($found['feasible'])
            ->toBeTrue("seed {$seed}")
            ->and($found['total_minutes'])
            ->toEqualWithDelta($best[0][0], 1e-6, "seed {$seed}")
            ->and(count($found['pot_days']))
            ->toBe(count($best[1]), "seed {$seed}")
            ->and($found['pot_days'][0]['day'] ?? 0)
            ->toBe($best[1][0] ?? 0, "seed {$seed}")
            // The plan that it names does cost that.
            ->and(walked($in, array_column($found['pot_days'], 'day'))['minutes'])
            ->toEqualWithDelta($found['total_minutes'], 1e-6, "seed {$seed}");
    }
    // Both happen often enough to mean something.
    expect($feasible)->toBeGreaterThan(100)->and($blocked)->toBeGreaterThan(25);
});

it('plans the same where it remembers what the rides of the weeks before came to', function (): void {
    // The same bikes, week after week, with other wax on their chains; and now and then on other rides.
    $memo = new KeptMemo();
    $remembering = new PotDays($memo, $memo);
    $blocked = 0;
    for ($seed = 1; $seed <= 40; $seed++) {
        $in = someShed($seed);
        for ($week = 0; $week < 12; $week++) {
            foreach ($in['bikes'] as &$bike) {
                foreach ($bike['chains'] as &$chain) {
                    $chain['used_km'] = [0, 0, 40, 80, 100][mt_rand(0, 4)];
                }
                unset($chain);
                $week % 4 === 3 && ($bike['daily_km'][mt_rand(0, $in['days'] - 1)] = 20);
            }
            unset($bike);
            $input = fn(): Fields => Fields::fromJson((string) json_encode($in));
            $found = $remembering->compute($input());
            expect($found)->toBe((new PotDays())->compute($input()), "seed {$seed}, week {$week}");
            $blocked += (int) !$found['feasible'];
        }
    }
    expect($blocked)->toBeGreaterThan(50)->toBeLessThan(300);
});

it('names the chain that no pot is in time for before the ride that none is left for, in whatever order they stand', function (): void {
    $rider = [
        'id' => 'rider',
        'interval_km' => 100,
        'daily_km' => [0, 0, 40, 0],
        'chains' => [['id' => 'A', 'used_km' => 80]],
        'on_bike' => 'A',
    ];
    $due = [
        'id' => 'due',
        'interval_km' => 100,
        'daily_km' => [0, 0, 0, 0],
        'chains' => [['id' => 'B', 'used_km' => 0], ['id' => 'C', 'used_km' => 10, 'dip_by' => 2]],
        'on_bike' => 'B',
    ];
    foreach (
        [[[$rider, $due], 'used'], [[$due, $rider], 'used'], [[$rider, $due], 'chosen'], [[$due, $rider], 'chosen']]
        as [$bikes, $dips]
    ) {
        $found = planned([
            'days' => 4,
            'allowed_days' => [false, false, false, true],
            'fixed_minutes' => 40,
            'per_dip_minutes' => 5,
            'batch_minutes' => 0,
            'pot_capacity' => null,
            'swap_minutes' => 0,
            'topup' => null,
            'dips' => $dips,
            'bikes' => $bikes,
        ]);
        expect($found['blocked'])->toBe(['day' => 2, 'bike' => 'due', 'chain' => 'C', 'why' => 'dip_by']);
    }
});

it('agrees with a mixed-integer program solved by GLPK', function (): void {
    // Made by data/pot_days.py with glpsol of Debian's glpk-utils; the rides are simulated there a third time.
    foreach (json_decode((string) file_get_contents(__DIR__ . '/data/pot_days.json'), true) as $n => $case) {
        expect(planned($case['input'])['total_minutes'])->toEqualWithDelta($case['total_minutes'], 1e-6, "case {$n}");
    }
});

it('plans by hand: one pot day for two chains, the later of two as good; a top-up where that is cheaper', function (): void {
    $shed = [
        'days' => 7,
        'allowed_days' => [true, false, false, true, true, false, false],
        'fixed_minutes' => 40,
        'per_dip_minutes' => 5,
        'batch_minutes' => 20,
        'pot_capacity' => 4,
        'swap_minutes' => 3,
        'topup' => null,
        'bikes' => [
            [
                'id' => 'heron',
                'interval_km' => 300,
                'daily_km' => [80, 0, 80, 0, 0, 150, 80],
                'chains' => [['id' => 'A', 'used_km' => 200], ['id' => 'B', 'used_km' => 100]],
                'on_bike' => 'A',
            ],
        ],
    ];
    // A takes 80 (280), B 80 (180); on day 4 both are dipped: 40 + 2·5 + 20, and one swap. Day 3 would do as well.
    expect(planned($shed))->toBe([
        'feasible' => true,
        'total_minutes' => 73.0,
        'pot_days' => [['day' => 4, 'batches' => 1, 'dips' => ['A', 'B']]],
        'swaps' => [['day' => 2, 'bike' => 'heron', 'from' => 'A', 'to' => 'B']],
        'topups' => [],
        'blocked' => null,
    ]);
    // A bottle that may not be used is none.
    $none = planned(['topup' => ['km' => 200, 'minutes' => 0, 'max_per_cycle' => 0]] + $shed);
    expect($none['total_minutes'])->toBe(73.0)->and($none['topups'])->toBe([]);
    // Two top-ups at 25 minutes are dearer than the pot; at 15 they are not, and the fitted chain has them first.
    $drip = fn(float $minutes) => planned(['topup' => ['km' => 200, 'minutes' => $minutes, 'max_per_cycle' => 2]] + $shed);
    expect($drip(90)['topups'])
        ->toBe([])
        ->and($drip(25)['total_minutes'])
        ->toBe(28.0)
        ->and($drip(25)['pot_days'])
        ->toBe([])
        ->and($drip(25)['topups'])
        ->toBe([['day' => 5, 'bike' => 'heron', 'chain' => 'B']]);
    // No day for the pot and no bottle: the first ride that nothing can take.
    expect(planned(['allowed_days' => array_fill(0, 7, false)] + $shed)['blocked'])->toMatchArray(['day' => 5, 'bike' => 'heron']);
    // Even one kilometre is too many on a spent chain; a day of rest is not.
    $spent = ['chains' => [['id' => 'A', 'used_km' => 300]], 'daily_km' => [0, 0, 0, 0, 0, 0, 1]] + $shed['bikes'][0];
    $cold = ['allowed_days' => array_fill(0, 7, false), 'bikes' => [$spent]] + $shed;
    expect(planned($cold)['blocked'])
        ->toMatchArray(['day' => 6, 'bike' => 'heron'])
        ->and(planned(['bikes' => [['daily_km' => array_fill(0, 7, 0)] + $spent]] + $cold)['feasible'])
        ->toBeTrue();
    // 400 km on a day want a fresh chain: the pot the day before, or that morning.
    $long = planned(['bikes' => [['daily_km' => [0, 0, 0, 0, 400, 0, 0]] + $shed['bikes'][0]]] + $shed);
    expect(array_column($long['pot_days'], 'day'))
        ->toBe([4])
        ->and(planned(['bikes' => []] + $shed))
        ->toMatchArray(['feasible' => true, 'total_minutes' => 0.0, 'pot_days' => []]);
});

it('refuses what cannot be planned', function (array $with, string $field): void {
    $in = $with + [
        'days' => 2,
        'allowed_days' => [true, true],
        'fixed_minutes' => 40,
        'per_dip_minutes' => 5,
        'bikes' => [['id' => 1, 'interval_km' => 300, 'daily_km' => [1, 1], 'chains' => [['id' => 'A', 'used_km' => 0]], 'on_bike' => 'A']],
    ];
    expect(fn() => planned($in))->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($field));
})->with([
    [['days' => 0], 'days'],
    [['days' => 3], 'allowed_days'],
    [['fixed_minutes' => -1], 'fixed_minutes'],
    [['pot_capacity' => 0], 'pot_capacity'],
    [['topup' => ['km' => 0, 'minutes' => 1, 'max_per_cycle' => 1]], 'topup.km'],
    [['allowed_days' => [true, 1]], 'allowed_days.1'],
    [
        ['bikes' => [['id' => 1, 'interval_km' => 300, 'daily_km' => [1], 'chains' => [['id' => 'A', 'used_km' => 0]], 'on_bike' => 'A']]],
        'bikes.0.daily_km',
    ],
    [
        [
            'bikes' => [
                ['id' => 1, 'interval_km' => 300, 'daily_km' => [1, 1], 'chains' => [['id' => 'A', 'used_km' => 0]], 'on_bike' => 'B'],
            ],
        ],
        'bikes.0.on_bike',
    ],
    [
        [
            'bikes' => [
                ['id' => 1, 'interval_km' => 300, 'daily_km' => [1, -1], 'chains' => [['id' => 'A', 'used_km' => 0]], 'on_bike' => 'A'],
            ],
        ],
        'bikes.0.daily_km.1',
    ],
    [['bikes' => [['id' => 1, 'interval_km' => 300, 'daily_km' => [1, 1], 'chains' => [], 'on_bike' => 'B']]], 'bikes.0.chains'],
]);
