<?php

declare(strict_types=1);

use Dripel\Core\Maths\GaussPanel;

it('integrates, cuts and reads a smooth function as calculus does', function (callable $f, callable $whole, float $from, float $to): void {
    $panel = GaussPanel::of($from, $to, $f);
    expect($panel->integral())
        ->toEqualWithDelta($whole($to) - $whole($from), 1e-10)
        ->and($panel->doubt())
        ->toBeLessThan(1e-6);
    foreach ([0.0, 0.07, 0.5, 0.93, 1.0] as $part) {
        $place = $from + $part * ($to - $from);
        expect($panel->until($place))
            ->toEqualWithDelta($whole($place) - $whole($from), 1e-8)
            ->and($panel->value($place))
            ->toEqualWithDelta($f($place), 1e-7);
    }
})->with([
    'a power' => [fn(float $x) => $x ** 7, fn(float $x) => $x ** 8 / 8, -1.0, 1.5],
    'a wave' => [sin(...), fn(float $x) => -cos($x), 0.0, 2.0],
    'a decay' => [fn(float $x) => exp(-$x), fn(float $x) => -exp(-$x), 1.0, 3.0],
]);

it(
    'says so where it does not know a function well enough',
    fn() => expect(GaussPanel::of(0.0, 1.0, fn(float $x) => $x < 0.3 ? 0.0 : 1.0)->doubt())->toBeGreaterThan(0.05),
);
