<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\CycleEnd;
use Dripel\Core\Interval\EarCycle;
use Dripel\Core\Interval\EarSeason;
use Dripel\Core\Interval\IntervalLearn;
use Dripel\Core\Interval\IntervalLearnInput;
use Dripel\Core\Interval\IntervalLearnResult;
use Dripel\Core\Interval\LearnedByEar;
use Dripel\Core\Interval\LearnPrior;
use Dripel\Core\Interval\WaxCycle;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Noise;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Logbook\WaxThen;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @param list<array{float, string}> $cycles */
function learnt(array $cycles, ?LearnPrior $prior = null, float $quantile = 0.2): IntervalLearnResult
{
    return (new IntervalLearn())(
        new IntervalLearnInput(array_map(fn(array $c) => new WaxCycle($c[0], CycleEnd::from($c[1])), $cycles), $prior, $quantile),
    );
}

it('is the Weibull regression of survreg on data sets that ship with R’s survival package', function (array $set): void {
    $found = (new IntervalLearn())(
        IntervalLearnInput::from(Fields::fromJson((string) json_encode(['cycles' => $set['cycles'], 'prior' => null]))),
    );
    expect($found->shape)
        ->toEqualWithDelta($set['shape'], 1e-5 * $set['shape'])
        ->and($found->scaleKm)
        ->toEqualWithDelta($set['scale_km'], 1e-5 * $set['scale_km'])
        ->and($found->intervalKm)
        ->toEqualWithDelta($set['interval_km'], 1e-5 * $set['interval_km'])
        ->and($found->medianKm)
        ->toEqualWithDelta($set['scale_km'] * log(2) ** (1 / $set['shape']), 1e-4 * $set['scale_km'])
        // The band is the normal one of the observed information: 1.2816 standard errors of the logarithm to either side.
        ->and(log($found->intervalP90Km / $found->intervalKm) / 1.2815516)
        ->toEqualWithDelta($set['log_se'], 1e-4);
})->with(
    fn() => array_map(
        fn(array $set) => [$set],
        array_column(json_decode((string) file_get_contents(__DIR__ . '/data/learn.json'), true), null, 'name'),
    ),
);

it('is its prior before the first cycle, and is moved by cycles as Bayes’ rule says', function (): void {
    $prior = new LearnPrior(300.0, 0.4, 3.0, 0.3);
    $none = learnt([], $prior);
    expect([$none->medianKm, $none->shape])
        ->toEqualWithDelta([300.0, 3.0], 1e-9)
        ->and($none->intervalKm)
        ->toEqualWithDelta(300.0 * (log(1.25) / log(2)) ** (1 / 3), 1e-9)
        ->and($none->quietAfter($none->intervalKm))
        ->toEqualWithDelta(0.8, 1e-9)
        ->and($none->quietAfter(0.0))
        ->toBe(1.0);
    // With a shape as good as given, one noise at x: the mode of ln median a solves 3(ln2·(x/m)³ − 1) = (a − ln 300)/0.16. By bisection.
    $sharp = learnt([[150.0, 'noise']], new LearnPrior(300.0, 0.4, 3.0, 1e-6));
    $rest = fn(float $a): float => 3 * (log(2) * (150 / exp($a)) ** 3 - 1) - ($a - log(300)) / 0.16;
    expect($rest(log($sharp->medianKm)))
        ->toEqualWithDelta(0.0, 1e-5)
        ->and($sharp->medianKm)
        ->toBeLessThan(300.0)
        // Pulled while quiet it can only have been longer.
        ->and(learnt([[500.0, 'pulled']], $prior)->medianKm)
        ->toBeGreaterThan(300.0)
        ->and(learnt([[20.0, 'pulled']], $prior)->medianKm)
        ->toEqualWithDelta(300.0, 0.5);
});

it('never learns a shorter interval from more quiet kilometres', function (): void {
    $dice = new Randomizer(new Mt19937(11));
    $prior = new LearnPrior(300.0, 0.4, 3.0, 0.3);
    for ($n = 0; $n < 150; $n++) {
        $cycles = array_map(
            fn() => [(float) $dice->getInt(40, 600), $dice->getInt(0, 2) === 0 ? 'noise' : 'pulled'],
            range(1, $dice->getInt(1, 8)),
        );
        $before = learnt($cycles, $prior)->medianKm;
        $i = $dice->getInt(0, count($cycles) - 1);
        $more = $cycles;
        $cycles[$i][1] === 'pulled' ? ($more[$i][0] += $dice->getInt(1, 300)) : ($more[] = [(float) $dice->getInt(1, 500), 'pulled']);
        expect(learnt($more, $prior)->medianKm)->toBeGreaterThanOrEqual($before - 1e-6 * $before);
    }
});

it('keeps its head where the cycles are nearly alike, and asks for enough of them', function (): void {
    $alike = learnt([[300.0, 'noise'], [300.001, 'noise'], [299.999, 'noise']]);
    expect($alike->medianKm)->toEqualWithDelta(300.0, 0.01)->and(is_finite($alike->intervalP90Km))->toBeTrue();
    foreach (
        [[[300.0, 'noise']], [[300.0, 'noise'], [300.0, 'noise'], [200.0, 'pulled']], [[300.0, 'pulled'], [200.0, 'pulled']], []]
        as $few
    ) {
        expect(fn() => learnt($few))->toThrow(InvalidInput::class);
    }
    expect(fn() => learnt([[300.0, 'noise'], [200.0, 'noise']], quantile: 1.0))->toThrow(InvalidInput::class);
});

it('reads the cycles of a bike out of its logbook: heard, topped up, dipped anew, still quiet', function (): void {
    $h = 3600;
    $ride = fn(int $id, int $hour, float $km, Condition $condition = Condition::Dry) => new Ride(
        $id,
        new Moment($h * $hour),
        1,
        $km,
        3.0,
        $condition,
    );
    $book = fn(array $events) => new Book(
        [1],
        [7],
        new Settings([new DatedSetting(SettingKey::ChainHome, 7, new Moment(0), 1)]),
        [new Fitting(1, new Moment($h * 2), 1, 7)],
        [
            $ride(1, 3, 100.0),
            $ride(2, 4, 100.0, Condition::Damp),
            $ride(3, 13, 150.0),
            $ride(4, 14, 60.0),
            $ride(5, 33, 220.0),
            $ride(6, 34, 10.0),
            $ride(7, 43, 40.0),
        ],
        $events,
    );
    $events = [
        new Dip(1, new Moment($h), 7),
        new Noise(2, new Moment($h * 5), 1),
        new Dip(3, new Moment($h * 12), 7),
        new TopUp(4, new Moment($h * 15), 7, 200.0),
        new Dip(5, new Moment($h * 32), 7),
        new Dip(6, new Moment($h * 40), 7),
    ];
    $found = LearnedByEar::of($book($events), 1, $h * 50);
    // 100 + 1.5 · 100 heard; 150 + 60 until the drip; 230 until the next dip; 40 so far.
    expect(array_map(fn(EarCycle $one) => [$one->cycle->km, $one->cycle->ended->value, $one->open], $found->cycles ?? []))
        ->toBe([[250.0, 'noise', false], [210.0, 'pulled', false], [230.0, 'pulled', false], [40.0, 'pulled', true]])
        ->and($found?->result->noises)
        ->toBe(1)
        ->and($found?->seasons)
        ->toBe([])
        ->and($found?->result->intervalKm)
        ->toBeLessThan(300.0)
        ->toBeGreaterThan(150.0)
        // Before anything is heard nothing is learned, and the prior says what was set: one in five by 300 km.
        ->and(LearnedByEar::of($book([$events[0]]), 1, $h * 50))
        ->toBeNull()
        ->and((new IntervalLearn())(new IntervalLearnInput([], LearnedByEar::prior(300.0)))->intervalKm)
        ->toEqualWithDelta(300.0, 1e-9);
});

it('learns a season of its own from three dry sounds on, and leaves out what was only partly waxed', function (
    int $sounds,
    bool $partly,
): void {
    $day = 86_400;
    $events = $rides = [];
    for ($i = 0; $i < 4; $i++) {
        $startS = $day * (170 + 7 * $i); // From 20 June 1970 on.
        $events[] = new Dip(10 + $i, new Moment($startS), 7, partly: $partly && $i === 0);
        $rides[] = new Ride($i + 1, new Moment($startS + 3600), 1, 240.0 + 10 * $i, null, Condition::Dry);
        $i < $sounds && ($events[] = new Noise(20 + $i, new Moment($startS + 7200), 1));
    }
    $book = new Book(
        [1],
        [7],
        new Settings([new DatedSetting(SettingKey::ChainHome, 7, new Moment(0), 1)]),
        [new Fitting(1, new Moment(0), 1, 7)],
        $rides,
        $events,
    );
    $found = LearnedByEar::of($book, 1, $day * 365);
    expect(array_map(fn(EarCycle $one) => $one->cycle->km, $found->cycles ?? []))
        ->toBe($partly ? [250.0, 260.0, 270.0] : [240.0, 250.0, 260.0, 270.0])
        ->and($found?->result->noises)
        ->toBe($partly ? $sounds - 1 : $sounds)
        ->and(array_keys($found->seasons ?? []))
        ->toBe($sounds >= 3 && !$partly ? ['summer'] : []);
})->with([[3, false], [2, false], [3, true]]);

it('counts the wax that a chain came with into its first cycle', function (): void {
    $book = new Book(
        [1],
        [7],
        new Settings([new DatedSetting(SettingKey::ChainHome, 7, new Moment(0), 1)]),
        [new Fitting(1, new Moment(10), 1, 7)],
        [new Ride(1, new Moment(3600), 1, 100.0, null, Condition::Dry)],
        [new Opening(1, new Moment(0), 7, 500.0, WaxThen::Known, 80.0), new Noise(2, new Moment(7200), 1)],
    );
    expect(LearnedByEar::of($book, 1, 86_400)?->cycles[0]->cycle->km)->toBe(180.0);
});

it('is as sure as the bend of its log posterior says, by finite differences of a second writing', function (array $cycles): void {
    $prior = new LearnPrior(280.0, 0.5, 3.0, 0.3);
    $found = learnt($cycles, $prior);
    $log = function (float $a, float $b) use ($cycles, $prior): float {
        [$m, $k] = [exp($a), exp($b)];
        $sum =
            -(($a - log($prior->medianKm)) ** 2) / (2 * $prior->logSd ** 2) -
            ($b - log($prior->shapeMedian)) ** 2 / (2 * $prior->shapeLogSd ** 2);
        foreach ($cycles as [$km, $ended]) {
            $sum -= log(2) * ($km / $m) ** $k;
            $ended === 'noise' && ($sum += log((log(2) * $k * $km ** ($k - 1)) / $m ** $k));
        }

        return $sum;
    };
    [$a, $b, $h] = [log($found->medianKm), log($found->shape), 1e-3];
    $second = fn(float $x, float $y): float => ($log($a + $x * $h, $b + $y * $h) - 2 * $log($a, $b) + $log($a - $x * $h, $b - $y * $h)) /
        $h ** 2;
    [$aa, $bb] = [-$second(1, 0), -$second(0, 1)];
    $ab = (-$second(1, 1) - $aa - $bb) / 2;
    // One in five: ln of the interval is a + apart · e^(−b).
    $apart = log(-log(0.8)) - log(log(2));
    $slope = -$apart * exp(-$b);
    $sd = sqrt(($bb - 2 * $slope * $ab + $slope ** 2 * $aa) / ($aa * $bb - $ab ** 2));
    expect(log($found->intervalP90Km / $found->intervalKm))
        ->toEqualWithDelta(1.2815516 * $sd, 1e-4)
        ->and(log($found->intervalP10Km / $found->intervalKm))
        ->toEqualWithDelta(-1.2815516 * $sd, 1e-4);
})->with([
    'some of each' => [[[250.0, 'noise'], [310.0, 'pulled'], [190.0, 'noise'], [280.0, 'pulled']]],
    'never heard' => [[[310.0, 'pulled']]],
    'no cycle' => [[]],
]);

it('has its summer from April to September', function (): void {
    $summer = array_filter(range(1, 12), fn(int $month) => EarSeason::inMonth($month) === EarSeason::Summer);
    expect(array_values($summer))->toBe([4, 5, 6, 7, 8, 9]);
});
