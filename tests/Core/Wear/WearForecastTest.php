<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Maths\Normal;
use Dripel\Core\Wear\ForecastReading;
use Dripel\Core\Wear\WearForecast;
use Dripel\Core\Wear\WearForecastInput;
use Dripel\Core\Wear\WearLikelihood;
use Dripel\Core\Wear\WearPrior;
use Dripel\Core\Wear\WearReadingResult;
use Dripel\Core\Wear\WearSlice;
use Random\Engine\Mt19937;
use Random\Randomizer;

const WEAR_PRIOR = ['rate_pct_per_1000km' => ['median' => 0.08, 'log_sd' => 0.5], 'initial_pct' => ['mean' => 0.02, 'sd' => 0.02]];

/** @param list<array<string, mixed>> $readings @return array<string, mixed> */
function forecast(array $readings, float $nowKm, float $limitPct = 0.5, ?array $prior = WEAR_PRIOR, array $with = []): array
{
    return (new WearForecast())->compute(
        Fields::fromJson(
            (string) json_encode(
                $with + ['limit_pct' => $limitPct, 'readings' => $readings, 'prior' => $prior, 'now_km' => $nowKm],
                JSON_PRESERVE_ZERO_FRACTION,
            ),
        ),
    );
}

/** @return array<string, array<mixed>> */
function references(string $kind): array
{
    $file = json_decode((string) file_get_contents(__DIR__ . '/data/forecast.json'), true);

    return array_combine(
        array_map(
            fn(int $i, array $case) => "{$kind} {$i}, " . count($case['readings']) . ' readings',
            array_keys($file[$kind]),
            $file[$kind],
        ),
        array_map(fn(array $case) => [$case], $file[$kind]),
    );
}

function near(float $reference): float
{
    return max(1e-5, 1.5e-3 * abs($reference));
}

it('agrees with a posterior by brute force on a dense grid (R; forecast.R)', function (array $case): void {
    $result = forecast($case['readings'], $case['now_km'], $case['limit_pct']);
    foreach (['mean', 'p10', 'p50', 'p90'] as $i => $name) {
        expect($result['rate_pct_per_1000km'][$name])->toEqualWithDelta($case['rate'][$i], near($case['rate'][$i]), "rate {$name}");
    }
    foreach (['mean', 'p10', 'p90'] as $i => $name) {
        expect($result['now_pct'][$name])->toEqualWithDelta($case['now'][$i], near($case['now'][$i]), "now {$name}");
    }
    foreach (['p10', 'p50', 'p90'] as $i => $name) {
        expect($result['km_to_limit'][$name])->toEqualWithDelta($case['km'][$i], max(1.0, near($case['km'][$i])), "km {$name}");
    }
    expect($result['initial_pct']['mean'])
        ->toEqualWithDelta($case['initial'], near($case['initial']))
        ->and($result['probability_past_limit'])
        ->toEqualWithDelta($case['past'], 1e-3);
})->with(references('posterior'));

it('agrees with brute force on 200 random mixed inputs, sharp edges and far tails among them (R; mixed.R)', function (): void {
    $errors = [];
    foreach (json_decode((string) file_get_contents(__DIR__ . '/data/mixed.json'), true) as $n => $case) {
        $found = (new WearForecast())->compute(Fields::fromJson((string) json_encode($case['input'], JSON_PRESERVE_ZERO_FRACTION)));
        $figures = [
            ...array_map(null, array_values($found['rate_pct_per_1000km']), $case['rate']),
            ...array_map(null, array_values($found['now_pct']), $case['now']),
            ...array_map(null, array_values($found['km_to_limit']), $case['km']),
            [$found['initial_pct']['mean'], $case['initial']],
            [$found['probability_past_limit'], $case['past']],
        ];
        foreach ($figures as $i => [$ours, $theirs]) {
            if ($ours === null || $theirs === null) {
                // Beyond the horizon for both, or right at it.
                ($ours ?? ($theirs ?? 1e9)) > 99_900.0 ||
                    throw new RuntimeException("Case {$n}, figure {$i}: one is beyond the horizon, the other is not.");
                continue;
            }
            // In parts of what the contract allows: 1e-3 relative or 1e-5 absolute.
            $errors["case {$n}, figure {$i}: {$ours} for {$theirs}"] = abs($ours - $theirs) / max(1e-5, 1e-3 * abs($theirs));
        }
    }
    asort($errors);
    $sorted = array_values($errors);
    fwrite(
        STDERR,
        sprintf(
            "    wear.forecast against brute force, %d figures, in parts of the tolerance: median %.1e, 99 %% %.1e, worst %.2f\n",
            count($sorted),
            $sorted[intdiv(count($sorted), 2)],
            $sorted[(int) (0.99 * count($sorted))],
            end($sorted),
        ),
    );
    expect(end($sorted))->toBeLessThan(1.0, (string) array_key_last($errors));
});

it('is the censored regression of survival::survreg, without a prior (R; forecast.R)', function (array $case): void {
    $km = max(array_column($case['readings'], 'km')) + 100.0;
    $result = forecast($case['readings'], $km, prior: null);
    expect($result['rate_pct_per_1000km']['mean'])
        ->toEqualWithDelta($case['rate'], 1e-6)
        ->and($result['initial_pct']['mean'])
        ->toEqualWithDelta($case['initial'], 1e-6)
        ->and($result['standard_error']['rate'])
        ->toEqualWithDelta($case['se_rate'], 1e-5 * $case['se_rate'])
        ->and($result['standard_error']['initial'])
        ->toEqualWithDelta($case['se_initial'], 1e-5 * $case['se_initial'])
        ->and($result['rate_pct_per_1000km']['p10'])
        ->toEqualWithDelta($case['rate'] - 1.2815515655446004 * $case['se_rate'], 1e-6);
})->with(references('fit'));

it('says of a line through readings from when on the limit is as likely passed, by the line’s own covariance', function (): void {
    // Three readings of 0.02 at 1000, 2000 and 4000 km on e = 0.02 + 0.08 x: least squares, by hand.
    [$x, $sigma, $limit] = [[1.0, 2.0, 4.0], 0.02, 0.5];
    $result = forecast(
        array_map(fn(float $at) => ['km' => 1000 * $at, 'value_pct' => 0.02 + 0.08 * $at, 'sigma_pct' => $sigma], $x),
        4000,
        $limit,
        prior: null,
    );
    $mean = array_sum($x) / 3;
    $spread = array_sum(array_map(fn(float $at) => ($at - $mean) ** 2, $x));
    foreach (['p10' => -1.2815515655446004, 'p90' => 1.2815515655446004] as $name => $z) {
        $at = 4.0 + $result['km_to_limit'][$name] / 1000;
        $sd = $sigma * sqrt(1 / 3 + ($at - $mean) ** 2 / $spread);
        expect(0.02 + 0.08 * $at - $limit)->toEqualWithDelta($z * $sd, 1e-6);
    }
});

it('draws the line through readings from the very beginning on', function (): void {
    // New it was 0.00 %: three values on a line but for 0.01 in the middle one, by hand.
    $readings = array_map(
        fn(int $km, float $pct) => ['km' => $km, 'value_pct' => $pct, 'sigma_pct' => 0.02],
        [0, 1000, 2000],
        [0.0, 0.11, 0.2],
    );
    $result = forecast($readings, 2000, prior: null);
    expect([$result['rate_pct_per_1000km']['mean'], $result['initial_pct']['mean']])->toEqualWithDelta([0.1, 0.01 / 3], 1e-9);
});

it('is the conjugate normal case where the rate is as good as known', function (): void {
    // e0 ~ N(0.02, 0.02), two readings of 0.04 at r = 0.08: by hand, precision 2500 + 2 · 625.
    $result = forecast(
        [['km' => 1000, 'value_pct' => 0.13, 'sigma_pct' => 0.04], ['km' => 3000, 'value_pct' => 0.27, 'sigma_pct' => 0.04]],
        3000,
        prior: ['rate_pct_per_1000km' => ['median' => 0.08, 'log_sd' => 1e-4], 'initial_pct' => ['mean' => 0.02, 'sd' => 0.02]],
    );
    $mean = (2500 * 0.02 + 625 * (0.13 - 0.08) + 625 * (0.27 - 0.24)) / 3750;
    expect($result['initial_pct']['mean'])
        ->toEqualWithDelta($mean, 1e-5)
        ->and($result['now_pct']['p90'])
        ->toEqualWithDelta($mean + 0.24 + 1.2815515655446004 / sqrt(3750), 1e-4);
});

it('goes wherever readings pull it, 25 standard deviations of what was expected and more', function (float $rate): void {
    // At 5000 km, with an e0 as good as known: one integral over ln r, by the trapezium rule.
    $result = forecast(
        [['km' => 5000, 'value_pct' => 0.02 + 5.0 * $rate, 'sigma_pct' => 0.004]],
        5000,
        prior: ['rate_pct_per_1000km' => ['median' => 0.08, 'log_sd' => 0.05], 'initial_pct' => ['mean' => 0.02, 'sd' => 1e-5]],
        limitPct: 10.0,
    );
    [$all, $mean] = [0.0, 0.0];
    for ($u = log($rate) - 0.5; $u < log($rate) + 0.5; $u += 1e-5) {
        $off = [($u - log(0.08)) / 0.05, (5.0 * (exp($u) - $rate)) / hypot(0.004, 1e-5)];
        $density = exp(350.0 - ($off[0] ** 2 + $off[1] ** 2) / 2);
        [$all, $mean] = [$all + $density, $mean + $density * exp($u)];
    }
    expect($result['rate_pct_per_1000km']['mean'])->toEqualWithDelta($mean / $all, (1e-5 * $mean) / $all);
})->with([0.3, 0.022]);

it('says nothing but the prior where nothing was measured', function (): void {
    $result = forecast([], 0);
    // A log-normal: median 0.08, mean 0.08 · exp(0.5² / 2).
    expect($result['rate_pct_per_1000km']['p50'])
        ->toEqualWithDelta(0.08, 1e-6)
        ->and($result['rate_pct_per_1000km']['mean'])
        ->toEqualWithDelta(0.08 * exp(0.125), 1e-6)
        ->and($result['rate_pct_per_1000km']['p90'])
        ->toEqualWithDelta(0.08 * exp(0.5 * 1.2815515655446004), 1e-5)
        ->and($result['now_pct']['p10'])
        ->toEqualWithDelta(0.02 - 0.02 * 1.2815515655446004, 1e-5)
        ->and($result['verdict'])
        ->toBe('keep');
});

it('depends on differences only: shifted alike, everything comes out shifted', function (): void {
    // Shifting all elongations and the prior's mean alike only shifts what comes out.
    $readings = fn(float $by): array => [
        ['km' => 700, 'value_pct' => 0.09 + $by, 'sigma_pct' => 0.04],
        ['km' => 2100, 'lower_pct' => null, 'upper_pct' => 0.4 + $by],
        ['km' => 3900, 'lower_pct' => 0.3 + $by, 'upper_pct' => 0.4 + $by],
    ];
    $prior = fn(float $by): array => ['initial_pct' => ['mean' => 0.02 + $by, 'sd' => 0.02]] + WEAR_PRIOR;
    $here = forecast($readings(0.0), 4000, 0.5, $prior(0.0));
    $there = forecast($readings(0.317), 4000, 0.817, $prior(0.317));
    expect($there['now_pct']['p10'])
        ->toEqualWithDelta($here['now_pct']['p10'] + 0.317, 2e-5)
        ->and($there['km_to_limit']['p50'])
        ->toEqualWithDelta($here['km_to_limit']['p50'], 2e-4 * $here['km_to_limit']['p50'])
        ->and($there['rate_pct_per_1000km']['p90'])
        ->toEqualWithDelta($here['rate_pct_per_1000km']['p90'], 2e-5)
        ->and($there['probability_past_limit'])
        ->toEqualWithDelta($here['probability_past_limit'], 2e-5);
});

it('holds the truth in its 80 % band as often as it says, over 500 simulated chains', function (): void {
    $dice = new Randomizer(new Mt19937(80));
    $normal = fn(): float => Normal::quantile(($dice->getInt(0, 999_999) + 0.5) / 1_000_000);
    $held = ['now' => 0, 'rate' => 0];
    for ($chain = 0; $chain < 500; $chain++) {
        [$rate, $initial] = [0.08 * exp(0.5 * $normal()), 0.02 + 0.02 * $normal()];
        $readings = [];
        foreach (range(1, $dice->getInt(1, 5)) as $i) {
            $km = (float) $dice->getInt(200, 5000);
            $elongation = $initial + ($rate * $km) / 1000;
            if ($dice->getInt(0, 1) === 0) {
                $readings[] = ForecastReading::exact($km, $elongation + 0.04 * $normal(), 0.04);
            } else {
                $seen = $elongation + 0.03 * $normal();
                $readings[] = ForecastReading::interval(
                    $km,
                    $seen >= 0.5 ? 0.5 : ($seen >= 0.4 ? 0.4 : null),
                    $seen >= 0.5 ? null : ($seen >= 0.4 ? 0.5 : 0.4),
                );
            }
        }
        $result = (new WearForecast())(new WearForecastInput(0.5, $readings, new WearPrior(0.08, 0.5, 0.02, 0.02), 5000.0));
        $held['now'] += $initial + $rate * 5 >= $result->nowP10 && $initial + $rate * 5 <= $result->nowP90 ? 1 : 0;
        $held['rate'] += $rate >= $result->rateP10 && $rate <= $result->rateP90 ? 1 : 0;
    }
    expect($held['now'] / 500)
        ->toBeGreaterThanOrEqual(0.75)
        ->toBeLessThanOrEqual(0.85)
        ->and($held['rate'] / 500)
        ->toBeGreaterThanOrEqual(0.75)
        ->toBeLessThanOrEqual(0.85);
});

it('says when to measure, when to retire, and keeps what lies beyond the horizon open', function (): void {
    $value = fn(float $km, float $pct): array => ['km' => $km, 'value_pct' => $pct, 'sigma_pct' => 0.03];
    expect(forecast([$value(1000, 0.1)], 1000)['verdict'])
        ->toBe('keep')
        ->and(forecast([$value(1000, 0.1), $value(5000, 0.49)], 5000)['verdict'])
        ->toBe('measure')
        // The latest reading alone says so, whatever the rest believes; an earlier one does not.
        ->and(forecast([$value(1000, 0.1), ['km' => 5000, 'lower_pct' => 0.5, 'upper_pct' => null]], 5000)['verdict'])
        ->toBe('retire')
        ->and(forecast([$value(4000, 0.51), $value(5000, 0.4), $value(5100, 0.4), $value(5200, 0.4)], 5200)['verdict'])
        ->not->toBe('retire')
        ->and(forecast([$value(1000, 0.1), $value(9000, 0.62)], 9000)['km_to_limit'])
        ->toBe(['p10' => 0.0, 'p50' => 0.0, 'p90' => 0.0]);
    // Rough as they are, and hardly believed: a chain that may be past its limit is off it all the same.
    foreach ([['value_pct' => 0.5], ['lower_pct' => 0.5, 'upper_pct' => null]] as $rough) {
        $alone = forecast([['km' => 1000, 'sigma_pct' => 0.2] + $rough], 1000);
        expect($alone['probability_past_limit'])->toBeLessThan(0.1)->and($alone['verdict'])->toBe('retire');
    }
    $short = forecast([$value(1000, 0.1)], 1000, with: ['horizon_km' => 500]);
    expect($short['km_to_limit'])
        ->toBe(['p10' => null, 'p50' => null, 'p90' => null])
        ->and($short['next_measurement_km'])
        ->toBeNull();
    $next = forecast([$value(1000, 0.1)], 1000);
    expect($next['next_measurement_km'])->toEqualWithDelta(1000 + $next['km_to_limit']['p10'], 1e-6);
    // Without a prior the median is where the line meets the limit, whatever rounding does to a square.
    for ($i = 1; $i <= 50; $i++) {
        $fit = forecast(
            [$value(700, 0.01 * $i), $value(1900, 0.013 * $i + 0.05), $value(3100, 0.021 * $i + 0.1)],
            3100,
            prior: null,
            limitPct: 3.0,
        );
        expect($fit['km_to_limit']['p50'])->toEqualWithDelta(
            (1000 * (3.0 - $fit['initial_pct']['mean'])) / $fit['rate_pct_per_1000km']['mean'] - 3100,
            1e-6,
        );
    }
    // Without a prior a flat fit never gets there.
    expect(forecast([$value(1000, 0.1), $value(2000, 0.1)], 2000, prior: null)['km_to_limit']['p50'])->toBeNull();
});

it('refuses what cannot be, and says where', function (array $readings, float $nowKm, ?array $prior, string $path): void {
    try {
        forecast($readings, $nowKm, prior: $prior);
        $found = 'nothing';
    } catch (InvalidInput $e) {
        $found = $e->path;
    }
    expect($found)->toBe($path);
})->with([
    'now before a reading' => [[['km' => 900, 'value_pct' => 0.1, 'sigma_pct' => 0.04]], 800, WEAR_PRIOR, 'now_km'],
    'value and bounds' => [
        [['km' => 900, 'value_pct' => 0.1, 'sigma_pct' => 0.04, 'lower_pct' => 0.1]],
        900,
        WEAR_PRIOR,
        'readings.0.value_pct',
    ],
    'neither' => [[['km' => 900]], 900, WEAR_PRIOR, 'readings.0.value_pct'],
    'a value without its sigma' => [[['km' => 900, 'value_pct' => 0.1]], 900, WEAR_PRIOR, 'readings.0.sigma_pct'],
    'open to both sides' => [[['km' => 900, 'lower_pct' => null, 'upper_pct' => null]], 900, WEAR_PRIOR, 'readings.0.lower_pct'],
    'bounds crossed' => [[['km' => 900, 'lower_pct' => 0.5, 'upper_pct' => 0.4]], 900, WEAR_PRIOR, 'readings.0.upper_pct'],
    'misspelt' => [[['km' => 900, 'value_pct' => 0.1, 'sigma_pct' => 0.04, 'note' => 1]], 900, WEAR_PRIOR, 'readings.0.note'],
    'a prior without a spread' => [
        [],
        0,
        ['rate_pct_per_1000km' => ['median' => 0.08, 'log_sd' => 0], 'initial_pct' => ['mean' => 0, 'sd' => 0.02]],
        'prior.rate_pct_per_1000km.log_sd',
    ],
    'nothing at all' => [[], 0, null, 'readings'],
    'one km only' => [
        [['km' => 900, 'value_pct' => 0.1, 'sigma_pct' => 0.04], ['km' => 900, 'value_pct' => 0.12, 'sigma_pct' => 0.04]],
        900,
        null,
        'readings',
    ],
    'all open to the same side' => [
        [['km' => 900, 'lower_pct' => null, 'upper_pct' => 0.5], ['km' => 1900, 'lower_pct' => null, 'upper_pct' => 0.5]],
        2000,
        null,
        'readings',
    ],
    'one pin and a side open' => [
        [['km' => 900, 'value_pct' => 0.1, 'sigma_pct' => 0.04], ['km' => 1900, 'lower_pct' => 0.2, 'upper_pct' => null]],
        2000,
        null,
        'readings',
    ],
    'edges so sharp that any line between them will do' => [
        [
            ['km' => 1000, 'lower_pct' => 0.2, 'upper_pct' => 0.5, 'sigma_pct' => 0.001],
            ['km' => 5000, 'lower_pct' => 0.2, 'upper_pct' => 0.5, 'sigma_pct' => 0.001],
        ],
        5000,
        null,
        'readings',
    ],
    'what no chain can be' => [
        [
            ['km' => 1000, 'lower_pct' => 0.1, 'upper_pct' => 0.2, 'sigma_pct' => 0.001],
            ['km' => 1000, 'lower_pct' => 1e6, 'upper_pct' => 2e6, 'sigma_pct' => 0.001],
        ],
        1000,
        WEAR_PRIOR,
        'readings',
    ],
    'what no chain can be, however far that is' => [
        [
            ['km' => 1000, 'lower_pct' => 0.1, 'upper_pct' => 0.2, 'sigma_pct' => 0.001],
            ['km' => 1000, 'lower_pct' => 1e9, 'upper_pct' => null, 'sigma_pct' => 0.001],
        ],
        1000,
        WEAR_PRIOR,
        'readings',
    ],
    'a line between what is below and what is above' => [
        [['km' => 900, 'lower_pct' => null, 'upper_pct' => 0.5], ['km' => 1900, 'lower_pct' => 0.5, 'upper_pct' => null]],
        2000,
        null,
        'readings',
    ],
]);

it('finds the maximum where intervals hem it in from both sides', function (array $readings): void {
    $result = forecast($readings, 3500, prior: null);
    expect($result['rate_pct_per_1000km']['mean'])
        ->toBeGreaterThan(0.0)
        ->toBeLessThan(0.3)
        ->and($result['standard_error']['rate'])
        ->toBeGreaterThan(0.0);
})->with([
    'by two and two' => [
        [
            ['km' => 500, 'lower_pct' => 0.1, 'upper_pct' => null],
            ['km' => 1500, 'lower_pct' => null, 'upper_pct' => 0.2],
            ['km' => 2500, 'lower_pct' => 0.2, 'upper_pct' => null],
            ['km' => 3500, 'lower_pct' => null, 'upper_pct' => 0.4],
        ],
    ],
    'a value between two from below' => [
        [
            ['km' => 500, 'lower_pct' => 0.02, 'upper_pct' => null],
            ['km' => 1000, 'value_pct' => 0.1, 'sigma_pct' => 0.02],
            ['km' => 3500, 'lower_pct' => 0.2, 'upper_pct' => null],
        ],
    ],
    'one from below between two from above' => [
        [
            ['km' => 500, 'lower_pct' => null, 'upper_pct' => 0.15],
            ['km' => 2000, 'lower_pct' => 0.1, 'upper_pct' => null],
            ['km' => 3500, 'lower_pct' => null, 'upper_pct' => 0.4],
        ],
    ],
]);

it('finds exact readings wherever they are, however little was known before', function (float $sigma, float $logSd): void {
    // A line of 0.05 % per 1000 km where 0.02 was expected: the data, not the prior, and not the place where the search began.
    $readings = array_map(fn(int $i) => ForecastReading::exact(500.0 * $i, 0.02 + 0.025 * $i, $sigma), range(1, 20));
    $result = (new WearForecast())(new WearForecastInput(0.5, $readings, new WearPrior(0.02, $logSd, 0.02, 0.02), 10_000.0));
    expect($result->rateP50)
        ->toEqualWithDelta(0.05, 0.05 * 5e-3)
        ->and($result->rateP10)
        ->toBeLessThan($result->rateP50)
        ->and($result->nowMean)
        ->toEqualWithDelta(0.52, 3e-3);
})
    ->with([0.02, 0.005, 0.001])
    ->with([0.6, 1.5, 3.0]);

it('follows edges however sharp, and readings that exclude each other, to what the contract asks for', function (array $readings): void {
    $at = fn(float $sigma): array => forecast(
        array_map(fn(array $one) => ['km' => $one[0], 'lower_pct' => $one[1], 'upper_pct' => $one[2], 'sigma_pct' => $sigma], $readings),
        5000,
    );
    $rates = $at(1e-6)['rate_pct_per_1000km'];
    foreach ([1e-7, 1e-12] as $sigma) {
        foreach ($at($sigma)['rate_pct_per_1000km'] as $name => $rate) {
            expect($rate)->toEqualWithDelta($rates[$name], 1e-5, "{$name} at {$sigma}");
        }
    }
})->with([
    'that overlap' => [[[1000, 0.1, 0.2], [2000, 0.15, 0.25]]],
    'that are narrow' => [[[1000, 0.1, 0.100001], [2500, 0.2, 0.200001]]],
    'at one place, apart' => [[[1000, 0.1, 0.2], [1000, 0.3, 0.4]]],
    'of a chain that would grow back' => [[[1000, 0.3, 0.5], [3000, 0.0, 0.1]]],
]);

it('takes what a logbook says of a chain that shrank, by a gauge that is said to have no error', function (): void {
    $read = fn(float $km, float $pct): ForecastReading => ForecastReading::of($km, new WearReadingResult($pct, 1e-12, null, null));
    $said = (new WearForecast())(
        new WearForecastInput(0.5, [$read(1000.0, 0.3), $read(3000.0, 0.2)], new WearPrior(0.08, 0.5, 0.02, 0.02), 3000.0),
    );
    // Hardly any wear, and both as far off.
    expect($said->rateP50)->toBeLessThan(0.001)->and($said->nowMean)->toEqualWithDelta(0.25, 0.001);
});

it('comes to an end where no chain can be what was read: the logarithms have no digits left', function (): void {
    $readings = [ForecastReading::interval(1000.0, 0.1, 0.2, 0.001), ForecastReading::interval(2000.0, 1e6, 1e6 + 1.0, 0.001)];
    $slice = WearSlice::at(new WearLikelihood($readings), new WearPrior(0.08, 0.5, 0.02, 0.02), log(0.08));
    $slice->weighed($slice->peak);
    expect($slice->mode)
        ->toEqualWithDelta(1e12 / 2_002_500, 1.0)
        ->and($slice->mean)
        ->toEqualWithDelta(1e12 / 2_002_500, 1.0)
        ->and($slice->above(4e5))
        ->toBe(1.0);
});
