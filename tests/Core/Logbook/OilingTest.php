<?php

declare(strict_types=1);

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Oiling;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\PotDay\PotRefusal;

const OIL_DAY_S = 86400;

/** Chain 7 on bike 1 from day 0 on, ridden 40 km on day 3. @param list<callable(int): object> $events */
function oiled(array $events, int $day): array
{
    $book = new Book(
        [1],
        [7],
        new Settings([new DatedSetting(SettingKey::ChainHome, 7, new Moment(0), 1)]),
        [new Fitting(1, new Moment(0), 1, 7)],
        [new Ride(2, new Moment(3 * OIL_DAY_S), 1, 40.0, null, Condition::Dry)],
        array_map(fn(callable $event, int $n) => $event(10 + $n), $events, array_keys($events)),
    );
    $state = $book->chain(7, $day * OIL_DAY_S);

    $greasy = PotRefusal::greasy($state, $book->settings);

    return [$state->status, $state->dryness->bare !== null, $state->leftKm(), $greasy, $state->wantsPot()];
}

it('holds no wax from the oil on until it is stripped, whatever is dipped or dripped meanwhile', function (
    array $events,
    int $day,
    array $expected,
): void {
    expect(oiled($events, $day))->toBe($expected);
})->with(function (): array {
    $dip = fn(int $day) => fn(int $id) => new Dip($id, new Moment($day * OIL_DAY_S + 60), 7);
    $oil = fn(int $day) => fn(int $id) => new Oiling($id, new Moment($day * OIL_DAY_S + 120), 7);
    $strip = fn(int $day) => fn(int $id) => new Strip($id, new Moment($day * OIL_DAY_S), 7);
    $drip = fn(int $day) => fn(int $id) => new TopUp($id, new Moment($day * OIL_DAY_S + 60), 7, 200.0);

    return [
        'before it' => [[$dip(0), $oil(5)], 4, [ChainStatus::Ridden, false, 260.0, null, false]],
        'after it' => [[$dip(0), $oil(5)], 6, [ChainStatus::Oiled, false, 0.0, PotRefusal::Oiled, false]],
        'dipped over it' => [[$dip(0), $oil(5), $dip(6)], 7, [ChainStatus::Oiled, false, 0.0, PotRefusal::Oiled, false]],
        'dripped over it' => [[$dip(0), $oil(5), $drip(6)], 7, [ChainStatus::Oiled, false, 0.0, PotRefusal::Oiled, false]],
        'stripped' => [[$dip(0), $oil(5), $strip(6)], 6, [ChainStatus::Bare, true, 0.0, null, true]],
        'stripped and waxed' => [[$dip(0), $oil(5), $strip(6), $dip(6)], 7, [ChainStatus::Waxed, false, 300.0, null, false]],
        'bare steel that got oil does not rust as bare steel does' => [
            [$strip(4), $oil(5)],
            6,
            [ChainStatus::Oiled, false, 0.0, PotRefusal::Oiled, false],
        ],
        'grease from its box' => [[], 2, [ChainStatus::Unwaxed, false, 0.0, PotRefusal::Greased, false]],
    ];
});
