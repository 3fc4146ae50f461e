<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Strip\GhsFlammable;
use Dripel\Core\Strip\Load;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Strip\SolventHazard;
use Dripel\Core\Strip\SolventHazardInput;
use Dripel\Core\Strip\StripCascade;
use Dripel\Core\Strip\StripRinse;

/** @return array<string, mixed> */
function rinse(string $json): array
{
    return (new StripRinse())->compute(Fields::fromJson($json));
}

it('rinses as serial washing does in textbooks of extraction (memory)', function (): void {
    // 10 ml held back, 100 ml of solvent: once leaves 10/110, in four parts (10/35)⁴. Worked by hand.
    $once = rinse('{"total_ml":100,"washes":1,"carry_over_ml":10,"start_g":1}');
    $four = rinse('{"total_ml":100,"washes":4,"carry_over_ml":10,"start_g":1}');
    expect($once['left_fraction'])
        ->toEqualWithDelta(0.0909090909, 1e-9)
        ->and($four['left_fraction'])
        ->toEqualWithDelta(0.00666389, 1e-9)
        ->and($four['by_wash'])
        ->toEqualWithDelta([0.2857142857, 0.0816326531, 0.0233236152, 0.00666389], 1e-9)
        ->and($four['solvent_ml'])
        ->toBe(100.0);
});

it('finds the fewest washes that reach a fraction, and says when none do', function (): void {
    // 200 ml baths, 15 ml carried over: 15/215 each, so four leave 2.4e-5 and three 3.4e-4.
    expect(rinse('{"volume_ml":200,"target_fraction":0.0001}'))
        ->toMatchArray(['washes' => 4, 'solvent_ml' => 800.0])
        ->and(rinse('{"volume_ml":200,"target_fraction":0.00033960309}')['washes'])
        ->toBe(3)
        ->and(rinse('{"total_ml":1000,"target_fraction":0.0001}')['washes'])
        ->toBe(3)
        ->and(rinse('{"total_ml":60,"carry_over_ml":15,"target_fraction":0.0185}')['washes'])
        ->toBeGreaterThan(100)
        ->and(rinse('{"volume_ml":200,"carry_over_ml":0,"target_fraction":0.01}'))
        ->toMatchArray(['washes' => 1, 'left_g' => 0.0]);
    // However finely it is split, 60 ml against 15 leave more than e⁻⁴.
    expect(fn() => rinse('{"total_ml":60,"carry_over_ml":15,"target_fraction":0.0183}'))->toThrow(
        fn(InvalidInput $e) => expect($e->path)->toBe('target_fraction')->and($e->getMessage())->toContain('0.0183'),
    );
});

it('leaves less with every wash, and less the more a total is split', function (): void {
    $before = INF;
    for ($washes = 1; $washes <= 12; $washes++) {
        $result = rinse("{\"total_ml\":1000,\"washes\":{$washes}}");
        $falling = $result['by_wash'];
        rsort($falling);
        expect($result['left_g'])
            ->toBeLessThan($before)
            ->and($result['by_wash'])
            ->toBe($falling)
            ->and($result['left_g'])
            ->toBeGreaterThan(8 * exp(-1000 / 15));
        $before = $result['left_g'];
    }
});

it('passes chains through a dirty and a clean jar and loses no grease on the way', function (): void {
    $result = (new StripCascade())->compute(Fields::fromJson('{"dirty_ml":300,"clean_ml":300,"load_g":8,"chains":40,"limit_g":0.1}'));
    // The first chain by hand: 8 · 15/315, then that · 15/315.
    expect($result['by_chain'][0]['left_g'])
        ->toEqualWithDelta(8 * (15 / 315) ** 2, 1e-12)
        ->and($result['chains_within_limit'])
        ->toBe(2)
        ->and($result['by_chain'][2]['left_g'])
        ->toBeGreaterThan(0.1)
        ->and($result['by_chain'][1]['left_g'])
        ->toBeLessThan(0.1);
    $carriedOff = 0.0;
    foreach ($result['by_chain'] as $i => $state) {
        $carriedOff += $state['left_g'];
        expect($carriedOff + $state['dirty_g'] + $state['clean_g'])->toEqualWithDelta(8.0 * ($i + 1), 1e-9);
    }
    // A limit that even a jar full of grease keeps is never passed; one chain's limit is not bound by the chains asked for.
    $within = fn(string $more) => (new StripCascade())->compute(
        Fields::fromJson("{\"dirty_ml\":300,\"clean_ml\":300,\"load_g\":8,\"chains\":1{$more}}"),
    )['chains_within_limit'];
    expect([$within(''), $within(',"limit_g":8'), $within(',"limit_g":null')])
        ->toBe([null, null, null])
        ->and($within(',"limit_g":0.01'))
        ->toBe(0)
        ->and($within(',"limit_g":4'))
        ->toBeGreaterThan(20);
});

it('classes solvents as the UN GHS table 2.6.1 (memory) does', function (
    float $flashC,
    ?float $boilingC,
    ?int $category,
    ?string $signal,
): void {
    $class = (new SolventHazard())(new SolventHazardInput($flashC, $boilingC))->class;
    expect([$class?->value, $class?->signal()])->toBe([$category, $signal]);
})->with([
    // Flash points of substances from the NIOSH Pocket Guide (memory).
    'diethyl ether' => [-45.0, 35.0, 1, 'Danger'],
    'petrol, boiling from 38 °C' => [-43.0, 38.0, 2, 'Danger'],
    'petrol, boiling point unknown: the safer class' => [-43.0, null, 1, 'Danger'],
    'acetone' => [-18.0, 56.0, 2, 'Danger'],
    'isopropyl alcohol' => [12.0, 83.0, 2, 'Danger'],
    'ethanol' => [13.0, 78.0, 2, 'Danger'],
    'white spirit' => [39.0, 154.0, 3, 'Warning'],
    'lamp oil' => [75.0, 200.0, 4, 'Warning'],
    'paraffin wax' => [199.0, 370.0, null, null],
    'just below 23' => [22.999, 78.0, 2, 'Danger'],
    'at 23' => [23.0, 78.0, 3, 'Warning'],
    'at 60' => [60.0, null, 3, 'Warning'],
    'just above 60' => [60.001, null, 4, 'Warning'],
    'at 93' => [93.0, null, 4, 'Warning'],
    'just above 93' => [93.001, null, null, null],
    'boiling just above 35' => [-45.0, 35.001, 2, 'Danger'],
]);

it('says what cannot be, and where', function (string $model, string $json, string $path): void {
    expect(fn() => (new $model())->compute(Fields::fromJson($json)))->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($path));
})->with([
    'both volumes' => [StripRinse::class, '{"volume_ml":200,"total_ml":600,"washes":3}', 'volume_ml'],
    'no volume' => [StripRinse::class, '{"washes":3}', 'volume_ml'],
    'both goals' => [StripRinse::class, '{"volume_ml":200,"washes":3,"target_fraction":0.1}', 'washes'],
    'no wash' => [StripRinse::class, '{"volume_ml":200,"washes":0}', 'washes'],
    'all of it may stay' => [StripRinse::class, '{"volume_ml":200,"target_fraction":1}', 'target_fraction'],
    'carries less than nothing' => [StripRinse::class, '{"volume_ml":200,"washes":1,"carry_over_ml":-1}', 'carry_over_ml'],
    'no chain' => [StripCascade::class, '{"dirty_ml":300,"clean_ml":300,"load_g":8,"chains":0}', 'chains'],
    'an empty jar' => [StripCascade::class, '{"dirty_ml":0,"clean_ml":300,"load_g":8,"chains":1}', 'dirty_ml'],
    'boils before it flashes' => [SolventHazard::class, '{"flash_c":40,"boiling_c":30}', 'boiling_c'],
    'colder than cold' => [SolventHazard::class, '{"flash_c":-300}', 'flash_c'],
]);

it('knows what burns, and how easily: flash and boiling points of the kinds (NIOSH Pocket Guide, memory)', function (
    Solvent $solvent,
    ?float $flashC,
    ?float $boilingC,
    bool $burns,
    bool $advised,
    bool $alcohol,
    bool $stocked,
): void {
    expect([$solvent->flashC(), $solvent->boilingC(), $solvent->flammable()])
        ->toBe([$flashC, $boilingC, $burns])
        ->and([$solvent->advised(), $solvent->isAlcohol(), $solvent->isStocked()])
        ->toBe([$advised, $alcohol, $stocked])
        ->and(in_array($solvent, Solvent::stocked(), true))
        ->toBe($stocked);
})->with([
    [Solvent::WhiteSpirit, 39.0, 154.0, true, true, false, true],
    [Solvent::MethylatedSpirit, 13.0, 78.0, true, true, true, true],
    [Solvent::IsopropylAlcohol, 12.0, 83.0, true, true, true, true],
    [Solvent::Acetone, -18.0, 56.0, true, true, false, true],
    [Solvent::Petrol, -43.0, null, true, false, false, true],
    [Solvent::LampOil, null, null, true, true, false, true],
    [Solvent::Degreaser, null, null, false, true, false, true],
    [Solvent::SoapyWater, null, null, false, true, false, false],
    [Solvent::Water, null, null, false, true, false, false],
]);

it('starts from more than grease where a chain was oiled, and from nothing where its factory waxed it (house rules)', function (): void {
    expect(array_map(fn(Load $load) => $load->grams(), Load::cases()))->toBe([8.0, 16.0, 0.0, 2.0, 2.0]);
});

it('takes the figures of a sheet before those of the kind, and mixes them not', function (): void {
    $class = fn(Solvent $solvent, ?float ...$sheet) => $solvent->hazard(...$sheet)?->class;
    expect($class(Solvent::WhiteSpirit))
        ->toBe(GhsFlammable::Category3)
        ->and($class(Solvent::WhiteSpirit, 20.0))
        ->toBe(GhsFlammable::Category1) // A boiling point that nobody knows: the safer class.
        ->and($class(Solvent::WhiteSpirit, 20.0, 154.0))
        ->toBe(GhsFlammable::Category2)
        ->and($class(Solvent::LampOil))
        ->toBeNull()
        ->and($class(Solvent::LampOil, 62.0, 200.0))
        ->toBe(GhsFlammable::Category4);
});
