<?php

declare(strict_types=1);

use Dripel\Core\Maths\CardinalSeries;
use Dripel\Core\Maths\Normal;

it('sums a bell up to any place between its points as its integral has it', function (float $sd, float $within): void {
    // Points of a normal so many steps wide, a little off the lattice.
    $values = [];
    for ($k = -40; $k <= 40; $k++) {
        $values[$k] = Normal::density(($k - 0.3) / $sd) / $sd;
    }
    foreach ([-3.7, -1.0, 0.0, 0.3, 0.81, 2.5, 6.2] as $cut) {
        expect(CardinalSeries::before($values, $cut))->toEqualWithDelta(Normal::cdf(($cut - 0.3) / $sd), $within);
    }
})->with(['as narrow as it is ever laid' => [1.25, 1e-4], 'two steps' => [2.0, 2e-6], 'four steps' => [4.0, 2e-6]]);
