<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Cost\ChainLife;
use Dripel\Core\Interval\AdviseBecause;
use Dripel\Core\Interval\BikeAdvice;
use Dripel\Core\Interval\IntervalLearnResult;
use Dripel\Core\Interval\LearnedByEar;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\PartWear;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\ChainSupply;
use Dripel\Core\Plan\EvenWear;
use Dripel\Core\Wear\BikeWear;
use Dripel\Core\Wear\ChainForecast;
use Dripel\Core\Wear\ChainRate;
use Dripel\Core\Wear\Instrument;
use Dripel\Core\Wear\InstrumentKind;
use Dripel\Core\Wear\OwnChains;
use Dripel\Core\Wear\SpotsAgree;
use Dripel\Core\Wear\WearForecastResult;
use Dripel\Core\Wear\WearReadingResult;
use Dripel\Core\Wear\WearVerdict;

/**
 * Wear in sentences: how worn a chain is, what to do, when its limit comes, and why that is believed.
 *
 * @phpstan-type WearView array{
 *     limit: float,
 *     value: float|null,
 *     lower: float|null,
 *     upper: float|null,
 *     mean: float|null,
 *     p10: float|null,
 *     p90: float|null,
 *     due?: bool,
 *     text?: string,
 *     of: string,
 * }
 */
final readonly class WearWords
{
    public function __construct(private Translator $translator) {}

    /** @return list<string> */
    public function sentences(ChainForecast $forecast): array
    {
        $q = $this->translator->quantities;
        $result = $forecast->result;
        $parameters = [
            'mean' => $this->pct($result->nowMean),
            'p10' => $this->pct($result->nowP10),
            'p90' => $this->pct($result->nowP90),
            'limit' => $q->mark($forecast->limitPct),
            'likely' => $q->number(max(1.0, round(100 * $result->probabilityPastLimit))),
            'km10' => $this->about($result->kmToLimitP10),
            'km50' => $this->about($result->kmToLimitP50),
            'km90' => $this->about($result->kmToLimitP90),
            'at' => $result->nextMeasurementKm === null ? '' : $this->about($result->nextMeasurementKm),
            'ahead' => $result->nextMeasurementKm === null ? '' : $this->about($result->nextMeasurementKm - $forecast->nowKm),
        ];
        $say = fn(string $code): string => $this->translator->say("wear.{$code}", $parameters);

        if ($result->verdict === WearVerdict::Retire) {
            // Its last reading alone may say so, whatever was believed before.
            return [$say($result->nowMean < $forecast->limitPct ? 'retire_reading' : 'now.retire')];
        }

        return array_values(
            array_filter([
                $say("now.{$result->verdict->value}"),
                match (true) {
                    $result->kmToLimitP50 === null => $say('limit_never'),
                    $result->kmToLimitP50 <= 0.0 => null,
                    $result->kmToLimitP90 === null => $say('limit_open'),
                    default => $say('limit'),
                },
                $result->nextMeasurementKm !== null && $result->nextMeasurementKm > $forecast->nowKm ? $say('measure_by') : null,
            ]),
        );
    }

    /** Where the belief and the limit come from. */
    public function why(ChainForecast $forecast, ChainState $chain, OwnChains $own): string
    {
        $q = $this->translator->quantities;
        $prior = $forecast->readings()->prior;
        $bikeId = $this->translator->settings->home($chain->chainId, $this->translator->nowS) ?? 0;

        return implode(
            ' ',
            array_filter([
                trans_choice('wear.why', count($forecast->readings()->readings), [
                    'rate' => $q->number($prior->rateMedian, 3),
                    'interval' => $q->distance($forecast->intervalKm),
                    'limit' => $q->mark($chain->terms->limitPct),
                    'factor' => $q->number(exp($prior->rateLogSd), 1),
                ]),
                $own->enough()
                    ? $this->translator->say('wear.why_own', ['count' => (string) $own->chains, 'times' => $this->times($own->logFactor)])
                    : '',
                $this->translator->say('wear.why_limit', [
                    'limit' => $q->mark($chain->terms->limitPct),
                    'school' => $this->translator->say(
                        'schools.' . $this->translator->settings->limitSchool($bikeId, $this->translator->nowS)->value . '.reason',
                    ),
                ]),
            ]),
        );
    }

    /** How the chains of a rider wear against the house rule. */
    public function times(float $logFactor): string
    {
        $q = $this->translator->quantities;

        return match (true) {
            abs($logFactor) < 0.05 => $this->translator->say('wear.as_expected'),
            $logFactor > 0 => $this->translator->say('wear.faster', ['times' => $q->number(exp($logFactor), 1)]),
            default => $this->translator->say('wear.slower', ['times' => $q->number(exp(-$logFactor), 1)]),
        };
    }

    /** What a reading says by itself. */
    public function reads(WearReadingResult $reading): string
    {
        $q = $this->translator->quantities;

        return $reading->valuePct !== null
            ? $this->translator->say('wear.reads.value', [
                'value' => $q->number($reading->valuePct, 2),
                'sigma' => $q->number((float) $reading->sigmaPct, 2),
            ])
            : $this->translator->say(
                'wear.reads.' . ($reading->lowerPct === null ? 'below' : ($reading->upperPct === null ? 'above' : 'between')),
                [
                    'lower' => $q->mark((float) $reading->lowerPct),
                    'upper' => $q->mark((float) $reading->upperPct),
                ],
            );
    }

    public function agree(SpotsAgree $agree, ?float $spreadPct): ?string
    {
        return match ($agree) {
            SpotsAgree::One => null,
            SpotsAgree::Even => $this->translator->say($spreadPct === null ? 'wear.spots.even_seats' : 'wear.spots.even', [
                'spread' => $this->pct($spreadPct ?? 0.0),
            ]),
            SpotsAgree::Uneven => $this->translator->say($spreadPct === null ? 'wear.spots.uneven_seats' : 'wear.spots.uneven', [
                'spread' => $this->pct($spreadPct ?? 0.0),
            ]),
        };
    }

    /** Of a chain of which nobody knows how far it went: only what the reading says. */
    public function verdictAlone(WearReadingResult $reading, ChainState $chain): string
    {
        return $this->translator->say($reading->reaches($chain->terms->limitPct) ? 'wear.alone.retire' : 'wear.alone.keep', [
            'limit' => $this->translator->quantities->mark($chain->terms->limitPct),
        ]);
    }

    /** The wear now beside the limit: "about 0.24 of 0.5 %". */
    public function now(WearForecastResult $result, float $limitPct): string
    {
        return $this->translator->say('wear.now_of', [
            'mean' => $this->pct($result->nowMean),
            'p10' => $this->pct($result->nowP10),
            'p90' => $this->pct($result->nowP90),
            'limit' => $this->translator->quantities->mark($limitPct),
        ]);
    }

    public function even(?EvenWear $even): ?string
    {
        return $even === null
            ? null
            : $this->translator->say(
                'wear.even.' .
                    match (true) {
                        $even->even() => 'even',
                        $even->on => 'on',
                        $even->least->rideable() => 'first',
                        default => 'wax',
                    },
                [
                    'least' => $this->translator->names->chain($even->least->chainId),
                    'most' => $this->translator->names->chain($even->most->chainId),
                    'apart' => $this->pct($even->apartPct),
                ],
            );
    }

    public function supply(ChainSupply $supply): string
    {
        $far = fn(?string $day): string => $day === null ? '' : $this->translator->farDay($day);
        [$by, $short] = [$far($supply->buyBy), $far($supply->shortOn)];
        $code = match (true) {
            $supply->tooFew() => 'too_few',
            $supply->shortOn === null => 'enough',
            $by === $short => 'buy_then',
            default => 'buy_by',
        };

        return trans_choice("wear.supply.{$code}", $supply->inUse, [
            'wanted' => trans_choice('wear.supply.wanted', $supply->wanted),
            'by' => $by,
            'short' => $short,
            'chain' => $supply->goes === null ? '' : $this->translator->names->chain($supply->goes->chainId),
        ]);
    }

    /** @return array{string, string} the advice and its reason */
    public function advice(BikeAdvice $advice): array
    {
        $q = $this->translator->quantities;
        $parameters = [
            'interval' => $this->about($advice->intervalKm),
            'lives' => $this->about($advice->lifeKm()),
            'times' => $this->times($advice->wear->logFactor),
            'floor' => $q->distance($advice::FLOOR_KM),
            'life' => $advice->input->targetLifeKm === null ? '' : $q->distance($advice->input->targetLifeKm),
        ];

        return [
            $this->translator->say('wear.advice.interval', $parameters),
            implode(
                ' ',
                array_filter([
                    trans_choice(
                        'wear.advice.' .
                            match (true) {
                                $advice->result->because === AdviseBecause::Noise => 'noise',
                                $advice->floored() => 'floor',
                                $advice->result->because === AdviseBecause::Cap => 'cap',
                                default => 'wear',
                            },
                        $advice->wear->enough ? $advice->wear->chains : 0,
                        $parameters,
                    ),
                    $advice->outside() && $advice->wear->enough ? $this->translator->say('wear.advice.outside') : '',
                    $advice->wear->enough ? '' : $this->missing($advice->wear),
                ]),
            ),
        ];
    }

    /** What a bike lacks before its wear says anything of its interval. */
    public function missing(BikeWear $wear): string
    {
        return trans_choice('wear.advice.missing', $wear->chains, [
            'fewest' => (string) OwnChains::FEWEST,
            'readings' => (string) ChainRate::ALONE_READINGS,
            'over' => $this->translator->quantities->distance(ChainRate::ALONE_KM),
        ]);
    }

    /** @return list<string> when a bike's chains get loud, how sure that is, and by season where that is known */
    public function ear(LearnedByEar $learned): array
    {
        $say = fn(string $code, IntervalLearnResult $of): string => trans_choice("wear.ear.{$code}", $of->noises, [
            'interval' => $this->about($of->intervalKm),
            'low' => $this->about($of->intervalP10Km),
            'high' => $this->about($of->intervalP90Km),
            'median' => $this->about($of->medianKm),
            'quiet' => (string) ($of->cycles - $of->noises),
        ]);

        return [
            $say('all', $learned->result),
            ...array_map(fn(string $season) => $say($season, $learned->seasons[$season]), array_keys($learned->seasons)),
        ];
    }

    /** What an instrument is called, and how well it reads. */
    public function instrument(Instrument $instrument): string
    {
        return $instrument->id === null
            ? $this->translator->say("wear.instrument.usual.{$instrument->kind->value}")
            : $this->translator->settings->text(SettingKey::InstrumentName, $instrument->id);
    }

    public function reading(Instrument $instrument): string
    {
        $q = $this->translator->quantities;

        return $this->translator->say("wear.instrument.about.{$instrument->kind->value}", [
            'marks' => $this->translator->names->list(array_map($q->mark(...), $instrument->marks)),
            'pitches' => (string) $instrument->pitches,
            'sigma' => $q->number($instrument->sigmaPct() ?? 0.0, 2),
            'zero' => $q->number($instrument->zeroPct, 2),
        ]) .
            ($instrument->id === null && $instrument->kind !== InstrumentKind::DropIn
                ? ' ' . $this->translator->say('wear.instrument.house')
                : '');
    }

    /** Why 46 pitches and not 24. */
    public function pitches(): string
    {
        $rule = Instrument::usual(InstrumentKind::Ruler);

        return $this->translator->say('wear.instrument.pitches', [
            'long' => (string) Instrument::PITCHES,
            'long_sigma' => $this->translator->quantities->number((float) $rule->sigmaPct(), 2),
            'short' => (string) Instrument::SHORT_PITCHES,
            'short_sigma' => $this->translator->quantities->number((float) $rule->sigmaPct(Instrument::SHORT_PITCHES), 2),
        ]);
    }

    /** What the chains did to a part: "outlived 2 of 4 to 5 chains". */
    public function part(PartWear $wear): string
    {
        return trans_choice('wear.part.outlived', $wear->outlived, [
            'least' => (string) PartWear::CHAINS_LEAST,
            'most' => (string) PartWear::CHAINS_MOST,
        ]);
    }

    public function partWarning(PartWear $wear): ?string
    {
        return match (true) {
            $wear->pastLimitKm > 0.0 => $this->translator->say('wear.part.past', [
                'km' => $this->translator->quantities->distance(max(1.0, $wear->pastLimitKm)),
            ]),
            $wear->mayMakeSkip() => $this->translator->say('wear.part.old'),
            default => null,
        };
    }

    /** @return list<array{name: string, value: string}> the life of a chain in figures */
    public function life(ChainLife $life, ChainState $chain, ?int $endS): array
    {
        $q = $this->translator->quantities;
        $money = fn(?int $minor): string => $minor === null ? $this->translator->say('wear.life.no_price') : $q->money($minor);
        $lines = [
            'km' => $q->ridden($life->km),
            'rides' => (string) $life->rides,
            'dips' =>
                $life->topUps === 0
                    ? (string) $life->dips
                    : trans_choice('wear.life.and_topups', $life->topUps, ['dips' => (string) $life->dips]),
            'days' =>
                $life->firstS === null
                    ? null
                    : trans_choice('wear.life.for_days', max(1, (int) round((($endS ?? $chain->nowS) - $life->firstS) / 86400)), [
                        'from' => $q->date($life->firstS, 'd MMM y'),
                    ]),
            'wear' => (new ChainWords($this->translator))->elongation($chain->wear->result),
            'cost' =>
                $life->totalMinor() === null && !$life->cameUsed
                    ? $this->translator->say('wear.life.no_price')
                    : $this->translator->say('wear.life.parts', [
                        'total' => $money($life->totalMinor()),
                        'chain' => $life->cameUsed ? $this->translator->say('wear.life.paid_before') : $money($life->chainMinor),
                        'links' => $money($life->linksMinor),
                        'wax' => $money($life->waxMinor),
                        'drip' => $life->topUps === 0 ? '' : $this->translator->say('wear.life.drip', ['drip' => $money($life->dripMinor)]),
                    ]),
            'per' => $life->per1000KmMinor() === null ? null : $q->money($life->per1000KmMinor()),
        ];

        return array_map(
            fn(string $name, string $value) => [
                'name' => $this->translator->say("wear.life.{$name}", ['distance' => $q->distance(1000)]),
                'value' => $value,
            ],
            array_keys(array_filter($lines, fn(?string $value) => $value !== null)),
            array_filter($lines, fn(?string $value) => $value !== null),
        );
    }

    private function pct(float $value): string
    {
        return $this->translator->quantities->number(max(0.0, $value), 2);
    }

    /** Two digits are all that such a figure bears. */
    private function about(?float $km): string
    {
        if ($km === null) {
            return '';
        }
        $shown = $this->translator->quantities->units->fromKm(max(0.0, $km));
        $step = 10 ** max(1, (int) floor(log10(max(1.0, $shown))) - 1);

        return $this->translator->quantities->number(round($shown / $step) * $step) .
            "\u{a0}{$this->translator->quantities->units->distance}";
    }
}
