<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Plan\BatchPrice;
use Dripel\Core\Plan\BikeDips;
use Dripel\Core\Plan\DipEnd;
use Dripel\Core\Plan\EveryDip;
use Dripel\Core\Plan\PlanBlock;
use Dripel\Core\Plan\PotDays;
use Dripel\Core\Plan\PotDaysInput;
use Tests\Core\Plan\RuledShed;

/** @return array<string, mixed> */
function chosen(array $input): array
{
    return (new PotDays())->compute(Fields::fromJson((string) json_encode($input)));
}

/**
 * Every choice of pot days and of chains, tried one by one: the best by minutes, pot days, the later first one, dips; and how far any
 * comes.
 */
function everyChoice(RuledShed $shed, int $day, array $pots, array &$best, array &$latest): void
{
    $in = $shed->in;
    if ($day === $in['days']) {
        $key = [
            // Days that nobody wants are as few as will do, before any minutes count.
            count(array_intersect(array_keys($pots), $in['unwanted'] ?? [])),
            round($shed->minutes + ($in['dips'] === 'chosen' ? $shed->end() : 0), 7),
            count($pots),
            -(array_key_first($pots) ?? 0),
            array_sum(array_map(count(...), $pots)),
        ];
        $best = $best === [] || $key < $best ? $key : $best;

        return;
    }
    $used = $in['allowed_days'][$day] ? $shed->used() : [];
    for ($choice = 0; $choice < 1 << count($used); $choice++) {
        if ($in['dips'] === 'used' && $choice > 0 && $choice + 1 < 1 << count($used)) {
            continue;
        }
        $next = clone $shed;
        $dips = array_values(array_filter($used, fn(int $i) => (($choice >> $i) & 1) === 1, ARRAY_FILTER_USE_KEY));
        $dips === [] || $next->pot($dips);
        $stuck = $next->day($day);
        if ($stuck !== null) {
            $latest = max($latest, [$day]);
            continue;
        }
        everyChoice($next, $day + 1, $dips === [] ? $pots : $pots + [$day => $dips], $best, $latest);
    }
}

/** A small shed by the dice. @return array<string, mixed> */
function diceShed(int $seed): array
{
    mt_srand($seed);
    $pick = fn(array $of) => $of[mt_rand(0, count($of) - 1)];
    $days = mt_rand(3, 7);
    $bikes = [];
    for ($b = 0; $b < mt_rand(1, 2); $b++) {
        $by = $pick(['km', 'km', 'both', 'hours']);
        $chains = array_map(
            fn(int $n) => array_filter(
                [
                    'id' => $b . 'ABC'[$n],
                    'used_km' => $pick([0, 0, 40, 80, 100]),
                    'used_hours' => $by === 'km' ? null : $pick([0, 2, 3]),
                    'topups' => $pick([null, null, 1]),
                    'bare' => $n > 0 && mt_rand(0, 4) === 0 ? true : null,
                    'dip_by' => mt_rand(0, 6) === 0 ? mt_rand(0, $days - 1) : null,
                ],
                fn(mixed $value) => $value !== null,
            ),
            range(0, mt_rand(0, 2)),
        );
        $bikes[] =
            [
                'id' => "bike {$b}",
                'interval_km' => $by === 'hours' ? null : 100,
                'daily_km' => array_map(fn() => $pick([0, 0, 20, 40, 60, 130]), range(1, $days)),
                'chains' => $chains,
                'on_bike' => $chains[0]['id'],
            ] +
            ($by === 'km' ? [] : ['interval_hours' => 5, 'daily_hours' => array_map(fn() => $pick([0, 0, 1, 2, 3, 6]), range(1, $days))]);
    }
    $left = 3;

    return [
        'days' => $days,
        'allowed_days' => array_map(function () use ($pick, &$left) {
            return $pick([true, true, false]) && $left-- > 0;
        }, range(1, $days)),
        'fixed_minutes' => $pick([0, 30, 45]),
        'per_dip_minutes' => $pick([0, 5, 8]),
        'batch_minutes' => $pick([0, 20]),
        'pot_capacity' => $pick([null, 1, 2, 3]),
        'swap_minutes' => $pick([0, 3]),
        'topup' => $pick([
            null,
            ['km' => 50, 'minutes' => $pick([0, 3, 20]), 'max_per_cycle' => 2],
            ['km' => 80, 'minutes' => 25, 'max_per_cycle' => 1],
        ]),
        'bikes' => $bikes,
        'dips' => 'chosen',
    ] + $pick([[], [], ['end_minutes_per_chain' => 0], ['end_minutes_per_chain' => 20]]);
}

/** @return array{PotDaysInput, BikeDips} the first bike of a shed alone */
function aBikeOf(array $shed): array
{
    $in = PotDaysInput::from(Fields::fromJson((string) json_encode($shed)));

    return [$in, new BikeDips($in, $in->bikes[0], BatchPrice::all($in))];
}

it('says of each bike what it comes to at least, exactly where it may look at everything', function (): void {
    $tight = $carried = 0;
    for ($seed = 1; $seed <= 300; $seed++) {
        $shed = diceShed($seed);
        foreach ($shed['bikes'] as $bike) {
            $one = ['bikes' => [$bike], 'dips' => 'chosen'] + $shed;
            [$in, $dips] = aBikeOf($one);
            $allowed = array_keys(array_filter($shed['allowed_days']));
            foreach (BatchPrice::all($in) as $price => $of) {
                // Each dip at its share, the pot days for nothing: tried one by one.
                [$best, $latest] = [[], []];
                $priced = ['fixed_minutes' => 0, 'batch_minutes' => 0, 'per_dip_minutes' => $shed['per_dip_minutes'] + $of->share];
                everyChoice(new RuledShed($priced + ['end_minutes_per_chain' => $in->endMinutesPerChain] + $one), 0, [], $best, $latest);
                $alone = $dips->alone($allowed, $price, 1_000_000);
                $least = $dips->least($price);
                expect($alone)->toEqualWithDelta($best[1] ?? INF, 1e-6, "seed {$seed}");
                expect($least)
                    ->toBeGreaterThanOrEqual(0.0)
                    ->toBeLessThanOrEqual($alone + 1e-6, "seed {$seed}");
                $tight += (int) ($alone - $least < 1e-6);
                // Without a step to spare it says no more than the bound.
                $alone === INF || expect($dips->alone($allowed, $price, 0))->toBe($least);
            }
            // As many pot days as any way needs, where nothing else costs anything.
            [$best, $latest] = [[], []];
            $free = ['fixed_minutes' => 1, 'per_dip_minutes' => 0, 'batch_minutes' => 0, 'swap_minutes' => 0, 'end_minutes_per_chain' => 0];
            $shed['topup'] === null || ($free['topup'] = ['minutes' => 0] + $shed['topup']);
            everyChoice(new RuledShed($free + $one), 0, [], $best, $latest);
            if ($best !== []) {
                $carried++;
                expect($dips->pots())->toBeLessThanOrEqual($best[2], "seed {$seed}");
                // Whatever there is room for, the cheapest of all ways is found, and each names its pot days.
                $room = array_fill(
                    0,
                    count(BatchPrice::all($in)),
                    array_fill(0, count($allowed) + 1, array_fill(0, 1 << count($allowed), INF)),
                );
                $ends = $dips->search($allowed, $room, 1_000_000, $in->days) ?? [];
                expect(min(array_map(fn(DipEnd $end) => $end->minutes, $ends)))->toEqualWithDelta(
                    $dips->alone($allowed, 0, 1_000_000),
                    1e-6,
                );
                foreach ($ends as $end) {
                    $counts = $dips->counts($end, count($allowed));
                    expect(array_keys(array_filter($counts)))
                        ->toBe(array_keys(array_intersect($allowed, array_keys($end->taken))))
                        ->and($end->dips)
                        ->toBe(array_sum(array_map(count(...), $end->taken)));
                }
            }
        }
    }
    expect($tight)->toBeGreaterThan(100)->and($carried)->toBeGreaterThan(100);
});

it('counts what a bike needs at least by hand', function (array $with, array $km, array $least, int $pots): void {
    // A is used up, B fresh; a dip takes 5 minutes, its share of a full batch 3 more; each of three days takes its part of a coat.
    [, $bike] = aBikeOf(
        $with + [
            'days' => 3,
            'allowed_days' => [true, true, true],
            'fixed_minutes' => 40,
            'per_dip_minutes' => 5,
            'batch_minutes' => 12,
            'pot_capacity' => 4,
            'swap_minutes' => 3,
            'topup' => null,
            'dips' => 'chosen',
            'bikes' => [
                [
                    'id' => 'one',
                    'interval_km' => 100,
                    'daily_km' => $km,
                    'chains' => [['id' => 'A', 'used_km' => 100], ['id' => 'B', 'used_km' => 0]],
                    'on_bike' => 'A',
                ],
            ],
        ],
    );
    expect([$bike->least(0), $bike->least(1), $bike->pots()])->toEqualWithDelta([...$least, $pots], 1e-9);
})->with([
    // Two coats, at 5 where each pot day pays for one batch, at 8 where each dip pays its share.
    'what both carry' => [[], [50, 0, 50], [10, 16], 0],
    // Half a coat more than both carry is dipped for; what is left at the end costs nothing.
    'an end for nothing' => [['end_minutes_per_chain' => 0], [50, 50, 50], [2.5, 4], 1],
    'a pot day for each two coats' => [['end_minutes_per_chain' => 0], [100, 100, 100], [10, 16], 1],
    'another for half a coat' => [
        ['end_minutes_per_chain' => 0, 'days' => 4, 'allowed_days' => [true, true, true, true]],
        [100, 100, 100, 50],
        [12.5, 20],
        2,
    ],
    // A quarter of a coat by the bottle takes 1 minute: a whole one 4, less than a dip.
    'a cheap bottle' => [
        ['topup' => ['km' => 25, 'minutes' => 1, 'max_per_cycle' => 1], 'end_minutes_per_chain' => 0],
        [50, 50, 50],
        [2, 2],
        0,
    ],
    'a bottle that may not be used' => [
        ['topup' => ['km' => 25, 'minutes' => 1, 'max_per_cycle' => 0], 'end_minutes_per_chain' => 0],
        [50, 50, 50],
        [2.5, 4],
        1,
    ],
]);

it('finds the best of all pot days and chains that there are, on 300 small sheds', function (): void {
    [$feasible, $blocked] = [0, 0];
    for ($seed = 1; $seed <= 300; $seed++) {
        $in = diceShed($seed);
        [$best, $latest] = [[], [-1]];
        everyChoice(new RuledShed($in), 0, [], $best, $latest);
        $found = chosen($in);
        if ($best === []) {
            $blocked++;
            expect($found)
                ->toMatchArray(
                    [
                        'feasible' => false,
                        'total_minutes' => null,
                        'pot_days' => [],
                        'swaps' => [],
                        'topups' => [],
                        'end_minutes' => null,
                        'gap_minutes' => null,
                    ],
                    "seed {$seed}",
                )
                ->and($found['blocked']['day'])
                ->toBe($latest[0], "seed {$seed}");
            continue;
        }
        $feasible++;
        expect($found['feasible'])
            ->toBeTrue("seed {$seed}")
            ->and($found['gap_minutes'])
            ->toBe(0.0)
            ->and([
                0,
                round($found['total_minutes'], 7),
                count($found['pot_days']),
                -($found['pot_days'][0]['day'] ?? 0),
                array_sum(array_map(count(...), array_column($found['pot_days'], 'dips'))),
            ])
            ->toEqual($best, "seed {$seed}");
        // Ridden once more by the rule: it costs that, and every dip is of a chain that was used.
        $shed = new RuledShed($in);
        for ($day = 0; $day < $in['days']; $day++) {
            foreach ($found['pot_days'] as $pot) {
                if ($pot['day'] === $day) {
                    expect(array_diff($pot['dips'], $shed->used()))
                        ->toBe([])
                        ->and($pot['dips'])
                        ->not->toBe([])
                        ->and($in['allowed_days'][$day])
                        ->toBeTrue();
                    $shed->pot($pot['dips']);
                }
            }
            expect($shed->day($day))->toBeNull("seed {$seed}");
        }
        expect($shed->minutes + $shed->end())
            ->toEqualWithDelta($found['total_minutes'], 1e-6, "seed {$seed}")
            ->and($shed->end())
            ->toEqualWithDelta($found['end_minutes'], 1e-6)
            ->and([$shed->swaps, $shed->drips])
            ->toBe([count($found['swaps']), count($found['topups'])]);
    }
    expect($feasible)->toBeGreaterThan(120)->and($blocked)->toBeGreaterThan(40);
});

it('takes as few days that nobody wants as carry the rides, and of these plans the best', function (): void {
    $forced = 0;
    for ($seed = 1; $seed <= 300; $seed++) {
        // Few days, so that each choice of all of them can be tried.
        $in = diceShed($seed);
        $days = min(4, $in['days']);
        $in['days'] = $days;
        $in['allowed_days'] = array_slice($in['allowed_days'], 0, $days);
        foreach ($in['bikes'] as $b => $bike) {
            $in['bikes'][$b]['daily_km'] = array_slice($bike['daily_km'], 0, $days);
            isset($bike['daily_hours']) && ($in['bikes'][$b]['daily_hours'] = array_slice($bike['daily_hours'], 0, $days));
            $in['bikes'][$b]['chains'] = array_map(fn(array $chain) => array_diff_key($chain, ['dip_by' => 0]), $bike['chains']);
        }
        $input = PotDaysInput::from(Fields::fromJson((string) json_encode($in)));
        if (EveryDip::best($input) !== [] && !(EveryDip::best($input) instanceof PlanBlock)) {
            continue;
        }
        $all = ['allowed_days' => array_fill(0, $days, true), 'unwanted' => array_keys($in['allowed_days'], false, true)] + $in;
        [$best, $latest] = [[], [-1]];
        everyChoice(new RuledShed($all), 0, [], $best, $latest);
        $found = (new PotDays())($input->reluctantly())->toArray();
        expect($found['feasible'])->toBe($best !== [], "seed {$seed}");
        if ($best === []) {
            continue;
        }
        $pots = array_column($found['pot_days'], 'day');
        $unwanted = count(array_intersect($pots, $all['unwanted']));
        $forced += $unwanted > 0 ? 1 : 0;
        expect([
            $unwanted,
            round($found['total_minutes'], 7),
            count($pots),
            -($pots[0] ?? 0),
            array_sum(array_map(count(...), array_column($found['pot_days'], 'dips'))),
        ])->toEqual($best, "seed {$seed}");
    }
    expect($forced)->toBeGreaterThan(30);
});

it('finds the best days where every used chain is dipped, with hours, bare chains and deadlines too', function (): void {
    $blocked = 0;
    for ($seed = 1; $seed <= 300; $seed++) {
        $in = ['dips' => 'used'] + diceShed($seed);
        [$best, $latest] = [[], [-1]];
        everyChoice(new RuledShed($in), 0, [], $best, $latest);
        $found = chosen($in);
        expect($found['feasible'])->toBe($best !== [], "seed {$seed}");
        if ($best === []) {
            $blocked++;
            expect($found['blocked']['day'])->toBe($latest[0], "seed {$seed}");
            continue;
        }
        expect([round($found['total_minutes'], 7), count($found['pot_days']), -($found['pot_days'][0]['day'] ?? 0)])->toEqual(
            array_slice($best, 1, 3),
            "seed {$seed}",
        );
    }
    expect($blocked)->toBeGreaterThan(40);
});

/** A shed as large as one likes, by the dice. @return array<string, mixed> */
function largeShed(int $seed, int $days, int $allowed, int $bikeCount, int $chainCount): array
{
    mt_srand($seed);
    $heat = array_rand(array_fill(0, $days, true), $allowed);
    $bikes = [];
    for ($b = 0; $b < $bikeCount; $b++) {
        $interval = [300, 400, 500][mt_rand(0, 2)];
        $km = array_map(fn() => [0, 0, mt_rand(20, 90)][mt_rand(0, 2)], range(1, $days));
        $chains = array_map(
            fn(int $n) => ['id' => "{$b}-{$n}", 'used_km' => mt_rand(0, 2) * 60, 'bare' => $n > 0 && mt_rand(0, 8) === 0],
            range(1, intdiv($chainCount * ($b + 1), $bikeCount) - intdiv($chainCount * $b, $bikeCount)),
        );
        $bikes[] =
            ['id' => "bike {$b}", 'interval_km' => $interval, 'daily_km' => $km, 'chains' => $chains, 'on_bike' => $chains[0]['id']] +
            (mt_rand(0, 2) > 0 ? [] : ['interval_hours' => 14, 'daily_hours' => array_map(fn(float $one) => $one / 22, $km)]);
        $bikes[$b]['chains'][0]['bare'] = false;
    }

    return [
        'days' => $days,
        'allowed_days' => array_map(fn(int $day) => in_array($day, (array) $heat, true), range(0, $days - 1)),
        'fixed_minutes' => 45,
        'per_dip_minutes' => 8,
        'batch_minutes' => 20,
        'pot_capacity' => 4,
        'swap_minutes' => 3,
        'topup' => ['km' => 100, 'minutes' => 25, 'max_per_cycle' => 1],
        'bikes' => $bikes,
        'dips' => 'chosen',
    ];
}

it('is exact up to four weeks of five bikes, and never worse than to dip everything', function (
    int $days,
    int $allowed,
    int $bikes,
    int $chains,
    bool $exact,
): void {
    $plans = 0;
    for ($seed = 1; $seed <= 3; $seed++) {
        $in = largeShed($seed, $days, $allowed, $bikes, $chains);
        $found = chosen($in);
        // To dip all that was used on its best pot days is one of the choices; ridden by the rule it costs what it is said to.
        $every = chosen(['dips' => 'used'] + $in);
        expect($found['feasible'])->toBe($every['feasible']);
        if (!$found['feasible']) {
            continue;
        }
        $plans++;
        $cost = function (array $plan) use ($in): float {
            $shed = new RuledShed($in);
            for ($day = 0; $day < $in['days']; $day++) {
                foreach ($plan['pot_days'] as $pot) {
                    $pot['day'] === $day && $shed->pot($pot['dips']);
                }
                expect($shed->day($day))->toBeNull();
            }

            return $shed->minutes + $shed->end();
        };
        expect($found['total_minutes'])
            ->toEqualWithDelta($cost($found), 1e-6)
            ->toBeLessThanOrEqual($cost($every) + 1e-6)
            ->and($found['gap_minutes'])
            ->toBeGreaterThanOrEqual(0.0)
            ->toBeLessThanOrEqual($found['total_minutes']);
        $exact && expect($found['gap_minutes'])->toBe(0.0);
    }
    expect($plans)->toBeGreaterThan(1);
})->with(['four weeks' => [28, 8, 5, 14, true], 'half a year, a shed of ten bikes' => [180, 60, 10, 40, false]]);

it('keeps its word about what better there could be, where it does not look at everything', function (): void {
    for ($seed = 1; $seed <= 4; $seed++) {
        // The pot on any of sixteen days is more than it goes through; one chain, so that every choice can be tried here.
        $in = largeShed($seed, 16, 16, 1, 1);
        $in['bikes'][0]['interval_km'] = 120;
        [$best, $latest] = [[], [-1]];
        everyChoice(new RuledShed($in), 0, [], $best, $latest);
        $found = chosen($in);
        expect($found['total_minutes'])
            ->toBeGreaterThanOrEqual($best[1] - 1e-6)
            ->and($found['total_minutes'] - $found['gap_minutes'])
            ->toBeLessThanOrEqual($best[1] + 1e-6);
    }
});

it('dips the four that need it, and not the fourteen that were ridden', function (): void {
    // A fortnight as the demo has it: most chains are far from done, and the pot is hot once.
    $bike = fn(string $id, float $interval, array $days, array $used, array $with = []) => $with + [
        'id' => $id,
        'interval_km' => $interval,
        'daily_km' => array_map(fn(int $day) => $days[$day % 7] ?? 0, range(0, 13)),
        'on_bike' => "{$id}0",
        'chains' => array_map(fn(float $km, int $n) => ['id' => $id . $n, 'used_km' => $km], $used, array_keys($used)),
    ];
    $in = [
        'days' => 14,
        'allowed_days' => array_map(fn(int $day) => $day % 7 === 3 || $day % 7 === 5, range(0, 13)),
        'fixed_minutes' => 60,
        'per_dip_minutes' => 8,
        'batch_minutes' => 20,
        'pot_capacity' => 4,
        'swap_minutes' => 3,
        'topup' => null,
        'dips' => 'chosen',
        'bikes' => [
            $bike('road', 300, [1 => 40, 5 => 90], [250, 290, 240, 280]),
            $bike('gravel', 200, [2 => 30, 6 => 60], [150, 190, 170]),
            $bike('hill', 200, [6 => 70], [20, 140, 30]),
            $bike('rain', 200, [0 => 15, 1 => 15, 2 => 15, 3 => 15, 4 => 15], [170, 90, 160, 180]),
        ],
    ];
    $found = chosen($in);
    $every = chosen(['dips' => 'used'] + $in);
    // 60 for the pot, 4 · 8, one batch of 20, two swaps: 118 minutes of work in place of 60 + 14 · 8 + 4 · 20 + 3 = 255.
    expect($found['pot_days'])
        ->toHaveCount(1)
        ->and($found['pot_days'][0]['dips'])
        ->toHaveCount(4)
        ->and($found['gap_minutes'])
        ->toBe(0.0)
        ->and($found['total_minutes'] - $found['end_minutes'])
        ->toEqualWithDelta(118.0, 1e-9)
        ->and($every['pot_days'][0]['dips'])
        ->toHaveCount(14)
        ->and($every['total_minutes'])
        ->toEqualWithDelta(255.0, 1e-9);
});

it('goes by hours, starts with what is bare and has had top-ups, and meets the days that are set', function (): void {
    $in = [
        'days' => 3,
        'allowed_days' => [true, true, true],
        'fixed_minutes' => 40,
        'per_dip_minutes' => 8,
        'batch_minutes' => 0,
        'pot_capacity' => null,
        'swap_minutes' => 3,
        'topup' => ['km' => 100, 'minutes' => 25, 'max_per_cycle' => 1],
        'dips' => 'chosen',
        'bikes' => [
            [
                'id' => 'moor',
                'interval_km' => null,
                'interval_hours' => 10,
                'daily_km' => [400, 0, 90],
                'daily_hours' => [4, 0, 4],
                'chains' => [['id' => 'A', 'used_km' => 900, 'used_hours' => 3], ['id' => 'B', 'used_km' => 0, 'bare' => true]],
                'on_bike' => 'A',
            ],
        ],
    ];
    // 3 of 10 h, then 4: 7; 4 more are too many, and the km do not count. One dip of A, on the last day that will do: it has 4 h left to
    // come. Each chain at the end: 0.4 and 1.
    expect(chosen($in))->toMatchArray([
        'pot_days' => [['day' => 2, 'batches' => 1, 'dips' => ['A']]],
        'total_minutes' => 40 + 8 + 8 * 1.4,
        'end_minutes' => 8 * 1.4,
        'swaps' => [],
    ]);
    $with = fn(array $chain) => array_replace_recursive($in, ['bikes' => [['chains' => [1 => $chain]]]]);
    // B by the second day: both then, one pot.
    expect(chosen($with(['dip_by' => 1]))['pot_days'])
        ->toBe([['day' => 1, 'batches' => 1, 'dips' => ['A', 'B']]])
        // No pot before it: that is what blocks, before the ride that could not be ridden either.
        ->and(chosen(['allowed_days' => [false, false, false]] + $with(['dip_by' => 2]))['blocked'])
        ->toBe(['day' => 2, 'bike' => 'moor', 'chain' => 'B', 'why' => 'dip_by'])
        ->and(chosen(['allowed_days' => [false, false, false]] + $in)['blocked'])
        ->toBe(['day' => 2, 'bike' => 'moor', 'chain' => null, 'why' => 'ride'])
        // The same where every chain that was used is dipped: what must be dipped counts as used until it is.
        ->and(chosen(['dips' => 'used'] + $with(['bare' => false, 'dip_by' => 1]))['pot_days'])
        ->toBe([['day' => 1, 'batches' => 1, 'dips' => ['A', 'B']]]);
    // The one top-up that it may have was had.
    $drip = fn(int $topUps) => chosen(
        [
            'allowed_days' => [false, false, false],
            'bikes' => [
                [
                    'id' => 'moor',
                    'interval_km' => 300,
                    'daily_km' => [50, 0, 0],
                    'chains' => [['id' => 'A', 'used_km' => 290, 'topups' => $topUps]],
                    'on_bike' => 'A',
                ],
            ],
        ] + $in,
    );
    expect($drip(0)['topups'])->toHaveCount(1)->and($drip(1)['feasible'])->toBeFalse();
});

it('plans for no bike, for none that rides, and for a pot that is never hot', function (): void {
    $in = fn(array $bikes, bool $hot = true) => [
        'days' => 2,
        'allowed_days' => [$hot, $hot],
        'fixed_minutes' => 40,
        'per_dip_minutes' => 5,
        'batch_minutes' => 10,
        'pot_capacity' => 2,
        'dips' => 'chosen',
        'bikes' => $bikes,
    ];
    $bike = fn(float $km, float $used) => [
        'id' => 1,
        'interval_km' => 100,
        'daily_km' => [0, $km],
        'chains' => [['id' => 'A', 'used_km' => $used]],
        'on_bike' => 'A',
    ];
    expect(chosen($in([])))
        ->toMatchArray(['feasible' => true, 'total_minutes' => 0.0, 'pot_days' => [], 'end_minutes' => 0.0, 'gap_minutes' => 0.0])
        // Half of a coat is used: half of a dip, 5, and its share of a batch, 5.
        ->and(chosen($in([$bike(0, 50)])))
        ->toMatchArray(['total_minutes' => 5.0, 'pot_days' => []])
        ->and(chosen($in([$bike(50, 50)], false)))
        ->toMatchArray(['total_minutes' => 10.0, 'pot_days' => []])
        ->and(chosen($in([$bike(51, 50)], false))['blocked'])
        ->toBe(['day' => 1, 'bike' => 1, 'chain' => null, 'why' => 'ride']);
});

it('refuses hours, deadlines and bare chains that say nothing', function (array $bike, string $field, array $with = []): void {
    $in = $with + [
        'days' => 2,
        'allowed_days' => [true, true],
        'fixed_minutes' => 40,
        'per_dip_minutes' => 5,
        'dips' => 'chosen',
        'bikes' => [
            $bike + ['id' => 1, 'interval_km' => 300, 'daily_km' => [1, 1], 'chains' => [['id' => 'A', 'used_km' => 0]], 'on_bike' => 'A'],
        ],
    ];
    expect(fn() => chosen($in))->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($field));
})->with([
    'no interval at all' => [['interval_km' => null], 'bikes.0.interval_km'],
    'hours without days' => [['interval_hours' => 10], 'bikes.0.daily_hours'],
    'days without hours' => [['daily_hours' => [1, 1]], 'bikes.0.interval_hours'],
    'a day too few' => [['interval_hours' => 10, 'daily_hours' => [1]], 'bikes.0.daily_hours'],
    'no time' => [['interval_hours' => 0, 'daily_hours' => [1, 1]], 'bikes.0.interval_hours'],
    'below nothing' => [['interval_hours' => 10, 'daily_hours' => [1, -1]], 'bikes.0.daily_hours.1'],
    'a bare chain on the bike' => [['chains' => [['id' => 'A', 'used_km' => 0, 'bare' => true]]], 'bikes.0.on_bike'],
    'a deadline past the end' => [['chains' => [['id' => 'A', 'used_km' => 0, 'dip_by' => 2]]], 'bikes.0.chains.0.dip_by'],
    'a deadline before today' => [['chains' => [['id' => 'A', 'used_km' => 0, 'dip_by' => -1]]], 'bikes.0.chains.0.dip_by'],
    'fewer top-ups than none' => [['chains' => [['id' => 'A', 'used_km' => 0, 'topups' => -1]]], 'bikes.0.chains.0.topups'],
    'another rule' => [[], 'dips', ['dips' => 'some']],
    'an end that pays' => [[], 'end_minutes_per_chain', ['end_minutes_per_chain' => -1]],
]);
