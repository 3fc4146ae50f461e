<?php

declare(strict_types=1);

use Dripel\Core\Wear\ForecastReading;
use Dripel\Core\Wear\ReadingBand;
use Dripel\Core\Wear\WearPosterior;
use Dripel\Core\Wear\WearPrior;

it('holds a reading as far as some of it lies in it', function (ForecastReading $reading, bool $holds): void {
    $belief = WearPosterior::of([], new WearPrior(0.08, 0.5, 0.02, 0.02));
    [$band, $median] = [ReadingBand::of($belief, ForecastReading::exact(1000, 0.0, 0.02), 0.9), $belief->quantile(1.0, 0.5)];
    // After 1000 km, by the mean of a log-normal.
    expect($band->meanPct)
        ->toEqualWithDelta(0.02 + 0.08 * exp(0.125), 1e-6)
        // The reading's own noise to either side of what is likely of the chain.
        ->and([$band->highPct - $median, $median - $band->lowPct])
        ->toEqualWithDelta(
            array_map(fn(float $p) => hypot($belief->quantile(1.0, $p) - $median, 1.2815515655446004 * 0.02), [0.9, 0.1]),
            1e-9,
        )
        ->and($band->holds($reading))
        ->toBe($holds)
        ->and($band->outsidePct($reading))
        ->toEqualWithDelta($holds ? 0.0 : 1.0 - $band->highPct, 1e-12);
})->with([
    'a value in it' => [ForecastReading::exact(1000, 0.1, 0.02), true],
    'a value above it' => [ForecastReading::exact(1000, 1.0, 0.02), false],
    'a gauge that does not drop in' => [ForecastReading::interval(1000, null, 0.5), true],
    'a gauge that drops in' => [ForecastReading::interval(1000, 0.05, null), true],
    'one that drops in far too early' => [ForecastReading::interval(1000, 1.0, null), false],
]);
