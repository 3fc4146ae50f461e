<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Actions\Pot\CalibratePot;
use App\Actions\PotDay\PotDayJob;
use App\Guided\GuidedKind;
use App\Http\Requests\Pot\PotRequest;
use App\Models\BathEntry;
use App\Models\Device;
use App\Models\GuidedJob;
use App\Models\Workshop;
use App\Pot\PotFacts;
use App\Text\Chart;
use App\Text\ChartAxis;
use App\Text\ChartLine;
use App\Text\Translator;
use Dripel\Core\Bath\BathEventKind;
use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Bath\BathMoment;
use Dripel\Core\Bath\BathNext;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Bath\DipPickup;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Pot\LampOil;
use Dripel\Core\Pot\PotKind;
use Dripel\Core\Pot\WaxKind;

/**
 * Pots as they stand in Books and on the Shed: how full, how dirty, how hot they were, and what they want.
 *
 * @phpstan-import-type ChartView from Chart
 * @phpstan-import-type Choice from FormProps
 *
 * @phpstan-type PotView array{
 *     id: int,
 *     name: string,
 *     about: string,
 *     caution: string,
 *     empty: bool,
 *     level: float,
 *     coil: float,
 *     holds: string,
 *     problem: bool,
 *     since: string,
 *     left: string,
 *     oil: string,
 *     grit: string,
 *     gritShare: float,
 *     max: string,
 *     next: string,
 *     late: bool,
 * }
 * @phpstan-type PotChoices array{kinds: list<Choice>, waxes: list<Choice>}
 * @phpstan-type PotInBooks array{
 *     cost: string,
 *     smear: string,
 *     calibrated: string,
 *     isCalibrated: bool,
 *     wax: ChartView|null,
 *     dirt: ChartView|null,
 *     probes: list<array{id: int, name: string, seen: string}>,
 *     heatUps: list<Choice>,
 *     entries: list<array{id: int, day: string, text: string}>,
 *     acts: list<array{value: 'reading'|'remove'|'filter'|'top_up'|'fill', title: string}>,
 *     id: int,
 *     name: string,
 *     about: string,
 *     caution: string,
 *     empty: bool,
 *     level: float,
 *     coil: float,
 *     holds: string,
 *     problem: bool,
 *     since: string,
 *     left: string,
 *     oil: string,
 *     grit: string,
 *     gritShare: float,
 *     max: string,
 *     next: string,
 *     late: bool,
 * }
 */
final readonly class PotProps
{
    private const ENTRIES = 8;

    public function __construct(private Translator $translator) {}

    /** @return PotView */
    public function of(BathState $bath): array
    {
        $q = $this->translator->quantities;
        $settings = $this->translator->settings;
        $ledger = $bath->ledger;
        $wax = WaxKind::tryFrom($settings->text(SettingKey::PotWax, $bath->potId)) ?? WaxKind::Plain;
        $kind = PotKind::tryFrom($settings->text(SettingKey::PotKind, $bath->potId)) ?? PotKind::SlowCooker;

        return [
            'id' => $bath->potId,
            'name' => $this->translator->names->pot($bath->potId),
            'about' => $this->translator->say("pot.kind.{$kind->value}") . ', ' . $this->translator->say("pot.wax.{$wax->value}"),
            'caution' => trim(
                $this->translator->say("pot.caution.{$kind->value}") . ' ' . $this->translator->say("pot.wax_note.{$wax->value}"),
            ),
            'empty' => $ledger === null,
            'level' => $ledger === null || ($bath->heightMm ?? 0.0) <= 0.0 ? 0.0 : min(1.0, $ledger->depthMm / $bath->heightMm),
            'coil' => ($bath->heightMm ?? 0.0) <= 0.0 ? 0.0 : min(1.0, BathLedgerInput::COIL_MM / $bath->heightMm),
            'holds' => match (true) {
                $bath->problem !== null => $this->translator->say('pot.problem'),
                $ledger === null => $this->translator->say('pot.empty'),
                default => $this->translator->say('pot.holds', [
                    'grams' => $q->mass($ledger->waxG),
                    'depth' => $q->length($ledger->depthMm),
                ]),
            },
            'problem' => $bath->problem !== null,
            'since' =>
                $ledger === null || $bath->filledS === null
                    ? ''
                    : $this->translator->say('pot.since', [
                        'day' => $q->date($bath->filledS, 'd MMM y'),
                        'dips' => trans_choice('pot.dips', $ledger->dips),
                    ]),
            'left' => match (true) {
                $ledger === null => '',
                !$ledger->coversChain => $this->translator->say('pot.uncovered'),
                $ledger->overflow => $this->translator->say('pot.overflow'),
                default => trans_choice('pot.left', $ledger->dipsLeft),
            },
            'oil' =>
                $ledger === null || $ledger->oilFraction <= 0.0
                    ? ''
                    : $this->translator->say('pot.oil', ['percent' => $q->number(100 * $ledger->oilFraction, 1) . "\u{a0}%"]),
            'grit' =>
                $ledger === null
                    ? ''
                    : $this->translator->say('pot.grit', [
                        'grit' => $q->number($ledger->grit, 1),
                        'limit' => $q->number(BathLedgerInput::GRIT_LIMIT),
                    ]),
            'gritShare' => $ledger === null ? 0.0 : min(1.0, $ledger->grit / BathLedgerInput::GRIT_LIMIT),
            'max' => $this->translator->say($ledger?->maxC === null ? 'pot.never_read' : 'pot.max', [
                'max' => $q->temperature($ledger->maxC ?? 0.0),
                'limit' => $q->temperature($bath->limitC),
            ]),
            'next' => $ledger === null ? '' : $this->translator->say("pot.next.{$ledger->next->value}"),
            'late' => $ledger !== null && $ledger->next === BathNext::Replace,
        ];
    }

    /** @return PotInBooks with what was done lately and what can be done */
    public function inBooks(Workshop $workshop, BathState $bath, PriceList $prices, DipPickup $pickup): array
    {
        $ledger = $bath->ledger;
        $facts = PotFacts::of($this->translator->settings, $bath->potId);
        $q = $this->translator->quantities;
        $rows = BathEntry::query()
            ->in($workshop)
            ->live()
            ->where('component_id', $bath->potId)
            ->orderByDesc('at')
            ->orderByDesc('id')
            ->limit(self::ENTRIES)
            ->get();
        $acts = array_filter(
            BathEventKind::cases(),
            fn(BathEventKind $kind) => $kind !== BathEventKind::Dip && ($bath->filledS !== null || $kind === BathEventKind::Fill),
        );

        $dipG = $pickup->ofPot($bath->potId);
        $costMinor = $ledger === null ? null : $prices->costMinor(Supply::Wax, $dipG, $this->translator->nowS);
        $oil = $ledger === null || $facts->wax !== WaxKind::Softened ? [] : LampOil::stepsG($ledger->waxG, $ledger->oilFraction, 1);

        return $this->of($bath) + [
            'cost' =>
                $costMinor === null
                    ? ''
                    : $this->translator->say('pot.cost', ['cost' => $q->money($costMinor), 'pickup' => $q->mass($dipG)]),
            'smear' =>
                $oil === []
                    ? ''
                    : $this->translator->say('pot.smear', [
                        'oil' => $q->mass($oil[0]),
                        'more' => $q->number(100 * ($ledger->oilFraction + LampOil::STEP), 1) . "\u{a0}%",
                    ]),
            'calibrated' => $facts->calibrated
                ? $this->translator->say('pot.calibrated', [
                    'loss' => $q->number($facts->lossWPerK, 2),
                    'efficiency' => $q->number(100 * $facts->efficiency) . "\u{a0}%",
                ])
                : $this->translator->say('pot.not_calibrated', ['loss' => $q->number($facts->lossWPerK, 1)]),
            'isCalibrated' => $facts->calibrated,
            'wax' => $this->history($bath, 'wax'),
            'dirt' => $this->history($bath, 'grit'),
            'probes' => array_values(
                Device::query()
                    ->in($workshop)
                    ->where('pot_id', $bath->potId)
                    ->whereNull('gone_at')
                    ->get()
                    ->map(
                        fn(Device $device) => [
                            'id' => $device->id,
                            'name' => $device->name,
                            'seen' =>
                                $device->seen_at === null
                                    ? $this->translator->say('pot.probe.never')
                                    : $this->translator->say('pot.probe.seen', [
                                        'at' => $q->day($device->seen_at) . ', ' . $q->time($device->seen_at),
                                    ]),
                        ],
                    )
                    ->all(),
            ),
            'heatUps' => $this->heatUps($workshop, $bath->potId),
            'entries' => array_values(
                $rows
                    ->map(
                        fn(BathEntry $row) => [
                            'id' => $row->id,
                            'day' => $q->day($row->at),
                            'text' => $this->translator->say("pot.done.{$row->kind->value}", [
                                'pot' => $this->translator->names->pot($bath->potId),
                                'grams' => $q->mass((float) $row->wax_g + (float) $row->oil_g),
                                'celsius' => $q->temperature((float) $row->temp_c),
                            ]),
                        ],
                    )
                    ->all(),
            ),
            'acts' => array_values(
                array_map(
                    fn(BathEventKind $kind) => ['value' => $kind->value, 'title' => $this->translator->say("pot.kind_act.{$kind->value}")],
                    $acts,
                ),
            ),
        ];
    }

    /** @return list<array{value: string, title: string}> pot days whose heat-up was logged well enough to calibrate from */
    private function heatUps(Workshop $workshop, int $potId): array
    {
        $jobs = GuidedJob::query()
            ->in($workshop)
            ->where('kind', GuidedKind::PotDay)
            ->whereNotNull('begun_at')
            ->with('taps')
            ->orderByDesc('started_at')
            ->limit(20)
            ->get()
            ->filter(fn(GuidedJob $job) => PotDayJob::choices($job)->potId === $potId && CalibratePot::logged($job));

        return array_values(
            $jobs
                ->map(
                    fn(GuidedJob $job) => [
                        'value' => $job->id,
                        'title' => $this->translator->say('pot_day.job_title', [
                            'day' => $this->translator->quantities->day($job->started_at),
                        ]),
                    ],
                )
                ->all(),
        );
    }

    /** @return PotChoices what a form of a new pot offers */
    public function choices(): array
    {
        $choice = fn(string $group, string $value) => [
            'value' => $value,
            'title' => ucfirst($this->translator->say("pot.{$group}.{$value}")),
        ];

        return [
            'kinds' => [
                ...array_map(fn(PotKind $kind) => $choice('kind', $kind->value), PotKind::cases()),
                $choice('kind', PotRequest::STOVE),
            ],
            'waxes' => array_map(fn(WaxKind $wax) => $choice('wax', $wax->value), WaxKind::cases()),
        ];
    }

    /**
     * @param 'wax'|'grit' $what
     *
     * @return ChartView|null what was in the pot since it was filled, against what covers a coil, or its grit against the limit
     */
    private function history(BathState $bath, string $what): ?array
    {
        $q = $this->translator->quantities;
        $ledger = $bath->ledger;
        if ($ledger === null || $bath->history === []) {
            return null;
        }
        $value = fn(BathMoment $moment): float => $what === 'wax' ? $q->units->fromGrams($moment->waxG) : $moment->grit;
        $points = array_map(fn(BathMoment $moment) => ['x' => (float) $moment->atS, 'y' => $value($moment)], $bath->history);
        $points[] = ['x' => (float) $this->translator->nowS] + $points[count($points) - 1];
        $level = $what === 'wax' ? $q->units->fromGrams($ledger->neededG) : BathLedgerInput::GRIT_LIMIT;
        $text =
            $what === 'wax'
                ? fn(float $shown): string => $q->mass($q->units->toGrams($shown))
                : fn(float $grit): string => $q->number($grit, 1);

        return Chart::of(
            $this->translator->say("ui.chart.{$what}"),
            new ChartAxis(
                $this->translator->say('ui.chart.day'),
                $points[0]['x'],
                (float) $this->translator->nowS,
                fn(float $atS) => $q->date((int) $atS, 'd MMM'),
                4,
                $this->translator->zone(),
            ),
            new ChartAxis(
                $this->translator->say("ui.chart.{$what}_axis"),
                0.0,
                1.08 * max([$level, ...array_column($points, 'y')]),
                $text,
                4,
            ),
            [new ChartLine($this->translator->say("ui.chart.{$what}_axis"), $points, 'step')],
            [['at' => $level, 'text' => $this->translator->say("ui.chart.{$what}_level")]],
        );
    }
}
