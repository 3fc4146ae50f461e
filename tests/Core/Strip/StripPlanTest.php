<?php

declare(strict_types=1);

use Dripel\Core\Cost\Price;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Guided\JobEvent;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Strip\BathSource;
use Dripel\Core\Strip\JarChoice;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\JobResidues;
use Dripel\Core\Strip\Protocol;
use Dripel\Core\Strip\ProtocolStep;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Strip\SolventCost;
use Dripel\Core\Strip\StepKind;
use Dripel\Core\Strip\StripCascade;
use Dripel\Core\Strip\StripCascadeInput;
use Dripel\Core\Strip\StripOrBuy;
use Dripel\Core\Strip\StripPlan;
use Dripel\Core\Strip\StripRinse;
use Dripel\Core\Strip\StripRinseInput;

/** @return array<string, Protocol> the schools that ship, by code */
function schools(): array
{
    $protocols = Fields::fromJson((string) file_get_contents(dirname(__DIR__, 3) . '/resources/protocols/strip.json'))->list(
        'protocols',
        Protocol::from(...),
    );

    return array_combine(array_map(fn(Protocol $protocol) => $protocol->code, $protocols), $protocols);
}

/** @return list<BathSource> */
function allFresh(Protocol $protocol): array
{
    return array_map(fn() => BathSource::fresh(), $protocol->baths());
}

it('ships ten schools that end with an alcohol and with drying, two thirds without petrol', function (): void {
    // Common practice: all schools repeat until clear, take the last film off with an alcohol and dry completely.
    foreach (schools() as $protocol) {
        $baths = $protocol->baths();
        expect($protocol->endsWithAlcohol())
            ->toBeTrue($protocol->code)
            ->and(end($baths)->untilClear)
            ->toBeTrue($protocol->code)
            ->and(Protocol::from(Fields::fromJson((string) json_encode($protocol->toArray()))))
            ->toEqual($protocol);
    }
    $not = array_keys(array_filter(schools(), fn(Protocol $protocol) => !$protocol->advised()));
    expect(schools())
        ->toHaveCount(10)
        ->and($not)
        ->toBe(['petrol_degreaser_spirit', 'two_petrol_jars', 'petrol_degreaser_soap_alcohol'])
        ->and(schools()['two_petrol_jars']->withoutPetrol()->solvents())
        ->toBe([Solvent::WhiteSpirit, Solvent::MethylatedSpirit])
        ->and(array_keys(array_filter(schools(), fn(Protocol $protocol) => $protocol->dripOnly)))
        ->toBe(['on_the_bike']);
});

it('leads through the default school step by step', function (): void {
    $plan = StripPlan::of(
        schools()['three_and_two'],
        [BathSource::jar(7, 500, 2.0), BathSource::fresh(9), BathSource::fresh(), BathSource::fresh(), BathSource::fresh()],
        1,
        8.0,
    );
    expect(array_map(fn(JobStep $step) => $step->code, $plan->steps))
        ->toBe([
            'prepare',
            'open',
            'shake',
            'rest',
            'shake',
            'lift',
            'open',
            'shake',
            'lift',
            'open',
            'shake',
            'look',
            'open',
            'shake',
            'lift',
            'open',
            'shake',
            'look',
            'dry',
            'check',
        ])
        ->and([$plan->steps[11]->againFrom, $plan->steps[17]->againFrom, $plan->bareStep])
        ->toBe([9, 15, 17])
        ->and($plan->steps[3]->seconds)
        ->toBe(780)
        ->and($plan->steps[1]->about)
        ->toMatchArray(['bath' => 1, 'baths' => 5, 'jar' => 7, 'volume_ml' => 500.0, 'fresh_ml' => 200.0])
        ->and($plan->steps[6]->about['into'])
        ->toBe(9)
        ->and($plan->steps[0]->ticks)
        ->toBe(['gloves', 'open_air', 'no_flame', 'plastic_jar', 'link_along'])
        ->and($plan->steps[19]->ticks)
        ->toBe(['jars_away', 'dry', 'no_smell'])
        ->and($plan->freshMl)
        ->toBe(['white_spirit' => 400.0, 'methylated_spirit' => 400.0])
        // By hand: (2 + 8) · 15/515, then 15/215 four times.
        ->and($plan->residuesG[0])
        ->toEqualWithDelta((10 * 15) / 515, 1e-12)
        ->and($plan->residuesG[4])
        ->toEqualWithDelta(((10 * 15) / 515) * (15 / 215) ** 4, 1e-12);
});

it('leaves with fresh baths what strip.rinse says, with two jars what strip.cascade says', function (): void {
    $fresh = new Protocol('x', [
        ...array_fill(0, 4, new ProtocolStep(StepKind::Bath, Solvent::WhiteSpirit, 180.0, schools()['two_bottles']->baths()[0]->moves)),
        new ProtocolStep(StepKind::Dry, seconds: 600),
    ]);
    $rinse = (new StripRinse())(new StripRinseInput(180, null, 4, null));
    expect(StripPlan::of($fresh, allFresh($fresh), 1, 8.0)->residuesG)->toEqualWithDelta($rinse->byWashG, 1e-12);

    // Chain after chain through the same dirty and clean jar.
    $two = new Protocol('x', [...array_slice($fresh->steps, 0, 2), $fresh->steps[4]]);
    $cascade = (new StripCascade())(new StripCascadeInput(300, 250, 8, 4))->byChain;
    [$dirtyG, $cleanG] = [0.0, 0.0];
    foreach ($cascade as $state) {
        $plan = StripPlan::of($two, [BathSource::jar(1, 300, $dirtyG), BathSource::jar(2, 250, $cleanG)], 1, 8.0);
        expect($plan->residuesG[1])->toEqualWithDelta($state->leftG, 1e-12);
        [$dirtyG, $cleanG] = [$state->dirtyG, $state->cleanG];
    }
    // Three chains at once leave more on each than one alone: they bring three times the grease.
    expect(StripPlan::of($fresh, allFresh($fresh), 3, 8.0)->residuesG[0])->toEqualWithDelta((24 * 15) / (180 + 45), 1e-12);
});

it('splits the solvent at hand into as few baths as reach the target', function (): void {
    $school = schools()['three_and_two'];
    // 600 ml, 1 % to be left: two baths leave (15/315)² = 0.23 %, one 2.4 %.
    $split = $school->split(Solvent::WhiteSpirit, 600.0, 0.01);
    $spirit = array_values(array_filter($split->baths(), fn(ProtocolStep $bath) => $bath->solvent === Solvent::WhiteSpirit));
    expect(array_map(fn(ProtocolStep $bath) => [$bath->volumeMl, $bath->untilClear, count($bath->moves)], $spirit))
        ->toBe([[300.0, false, 3], [300.0, true, 1]])
        ->and($split->volumeMl(Solvent::MethylatedSpirit))
        ->toBe(400.0)
        ->and(fn() => $school->split(Solvent::WhiteSpirit, 100.0, 0.02))
        ->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe('total_ml'))
        ->and(fn() => $school->split(Solvent::WhiteSpirit, 60.0, 0.001))
        ->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe('target_fraction'))
        ->and(fn() => $school->split(Solvent::Petrol, 600.0, 0.01))
        ->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe('solvent'));
});

it('takes the fill price of its day, and sets an oil-ridden chain against a new one', function (): void {
    $prices = new PriceList([
        new Price(1, Supply::WhiteSpirit, 1000, 800, 1000),
        new Price(2, Supply::WhiteSpirit, 2000, 1200, 1000),
        new Price(3, Supply::MethylatedSpirit, 1000, 600, 1000),
        new Price(4, Supply::Chain, 1000, 2200, 1),
    ]);
    expect($prices->costMinor(Supply::WhiteSpirit, 250, 500))
        ->toBe(200.0)
        ->and($prices->costMinor(Supply::WhiteSpirit, 250, 2000))
        ->toBe(300.0)
        ->and($prices->costMinor(Supply::Wax, 250, 2000))
        ->toBeNull()
        ->and(SolventCost::of(['white_spirit' => 600, 'methylated_spirit' => 400], $prices, 1500)->minor)
        ->toBe(720.0)
        ->and(SolventCost::of(['petrol' => 600, 'soapy_water' => 400], $prices, 1500)->unpriced)
        ->toBe([Solvent::Petrol]);
    // Twice the grease wants one more bath: 15/215 each, and 2 · (15/215)⁴ < (15/215)³.
    $ridden = StripOrBuy::of(schools()['three_and_two'], 16.0, $prices, 1500);
    expect([$ridden->baths, $ridden->bathsOfNew, $ridden->freshMl, $ridden->strip->minor, $ridden->newMinor, $ridden->dearer()])
        ->toBe([4, 3, 1200.0, 880.0, 2200.0, false])
        ->and(StripOrBuy::of(schools()['three_and_two'], 16.0, new PriceList([]), 1500)->dearer())
        ->toBeNull();
});

it('refuses what cannot be done, and says where', function (Closure $make, string $path): void {
    expect($make)->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($path));
})->with([
    'a liquid that burns in an ultrasonic bath' => [
        fn() => new ProtocolStep(StepKind::Ultrasonic, Solvent::IsopropylAlcohol, 500.0, schools()['ultrasonic']->baths()[0]->moves),
        'solvent',
    ],
    'a bath of nothing' => [fn() => new ProtocolStep(StepKind::Bath, null, 200.0, []), 'solvent'],
    'a bath without a move' => [fn() => new ProtocolStep(StepKind::Bath, Solvent::WhiteSpirit, 200.0, []), 'moves'],
    'too little to cover a chain' => [
        fn() => new ProtocolStep(StepKind::Bath, Solvent::WhiteSpirit, 40.0, schools()['two_bottles']->baths()[0]->moves),
        'volume_ml',
    ],
    'wiping in solvent' => [fn() => new ProtocolStep(StepKind::Wipe, Solvent::WhiteSpirit, 40.0), 'kind'],
    'drying for no time' => [fn() => new ProtocolStep(StepKind::Dry), 'seconds'],
    'a protocol that leaves it wet' => [fn() => new Protocol('x', schools()['two_bottles']->baths()), 'steps'],
    'a protocol without a bath' => [fn() => new Protocol('x', [new ProtocolStep(StepKind::Dry, seconds: 600)]), 'steps'],
    'a jar with less than the bath takes' => [
        fn() => StripPlan::of(schools()['two_soaks'], [BathSource::jar(1, 199.0, 0.0), BathSource::fresh()], 1, 8.0),
        'sources.0',
    ],
    'too few sources' => [fn() => StripPlan::of(schools()['two_soaks'], [BathSource::fresh()], 1, 8.0), 'sources'],
    'more chains than move in a jar' => [fn() => StripPlan::of(schools()['two_soaks'], allFresh(schools()['two_soaks']), 7, 8.0), 'chains'],
    'a misspelt field' => [fn() => Protocol::from(Fields::fromJson('{"code":"x","steps":[{"kind":"dry","second":9}]}')), 'steps.0.second'],
]);

/** @param array<string, mixed> $with */
function jar(int $id, JarRole $role, ?Solvent $solvent, float $ml, array $with = []): JarState
{
    return new JarState(
        ...$with + [
            'jarId' => $id,
            'role' => $role,
            'solvent' => $solvent,
            'volumeMl' => $ml,
            'greaseG' => 0.0,
            'filledS' => 0,
            'cleanings' => 0,
            'cleaningsAllowed' => $role === JarRole::Waste ? null : 10,
            'byCascade' => false,
            'settlingS' => null,
            'hazard' => null,
        ],
    );
}

it('proposes the jars that a person would take', function (string $school, array $jars, array $busy, array $expected): void {
    $states = [];
    foreach ($jars as $jar) {
        $states[$jar->jarId] = $jar;
    }
    $sources = JarChoice::propose(schools()[$school], $states, $busy);
    expect(
        array_map(fn(BathSource $source) => $source->jarId === null ? "fresh {$source->intoId}" : "jar {$source->jarId}", $sources),
    )->toBe($expected);
})->with([
    'none at all' => ['two_soaks', [], [], ['fresh ', 'fresh ']],
    'dirty first, clean second, then fresh into the can' => [
        'three_and_two',
        [
            jar(1, JarRole::Dirty, Solvent::WhiteSpirit, 600),
            jar(2, JarRole::Clean, Solvent::WhiteSpirit, 600),
            jar(3, JarRole::Waste, null, 0),
        ],
        [],
        // One can takes one solvent: the spirit needs a can of its own.
        ['jar 1', 'jar 2', 'fresh 3', 'fresh ', 'fresh '],
    ],
    'a can that holds the same is taken before an empty one' => [
        'two_soaks',
        [jar(1, JarRole::Waste, null, 0), jar(2, JarRole::Waste, Solvent::WhiteSpirit, 300)],
        [],
        ['fresh 2', 'fresh 1'],
    ],
    'a clean jar does not take the first dirt, unless one bath is all there is' => [
        'two_bottles',
        [jar(1, JarRole::Clean, Solvent::WhiteSpirit, 600), jar(2, JarRole::Clean, Solvent::MethylatedSpirit, 600)],
        [],
        ['fresh ', 'jar 1', 'jar 2'],
    ],
    'spent, settling, open in another job or too small: left alone' => [
        'three_and_two',
        [
            jar(1, JarRole::Dirty, Solvent::WhiteSpirit, 600, ['cleanings' => 10]),
            jar(2, JarRole::Clean, Solvent::WhiteSpirit, 600, ['settlingS' => 5]),
            jar(3, JarRole::Dirty, Solvent::MethylatedSpirit, 600),
            jar(4, JarRole::Clean, Solvent::MethylatedSpirit, 199),
        ],
        [3],
        ['fresh ', 'fresh ', 'fresh ', 'fresh ', 'fresh '],
    ],
    'water comes from no jar and goes into none' => [
        'sieve_box',
        [jar(1, JarRole::Waste, null, 0)],
        [],
        ['fresh 1', 'fresh ', 'fresh ', 'fresh '],
    ],
]);

it('works out a repeat with fresh solvent into all that follows', function (): void {
    $plan = StripPlan::of(schools()['two_soaks'], [BathSource::jar(4, 300, 5.0), BathSource::fresh()], 2, 8.0);
    $tap = fn(JobEventKind $kind, int $position) => new JobEvent($kind, $position, 60 * $position);
    // Steps: prepare, open, leave, shake, look, wipe, open, shake, look, dry, check.
    $run = fn(JobEvent ...$events) => JobRun::of($plan->steps, 0, array_values($events));
    $upToLook = array_map(fn(int $position) => $tap(JobEventKind::Done, $position), range(0, 3));
    $before = JobResidues::of($run(...$upToLook), 8.0, 2);
    $after = JobResidues::of($run(...$upToLook, ...[$tap(JobEventKind::Again, 4)]), 8.0, 2);
    // By hand: (16 + 5) · 30/330 on both; again in 200 ml: · 30/230; then the alcohol: · 30/230.
    $first = (21 * 30) / 330 / 2;
    expect(array_map(fn($left) => [$left->bath, $left->round, $left->done, $left->seen], $before))
        ->toBe([[1, 1, false, null], [2, 1, false, null]])
        ->and(array_map(fn($left) => [$left->bath, $left->round, $left->done, $left->seen], $after))
        ->toBe([[1, 1, true, JobEventKind::Again], [1, 2, false, null], [2, 1, false, null]])
        ->and(array_map(fn($left) => $left->expectedG, $before))
        ->toEqualWithDelta([$first, ($first * 30) / 230], 1e-12)
        ->and(array_map(fn($left) => $left->expectedG, $after))
        ->toEqualWithDelta([$first, ($first * 30) / 230, $first * (30 / 230) ** 2], 1e-12)
        ->and(array_map(fn($left) => $left->expectedG, $before))
        ->toEqualWithDelta($plan->residuesG, 1e-12);
});
