<?php

declare(strict_types=1);

use Dripel\Core\Input\CsvText;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Ride\AlikeRide;
use Dripel\Core\Ride\LikelyCondition;
use Dripel\Core\Ride\RideColumns;
use Dripel\Core\Ride\RideRow;

/** @return array{list<string>, list<string>} header, then each row as "line: cell|cell" */
function cells(string $bytes): array
{
    $csv = CsvText::of($bytes);

    return [$csv->header(), array_map(fn(array $row) => $row[0] . ': ' . implode('|', $row[1]), iterator_to_array($csv->rows(), false))];
}

it('reads tables as they are written, whatever separates and encodes them', function (string $bytes, array $header, array $rows): void {
    expect(cells($bytes))->toBe([$header, $rows]);
})->with([
    'commas' => ["Date,Distance\n2026-11-24,42.5\n", ['date', 'distance'], ['2: 2026-11-24|42.5']],
    'semicolons, decimal comma, CRLF, empty rows' => ["Datum;km\r\n\r\n24.11.2026;42,5\r\n;\r\n", ['datum', 'km'], ['3: 24.11.2026|42,5']],
    'tabs' => ["Date\tkm\n2026-11-24\t4", ['date', 'km'], ['2: 2026-11-24|4']],
    'a mark of UTF-8' => ["\xEF\xBB\xBFDate,km\n2026-11-24,4", ['date', 'km'], ['2: 2026-11-24|4']],
    'UTF-16' => [mb_convert_encoding("\u{feff}Date,km\n2026-11-24,4\n", 'UTF-16LE', 'UTF-8'), ['date', 'km'], ['2: 2026-11-24|4']],
    'Windows-1252' => ["Strecke,Rad\n4,M\xFCcke", ['strecke', 'rad'], ['2: 4|Mücke']],
    'a line end within quotes' => [
        "Date,Title\n2026-11-24,\"to the \"\"moor\"\",\nand back\"\n2026-11-25,x",
        ['date', 'title'],
        ["2: 2026-11-24|to the \"moor\",\nand back", '4: 2026-11-25|x'],
    ],
]);

it('says what no table is', function (Closure $bytes, string $says): void {
    expect(fn() => iterator_to_array(CsvText::of($bytes())->rows()))->toThrow(
        fn(InvalidInput $e) => expect($e->getMessage())->toContain($says),
    );
})->with([
    'nothing' => [fn() => " \n", 'is empty'],
    'a picture' => [fn() => "\x89PNG\0\0\0", 'is no text'],
    'ten megabytes without a line end' => [fn() => "Date,km\n" . str_repeat('1,', 5_000_000), 'line 2: is longer than 64 KB'],
    'fifteen megabytes of tiny rows' => [fn() => "Date,km\n" . str_repeat("1\n", 7_500_000), 'has more than 200000 lines'],
    'a quote that never ends' => [fn() => "Date,km\n\"" . str_repeat("a\n", 50_000), 'line 2: is longer than 64 KB'],
]);

it('proposes the columns by their names, and the units', function (string $header, array $sample, array $at, array $rest): void {
    $guess = RideColumns::guess(explode(',', $header), $sample);
    expect($guess['at'])
        ->toEqualCanonicalizing($at)
        ->and(array_keys($guess['at']))
        ->toEqualCanonicalizing(array_keys($at))
        ->and([$guess['distance'], $guess['duration'], $guess['dayFirst']])
        ->toBe($rest);
})->with([
    'plain' => [
        'date,distance (km),moving time,bike',
        [],
        ['start' => 0, 'distance' => 1, 'duration' => 2, 'bike' => 3],
        ['km', 'h', true],
    ],
    'metres and seconds' => [
        'start_time,distance_m,moving_s,gear',
        [],
        ['start' => 0, 'distance' => 1, 'duration' => 2, 'bike' => 3],
        ['m', 's', true],
    ],
    'miles, month first' => ['date,miles', [['11/24/2026', '3']], ['start' => 0, 'distance' => 1], ['mi', 'h', false]],
    'another language' => ['datum,dauer (min),strecke', [], ['start' => 0, 'duration' => 1, 'distance' => 2], ['km', 'min', true]],
]);

it('reads a row into a ride', function (
    array $cells,
    array $ride,
    string $unit = 'km',
    string $duration = 'h',
    bool $dayFirst = true,
): void {
    $read = RideRow::read(
        2,
        $cells,
        new RideColumns(['start' => 0, 'distance' => 1, 'duration' => 2, 'condition' => 3, 'time' => 4], $unit, $duration, $dayFirst),
        new DateTimeZone('Europe/Amsterdam'),
    );
    expect([
        $read->date,
        $read->startS === null ? null : gmdate('H:i', $read->startS),
        round($read->km, 3),
        $read->hours === null ? null : round($read->hours, 3),
        $read->condition,
    ])->toBe($ride);
})->with([
    'day only' => [['2026-11-24', '42.5', '', ''], ['2026-11-24', null, 42.5, null, null]],
    'local time, h:mm' => [['2026-11-24 14:30', '42,5', '1:45', 'wet'], ['2026-11-24', '13:30', 42.5, 1.75, Condition::Wet]],
    'an instant late in the evening' => [
        ['2026-11-24T23:30:00Z', '10', '3600', 'Rain'],
        ['2026-11-25', '23:30', 10.0, 1.0, Condition::Wet],
        'km',
        's',
    ],
    'a point between, minutes' => [['24.11.2026', '1.042,5', '90', ''], ['2026-11-24', null, 1042.5, 1.5, null], 'km', 'min'],
    'month first, miles, pm' => [
        ['11/24/2026', '10 mi', '0', '', '2:30 PM'],
        ['2026-11-24', '13:30', 16.093, null, null],
        'mi',
        'h',
        false,
    ],
    'metres, a time of its own' => [
        ['24/11/2026', '42500', '1:00:36', 'on the trainer', '06:05'],
        ['2026-11-24', '05:05', 42.5, 1.01, Condition::Indoor],
        'm',
    ],
]);

it('says what is wrong with a row, and how to mend it', function (array $cells, string $field): void {
    expect(
        fn() => RideRow::read(2, $cells, new RideColumns(['start' => 0, 'distance' => 1, 'duration' => 2]), new DateTimeZone('UTC')),
    )->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($field));
})->with([
    [['', '10', ''], 'start'],
    [['yesterday', '10', ''], 'start'],
    [['31.02.2026', '10', ''], 'start'],
    [['2026-11-24 25:00', '10', ''], 'time'],
    [['2026-11-24', '', ''], 'distance'],
    [['2026-11-24', '-10', ''], 'distance'],
    [['2026-11-24', '1e9', ''], 'distance'],
    [['2026-11-24', '=1+1', ''], 'distance'],
    [['2026-11-24', 'INF', ''], 'distance'],
    [['2026-11-24', '10', 'long'], 'duration'],
    [['2026-11-24', '10', '-1'], 'duration'],
    [['2026-11-24', '10', '3600'], 'duration'],
]);

it('wants a day and a distance among the columns, and knows a ride that is there in another file', function (): void {
    expect(fn() => new RideColumns(['start' => 0]))
        ->toThrow(InvalidInput::class)
        ->and(fn() => new RideColumns(['start' => 0, 'distance' => 1], 'furlong'))
        ->toThrow(InvalidInput::class);
    $at = fn(string $time): int => (int) strtotime("2026-11-24 {$time} UTC");
    $alike = new AlikeRide(
        Rides::of([
            new Ride(1, new Moment($at('10:00')), 1, 42.0, 1.5, Condition::Dry),
            new Ride(2, new Moment($at('23:59:59'), Precision::Day), 1, 9.0, null, Condition::Dry),
        ]),
        new DateTimeZone('UTC'),
    );
    expect($alike->of($at('10:12'), true, 43.5)?->id)
        ->toBe(1)
        ->and($alike->of($at('10:20'), true, 42.0))
        ->toBeNull()
        ->and($alike->of($at('10:00'), true, 46.0))
        ->toBeNull()
        ->and($alike->of($at('00:00'), false, 42.0)?->id)
        ->toBe(1)
        ->and($alike->of($at('07:00'), true, 9.4)?->id)
        ->toBe(2)
        ->and($alike->of($at('10:00') + 86400, true, 42.0))
        ->toBeNull();
});

it('proposes what it was like by the last days, else by the season', function (): void {
    $rides = fn(array $of): Book => new Book(
        [1],
        [],
        new Settings([]),
        [],
        array_map(
            fn(array $ride, int $n) => new Ride($n + 1, new Moment((int) strtotime("{$ride[0]} UTC")), 1, 20.0, 1.0, $ride[1]),
            $of,
            array_keys($of),
        ),
        [],
    );
    $on = (int) strtotime('2026-11-24 10:00 UTC');
    $season = [
        ['2025-11-03', Condition::Damp],
        ['2025-11-10', Condition::Damp],
        ['2025-11-12', Condition::Dry],
        ['2025-11-20', Condition::Damp],
        ['2025-07-20', Condition::Dusty],
    ];
    $guess = (new LikelyCondition($rides($season)))->of(1, $on);
    expect([$guess->condition, $guess->count, $guess->of, $guess->late])->toBe([Condition::Damp, 3, 4, false]);
    $late = (new LikelyCondition($rides([...$season, ['2026-11-20', Condition::Muddy], ['2026-11-22', Condition::Muddy]])))->of(1, $on);
    expect([$late->condition, $late->count, $late->of, $late->late])
        ->toBe([Condition::Muddy, 2, 2, true])
        // Two of four say nothing, nor what came after, nor another bike.
        ->and(
            (new LikelyCondition(
                $rides([
                    ...array_slice($season, 0, 1),
                    ['2025-11-05', Condition::Dry],
                    ['2025-11-06', Condition::Dry],
                    ['2025-11-07', Condition::Damp],
                    ['2026-11-25', Condition::Wet],
                ]),
            ))->of(1, $on),
        )
        ->toBeNull()
        ->and((new LikelyCondition($rides($season)))->of(null, $on))
        ->toBeNull();
});
