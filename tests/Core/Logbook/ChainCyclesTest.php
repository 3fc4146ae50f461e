<?php

declare(strict_types=1);

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\ChainCycle;
use Dripel\Core\Logbook\ChainCycles;
use Dripel\Core\Logbook\ChainHistory;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Noise;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Logbook\WaxThen;

const CYCLE_DAY_S = 86400;

/**
 * @param list<Ride> $rides
 * @param list<object> $events
 *
 * @return list<array{string|null, int, int|null, float, float, int, int, bool}>
 */
function cyclesOf(array $rides, array $events, bool $dripOnly = false): array
{
    return array_map(
        fn(ChainCycle $one) => [
            $one->begin === null ? null : $one->begin->kind()->value,
            intdiv($one->fromS, CYCLE_DAY_S),
            $one->untilS === null ? null : intdiv($one->untilS, CYCLE_DAY_S),
            $one->km,
            $one->effectiveKm,
            $one->rides,
            $one->topUps,
            $one->loud,
        ],
        ChainCycles::of(new ChainHistory(7, Rides::of($rides), $events), new Settings([]), $dripOnly),
    );
}

it('tells a chain’s life coat by coat', function (): void {
    $on = fn(int $day): Moment => new Moment($day * CYCLE_DAY_S);
    $ride = fn(int $id, int $day, float $km, Condition $condition = Condition::Dry) => new Ride($id, $on($day), 1, $km, null, $condition);
    expect(cyclesOf([], []))->toBe([]);
    // Stripped and dipped on one day is one beginning; a wet kilometre counts 2.5 (house rule).
    expect(
        cyclesOf(
            [$ride(1, 3, 40.0), $ride(2, 4, 20.0, Condition::Wet), $ride(3, 12, 60.0)],
            [
                new Strip(10, $on(1), 7),
                new Dip(11, $on(2), 7),
                new TopUp(12, $on(5), 7, 200.0),
                new Noise(13, $on(6), 1),
                new Dip(14, $on(10), 7),
            ],
        ),
    )->toBe([['dip', 1, 10, 60.0, 90.0, 2, 1, true], ['dip', 10, null, 60.0, 60.0, 1, 0, false]]);
    // What it was ridden before any wax; a dip on a dip that was never ridden is a coat of its own.
    expect(cyclesOf([$ride(1, 1, 10.0)], [new Dip(11, $on(2), 7), new Dip(12, $on(3), 7)]))->toBe([
        [null, 1, 2, 10.0, 10.0, 1, 0, false],
        ['dip', 2, 3, 0.0, 0.0, 0, 0, false],
        ['dip', 3, null, 0.0, 0.0, 0, 0, false],
    ]);
    // It came waxed, and lives on drip wax alone.
    $came = new Opening(10, $on(0), 7, 500.0, WaxThen::Known, 50.0);
    $drips = [$came, new TopUp(11, $on(2), 7, 200.0), new TopUp(12, $on(5), 7, 200.0)];
    expect(cyclesOf([$ride(1, 1, 10.0), $ride(2, 3, 30.0)], $drips, true))->toBe([
        ['opening', 0, 2, 10.0, 10.0, 1, 0, false],
        ['topup', 2, 5, 30.0, 30.0, 1, 1, false],
        ['topup', 5, null, 0.0, 0.0, 0, 1, false],
    ]);
    expect(count(cyclesOf([$ride(1, 1, 10.0), $ride(2, 3, 30.0)], $drips)))->toBe(1);
});
