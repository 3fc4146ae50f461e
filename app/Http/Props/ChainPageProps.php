<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Text\ChainWords;
use App\Text\Chart;
use App\Text\ChartAxis;
use App\Text\ChartLine;
use App\Text\Translator;
use App\Text\WearWords;
use App\Text\WhyWords;
use Closure;
use Dripel\Core\Bath\ChainPickup;
use Dripel\Core\Chain\Joint;
use Dripel\Core\Explain\ChainFigures;
use Dripel\Core\Explain\Why;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Strip\Load;
use Dripel\Core\Wear\ChainForecast;
use Dripel\Core\Wear\ForecastReading;
use Dripel\Core\Wear\WearVerdict;
use Dripel\Core\Wear\WorkshopWear;

/**
 * The page of one chain, and the form of a new one.
 *
 * @phpstan-import-type ChainView from ChainProps
 * @phpstan-import-type ChartView from Chart
 * @phpstan-import-type PotChain from ChainProps
 * @phpstan-import-type FormDefaults from FormProps
 * @phpstan-import-type LinkOfChain from PartProps
 * @phpstan-import-type OpeningView from PartProps
 * @phpstan-import-type PotView from PotProps
 * @phpstan-import-type TimelineView from TimelineProps
 * @phpstan-import-type WhyView from WhyWords
 *
 * @phpstan-type ForecastView array{
 *     sentences: list<string>,
 *     why: string,
 *     verdict: value-of<WearVerdict>,
 *     chart: ChartView,
 * }
 * @phpstan-type ChainKnown array{
 *     load: value-of<Load>,
 *     joint: string,
 *     directional: bool,
 *     mass: string,
 *     drip_interval: string,
 *     price: string,
 *     bought_on: string,
 *     event: string,
 *     event_on: string,
 *     dipped_after: string,
 *     half_link: bool,
 * }
 * @phpstan-type NewChainPage array{
 *     bike: int|null,
 *     defaults: list<array{bike: int, label: string, speeds: int, pitches: int|null, canFit: bool}>,
 *     units: array{mass: string, currency: string},
 *     forms: FormDefaults,
 * }
 * @phpstan-type TagPage array{
 *     chain: ChainView,
 *     forPot: PotChain,
 *     bike: array{id: int, name: string}|null,
 *     on: bool,
 *     retired: bool,
 *     pots: list<PotView>,
 *     forms: FormDefaults,
 * }
 * @phpstan-type ChainPage array{
 *     chain: ChainView,
 *     forPot: PotChain,
 *     bike: array{id: int, name: string}|null,
 *     on: int|null,
 *     retired: bool,
 *     foreseen: bool,
 *     story: list<array{name: string, value: string}>,
 *     pots: list<PotView>,
 *     outlook: list<string>|null,
 *     facts: array{
 *         array{name: string, value: string, why: string},
 *         array{name: string, value: string, why: null},
 *         array{name: string, value: string, why: string|null},
 *         array{name: string, value: string, why: null},
 *         array{name: string, value: string, why: null},
 *     },
 *     opening: OpeningView|null,
 *     link: LinkOfChain|null,
 *     why: list<WhyView>,
 *     timeline: TimelineView,
 *     edit: array{
 *         label: string,
 *         speeds: string,
 *         pitches: string,
 *         bike_id: int|null,
 *         load: value-of<Load>,
 *         joint: string,
 *         directional: bool,
 *         mass: string,
 *         drip_interval: string,
 *         price: string,
 *         bought_on: string,
 *         event: string,
 *         event_on: string,
 *         dipped_after: string,
 *         half_link: bool,
 *     },
 *     units: array{mass: string, currency: string},
 *     about: list<array{name: string, value: string}>,
 *     job: string|null,
 *     forms: FormDefaults,
 * }
 */
final readonly class ChainPageProps
{
    private const CYCLES = 12;

    public function __construct(private Book $book, private Translator $translator, private WorkshopWear $wear) {}

    /**
     * @param list<array{name: string, value: string}> $story of a retired chain
     * @param list<PotView> $pots
     * @param Closure(int): Rail $railOf by bike
     *
     * @return ChainPage
     */
    public function show(int $chainId, bool $whole, ?string $jobId, array $story, array $pots, Closure $railOf): array
    {
        $chain = $this->book->chain($chainId, $this->translator->nowS);
        $settings = $this->book->settings;
        $onBike = $this->book->fittings()->bikeOf($chainId, $this->translator->nowS);
        $bikeId = $this->book->bikeOfChain($chainId, $this->translator->nowS);
        $rail = $onBike === null ? null : $railOf($onBike);
        $why = new WhyWords($this->translator);
        $q = $this->translator->quantities;

        return [
            'chain' => (new ChainProps($this->translator))->of($chain, $this->wear->of($chain)?->result),
            'forPot' => (new ChainProps($this->translator))->forPot($chain, true),
            'bike' => $bikeId === null ? null : ['id' => $bikeId, 'name' => $this->translator->names->bike($bikeId)],
            'on' => $onBike,
            'retired' => $chain->retired(),
            // Its forecast comes after the page: its place is kept.
            'foreseen' => !$chain->retired() && $chain->wears() && $chain->km->whole,
            'story' => $story,
            'pots' => $pots,
            'outlook' => $rail === null ? null : (new ChainWords($this->translator))->outlook($chain, $rail),
            'facts' => [
                ['name' => $this->translator->say('ui.chain.km'), 'value' => $q->ridden($chain->km), 'why' => 'km'],
                ['name' => $this->translator->say('ui.chain.hours'), 'value' => $this->hours($chain), 'why' => null],
                [
                    'name' => $this->translator->say('ui.chain.wear'),
                    'value' => ucfirst((new ChainWords($this->translator))->measured($chain)),
                    'why' => $chain->wear->result === null ? null : 'wear',
                ],
                ['name' => $this->translator->say('ui.chain.dips'), 'value' => (string) $chain->dips, 'why' => null],
                [
                    'name' => $this->translator->say('ui.chain.pitches'),
                    'value' =>
                        $settings->whole(SettingKey::ChainPitches, $chainId) === 0
                            ? '—'
                            : (string) $settings->whole(SettingKey::ChainPitches, $chainId),
                    'why' => null,
                ],
            ],
            'opening' => (new PartProps($this->book, $this->translator))->opening($chain->opening),
            'link' => (new PartProps($this->book, $this->translator))->linkOf($chainId),
            'why' => array_map(fn(Why $figure) => $why->of($figure), (new ChainFigures($chain, $settings))->all($rail?->goodUntil)),
            'timeline' => (new TimelineProps($this->book, $this->translator))->of($chain, $whole ? PHP_INT_MAX : self::CYCLES),
            'edit' => [
                'label' => $this->translator->names->chain($chainId),
                'speeds' => (string) $settings->whole(SettingKey::ChainSpeeds, $chainId, 1),
                'pitches' => (string) ($settings->whole(SettingKey::ChainPitches, $chainId) ?: ''),
                'bike_id' => $settings->home($chainId, $this->translator->nowS),
                ...$this->known($chainId),
            ],
            'units' => ['mass' => $q->units->mass, 'currency' => $q->units->currency],
            'about' => $this->about($chainId),
            'job' => $jobId,
            'forms' => (new FormProps($this->book, $this->translator))->all(),
        ];
    }

    /** @return ForecastView|null how worn it is and when its limit comes; null where nobody knows its km */
    public function forecast(int $chainId): ?array
    {
        $chain = $this->book->chain($chainId, $this->translator->nowS);
        $forecast = $chain->wears() ? $this->wear->of($chain) : null;
        if ($forecast === null) {
            return null;
        }
        $words = new WearWords($this->translator);

        return [
            'sentences' => $words->sentences($forecast),
            'why' => $words->why($forecast, $chain, $this->wear->tellingOf($chainId)),
            'verdict' => $forecast->result->verdict->value,
            'chart' => $this->wearChart($forecast, $this->wear->band($chain)),
        ];
    }

    /**
     * @param list<array{float, float, float, float}> $band see ChainForecast::band
     *
     * @return ChartView the wear so far and ahead, its readings, and where on its way the limit is reached in eight of ten cases
     */
    private function wearChart(ChainForecast $forecast, array $band): array
    {
        $q = $this->translator->quantities;
        $say = fn(string $code, array $with = []): string => $this->translator->say("ui.chart.{$code}", $with);
        $shown = $q->units->fromKm(...);
        $limit = $forecast->limitPct;
        $now = $forecast->nowKm;
        $top = max([
            1.25 * $limit,
            ...array_map(
                fn(ForecastReading $one) => 1.1 * ($one->valuePct ?? ($one->lowerPct ?? 0.0)),
                $forecast->readings()->input()->readings,
            ),
        ]);
        $mean = array_map(
            fn(array $at) => [
                'x' => $shown($at[0]),
                'y' => min($top, max(0.0, $at[2])),
                'low' => min($top, max(0.0, $at[1])),
                'high' => min($top, max(0.0, $at[3])),
            ],
            $band,
        );
        $readings = array_map(function (ForecastReading $one) use ($shown, $top, $q): array {
            [$low, $high] =
                $one->valuePct === null
                    ? [$one->lowerPct ?? 0.0, min($top, $one->upperPct ?? $top)]
                    : [max(0.0, $one->valuePct - $one->sigmaPct), $one->valuePct + $one->sigmaPct];

            return ['x' => $shown($one->km), 'y' => $one->valuePct ?? ($low + $high) / 2, 'low' => $low, 'high' => $high] +
                ($one->valuePct !== null
                    ? []
                    : [
                        'text' => match (true) {
                            $one->upperPct === null => "≥\u{a0}{$q->percent($low)}",
                            $one->lowerPct === null => "≤\u{a0}{$q->percent($high)}",
                            default => "{$q->percent($low)} – {$q->percent($high)}",
                        },
                    ]);
        }, $forecast->readings()->input()->readings);
        [$first, $last] = [$forecast->result->kmToLimitP10, $forecast->result->kmToLimitP90];

        return Chart::of(
            $say('wear'),
            new ChartAxis($say('ridden'), 0.0, $shown($forecast->farKm()), fn(float $value) => $q->distance($q->units->toKm($value))),
            new ChartAxis($say('elongation'), 0.0, $top, $q->percent(...)),
            [new ChartLine($say('expected'), $mean), ...$readings === [] ? [] : [new ChartLine($say('measured'), $readings, 'dots')]],
            [['at' => $limit, 'text' => $say('limit', ['limit' => $q->mark($limit)])]],
            [['at' => $shown($now), 'text' => $say('now')]],
            stretch: $first === null || $first <= 0.0
                ? null
                : ['y' => $limit, 'from' => $shown($now + $first), 'to' => $shown($last === null ? $forecast->farKm() : $now + $last)],
        );
    }

    /** @return ChainKnown what a form about it starts from */
    private function known(int $chainId): array
    {
        $settings = $this->book->settings;
        $q = $this->translator->quantities;
        [$massG, $minor] = [
            $this->book->settings->number(SettingKey::ChainMassG, $chainId),
            $this->book->settings->number(SettingKey::ChainPrice, $chainId),
        ];

        return [
            'load' => Load::cameWith($this->book->chain($chainId, $this->translator->nowS), $settings)->value,
            'joint' => $settings->text(SettingKey::ChainJoint, $chainId, Joint::QuickLink->value),
            'directional' => $settings->whole(SettingKey::ChainDirectional, $chainId) === 1,
            'mass' => $massG === null ? '' : (string) round($q->units->fromGrams($massG), 2),
            'drip_interval' =>
                ($dripKm = $this->book->settings->number(SettingKey::ChainDripKm, $chainId)) === null
                    ? ''
                    : (string) round($q->units->fromKm($dripKm), 1),
            'price' => $minor === null ? '' : (string) ($minor / 10 ** $q->exponent()),
            'bought_on' => $settings->text(SettingKey::ChainBoughtOn, $chainId),
            'event' => $settings->text(SettingKey::ChainEvent, $chainId),
            'event_on' => $settings->text(SettingKey::ChainEventOn, $chainId),
            'dipped_after' => $settings->text(SettingKey::ChainDippedAfter, $chainId),
            'half_link' => $settings->whole(SettingKey::ChainPitches, $chainId) % 2 === 1,
        ];
    }

    /** @return list<array{name: string, value: string}> what was said of it, and the bikes it suits */
    private function about(int $chainId): array
    {
        $settings = $this->book->settings;
        $q = $this->translator->quantities;
        $speeds = $settings->whole(SettingKey::ChainSpeeds, $chainId);
        $suits = array_filter(
            $this->book->bikeIds,
            fn(int $id) => $speeds === 0 || $settings->whole(SettingKey::BikeSpeeds, $id) === $speeds,
        );
        $day = $settings->text(SettingKey::ChainBoughtOn, $chainId);
        $kept = $this->book->chain($chainId, $this->translator->nowS)->keptFor;
        $values = [
            'suits' =>
                $suits === []
                    ? $this->translator->say('words.none')
                    : $this->translator->names->list(array_values(array_map($this->translator->names->bike(...), $suits))),
            'kept' =>
                $kept === null
                    ? null
                    : $this->translator->say('chain.kept', ['event' => $kept->event, 'day' => $this->translator->dayWord($kept->on)]),
            'load' => $this->translator->say(
                'strip.load.' . Load::cameWith($this->book->chain($chainId, $this->translator->nowS), $settings)->value,
            ),
            'joint' => $this->translator->say('ui.size.' . $settings->text(SettingKey::ChainJoint, $chainId, Joint::QuickLink->value)),
            'directional' =>
                $settings->whole(SettingKey::ChainDirectional, $chainId) === 1 ? $this->translator->say('ui.new_chain.outward') : null,
            'link_state' =>
                ($link = $this->book->inventory()->linkStateOf($chainId, $this->translator->nowS)) === null
                    ? null
                    : $this->translator->say("chain.link_state.{$link->value}"),
            'mass' => ($massG = $this->book->settings->number(SettingKey::ChainMassG, $chainId)) === null ? null : $q->mass($massG),
            'pickup' =>
                ($pickup = $this->book->kept('pickup', fn() => ChainPickup::ofDips($this->book->dips()))[$chainId] ?? null) === null
                    ? null
                    : $this->translator->say('chain.pickup', [
                        'mean' => $q->mass($pickup->meanG),
                        'times' => (string) $pickup->weighings,
                        'least' => $q->mass($pickup->leastG),
                        'most' => $q->mass($pickup->mostG),
                    ]),
            'drip_interval' =>
                ($dripKm = $this->book->settings->number(SettingKey::ChainDripKm, $chainId)) === null ? null : $q->distance($dripKm),
            'price' => ($minor = $this->book->settings->number(SettingKey::ChainPrice, $chainId)) === null ? null : $q->money($minor),
            'bought_on' => $day === '' ? null : $q->date(LocalDay::named($day, $this->translator->zone())->startS(), 'd MMM y'),
        ];

        return array_values(
            array_filter(
                array_map(
                    fn(string $name, ?string $value) => $value === null
                        ? null
                        : ['name' => $this->translator->say("ui.new_chain.{$name}"), 'value' => $value],
                    array_keys($values),
                    $values,
                ),
            ),
        );
    }

    private function hours(ChainState $chain): string
    {
        $hours = $this->translator->quantities->hours($chain->hours);

        return match (true) {
            $chain->hoursComplete => $hours,
            $chain->hours > 0 => $this->translator->say('words.at_least', ['figure' => $hours]),
            default => $this->translator->say('words.unknown'),
        };
    }

    /**
     * What the code on a tag opens: how the chain is, and what one does with it in a garage.
     *
     * @param list<PotView> $pots
     *
     * @return TagPage
     */
    public function tag(int $chainId, array $pots): array
    {
        $chain = $this->book->chain($chainId, $this->translator->nowS);
        $bikeId = $this->book->bikeOfChain($chainId, $this->translator->nowS);
        $props = new ChainProps($this->translator);

        return [
            'chain' => $props->of($chain, $this->wear->of($chain)?->result),
            'forPot' => $props->forPot($chain, true),
            'bike' => $bikeId === null ? null : ['id' => $bikeId, 'name' => $this->translator->names->bike($bikeId)],
            'on' => $this->book->fittings()->bikeOf($chainId, $this->translator->nowS) !== null,
            'retired' => $chain->retired(),
            'pots' => $pots,
            'forms' => (new FormProps($this->book, $this->translator))->all(),
        ];
    }

    /** @return NewChainPage */
    public function create(?int $bikeId): array
    {
        return [
            'bike' => $bikeId ?? ($this->book->bikeIds[0] ?? null),
            'defaults' => array_map(
                fn(int $id) => [
                    'bike' => $id,
                    'label' => $this->freeLabel($id),
                    'speeds' => $this->book->settings->whole(SettingKey::BikeSpeeds, $id, 1),
                    'pitches' => $this->usualPitches($id),
                    'canFit' => $this->book->fittings()->componentOn($id, $this->translator->nowS) === null,
                ],
                $this->book->bikeIds,
            ),
            'units' => ['mass' => $this->translator->quantities->units->mass, 'currency' => $this->translator->quantities->units->currency],
            'forms' => (new FormProps($this->book, $this->translator))->all(),
        ];
    }

    /** @return array<int, string> the letters on a bike's rail, by chain, retired chains left out */
    private function labelsOf(int $bikeId): array
    {
        $labels = [];
        foreach ($this->book->chainIds as $chainId) {
            if (
                $this->book->settings->home($chainId, PHP_INT_MAX) === $bikeId &&
                !$this->book->chain($chainId, $this->translator->nowS)->retired()
            ) {
                $labels[$chainId] = $this->translator->names->chain($chainId);
            }
        }

        return $labels;
    }

    private function freeLabel(int $bikeId): string
    {
        return array_values(array_diff(range('A', 'Z'), $this->labelsOf($bikeId)))[0] ?? '';
    }

    /** The count of the chain that was added last: a new one copies it. */
    private function usualPitches(int $bikeId): ?int
    {
        $chainIds = array_keys($this->labelsOf($bikeId));

        return $chainIds === [] ? null : ($this->book->settings->whole(SettingKey::ChainPitches, max($chainIds)) ?: null);
    }
}
