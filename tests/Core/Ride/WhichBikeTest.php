<?php

declare(strict_types=1);

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Ride\WhichBike;

it('proposes a bike by the name of the file, else by weekday and speed, else none', function (
    string $name,
    string $day,
    float $km,
    ?float $hours,
    ?int $bike,
    string $because,
): void {
    $rides = [];
    for ($week = 0; $week < 8; $week++) {
        $at = fn(int $weekday) => new Moment(gmmktime(9, 0, 0, 6, 1 + 7 * $week + $weekday - 1, 2026));
        // 1 June 2026 is a Monday. Heron at 28 km/h on Sundays and Wednesdays, Badger at 18 on Saturdays and Wednesdays.
        $rides[] = new Ride(10 * $week + 1, $at(7), 1, 70.0, 2.5, Condition::Dry);
        $rides[] = new Ride(10 * $week + 2, $at(3), 1, 28.0, 1.0, Condition::Dry);
        $rides[] = new Ride(10 * $week + 3, $at(6), 2, 36.0, 2.0, Condition::Dry);
        $rides[] = new Ride(10 * $week + 4, $at(3), 2, 18.0, 1.0, Condition::Dry);
    }
    $guess = (new WhichBike(new Book([1, 2], [], new Settings([]), [], $rides, []), [1 => 'Heron', 2 => 'Badger']))->of(
        $name,
        strtotime("{$day} 10:00 UTC") ?: null,
        $km,
        $hours,
    );
    expect([$guess->bikeId, $guess->because->value])->toBe([$bike, $because]);
})->with([
    'its name is in it' => ['2026-08-02_badger-loop.gpx', '2026-08-02', 70.0, 2.5, 2, 'name'],
    'a name within a word is none' => ['herons.gpx', '2026-08-01', 36.0, 2.0, 2, 'habit'],
    'a fast Sunday' => ['a.gpx', '2026-08-02', 60.0, 2.1, 1, 'habit'],
    'a slow Saturday' => ['a.gpx', '2026-08-01', 30.0, 1.7, 2, 'habit'],
    'a Wednesday: its speed' => ['a.gpx', '2026-08-05', 27.0, 1.0, 1, 'habit'],
    'a Wednesday without hours' => ['a.gpx', '2026-08-05', 27.0, null, null, 'nothing'],
    'both names' => ['heron and badger.gpx', '2026-08-05', 27.0, null, null, 'nothing'],
]);

it('needs no guess with one bike, and has none without', function (): void {
    $book = new Book([1], [], new Settings([]), [], [], []);
    expect((new WhichBike($book, [1 => 'Heron']))->of('x.gpx', null, 10.0, null)->bikeId)
        ->toBe(1)
        ->and((new WhichBike($book, []))->of('x.gpx', null, 10.0, null)->bikeId)
        ->toBeNull();
});
