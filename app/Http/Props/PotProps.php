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
use App\Models\Pot;
use App\Models\Workshop;
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
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Pot\LampOil;
use Dripel\Core\Pot\PotFacts;
use Dripel\Core\Pot\PotKind;
use Dripel\Core\Pot\PotLay;
use Dripel\Core\Pot\WaxKind;

/**
 * Pots as they stand on the bench and on the Shed, and their ledgers in Books: how full, how dirty, how hot they were, and what they want.
 *
 * @phpstan-import-type ChartView from Chart
 * @phpstan-import-type Choice from FormProps
 *
 * @phpstan-import-type DeviceView from DeviceProps
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
 * @phpstan-type PotChoices array{kinds: list<Choice>, waxes: list<Choice>, lays: list<Choice>}
 * @phpstan-type PotFields array{
 *     name: string,
 *     kind: string,
 *     diameter: string,
 *     height: string,
 *     low: string,
 *     high: string,
 *     wax: string,
 *     flash: string,
 *     lay: string,
 *     at_once: string,
 *     for_races: bool,
 * }
 * @phpstan-type PotOutOfUse array{id: int, name: string, about: string, unused: bool, fields: PotFields}
 * @phpstan-type PotOnShelf array{
 *     cost: string,
 *     smear: string,
 *     calibrated: string,
 *     isCalibrated: bool,
 *     fields: PotFields,
 *     unused: bool,
 *     probes: list<DeviceView>,
 *     heatUps: list<Choice>,
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
 * @phpstan-type EntryLine array{id: int, day: string, text: string}
 * @phpstan-type PotLedger array{
 *     id: int,
 *     name: string,
 *     about: string,
 *     holds: string,
 *     wax: ChartView|null,
 *     dirt: ChartView|null,
 *     entries: list<EntryLine>,
 * }
 */
final readonly class PotProps
{
    private const ENTRIES = 40;

    public function __construct(private Translator $translator) {}

    /** @return PotView */
    public function of(BathState $bath): array
    {
        $q = $this->translator->quantities;
        $ledger = $bath->ledger;
        $facts = PotFacts::of($this->translator->settings, $bath->potId);
        [$wax, $kind, $flat] = [$facts->wax, $facts->kind, $facts->lay === PotLay::Flat];

        return [
            'id' => $bath->potId,
            'name' => $this->translator->names->pot($bath->potId),
            'about' => $this->about($bath->potId),
            'caution' => trim(
                $this->translator->say("pot.caution.{$kind->value}") . ' ' . $this->translator->say("pot.wax_note.{$wax->value}"),
            ),
            'empty' => $ledger === null,
            'level' => $ledger === null || ($bath->heightMm ?? 0.0) <= 0.0 ? 0.0 : min(1.0, $ledger->depthMm / $bath->heightMm),
            'coil' => ($bath->heightMm ?? 0.0) <= 0.0 ? 0.0 : min(1.0, $facts->lay->coversMm() / $bath->heightMm),
            'holds' => $this->holds($bath),
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
                !$ledger->coversChain => $this->translator->say($flat ? 'pot.uncovered_flat' : 'pot.uncovered'),
                $ledger->overflow => $this->translator->say('pot.overflow'),
                default => trans_choice($flat ? 'pot.left_flat' : 'pot.left', $ledger->dipsLeft),
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

    /** "slow cooker, plain paraffin, kept clean for races" */
    private function about(int $potId): string
    {
        $facts = PotFacts::of($this->translator->settings, $potId);

        return implode(
            ', ',
            array_filter([
                $this->translator->say("pot.kind.{$facts->kind->value}"),
                $this->translator->say("pot.wax.{$facts->wax->value}"),
                $facts->lay === PotLay::Flat ? $this->translator->say('pot.lay.flat') : null,
                $facts->forRaces ? $this->translator->say('pot.for_races') : null,
            ]),
        );
    }

    /** @return PotFields a pot as its form shows it */
    private function fields(int $potId): array
    {
        $facts = PotFacts::of($this->translator->settings, $potId);
        $plain = fn(?float $value): string => $value === null ? '' : (string) round($value, 1);
        $flashC = $this->translator->settings->number(SettingKey::PotFlashC, $potId);

        return [
            'name' => $this->translator->names->pot($potId),
            'kind' => $facts->kind->value,
            'diameter' => $plain($facts->diameterMm),
            'height' => $plain($facts->heightMm),
            'low' => $plain($facts->lowW),
            'high' => $plain($facts->highW),
            'wax' => $facts->wax->value,
            'flash' => $plain($flashC === null ? null : $this->translator->quantities->units->fromCelsius($flashC)),
            'lay' => $facts->lay->value,
            'at_once' => $facts->atOnce === null ? '' : (string) $facts->atOnce,
            'for_races' => $facts->forRaces,
        ];
    }

    /**
     * @param list<int> $used pots of which something was written down
     *
     * @return list<PotOutOfUse> those that are not used any more
     */
    public function outOfUse(Workshop $workshop, array $used): array
    {
        $settings = $this->translator->settings;
        $ids = array_filter($settings->subjects(SettingKey::PotGone), fn(int $id) => $settings->whole(SettingKey::PotGone, $id) === 1);
        $gone = Pot::query()->in($workshop)->live()->whereKey($ids)->orderBy('id')->get();

        return array_values(
            $gone
                ->map(
                    fn(Pot $pot) => [
                        'id' => $pot->id,
                        'name' => $this->translator->names->pot($pot->id),
                        'about' => $this->about($pot->id),
                        'unused' => !in_array($pot->id, $used, true),
                        'fields' => $this->fields($pot->id),
                    ],
                )
                ->all(),
        );
    }

    /**
     * @param list<int> $used pots of which something was written down
     * @param list<GuidedJob> $potDays the latest that were begun
     *
     * @return PotOnShelf with what can be done to it
     */
    public function onShelf(Workshop $workshop, BathState $bath, PriceList $prices, DipPickup $pickup, array $used, array $potDays): array
    {
        $ledger = $bath->ledger;
        $facts = PotFacts::of($this->translator->settings, $bath->potId);
        $q = $this->translator->quantities;
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
            'fields' => $this->fields($bath->potId),
            'unused' => !in_array($bath->potId, $used, true),
            'isCalibrated' => $facts->calibrated,
            'probes' => (new DeviceProps($this->translator))->all($workshop, Device::PROBE, $bath->potId),
            'heatUps' => $this->heatUps($potDays, $bath->potId),
            'acts' => array_values(
                array_map(
                    fn(BathEventKind $kind) => ['value' => $kind->value, 'title' => $this->translator->say("pot.kind_act.{$kind->value}")],
                    $acts,
                ),
            ),
        ];
    }

    /**
     * @param array<int, BathState> $baths by pot
     *
     * @return list<PotLedger> what was in each since it was filled, and what was done to it, the newest first
     */
    public function ledgers(Workshop $workshop, Book $book, array $baths): array
    {
        $entries = $book->kept('newest of pots', fn() => $this->entries($workshop, array_keys($baths)));

        return array_values(
            array_map(
                fn(BathState $bath) => [
                    'id' => $bath->potId,
                    'name' => $this->translator->names->pot($bath->potId),
                    'about' => $this->about($bath->potId),
                    'holds' => $this->holds($bath),
                    'wax' => $this->history($bath, 'wax'),
                    'dirt' => $this->history($bath, 'grit'),
                    'entries' => $entries[$bath->potId] ?? [],
                ],
                $baths,
            ),
        );
    }

    private function holds(BathState $bath): string
    {
        $q = $this->translator->quantities;

        return match (true) {
            $bath->problem !== null => $this->translator->say('pot.problem'),
            $bath->ledger === null => $this->translator->say('pot.empty'),
            default => $this->translator->say('pot.holds', [
                'grams' => $q->mass($bath->ledger->waxG),
                'depth' => $q->length($bath->ledger->depthMm),
            ]),
        };
    }

    /**
     * @param list<int> $potIds
     *
     * @return array<int, list<EntryLine>> by pot
     */
    private function entries(Workshop $workshop, array $potIds): array
    {
        $q = $this->translator->quantities;
        $entries = [];
        foreach (BathEntry::query()->in($workshop)->newestOfEach($potIds, self::ENTRIES)->get() as $row) {
            $entries[$row->component_id][] = [
                'id' => $row->id,
                'day' => $q->date($row->at, 'd MMM y'),
                // @phpstan-ignore dripel.text (a dip is an entry of its own)
                'text' => $this->translator->say("pot.done.{$row->kind->value}", [
                    'pot' => fn(): string => $this->translator->names->pot($row->component_id),
                    'grams' => fn(): string => $q->mass((float) $row->wax_g + (float) $row->oil_g),
                    'celsius' => fn(): string => $q->temperature((float) $row->temp_c),
                ]),
            ];
        }

        return $entries;
    }

    /** @return list<GuidedJob> the latest pot days that were begun, with their taps */
    public static function potDays(Workshop $workshop): array
    {
        $jobs = GuidedJob::query()
            ->in($workshop)
            ->where('kind', GuidedKind::PotDay)
            ->whereNotNull('begun_at')
            ->with('taps')
            ->orderByDesc('started_at')
            ->limit(20)
            ->get();

        return array_values($jobs->all());
    }

    /**
     * @param list<GuidedJob> $potDays
     *
     * @return list<array{value: string, title: string}> those whose heat-up was logged well enough to calibrate from
     */
    private function heatUps(array $potDays, int $potId): array
    {
        $logged = array_filter($potDays, fn(GuidedJob $job) => PotDayJob::choices($job)->potId === $potId && CalibratePot::logged($job));

        return array_values(
            array_map(
                fn(GuidedJob $job) => [
                    'value' => $job->id,
                    'title' => $this->translator->say('pot_day.job_title', [
                        'day' => $this->translator->quantities->day($job->started_at),
                    ]),
                ],
                $logged,
            ),
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
            'lays' => array_map(fn(PotLay $lay) => $choice('lay', $lay->value), PotLay::cases()),
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
