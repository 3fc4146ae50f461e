<?php

declare(strict_types=1);

use Dripel\Core\Maths\Ticks;

it('puts ticks at nice numbers as Heckbert, Graphics Gems (1990), p. 61 does (memory)', function (
    float $from,
    float $to,
    int $most,
    array $ticks,
): void {
    expect(Ticks::along($from, $to, $most))->toEqualWithDelta($ticks, 1e-9);
})->with([
    'from nought to a hundred' => [0, 100, 5, [0, 20, 40, 60, 80, 100]],
    // 105 to 543 in five: a step of 87.6 becomes 100; only what lies within is kept.
    'the example of the book' => [105, 543, 5, [200, 300, 400, 500]],
    'below one' => [0, 0.65, 5, [0, 0.2, 0.4, 0.6]],
    'a step of five' => [0, 2100, 5, [0, 500, 1000, 1500, 2000]],
    'across nought' => [-3, 7, 5, [-2, 0, 2, 4, 6]],
    'the ends themselves' => [10, 20, 2, [10, 15, 20]],
    'an axis without length' => [4, 4, 5, [4]],
]);

it('names instants that stand on a clock or in a calendar, across summer time too', function (
    string $from,
    string $to,
    array $named,
): void {
    $zone = new DateTimeZone('Europe/Berlin');
    $ticks = Ticks::instants(
        (new DateTimeImmutable($from, $zone))->getTimestamp(),
        (new DateTimeImmutable($to, $zone))->getTimestamp(),
        $zone,
    );
    expect(array_map(fn(float $atS) => (new DateTimeImmutable('@' . (int) $atS))->setTimezone($zone)->format('Y-m-d H:i'), $ticks))->toBe(
        $named,
    );
})->with([
    'an evening at the pot' => [
        '2026-11-25 12:23',
        '2026-11-25 16:08',
        ['2026-11-25 13:00', '2026-11-25 14:00', '2026-11-25 15:00', '2026-11-25 16:00'],
    ],
    'half an hour' => ['2026-11-25 12:03', '2026-11-25 12:31', ['2026-11-25 12:10', '2026-11-25 12:20', '2026-11-25 12:30']],
    'the night that is an hour shorter' => [
        '2026-03-27 20:00',
        '2026-03-31 12:00',
        ['2026-03-28 00:00', '2026-03-29 00:00', '2026-03-30 00:00', '2026-03-31 00:00'],
    ],
    'a year' => [
        '2025-09-26 10:00',
        '2026-11-25 12:00',
        ['2025-10-01 00:00', '2026-01-01 00:00', '2026-04-01 00:00', '2026-07-01 00:00', '2026-10-01 00:00'],
    ],
    'less than a minute' => ['2026-11-25 12:00:10', '2026-11-25 12:00:20', ['2026-11-25 12:00']],
]);

it('has no more ticks than twice what was asked for, all within the axis and evenly spaced', function (): void {
    mt_srand(20261127);
    for ($n = 0; $n < 500; $n++) {
        $from = mt_rand(-100_000, 100_000) / 10 ** mt_rand(0, 5);
        $to = $from + mt_rand(1, 100_000) / 10 ** mt_rand(0, 6);
        $most = mt_rand(2, 9);
        $ticks = Ticks::along($from, $to, $most);
        expect(count($ticks))->toBeLessThanOrEqual(2 * $most);
        foreach ($ticks as $i => $tick) {
            expect($tick)
                ->toBeGreaterThanOrEqual($from - 1e-6)
                ->toBeLessThanOrEqual($to + 1e-6);
            $i > 1 && expect($tick - $ticks[$i - 1])->toEqualWithDelta($ticks[1] - $ticks[0], 1e-6);
        }
    }
});
