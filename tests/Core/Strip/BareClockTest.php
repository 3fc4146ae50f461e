<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Strip\BareClock;

function bareClock(string $strippedAt, string $now, ?float $limit = null): array
{
    return (new BareClock())->compute(
        Fields::fromJson(
            (string) json_encode(
                array_filter([
                    'stripped_at' => $strippedAt,
                    'now' => $now,
                    'limit_hours' => $limit,
                ]),
            ),
        ),
    );
}

it('counts down twelve hours, instants compared whatever their offset', function (string $now, float $left, string $state): void {
    $result = bareClock('2026-03-29T00:30:00+01:00', $now);
    expect($result['hours_left'])->toEqualWithDelta($left, 1e-9)->and($result['state'])->toBe($state);
})->with([
    'at once' => ['2026-03-28T23:30:00Z', 12.0, 'ok'],
    'over the change to summer time' => ['2026-03-29T04:30:00+02:00', 9.0, 'ok'],
    'a quarter left' => ['2026-03-29T08:30:00Z', 3.0, 'soon'],
    'just before that' => ['2026-03-29T08:29:59Z', 3.0 + 1 / 3600, 'ok'],
    'time is up' => ['2026-03-29T11:30:00Z', 0.0, 'late'],
    'long ago' => ['2026-03-30T11:30:00.5Z', -24 - 0.5 / 3600, 'late'],
]);

it('refuses times that are none', function (string $time): void {
    expect(fn() => bareClock($time, '2030-01-01T00:00:00Z'))->toThrow(InvalidInput::class);
})->with([
    '2026-03-29',
    '2026-03-29 08:30:00Z',
    '2026-03-29T08:30:00',
    '2026-02-30T08:30:00Z',
    '2026-03-29T24:00:00Z',
    '2026-03-29T08:30:00+15:00',
    'yesterday',
    '1774773000',
    "2026-03-29T08:30:00Z\n",
]);

it('refuses a now before the strip and a limit of nothing', function (): void {
    expect(fn() => bareClock('2026-03-29T08:30:00Z', '2026-03-29T08:29:59Z'))
        ->toThrow(InvalidInput::class, 'before')
        ->and(fn() => bareClock('2026-03-29T08:30:00Z', '2026-03-29T09:30:00Z', -1))
        ->toThrow(InvalidInput::class, 'above 0');
});
