<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Actions\Workshop\RemoveUnused;
use App\Models\Device;
use App\Models\Instrument as InstrumentRow;
use App\Models\Workshop;
use App\Text\ChainWords;
use App\Text\Chart;
use App\Text\ChartAxis;
use App\Text\ChartLine;
use App\Text\Translator;
use App\Text\WearWords;
use Dripel\Core\Interval\BikeAdvice;
use Dripel\Core\Interval\CycleEnd;
use Dripel\Core\Interval\EarCycle;
use Dripel\Core\Interval\LearnedByEar;
use Dripel\Core\Interval\LearnedConditions;
use Dripel\Core\Interval\LifePoint;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Maths\Memo;
use Dripel\Core\Plan\ChainSupply;
use Dripel\Core\Plan\EvenWear;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Wear\Instrument;
use Dripel\Core\Wear\InstrumentKind;
use Dripel\Core\Wear\LimitSchool;
use Dripel\Core\Wear\ReadingDue;
use Dripel\Core\Wear\WearForecastResult;
use Dripel\Core\Wear\WearVerdict;
use Dripel\Core\Wear\WorkshopWear;

/**
 * The bench of measuring: each bike's chains against one another and the cassette, the instruments, what is expected.
 *
 * @phpstan-import-type ChartView from Chart
 * @phpstan-import-type FormDefaults from FormProps
 * @phpstan-import-type LearnedView from LearnedProps
 * @phpstan-import-type PartOnBike from PartProps
 *
 * @phpstan-type WornChain array{
 *     id: int,
 *     label: string,
 *     name: string,
 *     fitted: bool,
 *     ready: bool,
 *     km: string,
 *     mean: float|null,
 *     p10: float|null,
 *     p90: float|null,
 *     now: string,
 *     last: string,
 *     verdict: value-of<WearVerdict>|null,
 *     due: bool,
 *     sentences: list<string>,
 * }
 * @phpstan-type EarAdvice array{text: string, reason: string, now: string, open: bool}
 * @phpstan-type EarView array{
 *     sentences: list<string>,
 *     cycles: list<array{share: float, loud: bool, open: bool, text: string}>,
 *     interval: float,
 *     intervalText: string,
 *     farText: string,
 *     chart: ChartView,
 * }
 * @phpstan-type ExpectedLife array{points: list<array{interval: string, life: string, text: string}>, house: bool, own: string}
 * @phpstan-type InstrumentView array{
 *     id: int|null,
 *     kind: value-of<InstrumentKind>,
 *     name: string,
 *     about: string,
 *     marks: list<string>,
 *     pitches: int,
 *     zero: string,
 * }
 * @phpstan-type KeptInstrument array{
 *     uncertainty: string,
 *     marks_text: string,
 *     unused: bool,
 *     id: int|null,
 *     kind: value-of<InstrumentKind>,
 *     name: string,
 *     about: string,
 *     marks: list<string>,
 *     pitches: int,
 *     zero: string,
 * }
 * @phpstan-type WornBike array{
 *     id: int,
 *     name: string,
 *     limit: float,
 *     limitText: string,
 *     limits: list<array{at: float, text: string}>,
 *     school: string,
 *     top: float,
 *     chains: list<WornChain>,
 *     even: string|null,
 *     supply: string|null,
 *     parts: list<PartOnBike>,
 *     advice: EarAdvice|null,
 *     ear: EarView|null,
 * }
 * @phpstan-type GaugePage array{
 *     bikes: list<WornBike>,
 *     instruments: list<KeptInstrument>,
 *     gauges: list<array{id: int, name: string}>,
 *     expected: ExpectedLife,
 *     learned: LearnedView|null,
 *     forms: FormDefaults,
 *     unit: string,
 * }
 */
final readonly class GaugeProps
{
    /** The newest that a chart shows, and the steps of its curve. */
    private const CYCLES = 24;

    private const CURVE = 40;

    private WearWords $words;

    public function __construct(private Book $book, private Translator $translator, private WorkshopWear $wear, private Memo $memo)
    {
        $this->words = new WearWords($translator);
    }

    /** @return GaugePage */
    public function all(Workshop $workshop): array
    {
        $used = RemoveUnused::used($workshop, InstrumentRow::class);

        return [
            'bikes' => array_map($this->bike(...), Rail::all($this->book, $this->translator->nowS, $this->translator->zone())),
            'instruments' => array_values(
                array_map(
                    fn(Instrument $instrument) => $this->instrument($instrument, in_array($instrument->id, $used, true)),
                    array_filter(Instrument::all($this->book->settings), fn(Instrument $instrument) => $instrument->id !== null),
                ),
            ),
            'gauges' => (new DeviceProps($this->translator))->all($workshop, Device::GAUGE),
            'expected' => $this->expected(),
            'learned' => $this->learned(),
            'forms' => (new FormProps($this->book, $this->translator))->all(),
            'unit' => $this->translator->quantities->units->distance,
        ];
    }

    /** @return WornBike */
    private function bike(Rail $rail): array
    {
        $q = $this->translator->quantities;
        $forecasts = $this->wear->results([...$rail->chains(), ...$rail->lent]);
        $school = $this->book->settings->limitSchool($rail->bikeId, $this->translator->nowS);
        $supply = ChainSupply::of($this->book, $rail, $forecasts, LocalDay::of($this->translator->nowS, $this->translator->zone()));
        $learned = LearnedByEar::of($this->book, $rail->bikeId, $this->translator->nowS);
        $chains = $rail->chains();
        usort(
            $chains,
            fn(ChainState $a, ChainState $b) => ($forecasts[$b->chainId]->nowMean ?? -1.0) <=> ($forecasts[$a->chainId]->nowMean ?? -1.0),
        );
        $limit = $this->book->terms()->ofBike($rail->bikeId, $this->translator->nowS)->limitPct;
        $speeds = $this->book->settings->whole(SettingKey::BikeSpeeds, $rail->bikeId, 12);

        return [
            'id' => $rail->bikeId,
            'name' => $this->translator->names->bike($rail->bikeId),
            'limit' => $limit,
            'limitText' => $q->mark($limit),
            // What the other schools go by, on the same scale.
            'limits' => array_values(
                array_map(
                    fn(float $pct) => ['at' => $pct, 'text' => $q->mark($pct)],
                    array_unique(
                        array_filter(
                            array_map(fn(LimitSchool $one) => $one->limitPct($speeds), LimitSchool::cases()),
                            fn(float $pct) => abs($pct - $limit) > 1e-9,
                        ),
                    ),
                ),
            ),
            'school' => $this->translator->say("schools.{$school->value}.name"),
            // The scale goes a little past the limit, or past the worst of them.
            'top' => max([1.15 * $limit, ...array_map(fn(WearForecastResult $result) => 1.05 * $result->nowP90, array_values($forecasts))]),
            'chains' => array_map(
                fn(ChainState $chain) => $this->chain($chain, $forecasts[$chain->chainId] ?? null, $chain === $rail->fitted),
                $chains,
            ),
            'even' => $this->words->even(EvenWear::of($rail, $forecasts)),
            'supply' => $supply === null ? null : $this->words->supply($supply),
            'parts' => (new PartProps($this->book, $this->translator))->onBike($rail->bikeId),
            'advice' => $this->advice($rail->bikeId, $learned),
            'ear' => $learned === null ? null : $this->ear($learned),
        ];
    }

    /** @return WornChain */
    private function chain(ChainState $chain, ?WearForecastResult $result, bool $fitted): array
    {
        $q = $this->translator->quantities;
        [$forecast, $result] = $chain->wears() ? [$this->wear->of($chain), $result] : [null, null];

        return [
            'id' => $chain->chainId,
            'label' => $this->translator->names->chain($chain->chainId),
            'name' => $this->translator->names->fullChain($chain->chainId),
            'fitted' => $fitted,
            'ready' => $chain->rideable() && $chain->readyAtS === null,
            'km' => $q->ridden($chain->km),
            'mean' => $result === null ? null : max(0.0, $result->nowMean),
            'p10' => $result === null ? null : max(0.0, $result->nowP10),
            'p90' => $result === null ? null : max(0.0, $result->nowP90),
            'now' => !$chain->wears()
                ? ''
                : ($result === null
                    ? $this->translator->say('wear.unknown_km')
                    : $this->words->now($result, $chain->terms->limitPct)),
            'last' => $chain->wears()
                ? ($chain->wear->reading === null
                    ? $this->translator->say('wear.never')
                    : (new ChainWords($this->translator))->measured($chain))
                : $this->translator->say('wear.new'),
            'verdict' => $chain->wear->pastLimit ? 'retire' : $result->verdict->value ?? null,
            'due' => ReadingDue::of($chain, $result),
            'sentences' => $forecast === null ? [] : $this->words->sentences($forecast),
        ];
    }

    /** @return EarAdvice|null nothing where it is what is ridden, or was declined */
    private function advice(int $bikeId, ?LearnedByEar $learned): ?array
    {
        $advice = BikeAdvice::ofBike($this->book, $this->wear, $bikeId, $learned);
        if ($advice === null) {
            $ofBike = $this->wear->ofBike($bikeId);

            return $ofBike->chains === 0 ? null : ['text' => '', 'reason' => $this->words->missing($ofBike), 'now' => '', 'open' => false];
        }
        [$text, $reason] = $this->words->advice($advice);
        // Of a bike that goes by ear, what it learned.
        $now = $this->book->terms()->ofBike($bikeId, $this->translator->nowS)->intervalKm;

        return [
            'text' => $text,
            'reason' => $reason,
            'now' => $this->translator->say('wear.advice.' . ($advice->is($now) ? 'is' : 'now'), [
                'interval' => $this->translator->quantities->distance($now),
            ]),
            'open' => !$advice->is($now) && !$advice->is($this->book->settings->declinedKm($bikeId)),
        ];
    }

    /** @return EarView when its chains get loud, and the cycles behind it */
    private function ear(LearnedByEar $learned): array
    {
        $q = $this->translator->quantities;
        $shown = array_slice($learned->cycles, -self::CYCLES);
        $farKm = max([1.2 * $learned->result->medianKm, ...array_map(fn(EarCycle $one) => 1.05 * $one->cycle->km, $shown)]);

        return [
            'sentences' => $this->words->ear($learned),
            'cycles' => array_map(
                fn(EarCycle $one) => [
                    'share' => $one->cycle->km / $farKm,
                    'loud' => $one->cycle->ended === CycleEnd::Noise,
                    'open' => $one->open,
                    'text' => $this->translator->say('wear.ear.cycle.' . ($one->open ? 'open' : $one->cycle->ended->value), [
                        'chain' => $this->translator->names->chain($one->chainId),
                        'km' => $q->distance($one->cycle->km),
                        'day' => $q->date($one->endS, 'd MMM'),
                    ]),
                ],
                $shown,
            ),
            'interval' => $learned->result->intervalKm / $farKm,
            'intervalText' => $q->distance($learned->result->intervalKm),
            'farText' => $q->distance($farKm),
            'chart' => $this->quietChart($learned, $farKm),
        ];
    }

    /** @return ChartView how many of ten cycles are still quiet after how far */
    private function quietChart(LearnedByEar $learned, float $farKm): array
    {
        $q = $this->translator->quantities;
        $say = fn(string $code, array $with = []): string => $this->translator->say("ui.chart.{$code}", $with);
        $points = array_map(
            fn(int $i) => [
                'x' => $q->units->fromKm(($farKm * $i) / self::CURVE),
                'y' => 100 * $learned->result->quietAfter(($farKm * $i) / self::CURVE),
            ],
            range(0, self::CURVE),
        );

        return Chart::of(
            $say('quiet'),
            new ChartAxis($say('since_dip'), 0.0, $q->units->fromKm($farKm), fn(float $value) => $q->distance($q->units->toKm($value))),
            new ChartAxis($say('quiet_axis'), 0.0, 100.0, fn(float $percent) => $q->number($percent) . "\u{a0}%", 4),
            [new ChartLine($say('quiet_axis'), $points)],
            moments: [
                [
                    'at' => $q->units->fromKm($learned->result->intervalKm),
                    'text' => $say('advised', ['km' => $q->distance($learned->result->intervalKm)]),
                ],
            ],
        );
    }

    /** @return LearnedView|null what a kilometre in each condition costs; null: no chain was ever heard */
    private function learned(): ?array
    {
        $learned = LearnedConditions::of($this->book, $this->translator->nowS, $this->memo);

        return $learned === null || $learned->conditions === [] ? null : (new LearnedProps($this->translator))->of($learned);
    }

    /** @return ExpectedLife */
    private function expected(): array
    {
        $units = $this->translator->quantities->units;
        $own = $this->wear->own();

        return [
            'points' => array_map(
                fn(LifePoint $point) => [
                    'interval' => (string) round($units->fromKm($point->intervalKm), 1),
                    'life' => (string) round($units->fromKm($point->lifeKm)),
                    'text' => $this->translator->say('wear.point', [
                        'interval' => $this->translator->quantities->distance($point->intervalKm),
                        'life' => $this->translator->quantities->distance($point->lifeKm),
                    ]),
                ],
                $this->book->settings->lifeCurve()->points(),
            ),
            'house' => $this->book->settings->newest(SettingKey::LifePoints, 0)?->value === null,
            'own' => $own->enough()
                ? $this->translator->say('wear.own.counts', [
                    'count' => (string) $own->chains,
                    'times' => $this->words->times($own->logFactor),
                ])
                : trans_choice('wear.own.few', $own->chains, ['fewest' => (string) $own::FEWEST]),
        ];
    }

    /** @return KeptInstrument */
    private function instrument(Instrument $instrument, bool $used): array
    {
        return self::forms($instrument, $this->words) + [
            'uncertainty' => (string) $instrument->uncertainty,
            'unused' => !$used,
            'marks_text' => implode(' ', $instrument->marks),
        ];
    }

    /** @return InstrumentView what a form that measures needs of an instrument */
    public static function forms(Instrument $instrument, WearWords $words): array
    {
        return [
            'id' => $instrument->id,
            'kind' => $instrument->kind->value,
            'name' => $words->instrument($instrument),
            'about' => $words->reading($instrument),
            'marks' => array_map(fn(float $mark) => (string) $mark, $instrument->marks),
            'pitches' => $instrument->pitches,
            'zero' => (string) $instrument->zeroPct,
        ];
    }
}
