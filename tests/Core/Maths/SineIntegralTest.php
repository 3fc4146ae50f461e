<?php

declare(strict_types=1);

use Dripel\Core\Maths\SineIntegral;

it('is the sine integral of the tables (Abramowitz & Stegun, table 5.1; Gibbs’ constant at π; memory)', function (float $x, float $si): void {
    expect(SineIntegral::at($x))->toEqualWithDelta($si, 1e-6)->and(SineIntegral::at(-$x))->toEqualWithDelta(-$si, 1e-6);
})->with([[0.0, 0.0], [0.5, 0.4931074180], [1.0, 0.9460830704], [2.0, 1.6054129768], [M_PI, 1.8519370520], [5.0, 1.5499312449], [10.0, 1.6583475942], [100.0, 1.5622254669]]);
