<?php

declare(strict_types=1);

use Dripel\Core\Maths\Normal;

it('has the complementary error function of the tables (Abramowitz & Stegun, table 7.1, and its tails; memory)', function (
    float $x,
    float $erfc,
): void {
    expect(Normal::erfc($x) / $erfc)->toEqualWithDelta(1.0, 1e-12);
})->with([
    [0.0, 1.0],
    [0.1, 0.8875370839817152],
    [0.5, 0.4795001221869535],
    [1.0, 0.15729920705028513],
    [2.0, 0.004677734981047266],
    [3.0, 2.2090496998585441e-5],
    [-1.0, 1.8427007929497148],
    [5.0, 1.5374597944280349e-12],
]);

it('is R’s normal distribution, its logarithm far out, and its quantiles (normal.R)', function (): void {
    $r = json_decode((string) file_get_contents(__DIR__ . '/data/normal.json'), true);
    foreach ($r['cdf'] as [$z, $p]) {
        expect(Normal::cdf($z))->toEqualWithDelta($p, 1e-12 * $p + 1e-300, "cdf {$z}");
    }
    foreach ($r['log_cdf'] as [$z, $log]) {
        expect(Normal::logCdf($z))->toEqualWithDelta($log, 1e-12 * max(1.0, abs($log)), "log {$z}");
    }
    foreach ($r['quantile'] as [$p, $z]) {
        expect(Normal::quantile($p))->toEqualWithDelta($z, 1e-8, "quantile {$p}");
    }
});

it('keeps what lies between two values, in either tail, where the plain difference is nothing', function (): void {
    expect(Normal::logBetween(-1.0, 1.0))
        ->toEqualWithDelta(log(0.6826894921370859), 1e-13)
        ->and(Normal::logBetween(-INF, 0.0))
        ->toEqualWithDelta(log(0.5), 1e-15)
        ->and(Normal::logBetween(-INF, INF))
        ->toBe(0.0)
        ->and(Normal::logBetween(10.0, 11.0))
        ->toEqualWithDelta(Normal::logBetween(-11.0, -10.0), 1e-12)
        ->and(Normal::logBetween(30.0, INF))
        ->toEqualWithDelta(Normal::logCdf(-30.0), 1e-12)
        ->and(is_finite(Normal::logBetween(40.0, 41.0)))
        ->toBeTrue()
        ->and(Normal::logBetween(2.0, 2.0))
        ->toBe(-INF);
});

it('pulls at what lies between two values as arithmetic of 80 digits says, far out too (mpmath 1.3, slopes.py)', function (
    float $from,
    float $to,
    float $slope,
    float $bend,
): void {
    foreach ([[$from, $to, 1.0], [-$to, -$from, -1.0]] as [$low, $high, $sign]) {
        [$pull, $change] = Normal::slopeBetween($low, $high);
        expect(($sign * $pull) / $slope)
            ->toEqualWithDelta(1.0, 1e-12)
            ->and($change)
            ->toEqualWithDelta($bend, 1e-8);
    }
})->with([
    [-INF, -3.0, -3.283098654930437, -0.9294408132147319],
    [-INF, -9.0, -9.108523105002869, -0.9884852093452829],
    [-INF, -11.0, -11.08946502971517, -0.992119318408833],
    [-INF, -60.0, -60.01665742024112, -0.9997226841165852],
    [-INF, -50000.0, -50000.00002, -0.9999999996],
    [-INF, -10000000.0, -10000000.0000001, -0.99999999999999],
    [-2.0, 1.0, -0.229637179091329, -0.4802374607884661],
    [-31.0, -30.0, -30.03325966743362, -0.9988962284881647],
    [-50002.0, -50000.0, -50000.00002, -0.9999999996],
    [-11.0, -10.5, -10.59138047944847, -0.9924834339829063],
]);

it('holds the line between edges that cannot be told apart so far out', function (): void {
    expect(Normal::slopeBetween(-1e20, -1e20))->toBe([-1e20, -1.0]);
});
