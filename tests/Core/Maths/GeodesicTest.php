<?php

declare(strict_types=1);

use Dripel\Core\Maths\Geodesic;

it('agrees with GeographicLib within 0.01 % (data/geodesics.py)', function (
    float $lat1,
    float $lon1,
    float $lat2,
    float $lon2,
    float $metres,
): void {
    expect(Geodesic::metres($lat1, $lon1, $lat2, $lon2))
        ->toEqualWithDelta($metres, max(1e-6, 1e-4 * $metres))
        ->and(Geodesic::metres($lat2, $lon2, $lat1, $lon1))
        ->toEqualWithDelta($metres, max(1e-6, 1e-4 * $metres));
})->with(fn() => json_decode((string) file_get_contents(__DIR__ . '/data/geodesics.json'), true));
