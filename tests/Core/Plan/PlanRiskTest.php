<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PastWeeks;
use Dripel\Core\Plan\PlanRisk;
use Dripel\Core\Plan\PotDaysInput;
use Dripel\Core\Plan\SimulatedCosts;
use Tests\Core\Plan\RuledShed;

/** @return array<string, mixed> */
function risk(array $input): array
{
    return (new PlanRisk())->compute(Fields::fromJson((string) json_encode($input)));
}

/** Two bikes for twelve days from a Thursday on: parts of three weeks, one pot day. @return array<string, mixed> */
function riskyPlan(): array
{
    $bike = fn(string $id, array $with, array $chains) => $with + [
        'id' => $id,
        'interval_km' => 300,
        'daily_km' => array_fill(0, 12, 40),
        'chains' => $chains,
        'on_bike' => "{$id}A",
    ];

    return [
        'plan' => [
            'days' => 12,
            'allowed_days' => array_fill(0, 12, true),
            'fixed_minutes' => 45,
            'per_dip_minutes' => 8,
            'swap_minutes' => 3,
            'topup' => ['km' => 60, 'minutes' => 15, 'max_per_cycle' => 1],
            'bikes' => [
                $bike('heron', [], [['id' => 'heronA', 'used_km' => 120], ['id' => 'heronB', 'used_km' => 230]]),
                $bike(
                    'badger',
                    ['interval_hours' => 12, 'daily_hours' => array_fill(0, 12, 2)],
                    [['id' => 'badgerA', 'used_km' => 60, 'used_hours' => 3], ['id' => 'badgerB', 'used_km' => 0, 'bare' => true]],
                ),
            ],
        ],
        'pot_days' => [['day' => 4, 'dips' => ['heronA', 'badgerB']]],
        'weeks' => [
            'heron' => [[0, 40, 0, 60, 0, 90, 70], [0, 0, 50, 0, 0, 160, 0], [80, 0, 0, 0, 60, 0, 120]],
            'badger' => [[30, 0, 30, 0, 0, 80, 0], [0, 60, 0, 60, 0, 0, 100]],
        ],
        'start_weekday' => 3,
        'hours_per_km' => ['badger' => 0.05],
    ];
}

/** The same, every draw counted: by bike the chance to be on wax, of the first trouble on each day, and the mean swaps and top-ups. */
function everyDraw(array $in): array
{
    $found = [];
    foreach ($in['plan']['bikes'] as $bike) {
        $weeks = $in['weeks'][$bike['id']];
        $draws = count($weeks) ** 3;
        $of = ['waxed' => 0.0, 'trouble' => [], 'swaps' => 0.0, 'topups' => 0.0];
        for ($draw = 0; $draw < $draws; $draw++) {
            $three = [
                $weeks[$draw % count($weeks)],
                $weeks[intdiv($draw, count($weeks)) % count($weeks)],
                $weeks[intdiv($draw, count($weeks) ** 2)],
            ];
            $km = array_slice(array_merge(...$three), $in['start_weekday'], $in['plan']['days']);
            $shed = new RuledShed(
                [
                    'bikes' => [
                        [
                            'daily_km' => $km,
                            'daily_hours' => array_map(fn(float $each) => $each * ($in['hours_per_km'][$bike['id']] ?? 0), $km),
                        ] + $bike,
                    ],
                    'pot_capacity' => null,
                    'batch_minutes' => 0,
                ] + $in['plan'],
            );
            $first = null;
            foreach (array_keys($km) as $day) {
                foreach ($in['pot_days'] as $pot) {
                    $pot['day'] === $day && $shed->pot(array_values(array_intersect($pot['dips'], array_keys($shed->chains))));
                }
                if ($shed->day($day) !== null) {
                    $first ??= $day;
                    $on = $shed->on[$bike['id']];
                    $shed->chains[$on] = ['km' => $bike['interval_km'], 'h' => $bike['interval_hours'] ?? 0] + $shed->chains[$on];
                }
            }
            $first === null ? ($of['waxed'] += 1 / $draws) : ($of['trouble'][$first] = ($of['trouble'][$first] ?? 0) + 1 / $draws);
            $of['swaps'] += $shed->swaps / $draws;
            $of['topups'] += $shed->drips / $draws;
        }
        $found[$bike['id']] = $of;
    }

    return $found;
}

it('is within three standard errors of every draw counted', function (): void {
    $in = riskyPlan();
    $true = everyDraw($in);
    $found = risk($in + ['runs' => 6000, 'seed' => 3]);
    $within = fn(float $p): float => 3 * sqrt(($p * (1 - $p)) / 6000) + 1e-9;
    $all = $true['heron']['waxed'] * $true['badger']['waxed'];
    expect($all)
        ->toBeGreaterThan(0.05)
        ->toBeLessThan(0.95)
        ->and($found['all_waxed'])
        ->toEqualWithDelta($all, $within($all))
        ->and($found['standard_error'])
        ->toEqualWithDelta(sqrt(($found['all_waxed'] * (1 - $found['all_waxed'])) / 6000), 1e-12)
        ->and($found['runs'])
        ->toBe(6000);
    foreach ($found['bikes'] as $bike) {
        $of = $true[$bike['id']];
        ksort($of['trouble']);
        expect($bike['waxed'])
            ->toEqualWithDelta($of['waxed'], $within($of['waxed']))
            ->and(array_column($bike['first_trouble'], 'day'))
            ->toBe(array_keys($of['trouble']))
            ->and($bike['swaps'])
            ->toEqualWithDelta($of['swaps'], 0.08)
            ->and($bike['topups'])
            ->toEqualWithDelta($of['topups'], 0.08)
            ->and($bike['waxed'] + array_sum(array_column($bike['first_trouble'], 'share')))
            ->toEqualWithDelta(1.0, 1e-9);
        foreach ($bike['first_trouble'] as $trouble) {
            expect($trouble['share'])->toEqualWithDelta($of['trouble'][$trouble['day']], $within($of['trouble'][$trouble['day']]));
        }
    }
});

it('is the plan itself where no week is known, and the same again by the same seed', function (): void {
    $in = riskyPlan();
    $known = risk(['weeks' => ['heron' => [], 'badger' => []], 'runs' => 10] + $in);
    expect($known['all_waxed'])
        ->toBeIn([0.0, 1.0])
        ->and($known['standard_error'])
        ->toEqual(0)
        ->and(risk($in))
        ->toBe(risk($in))
        ->not->toBe(risk(['seed' => 2] + $in))
        ->and(risk($in)['runs'])
        ->toBe(2000);
    // Days of the pot later than the trouble do not help; every chain dipped each day does.
    $dry = risk(['pot_days' => []] + $in)['all_waxed'];
    $all = risk(
        ['pot_days' => array_map(fn(int $day) => ['day' => $day, 'dips' => ['heronA', 'heronB', 'badgerA', 'badgerB']], range(0, 11))] +
            $in,
    );
    expect($dry)->toBeLessThan(risk($in)['all_waxed'])->and($all['all_waxed'])->toBe(1.0)->and($all['bikes'][0]['first_trouble'])->toBe([]);
});

it('refuses what it cannot draw from', function (array $with, string $field): void {
    expect(fn() => risk(array_replace_recursive(riskyPlan(), $with)))->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($field));
})->with([
    'a bike that is not there' => [['weeks' => ['otter' => []]], 'weeks.otter'],
    'hours of another' => [['hours_per_km' => ['otter' => 1]], 'hours_per_km.otter'],
    'a chain that is not there' => [['pot_days' => [['dips' => ['otterA']]]], 'pot_days.0.dips.0'],
    'a day past the end' => [['pot_days' => [['day' => 12]]], 'pot_days.0.day'],
    'six days' => [['weeks' => ['badger' => [2 => [1, 2, 3, 4, 5, 6]]]], 'weeks.badger.2'],
    'a way back' => [['weeks' => ['badger' => [[-1]]]], 'weeks.badger.0.0'],
    'no weekday' => [['start_weekday' => 7], 'start_weekday'],
    'no run' => [['runs' => 0], 'runs'],
]);

it('wants weeks of every bike, and the pace of one that goes by hours', function (): void {
    $in = riskyPlan();
    expect(fn() => risk(['weeks' => ['heron' => []]] + $in))
        ->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe('weeks.badger'))
        ->and(fn() => risk(['hours_per_km' => (object) []] + $in))
        ->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe('hours_per_km.badger'))
        ->and(fn() => risk(['pot_days' => [['day' => 4, 'dips' => []], ['day' => 4, 'dips' => []]]] + $in))
        ->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe('pot_days.1.day'));
});

it('lets any whole week come again since the first ride, the newest first, at most a season of them', function (
    array $daysBack,
    array $weeks,
): void {
    $zone = new DateTimeZone('UTC');
    // A Wednesday; the Monday of its week is two days before.
    $today = LocalDay::named('2026-11-25', $zone);
    $rides = array_map(
        fn(int $back) => new Ride($back, new Moment($today->plus(-$back)->startS() + 36_000), 1, 30.0, null, Condition::Dry),
        $daysBack,
    );
    $found = PastWeeks::of(new Book([1], [], new Settings([]), [], $rides, []), 1, $today);
    expect(array_map(array_sum(...), $found))->toBe($weeks);
})->with([
    'never ridden' => [[], []],
    'only this week' => [[1, 2], []],
    'on the Sunday before' => [[3], [30.0]],
    'three weeks ago and last week' => [[22, 5], [30.0, 0.0, 30.0]],
    'one of them not ridden, and this week besides' => [[16, 1], [0.0, 30.0]],
    'longer ago than a season' => [[120, 9], [30.0, ...array_fill(0, 12, 0.0)]],
]);

it('lets weeks of the same half of the year come again, where there are enough of them', function (
    string $today,
    string $since,
    array $weeks,
): void {
    $zone = new DateTimeZone('UTC');
    $today = LocalDay::named($today, $zone);
    // Each Thursday: 100 km from April to September, 30 km from October to March.
    $rides = [];
    for ($day = LocalDay::named($since, $zone); $day->date < $today->date; $day = $day->plus(7)) {
        $km = in_array((int) substr($day->date, 5, 2), [4, 5, 6, 7, 8, 9], true) ? 100.0 : 30.0;
        $rides[] = new Ride(count($rides) + 1, new Moment($day->atHour(12)), 1, $km, null, Condition::Dry);
    }
    $found = PastWeeks::of(new Book([1], [], new Settings([]), [], $rides, []), 1, $today);
    expect(array_map(array_sum(...), $found))->toBe($weeks);
})->with([
    'eight weeks of this winter, five of the last' => ['2026-11-25', '2025-01-02', array_fill(0, 13, 30.0)],
    'the Wednesday of the last whole week of a winter' => ['2026-03-25', '2025-01-02', array_fill(0, 13, 30.0)],
    'the first week of a summer: the summer before' => ['2026-04-08', '2025-01-02', array_fill(0, 13, 100.0)],
    'in the middle of a season its own weeks' => ['2026-09-09', '2026-01-01', array_fill(0, 13, 100.0)],
    'nine are enough' => ['2026-04-08', '2025-08-07', array_fill(0, 9, 100.0)],
    'eight are not' => ['2026-04-08', '2025-08-14', [100.0, ...array_fill(0, 12, 30.0)]],
    'no further back than a year and a season' => ['2026-04-08', '2024-07-04', array_fill(0, 13, 100.0)],
]);

it('takes what is left out for nothing: minutes of a batch and of a swap, what work, links and drip cost', function (): void {
    $plan = PotDaysInput::from(Fields::fromJson((string) json_encode(array_diff_key(riskyPlan()['plan'], ['swap_minutes' => 0]))));
    $costs = SimulatedCosts::from(Fields::fromJson('{"chain": 30}'));
    expect([$plan->batchMinutes, $plan->swapMinutes])
        ->toBe([0.0, 0.0])
        ->and($costs)
        ->toEqual(new SimulatedCosts(30.0));
});
