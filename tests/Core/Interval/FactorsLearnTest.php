<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\FactorsLearn;
use Dripel\Core\Interval\IntervalLearn;

const FACTORS_PRIOR = ['median_km' => 300, 'log_sd' => 0.5, 'shape_median' => 3, 'shape_log_sd' => 0.4];

/** @return array<string, mixed> */
function factorsLearnt(array $in): array
{
    return (new FactorsLearn())->compute(Fields::fromJson((string) json_encode($in + ['prior' => FACTORS_PRIOR])));
}

it('finds the mode that R’s optim finds, and its bend', function (array $case): void {
    $found = factorsLearnt($case['input']);
    foreach ($case['log_factors'] as $condition => $log) {
        // R’s gradients are numeric: the mode to 1e-5, the spread to a part in a thousand.
        expect(log($found['factors'][$condition]['factor']))
            ->toEqualWithDelta($log, 1e-5)
            ->and(log($found['factors'][$condition]['p90'] / $found['factors'][$condition]['factor']) / 1.2815516)
            ->toEqualWithDelta($case['sd'][$condition], 1e-3 * $case['sd'][$condition])
            ->and($found['factors'][$condition]['p10'] * $found['factors'][$condition]['p90'])
            ->toEqualWithDelta($found['factors'][$condition]['factor'] ** 2, 1e-9);
    }
    expect(log($found['median_km']))
        ->toEqualWithDelta($case['log_median'], 1e-5)
        ->and(log($found['shape']))
        ->toEqualWithDelta($case['log_shape'], 1e-5);
})->with(fn() => array_map(fn(array $case) => [$case], json_decode((string) file_get_contents(__DIR__ . '/data/factors.json'), true)));

it('stands on the top of its own hill: no small step in any logarithm leads higher', function (): void {
    foreach (json_decode((string) file_get_contents(__DIR__ . '/data/factors.json'), true) as $case) {
        $found = factorsLearnt($case['input']);
        $house = ['indoor' => 0.8, 'dry' => 1.0, 'dusty' => 1.5, 'damp' => 1.5, 'wet' => 2.5, 'muddy' => 3.5];
        $height = function (array $logs, float $a, float $b) use ($case, $house): float {
            $sum = -((($a - log(300)) / 0.5) ** 2) / 2 - (($b - log(3)) / 0.4) ** 2 / 2;
            foreach ($logs as $condition => $log) {
                $sum -= $condition === 'dry' ? 0 : (($log - log($house[$condition])) / $case['input']['log_sd']) ** 2 / 2;
            }
            foreach ($case['input']['cycles'] as $cycle) {
                $x = array_sum(
                    array_map(fn(string $condition, float $km) => exp($logs[$condition]) * $km, array_keys($cycle['km']), $cycle['km']),
                );
                $hazard = log(2) * ($x / exp($a)) ** exp($b);
                $sum += ($cycle['ended'] === 'noise' ? log(($hazard * exp($b)) / $x) + $logs[$cycle['last']] : 0) - $hazard;
            }

            return $sum;
        };
        $logs = array_map(fn(array $factor) => log($factor['factor']), $found['factors']);
        [$a, $b] = [log($found['median_km']), log($found['shape'])];
        // The slope in each logarithm: nothing, to 1e-6 of a step by the bend there.
        foreach ([...array_keys($case['log_factors']), 'a', 'b'] as $which) {
            $at = fn(float $step) => match ($which) {
                'a' => $height($logs, $a + $step, $b),
                'b' => $height($logs, $a, $b + $step),
                default => $height([$which => $logs[$which] + $step] + $logs, $a, $b),
            };
            $slope = ($at(1e-4) - $at(-1e-4)) / 2e-4;
            $bend = -($at(1e-3) - 2 * $at(0) + $at(-1e-3)) / 1e-6;
            expect(abs($slope / $bend))->toBeLessThan(1e-6, $which);
        }
    }
});

it('is interval.learn where all was dry, and keeps its prior where nothing was ridden', function (): void {
    $cycles = [[180, 'noise'], [240, 'pulled'], [260, 'noise'], [310, 'noise'], [90, 'pulled']];
    $found = factorsLearnt([
        'cycles' => array_map(fn(array $one) => ['km' => ['dry' => $one[0]], 'last' => 'dry', 'ended' => $one[1]], $cycles),
    ]);
    $learnt = (new IntervalLearn())->compute(
        Fields::fromJson(
            (string) json_encode([
                'cycles' => array_map(fn(array $one) => ['km' => $one[0], 'ended' => $one[1]], $cycles),
                'prior' => FACTORS_PRIOR,
            ]),
        ),
    );
    expect($found['median_km'])
        ->toEqualWithDelta($learnt['median_km'], 1e-6 * $learnt['median_km'])
        ->and($found['shape'])
        ->toEqualWithDelta($learnt['shape'], 1e-6 * $learnt['shape'])
        ->and($found['noises'])
        ->toBe(3)
        ->and($found['factors']['dry'])
        ->toBe(['factor' => 1.0, 'p10' => 1.0, 'p90' => 1.0, 'cycles' => 5])
        ->and($found['factors']['wet']['factor'])
        ->toEqualWithDelta(2.5, 1e-12)
        ->and($found['factors']['wet']['cycles'])
        ->toBe(0)
        ->and(log($found['factors']['wet']['p90'] / 2.5))
        ->toEqualWithDelta(0.5 * 1.2815516, 1e-6);
});

it('learns that rain costs more from chains that got loud early in it, and narrows the band', function (): void {
    $wet = fn(float $km, string $ended) => ['km' => ['wet' => $km], 'last' => 'wet', 'ended' => $ended];
    $dry = ['km' => ['dry' => 300], 'last' => 'dry', 'ended' => 'noise'];
    $early = factorsLearnt(['cycles' => [$dry, $dry, $dry, ...array_fill(0, 6, $wet(60, 'noise'))]])['factors']['wet'];
    $late = factorsLearnt(['cycles' => [$dry, $dry, $dry, ...array_fill(0, 6, $wet(200, 'noise'))]])['factors']['wet'];
    $few = factorsLearnt(['cycles' => [$dry, $dry, $dry, $wet(60, 'noise')]])['factors']['wet'];
    expect($early['factor'])
        ->toBeGreaterThan(3.5)
        ->and($late['factor'])
        ->toBeLessThan(2.0)
        ->and($early['p90'] / $early['p10'])
        ->toBeLessThan($few['p90'] / $few['p10']);
});

it('refuses what cannot be learned from', function (array $with, string $field): void {
    expect(
        fn() => factorsLearnt($with + ['cycles' => [['km' => ['dry' => 100, 'wet' => 20], 'last' => 'wet', 'ended' => 'noise']]]),
    )->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($field));
})->with([
    [['cycles' => []], 'cycles'],
    [['cycles' => [['km' => ['dry' => 0], 'last' => 'dry', 'ended' => 'noise']]], 'cycles.0.km'],
    [['cycles' => [['km' => ['dry' => 10, 'wet' => -1], 'last' => 'dry', 'ended' => 'noise']]], 'cycles.0.km.wet'],
    [['cycles' => [['km' => ['dry' => 10], 'last' => 'wet', 'ended' => 'noise']]], 'cycles.0.last'],
    [['cycles' => [['km' => ['snow' => 10], 'last' => 'dry', 'ended' => 'noise']]], 'cycles.0.km.snow'],
    [['cycles' => [['km' => ['dry' => 10], 'last' => 'dry', 'ended' => 'broken']]], 'cycles.0.ended'],
    [['factors' => ['dry' => 1.1]], 'factors.dry'],
    [['log_sd' => 0], 'log_sd'],
    [['prior' => null], 'prior'],
]);
