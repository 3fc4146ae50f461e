<?php

declare(strict_types=1);

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Wear\Instrument;
use Dripel\Core\Wear\InstrumentKind;
use Dripel\Core\Wear\LimitSchool;
use Dripel\Core\Wear\SpotsAgree;
use Dripel\Core\Wear\WearReading;

function reading(array $input): array
{
    return (new WearReading())->compute(Fields::fromJson((string) json_encode($input)));
}

it('reads every instrument', function (array $input, array $expected): void {
    $result = reading($input);
    foreach ($expected as $field => $value) {
        $value === null ? expect($result[$field])->toBeNull($field) : expect($result[$field])->toEqualWithDelta($value, 1e-9, $field);
    }
})->with([
    // 24 pitches of 12.7 mm are 12 in = 304.8 mm (ISO 606, memory); 1.5 mm on that is "about 0.5 %" (common practice).
    'rule: 24 pitches at nominal' => [
        ['kind' => 'ruler', 'pitches' => 24, 'length_mm' => 304.8],
        ['value_pct' => 0.0, 'sigma_pct' => 0.0820209974, 'lower_pct' => null, 'upper_pct' => null],
    ],
    'rule: 1.5 mm over 24 pitches' => [['kind' => 'ruler', 'pitches' => 24, 'length_mm' => 306.3], ['value_pct' => 0.4921259843]],
    'rule: 12 1/16 in' => [['kind' => 'ruler', 'pitches' => 24, 'length_mm' => 12.0625 * 25.4], ['value_pct' => 100 / 192]],
    'rule: 46 pitches are twice as sure' => [
        ['kind' => 'ruler', 'pitches' => 46, 'length_mm' => 585.4],
        ['value_pct' => 120 / 584.2, 'sigma_pct' => 25 / 584.2],
    ],
    'rule: own uncertainty' => [
        ['kind' => 'ruler', 'pitches' => 100, 'length_mm' => 1275.0, 'uncertainty_mm' => 1],
        ['sigma_pct' => 0.0787401575],
    ],
    'digital: less its zero' => [
        ['kind' => 'digital', 'value_pct' => 0.31, 'zero_pct' => 0.04],
        ['value_pct' => 0.27, 'sigma_pct' => 0.05],
    ],
    'drop-in: rests' => [
        ['kind' => 'drop_in', 'results' => [['mark_pct' => 0.5, 'seat' => 'rests']]],
        ['value_pct' => null, 'sigma_pct' => null, 'lower_pct' => null, 'upper_pct' => 0.5],
    ],
    'drop-in: enters' => [
        ['kind' => 'drop_in', 'results' => [['mark_pct' => 0.75, 'seat' => 'enters']]],
        ['lower_pct' => 0.75, 'upper_pct' => null],
    ],
    'drop-in: part-way' => [
        ['kind' => 'drop_in', 'results' => [['mark_pct' => 0.5, 'seat' => 'part']]],
        ['lower_pct' => 0.4, 'upper_pct' => 0.5],
    ],
    'drop-in: the tightest of several marks' => [
        [
            'kind' => 'drop_in',
            'results' => [
                ['mark_pct' => 0.5, 'seat' => 'enters'],
                ['mark_pct' => 0.75, 'seat' => 'part'],
                ['mark_pct' => 1.0, 'seat' => 'rests'],
            ],
        ],
        ['lower_pct' => 0.65, 'upper_pct' => 0.75],
    ],
    'spots: the largest value, with the spread' => [
        [
            'kind' => 'spots',
            'spots' => [
                ['kind' => 'digital', 'value_pct' => 0.2],
                ['kind' => 'digital', 'value_pct' => 0.35],
                ['kind' => 'digital', 'value_pct' => 0.25],
            ],
        ],
        ['value_pct' => 0.35, 'spread_pct' => 0.15],
    ],
    'spots: an interval with a lower bound beats one without' => [
        [
            'kind' => 'spots',
            'spots' => [
                ['kind' => 'drop_in', 'results' => [['mark_pct' => 0.75, 'seat' => 'rests']]],
                ['kind' => 'drop_in', 'results' => [['mark_pct' => 0.5, 'seat' => 'part']]],
            ],
        ],
        ['lower_pct' => 0.4, 'upper_pct' => 0.5, 'spread_pct' => null],
    ],
    'spots: of equal lower bounds the one open above' => [
        [
            'kind' => 'spots',
            'spots' => [
                [
                    'kind' => 'drop_in',
                    'results' => [['mark_pct' => 0.5, 'seat' => 'enters'], ['mark_pct' => 0.75, 'seat' => 'rests']],
                ],
                ['kind' => 'drop_in', 'results' => [['mark_pct' => 0.5, 'seat' => 'enters']]],
            ],
        ],
        ['lower_pct' => 0.5, 'upper_pct' => null],
    ],
]);

it('says what is wrong and where', function (array $input, string $path): void {
    try {
        reading($input);
    } catch (InvalidInput $e) {
        expect($e->path)->toBe($path);

        return;
    }
    $this->fail('It was accepted.');
})->with([
    'kind missing' => [['pitches' => 24], 'kind'],
    'kind unknown' => [['kind' => 'caliper'], 'kind'],
    'misspelt field' => [['kind' => 'ruler', 'pitches' => 24, 'length' => 305], 'length'],
    'number in quotes' => [['kind' => 'ruler', 'pitches' => 24, 'length_mm' => '305'], 'length_mm'],
    'half a pitch' => [['kind' => 'ruler', 'pitches' => 23.5, 'length_mm' => 305], 'pitches'],
    'no length' => [['kind' => 'ruler', 'pitches' => 24, 'length_mm' => 0], 'length_mm'],
    'certain beyond doubt' => [['kind' => 'digital', 'value_pct' => 0.2, 'uncertainty_pct' => 0], 'uncertainty_pct'],
    'no marks' => [['kind' => 'drop_in', 'results' => []], 'results'],
    'marks as an object' => [['kind' => 'drop_in', 'results' => ['mark_pct' => 0.5]], 'results'],
    'a seat that is none' => [
        [
            'kind' => 'drop_in',
            'results' => [['mark_pct' => 0.5, 'seat' => 'rests'], ['mark_pct' => 0.75, 'seat' => 'wobbles']],
        ],
        'results.1.seat',
    ],
    'contradiction' => [
        [
            'kind' => 'drop_in',
            'results' => [['mark_pct' => 0.5, 'seat' => 'rests'], ['mark_pct' => 0.75, 'seat' => 'enters']],
        ],
        'results',
    ],
    'rests and enters at one mark' => [
        [
            'kind' => 'drop_in',
            'results' => [['mark_pct' => 0.5, 'seat' => 'rests'], ['mark_pct' => 0.5, 'seat' => 'enters']],
        ],
        'results',
    ],
    'spots within spots' => [['kind' => 'spots', 'spots' => [['kind' => 'spots', 'spots' => []]]], 'spots.0.kind'],
    'mixed spots' => [
        [
            'kind' => 'spots',
            'spots' => [['kind' => 'digital', 'value_pct' => 0.2], ['kind' => 'ruler', 'pitches' => 24, 'length_mm' => 305]],
        ],
        'spots.1.kind',
    ],
    'a spot that is wrong' => [
        [
            'kind' => 'spots',
            'spots' => [['kind' => 'digital', 'value_pct' => 0.2], ['kind' => 'digital']],
        ],
        'spots.1.value_pct',
    ],
]);

it('knows the limit of each school (common practice)', function (LimitSchool $school, int $speeds, float $limit): void {
    expect($school->limitPct($speeds))->toBe($limit);
})->with([
    [LimitSchool::Strict, 12, 0.5],
    [LimitSchool::Strict, 1, 0.5],
    [LimitSchool::BySpeeds, 11, 0.5],
    [LimitSchool::BySpeeds, 10, 0.75],
    [LimitSchool::BySpeeds, 2, 0.75],
    [LimitSchool::BySpeeds, 1, 1.0],
    [LimitSchool::OneMark, 12, 0.75],
    [LimitSchool::Digital, 9, 0.8],
]);

it('judges the spread of several spots by what the instrument can tell apart', function (array $spots, SpotsAgree $agree): void {
    $input = WearReading::input(Fields::fromJson((string) json_encode(['kind' => 'spots', 'spots' => $spots])));
    expect(SpotsAgree::of($input))->toBe($agree);
})->with([
    // A digital gauge of 0.05 %: up to 0.212 % apart is its own error.
    'as the gauge reads' => [[['kind' => 'digital', 'value_pct' => 0.2], ['kind' => 'digital', 'value_pct' => 0.4]], SpotsAgree::Even],
    'a stiff stretch' => [[['kind' => 'digital', 'value_pct' => 0.2], ['kind' => 'digital', 'value_pct' => 0.45]], SpotsAgree::Uneven],
    'seats that one chain can have' => [
        [
            ['kind' => 'drop_in', 'results' => [['mark_pct' => 0.5, 'seat' => 'rests']]],
            ['kind' => 'drop_in', 'results' => [['mark_pct' => 0.5, 'seat' => 'part']]],
        ],
        SpotsAgree::Even,
    ],
    'seats that no even chain has' => [
        [
            ['kind' => 'drop_in', 'results' => [['mark_pct' => 0.5, 'seat' => 'rests']]],
            ['kind' => 'drop_in', 'results' => [['mark_pct' => 0.5, 'seat' => 'enters']]],
        ],
        SpotsAgree::Uneven,
    ],
    'one spot' => [[['kind' => 'digital', 'value_pct' => 0.2]], SpotsAgree::One],
]);

it('makes of what an instrument showed an input of wear.reading', function (
    Instrument $instrument,
    array $spots,
    ?float $value,
    ?float $sigma,
    ?float $upper,
): void {
    $result = (new WearReading())(WearReading::input(Fields::fromJson((string) json_encode($instrument->input($spots)))));
    expect($result->valuePct === null ? null : round($result->valuePct, 3))
        ->toBe($value)
        ->and($result->sigmaPct === null ? null : round($result->sigmaPct, 3))
        ->toBe($sigma)
        ->and($result->upperPct)
        ->toBe($upper);
})->with([
    // 46 pitches are 584.2 mm; 0.25 mm of them are 0.043 %, of 24 pitches 0.082 %: the reason for the longer rule.
    'rule' => [Instrument::usual(InstrumentKind::Ruler), [['length_mm' => 585.4]], 0.205, 0.043, null],
    'short rule' => [
        new Instrument(1, InstrumentKind::Ruler, pitches: Instrument::SHORT_PITCHES),
        [['length_mm' => 305.4]],
        0.197,
        0.082,
        null,
    ],
    'digital, zeroed at 0.02' => [
        new Instrument(1, InstrumentKind::Digital, uncertainty: 0.03, zeroPct: 0.02),
        [['value_pct' => 0.2], ['value_pct' => 0.27]],
        0.25,
        0.03,
        null,
    ],
    'drop-in' => [Instrument::usual(InstrumentKind::DropIn), [['results' => [['mark_pct' => 0.5, 'seat' => 'rests']]]], null, null, 0.5],
]);

it('refuses an instrument that cannot be', function (array $marks, float $uncertainty, string $field, int $pitches = 46): void {
    expect(fn() => new Instrument(1, InstrumentKind::DropIn, $marks, $pitches, $uncertainty))->toThrow(
        fn(InvalidInput $e) => expect($e->path)->toBe($field),
    );
})->with([
    [[0.75, 0.5], 0.05, 'marks'],
    [[0.5, 0.5], 0.05, 'marks'],
    [[], 0.05, 'marks'],
    [[2.5], 0.05, 'marks'],
    [[0.5], 0.0, 'uncertainty'],
    [[0.5], 0.05, 'pitches', 0],
    [[0.5], 0.05, 'pitches', 201],
]);

it('lays a rule over one pitch, if somebody has no other', function (): void {
    expect((new Instrument(1, InstrumentKind::Ruler, pitches: 1))->pitches)->toBe(1);
});

it('keeps an instrument as it was set, and as it usually is where nobody said', function (): void {
    $set = fn(array $of) => new Settings(array_map(fn(array $one) => new DatedSetting($one[0], 3, new Moment(0), $one[1]), $of));
    $drop = Instrument::kept($set([[SettingKey::InstrumentKind, 'drop_in'], [SettingKey::InstrumentMarks, [0.4, 0.6, 1.0]]]), 3);
    $plain = Instrument::kept($set([[SettingKey::InstrumentKind, 'drop_in']]), 3);
    $digital = Instrument::kept(
        $set([[SettingKey::InstrumentKind, 'digital'], [SettingKey::InstrumentZero, 0.02], [SettingKey::InstrumentUncertainty, 0.03]]),
        3,
    );
    $rule = Instrument::kept($set([[SettingKey::InstrumentPitches, 24]]), 3);
    expect([$drop->marks, $plain->marks, $digital->zeroPct, $digital->uncertainty, $rule->kind, $rule->pitches])
        ->toBe([[0.4, 0.6, 1.0], [0.5, 0.75], 0.02, 0.03, InstrumentKind::Ruler, 24])
        ->and(array_map(fn(Instrument $one) => [$one->id, $one->kind], Instrument::all($set([[SettingKey::InstrumentKind, 'digital']]))))
        ->toBe([[3, InstrumentKind::Digital], [null, InstrumentKind::Ruler], [null, InstrumentKind::DropIn]])
        ->and(
            array_map(
                fn(Instrument $one) => $one->id,
                Instrument::all($set([[SettingKey::InstrumentKind, 'digital'], [SettingKey::InstrumentGone, 1]])),
            ),
        )
        ->toBe([null, null, null]);
});
