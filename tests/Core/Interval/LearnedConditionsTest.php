<?php

declare(strict_types=1);

use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\ConditionCycle;
use Dripel\Core\Interval\CycleEnd;
use Dripel\Core\Interval\Factors;
use Dripel\Core\Interval\FactorsLearn;
use Dripel\Core\Interval\FactorsLearnInput;
use Dripel\Core\Interval\LearnedByEar;
use Dripel\Core\Interval\LearnedCondition;
use Dripel\Core\Interval\LearnedConditions;
use Dripel\Core\Interval\LearnedFactor;
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
use Dripel\Core\Logbook\WaxThen;
use Dripel\Core\Maths\NoMemo;

/**
 * Bike 1 with chain 7, bike 2 with chain 8. Each cycle: what was ridden by condition, and whether it got loud.
 *
 * @param array<int, list<array{array<string, float>, bool}>> $cycles by bike
 * @param list<DatedSetting> $settings
 */
function listened(array $cycles, array $settings = []): Book
{
    [$fittings, $rides, $events, $id] = [[], [], [], 0];
    foreach ($cycles as $bike => $ofBike) {
        $settings[] = new DatedSetting(SettingKey::ChainHome, 6 + $bike, new Moment(0), $bike);
        $fittings[] = new Fitting($bike, new Moment(1), $bike, 6 + $bike);
        foreach ($ofBike as $n => [$ridden, $loud]) {
            $at = 100_000 * ($n + 1);
            $events[] = new Dip(++$id, new Moment($at), 6 + $bike);
            foreach ($ridden as $condition => $km) {
                $rides[] = new Ride(++$id, new Moment(($at += 1000)), $bike, $km, null, Condition::from($condition));
            }
            $loud && ($events[] = new Noise(++$id, new Moment($at + 1000), $bike));
        }
    }

    return new Book([1, 2], [7, 8], new Settings($settings), $fittings, $rides, $events);
}

const LISTENED_S = 100_000_000;

it('learns from the cycles of all bikes that are listened to what factors.learn learns of them', function (): void {
    $cycles = [[['dry' => 150.0, 'wet' => 40.0], true], [['wet' => 90.0, 'dry' => 20.0], true], [['dry' => 200.0], false]];
    $book = listened([1 => $cycles, 2 => [[['dry' => 400.0, 'muddy' => 200.0], false]]]);
    $found = LearnedConditions::of($book, LISTENED_S, new NoMemo());
    $same = (new FactorsLearn())(
        new FactorsLearnInput(
            [
                new ConditionCycle(['dry' => 150.0, 'wet' => 40.0], Condition::Wet, CycleEnd::Noise),
                new ConditionCycle(['wet' => 90.0, 'dry' => 20.0], Condition::Dry, CycleEnd::Noise),
                new ConditionCycle(['dry' => 200.0], Condition::Dry, CycleEnd::Pulled),
            ],
            LearnedByEar::prior(300.0),
            Factors::houseRule(),
        ),
    );
    // The other bike was never listened to: that its mud was quiet says nothing.
    expect([$found?->noises, $found?->quiet])
        ->toBe([2, 1])
        ->and(array_map(fn(LearnedCondition $one) => $one->condition, $found->conditions ?? []))
        ->toBe([Condition::Wet])
        ->and($found?->conditions[0]->learned)
        ->toEqual($same->factors['wet'])
        ->and($found?->conditions[0]->settled)
        ->toBeFalse()
        ->and($found?->offers())
        ->toBe([])
        ->and(LearnedConditions::of(listened([1 => [[['wet' => 90.0], false]]]), LISTENED_S, new NoMemo()))
        ->toBeNull();
    // Of what was ridden last: a ride of no length is none.
    $pushed = listened([1 => [...$cycles, [['wet' => 30.0, 'dry' => 220.0, 'muddy' => 0.0], true]]]);
    $ridden = listened([1 => [...$cycles, [['wet' => 30.0, 'dry' => 220.0], true]]]);
    expect(LearnedConditions::of($pushed, LISTENED_S, new NoMemo())?->conditions[0]->learned)->toEqual(
        LearnedConditions::of($ridden, LISTENED_S, new NoMemo())?->conditions[0]->learned,
    );
    // What is set, and what came of it before, makes no difference to what is learned.
    $own = listened([1 => $cycles], [new DatedSetting(SettingKey::FactorWet, 0, new Moment(0), 4.0)]);
    expect(LearnedConditions::of($own, LISTENED_S, new NoMemo())?->conditions[0])
        ->learned->toEqual($same->factors['wet'])
        ->now->toBe(4.0);
});

it('says nothing of wax that a chain came with, where nobody knows in what weather it was ridden', function (): void {
    $book = listened([1 => [[['dry' => 100.0, 'wet' => 20.0], true]]]);
    $events = fn(?float $since) => [new Opening(90, new Moment(50), 7, 500.0, WaxThen::Known, $since), new Noise(91, new Moment(3000), 1)];
    $came = fn(?float $since) => new Book(
        [1],
        [7],
        $book->settings,
        [new Fitting(1, new Moment(1), 1, 7)],
        [new Ride(92, new Moment(2000), 1, 80.0, null, Condition::Wet)],
        $events($since),
    );
    expect(LearnedConditions::of($came(40.0), LISTENED_S, new NoMemo()))
        ->toBeNull()
        ->and(LearnedConditions::of($came(0.0), LISTENED_S, new NoMemo())?->noises)
        ->toBe(1);
});

it('offers what it is sure enough of, in tenths, and says how many more sounds that would take', function (): void {
    $loud = [];
    // A wet kilometre of this rider takes 1.2 dry ones: each cycle ends at about 300 of them.
    foreach (range(0, 29) as $n) {
        $wet = [0.0, 120.0, 240.0][$n % 3];
        $loud[] = [array_filter(['dry' => 300.0 + 10 * ($n % 5) - 1.2 * $wet, 'wet' => $wet]), true];
    }
    $few = LearnedConditions::of(listened([1 => array_slice($loud, 0, 4)]), LISTENED_S, new NoMemo())?->conditions[0];
    $many = LearnedConditions::of(listened([1 => $loud]), LISTENED_S, new NoMemo());
    [$before, $sd] = [0.5, log($few?->learned->p90 / $few?->learned->p10) / (2 * 1.2815515655446004)];
    expect($few?->settled)
        ->toBeFalse()
        // Half of what is not known before the first sound is sure enough; of what four sounds have told each of the next tells a quarter.
        ->and($few?->moreNoises)
        ->toBe((int) ceil((4 * (1 / (0.5 * $before) ** 2 - 1 / $sd ** 2)) / (1 / $sd ** 2 - 1 / $before ** 2)))
        ->and(($many?->offers() ?? [])[0]->factor())
        ->toEqualWithDelta(1.2, 0.11)
        ->and($many?->conditions[0]->moreNoises)
        ->toBeNull();
    $set = fn(float $now, ?float $declined = null) => new LearnedCondition(
        Condition::Wet,
        new LearnedFactor(1.23, 1.1, 1.4, 20),
        $now,
        true,
        null,
        $declined,
    );
    expect([$set(1.2)->offered(), $set(1.3)->offered(), $set(2.5)->factor()])->toBe([false, true, 1.2]);
    // Declined as it is now, it is not offered; as it was when it was another, it is.
    expect([$set(2.5, 1.2)->offered(), $set(2.5, 1.2)->isDeclined(), $set(2.5, 1.3)->offered(), $set(2.5)->isDeclined()])->toBe([
        false,
        true,
        true,
        false,
    ]);
    $declined = listened([1 => $loud], [new DatedSetting(SettingKey::FactorsDeclined, 0, new Moment(0), [['wet', 1.2]])]);
    expect(LearnedConditions::of($declined, LISTENED_S, new NoMemo())?->conditions[0]->declined)->toBe(1.2);
});
