<?php

declare(strict_types=1);

use Dripel\Core\Input\CsvText;
use Dripel\Core\Maths\GaussRule;
use Dripel\Core\Maths\Geodesic;
use Dripel\Core\Plan\LocalDay;

it('has the places and weights of ten-point integration of Abramowitz & Stegun, table 25.4 (memory)', function (): void {
    $rule = GaussRule::known();
    expect(array_slice($rule->nodes, 5))
        ->toEqualWithDelta([0.148874339, 0.4333953941, 0.6794095683, 0.8650633667, 0.9739065285], 1e-10)
        ->and(array_slice($rule->weights, 5))
        ->toEqualWithDelta([0.2955242247, 0.2692667193, 0.2190863625, 0.1494513491, 0.0666713443], 1e-10)
        // Exact for polynomials up to degree 19: x¹⁸ over [−1, 1] is 2/19.
        ->and(array_sum(array_map(fn(float $x, float $w) => $w * $x ** 18, $rule->nodes, $rule->weights)))
        ->toEqualWithDelta(2 / 19, 1e-14);
});

it('is as far from Paris to Washington as J. Meeus, Astronomical Algorithms (1998), example 11.c (memory) has it', function (): void {
    $degrees = fn(int $d, int $m, int $s): float => $d + $m / 60 + $s / 3600;
    // 6181.63 km on the ellipsoid of 1976, good to some 50 m; that of 1984 differs by less.
    expect(Geodesic::metres($degrees(48, 50, 11), $degrees(2, 20, 14), $degrees(38, 55, 17), -$degrees(77, 3, 56)))->toEqualWithDelta(
        6_181_630,
        60,
    );
});

it('has days of 23 and 25 hours where directive 2000/84/EC (memory) puts them: the last Sundays of March and October', function (
    int $year,
): void {
    $zone = new DateTimeZone('Europe/Berlin');
    $lastSunday = function (int $month) use ($year): string {
        $day = (int) gmdate('t', gmmktime(0, 0, 0, $month, 1, $year));

        return sprintf('%d-%02d-%02d', $year, $month, $day - ((int) gmdate('N', gmmktime(0, 0, 0, $month, $day, $year)) % 7));
    };
    $hours = [$lastSunday(3) => 23, $lastSunday(10) => 25];
    for ($day = LocalDay::named("{$year}-01-01", $zone); $day->date < $year + 1 . '-01-01'; $day = $day->plus(1)) {
        expect(($day->plus(1)->startS() - $day->startS()) / 3600)->toBe($hours[$day->date] ?? 24, $day->date);
    }
})->with([2024, 2026, 2027, 2030]);

it('numbers the days of a week as ISO 8601 (memory) does in its examples', function (string $date, int $weekday): void {
    expect(LocalDay::named($date, new DateTimeZone('UTC'))->weekday())->toBe($weekday);
})->with([
    '1985-04-12, a Friday' => ['1985-04-12', 5],
    '1985-W15-5 is the same' => ['1985-04-12', 5],
    'the Monday of 2026-W01' => ['2025-12-29', 1],
    'the first of 2000' => ['2000-01-01', 6],
]);

it('reads fields in quotes as RFC 4180, section 2 (memory) has them', function (string $bytes, array $rows): void {
    expect(array_map(fn(array $row) => $row[1], iterator_to_array(CsvText::of("date,distance,note\r\n{$bytes}")->rows(), false)))->toBe(
        $rows,
    );
})->with([
    'rule 2: the last line may have no break' => ['aaa,bbb,ccc', [['aaa', 'bbb', 'ccc']]],
    'rule 5: each field may be in quotes' => ["\"aaa\",\"bbb\",\"ccc\"\r\nzzz,yyy,xxx\r\n", [['aaa', 'bbb', 'ccc'], ['zzz', 'yyy', 'xxx']]],
    'rule 6: breaks and commas within quotes' => [
        "\"aaa\",\"b\r\nbb\",\"c,c\"\r\nzzz,yyy,xxx",
        [['aaa', "b\r\nbb", 'c,c'], ['zzz', 'yyy', 'xxx']],
    ],
    'rule 7: a quote is doubled' => ["\"aaa\",\"b\"\"bb\",\"ccc\"", [['aaa', 'b"bb', 'ccc']]],
]);
