<?php

declare(strict_types=1);

use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Guess;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Plan\PlannedRide;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\WorkshopPlan;
use Dripel\Core\Weather\Rain;
use Dripel\Core\Weather\RainTable;
use Dripel\Core\Weather\RoadGuess;
use Dripel\Core\Weather\SimulatedRain;
use Dripel\Core\Weather\WetDay;
use Dripel\Core\Weather\WetterRide;

/** Monday 23 November 2026, 00:00 UTC. */
const WEATHER_MONDAY_S = 1_795_392_000;

/** @param array<int, float> $mm by hour from that midnight; all others of three weeks around it are dry */
function rainOf(array $mm = []): Rain
{
    $hours = [];
    for ($hour = -336; $hour < 336; $hour++) {
        $hours[WEATHER_MONDAY_S + 3600 * $hour] = $mm[$hour] ?? 0.0;
    }

    return new Rain($hours);
}

it('adds up what falls between two instants, of a cut hour its part, and takes nothing unknown to be dry', function (): void {
    $rain = rainOf([9 => 2.0, 10 => 1.0]);
    $between = fn(float $from, float $until): ?float => $rain->between(
        WEATHER_MONDAY_S + (int) (3600 * $from),
        WEATHER_MONDAY_S + (int) (3600 * $until),
    );
    expect([$between(9, 11), $between(9.5, 10.25), $between(8, 9), $between(10, 10)])
        ->toBe([3.0, 1.25, 0.0, 0.0])
        ->and($between(330, 336))
        ->toBe(0.0)
        ->and($between(330, 336.5))
        ->toBeNull();
    expect(fn() => new Rain([WEATHER_MONDAY_S + 60 => 0.0]))->toThrow(InvalidInput::class);
    expect(fn() => new Rain([WEATHER_MONDAY_S => -0.1]))->toThrow(InvalidInput::class);
});

it('takes a road to be wet, damp or dry by the rain on the ride and before it', function (array $mm, ?Condition $condition): void {
    // From nine, for two hours.
    expect(RoadGuess::of(rainOf($mm), WEATHER_MONDAY_S + 9 * 3600, 2.0)?->condition)->toBe($condition);
})->with([
    'no rain' => [[], Condition::Dry],
    'rain while riding' => [[10 => 0.5], Condition::Wet],
    'a little less' => [[10 => 0.49], Condition::Damp],
    'a sprinkle' => [[9 => 0.1], Condition::Damp],
    'hardly any' => [[9 => 0.09], Condition::Dry],
    'rain after it' => [[11 => 9.0], Condition::Dry],
    'a shower before' => [[7 => 0.6, 8 => 0.4], Condition::Damp],
    'less of it' => [[7 => 0.5, 8 => 0.4], Condition::Dry],
    'long before' => [[5 => 9.0], Condition::Dry],
]);

it('tells by the rain that made it so', function (array $mm, bool $onTheWay, float $fell): void {
    $guess = RoadGuess::of(rainOf($mm), WEATHER_MONDAY_S + 9 * 3600, 2.0);
    expect([$guess?->onTheWay(), $guess?->mm()])->toBe([$onTheWay, $fell]);
})->with([
    'on the ride' => [[7 => 5.0, 9 => 0.1], true, 0.1],
    'before it, with a drop on the ride that wets nothing' => [[8 => 1.5, 9 => 0.05], false, 1.5],
]);

it('says nothing of a ride whose hours nobody knows', function (): void {
    $atEnd = WEATHER_MONDAY_S + 335 * 3600;
    expect(RoadGuess::of(rainOf(), $atEnd, 1.0)?->condition)
        ->toBe(Condition::Dry)
        ->and(RoadGuess::of(rainOf(), $atEnd, 1.1))
        ->toBeNull()
        ->and(RoadGuess::of(rainOf(), WEATHER_MONDAY_S - 335 * 3600, 1.0))
        ->toBeNull();
});

/** @param list<array{int, Condition, 2?: float|null, 3?: Precision, 4?: Guess|null}> $rides hour of the start, condition, hours */
function weatherBook(array $rides): Book
{
    return new Book(
        [1],
        [7],
        new Settings([new DatedSetting(SettingKey::ChainHome, 7, new Moment(0), 1)]),
        [new Fitting(900, new Moment(WEATHER_MONDAY_S - 86_400 * 100), 1, 7)],
        array_map(
            fn(array $one, int $n) => new Ride(
                $n + 1,
                new Moment(WEATHER_MONDAY_S + 3600 * $one[0], $one[3] ?? Precision::Minute),
                1,
                40.0,
                $one[2] ?? null,
                $one[1],
                $one[4] ?? null,
            ),
            $rides,
            array_keys($rides),
        ),
        [new Dip(901, new Moment(WEATHER_MONDAY_S - 86_400), 7)],
    );
}

it('proposes what is wetter than was written, never drier, nor of what nobody timed or logged', function (): void {
    $proposed = function (Condition $written, float $mm, ?Precision $precision = null, ?Guess $guess = null): ?Condition {
        $book = weatherBook([[9, $written, 2.0, $precision ?? Precision::Minute, $guess]]);

        return (WetterRide::of($book, rainOf([9 => $mm]), WEATHER_MONDAY_S + 86_400)[0] ?? null)?->guess->condition;
    };
    expect([$proposed(Condition::Dry, 3.0), $proposed(Condition::Dusty, 0.2), $proposed(Condition::Damp, 3.0)])
        ->toBe([Condition::Wet, Condition::Damp, Condition::Wet])
        ->and([
            $proposed(Condition::Dry, 0.0),
            $proposed(Condition::Damp, 0.2),
            $proposed(Condition::Wet, 0.0),
            $proposed(Condition::Muddy, 0.0),
            $proposed(Condition::Indoor, 3.0),
            $proposed(Condition::Dry, 3.0, Precision::Day),
        ])
        ->toBe(array_fill(0, 6, null));
    // The newest first; what is a fortnight old is let be. 40 km that nobody timed take two hours.
    $book = weatherBook([[-300, Condition::Dry, 2.0], [8, Condition::Dry], [30, Condition::Dry, 2.0]]);
    $wetter = fn(int $nowS): array => array_map(
        fn(WetterRide $one) => $one->ride->id,
        WetterRide::of($book, rainOf([-300 => 1.0, 9 => 1.0, 30 => 1.0]), $nowS),
    );
    expect($wetter(WEATHER_MONDAY_S + 40 * 3600))
        ->toBe([3, 2])
        ->and($wetter(WEATHER_MONDAY_S + 20 * 3600))
        ->toBe([2, 1]);
});

it('names the coming days that are usual for a bike and wet at its hour', function (): void {
    // Tuesdays and Thursdays at 17:00 for eight weeks.
    $rides = [];
    for ($week = -8; $week < 0; $week++) {
        array_push($rides, [168 * $week + 24 + 17, Condition::Dry, 2.0], [168 * $week + 72 + 17, Condition::Dry, 2.0]);
    }
    $wet = function (array $mm, array $planned = [], array $more = []) use ($rides): array {
        $book = weatherBook([...$rides, ...$more]);
        $zone = new DateTimeZone('UTC');
        $nowS = WEATHER_MONDAY_S + 6 * 3600;
        $rails = Rail::all($book, $nowS, $zone);
        $plan = WorkshopPlan::of($book, $rails, PlanTerms::of($book, null, $nowS), $planned, $nowS, $zone);

        return array_map(
            fn(WetDay $one) => [$one->bikeId, $one->day, $one->km, $one->guess->condition],
            WetDay::of($book, $plan, rainOf($mm), $nowS),
        );
    };
    // Rain at noon is over by five; Wednesday nobody rides; Thursday week is the tenth day and is not foretold any more.
    $mm = [24 + 12 => 5.0, 48 + 17 => 5.0, 72 + 18 => 2.0, 192 + 16 => 1.0, 240 + 17 => 5.0];
    expect($wet($mm))
        ->toBe([[1, 3, 40.0, Condition::Wet], [1, 8, 40.0, Condition::Damp]])
        ->and($wet([]))
        ->toBe([])
        // What was planned by hand has its own condition.
        ->and($wet($mm, [new PlannedRide(1, '2026-11-26', '2026-11-26', 1, 60.0, Condition::Dry)]))
        ->toBe([[1, 8, 40.0, Condition::Damp]])
        // Ridden in the cellar of late.
        ->and($wet($mm, [], [[-10, Condition::Indoor, 1.0]]))
        ->toBe([]);
});

it('reads tables of any station: offsets, the clock on the wall, tens of minutes, commas', function (): void {
    $of = fn(string $text, string $zone = 'UTC'): array => RainTable::of($text, new DateTimeZone($zone))->mm;
    $nine = WEATHER_MONDAY_S + 9 * 3600;

    expect($of("time,mm\n2026-11-23T09:00:00Z,1.5\n2026-11-23T11:30:00+01:00,0.5\n"))
        ->toBe([$nine => 1.5, $nine + 3600 => 0.5])
        ->and($of("Date;Temperature;Rain (mm)\r\n2026-11-23 10:00;7,1;0,4\r\n2026-11-23 10:20;7,0;0,3\r\n", 'Europe/Amsterdam'))
        ->toEqualWithDelta([$nine => 0.7], 1e-9)
        // Said twice counts once, as it was said last; an empty cell says nothing.
        ->and($of("time,mm\n2026-11-23 09:00,1\n2026-11-23 09:00,2\n2026-11-23 12:00,\n"))
        ->toBe([$nine => 2.0]);
    foreach (
        [
            'needs a column' => "time,temperature\n2026-11-23 09:00,4\n",
            'line 2: write the time' => "time,mm\nyesterday,4\n",
            'line 3: write the time' => "time,mm\n2026-11-23 09:00,4\n2026-02-30 09:00,4\n",
            'line 2: write the rain as mm from 0 to 400, not as "wet"' => "time,mm\n2026-11-23 09:00,wet\n",
            'not as "-1"' => "time,mm\n2026-11-23 09:00,-1\n",
            'more than 400 mm in one hour' => "time,mm\n2026-11-23 09:00,300\n2026-11-23 09:30,300\n",
            'no row' => "time,mm\n2026-11-23 09:00,\n",
        ]
        as $says => $text
    ) {
        expect(fn() => $of($text))->toThrow(InvalidInput::class, $says);
    }
});

it('has a stand-in that rains the same whenever it is asked, about an hour in eight', function (): void {
    $untilS = WEATHER_MONDAY_S + 3600 * 8000;
    $all = (new SimulatedRain(7))->between(WEATHER_MONDAY_S, $untilS);
    $later = (new SimulatedRain(7))->between(WEATHER_MONDAY_S + 3600 * 4000, $untilS);
    $wet = 0;
    for ($hour = 0; $hour < 8000; $hour++) {
        $atS = WEATHER_MONDAY_S + 3600 * $hour;
        $mm = $all->between($atS, $atS + 3600);
        $wet += (int) ($mm > 0.0);
        $hour < 4000 || expect($later->between($atS, $atS + 3600))->toBe($mm);
    }
    expect($wet / 8000)
        ->toBeGreaterThan(0.1)
        ->toBeLessThan(0.16);
    expect((new SimulatedRain(8))->between(WEATHER_MONDAY_S, $untilS)->between(WEATHER_MONDAY_S, $untilS))->not->toBe(
        $all->between(WEATHER_MONDAY_S, $untilS),
    );
});
