<?php

declare(strict_types=1);

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\Guess;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\RideRun;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Logbook\RideSum;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Strip;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @return list<Ride> of one bike, few enough instants that several begin at once; in any order */
function anyRides(Randomizer $dice, int $bikeId, int $count): array
{
    return array_map(
        fn(int $n) => new Ride(
            100 * $bikeId + $n,
            new Moment(1000 * $dice->getInt(1, 30), $dice->getInt(0, 4) === 0 ? Precision::Day : Precision::Minute, $dice->getInt(1, 5)),
            $bikeId,
            $dice->getInt(1, 900) / 10,
            $dice->getInt(0, 3) === 0 ? null : $dice->getInt(0, 5) / 2,
            Condition::cases()[$dice->getInt(0, 5)],
        ),
        range(1, $count),
    );
}

/** @param iterable<Ride> $rides */
function rideIds(iterable $rides): string
{
    $ids = [];
    foreach ($rides as $ride) {
        $ids[] = $ride->id;
    }

    return implode(' ', $ids);
}

it('says of rides what each of them one by one says, whatever they are cut into', function (): void {
    $dice = new Randomizer(new Mt19937(22));
    $settings = new Settings([new DatedSetting(SettingKey::FactorWet, 0, new Moment(15_000), 3.0)]);
    for ($round = 0; $round < 200; $round++) {
        [$heron, $egret] = [anyRides($dice, 1, $dice->getInt(1, 25)), anyRides($dice, 2, $dice->getInt(1, 25))];
        $runs = [RideRun::of(1, $heron), RideRun::of(2, $egret)];
        // As a snapshot and what came after it has them.
        $cutS = 1000 * $dice->getInt(0, 31);
        $early = RideRun::unpacked(1, $runs[0]->before($cutS)->packed());
        $runs[0] = $early->with(array_values(array_filter($heron, fn(Ride $ride) => $ride->moment->unixS >= $cutS)));
        $plain = [...$heron, ...$egret];
        usort($plain, Entry::compare(...));
        $rides = Rides::merged($runs);
        expect(rideIds($rides))->toBe(rideIds($plain))->and(count($rides))->toBe(count($plain));

        $from = $dice->getInt(0, count($plain));
        $length = $dice->getInt(0, 60);
        $some = $rides->slice($from, $length);
        $plainly = array_slice($plain, $from, $length);
        $of = fn(callable $figure): float => array_sum(array_map($figure, $plainly));
        expect(rideIds($some))
            ->toBe(rideIds($plainly))
            ->and($some->km())
            ->toEqualWithDelta($of(fn(Ride $ride) => $ride->km), 1e-9)
            ->and($some->sum(RideSum::Hours))
            ->toEqualWithDelta($of(fn(Ride $ride) => $ride->hours ?? 0.0), 1e-9)
            ->and($some->sum(RideSum::TimedKm))
            ->toEqualWithDelta($of(fn(Ride $ride) => $ride->hours > 0.0 ? $ride->km : 0.0), 1e-9)
            ->and($some->sum(RideSum::Untimed))
            ->toEqualWithDelta($of(fn(Ride $ride) => $ride->hours === null ? 1.0 : 0.0), 1e-9)
            ->and($some->effectiveKm($settings))
            ->toEqualWithDelta($of(fn(Ride $ride) => $ride->km * $settings->factor($ride->condition, $ride->moment->unixS)), 1e-6)
            ->and($some->instants())
            ->toBe(array_map(fn(Ride $ride) => $ride->moment->unixS, $plainly));

        $strip = new Strip(7, new Moment(1000 * $dice->getInt(0, 31), Precision::Minute, 3), 1);
        $after = array_filter($plain, fn(Ride $ride) => Entry::compare($ride, $strip) > 0);
        $untilS = 1000 * $dice->getInt(0, 31);
        $between = array_filter($plain, fn(Ride $ride) => $ride->moment->unixS >= $cutS && $ride->moment->unixS < $untilS);
        expect(rideIds($rides->after($strip)))
            ->toBe(rideIds($after))
            ->and(rideIds($rides->between($cutS, $untilS)))
            ->toBe(rideIds($between))
            ->and($rides->sum(RideSum::Km, $from))
            ->toEqualWithDelta(array_sum(array_map(fn(Ride $ride) => $ride->km, array_slice($plain, 0, $from))), 1e-9);

        // A chain that was on both: stretches that follow each other stay what they are, others are put in order.
        $parts = array_filter(
            [[$runs[0], 0, intdiv(count($heron), 2)], [$runs[1], intdiv(count($egret), 2), count($egret)]],
            fn(array $p) => $p[1] < $p[2],
        );
        $of = array_merge(
            ...array_map(fn(array $part) => array_map($part[0]->ride(...), range($part[1], $part[2] - 1)), array_values($parts)),
        );
        usort($of, Entry::compare(...));
        expect(rideIds(Rides::ofStretches(array_values($parts))))->toBe(rideIds($of));
    }
});

it('makes each ride once, with all that is known of it, and keeps what was filled in out of what is packed', function (): void {
    $guess = Guess::ofCommute(5, '2026-11-24');
    $run = RideRun::of(4, [
        new Ride(1, new Moment(100, Precision::Day, 9), 4, 12.345, null, Condition::Muddy),
        new Ride(-1, new Moment(200), 4, 7.0, 0.5, Condition::Damp, $guess),
    ]);
    $again = RideRun::unpacked(4, $run->before(1000)->packed());
    expect($again->ride(0))
        ->toEqual($run->ride(0))
        ->and($again->ride(0))
        ->toBe($again->ride(0))
        ->and(count($again))
        ->toBe(1)
        ->and($run->ride(1)->guess)
        ->toBe($guess)
        ->and(Rides::whole($run)->first()?->km)
        ->toBe(12.345)
        ->and(Rides::whole($run)->last()?->id)
        ->toBe(-1)
        ->and(Rides::of([])->first())
        ->toBeNull()
        ->and(isset(Rides::whole($run)[2]))
        ->toBeFalse()
        ->and(fn() => Rides::whole($run)[2])
        ->toThrow(LogicException::class)
        ->and(count(RideRun::unpacked(4, RideRun::none(4)->packed())))
        ->toBe(0);
});

it('refuses rides that another version packed, or that are damaged', function (string $packed): void {
    expect(fn() => RideRun::unpacked(1, $packed))->toThrow(UnexpectedValueException::class);
})->with([
    'nothing' => [''],
    'another version' => ['rides 0 ' . pack('P', 0)],
    'cut' => fn() => substr(RideRun::of(1, [new Ride(1, new Moment(1), 1, 5.0, null, Condition::Dry)])->packed(), 0, -1),
    'more than it says' => ['rides 1 ' . pack('P', 0) . 'x'],
    'a number without end' => ['rides 1 ' . pack('P', PHP_INT_MAX)],
]);
