<?php

declare(strict_types=1);

namespace App\Text;

use Closure;
use DateTimeImmutable;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Pot\HeatPoint;
use Dripel\Core\Pot\PotCalibrateResult;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\PotHeatResult;
use Dripel\Core\Pot\PowerKnown;
use Dripel\Core\Pot\WaxProperties;

/**
 * How a pot heats up, in sentences: when it is liquid, when it is hot, when to plug it in, and what could go wrong.
 *
 * @phpstan-import-type ChartView from Chart
 *
 * @phpstan-type HeatView array{lines: list<string>, warnings: list<string>, chart: ChartView}
 */
final readonly class PotWords
{
    public function __construct(private Translator $translator) {}

    /** What a heat-up says of a pot. */
    public function fitted(PotCalibrateResult $found): string
    {
        $q = $this->translator->quantities;

        return $this->translator->say('pot.fitted', [
            'loss' => $q->number($found->lossWPerK, 2),
            'efficiency' => $q->number(100 * $found->efficiency) . "\u{a0}%",
            'rms' => $q->number($found->rmsC, 1) . "\u{a0}K",
        ]);
    }

    /** @return HeatView */
    public function heat(BathState $bath, PotHeatInput $in, PotHeatResult $heat, PowerKnown $known, ?string $by): array
    {
        $q = $this->translator->quantities;
        $minutes = fn(?float $value): string => $value === null ? '' : $q->hours($value / 60);
        $figures = [
            'liquid' => $minutes($heat->minutesToLiquid),
            'hot' => $minutes($heat->minutesToTarget),
            'target' => $q->temperature($in->targetC),
            'limit' => $q->temperature($bath->limitC),
            'end' => $heat->equilibriumC === null ? '' : $q->temperature($heat->equilibriumC),
            'power' => $q->number($in->powerW),
        ];
        $say = fn(string $code, array $more = []): string => $this->translator->say("pot.heat.{$code}", $more + $figures);

        return [
            'lines' => array_values(
                array_filter([
                    $heat->minutesToLiquid === null ? null : $say($heat->minutesToLiquid > 0.0 ? 'liquid' : 'liquid_now'),
                    $heat->minutesToTarget === null ? null : $say('hot'),
                    $by === null || $heat->minutesToTarget === null
                        ? null
                        : $say('plug_in', ['by' => $by, 'at' => $q->time($this->byS($by) - (int) ceil(60 * $heat->minutesToTarget))]),
                    $known === PowerKnown::Said ? null : $say("power_{$known->value}"),
                    $say('worked_out', [
                        'wax' => $q->mass($in->waxG),
                        'room' => $q->temperature($in->ambientC),
                        'loss' => $q->number($in->lossWPerK, 1),
                    ]),
                ]),
            ),
            'warnings' => array_values(
                array_filter([
                    $heat->minutesToLiquid === null ? $say('never_melts') : ($heat->minutesToTarget === null ? $say('never_hot') : null),
                    $in->targetC > $bath->limitC ? $say('target_too_hot') : null,
                    $heat->equilibriumC !== null && $heat->equilibriumC > $bath->limitC ? $say('overheats') : null,
                ]),
            ),
            'chart' => $this->bathChart(
                $heat->curve,
                [],
                fn(float $min) => $min,
                $in->wax,
                $bath->limitC,
                new ChartAxis(
                    $this->translator->say('ui.chart.minutes'),
                    0.0,
                    max(1.0, array_last($heat->curve)->min ?? 1.0),
                    fn(float $min) => $q->number($min),
                ),
            ),
        ];
    }

    /** The next time that the clock shows it. */
    private function byS(string $by): int
    {
        $today = LocalDay::of($this->translator->nowS, $this->translator->zone());
        $at = fn(LocalDay $day): int => (new DateTimeImmutable("{$day->date} {$by}", $this->translator->zone()))->getTimestamp();

        return $at($today) > $this->translator->nowS ? $at($today) : $at($today->plus(1));
    }

    /**
     * How hot a bath gets, as predicted and as measured, against the melting range and the limit of its wax.
     *
     * @param list<HeatPoint> $predicted
     * @param list<array{int, float}> $measured instants and °C
     * @param Closure(float): float $at where a minute of the prediction lies on the axis
     *
     * @return ChartView
     */
    public function bathChart(array $predicted, array $measured, Closure $at, WaxProperties $melts, float $limitC, ChartAxis $time): array
    {
        $q = $this->translator->quantities;
        $say = fn(string $code): string => $this->translator->say("ui.chart.{$code}");
        $shown = $q->units->fromCelsius(...);
        $lines = [
            new ChartLine(
                $say('bath_predicted'),
                array_map(fn(HeatPoint $point) => ['x' => $at($point->min), 'y' => $shown($point->tempC)], $predicted),
            ),
            ...$measured === []
                ? []
                : [
                    new ChartLine(
                        $say('bath_measured'),
                        array_map(fn(array $one) => ['x' => (float) $one[0], 'y' => $shown($one[1])], $measured),
                    ),
                ],
        ];
        $all = array_merge(...array_map(fn(ChartLine $line) => array_column($line->points, 'y'), $lines));

        return Chart::of(
            $say('bath'),
            $time,
            new ChartAxis(
                $say('temperature'),
                min([$shown(10.0), ...$all]),
                max([$shown($limitC), ...$all]) + 8.0,
                fn(float $value) => $q->temperature($q->units->toCelsius($value)),
            ),
            array_reverse($lines),
            [['at' => $shown($limitC), 'text' => $say('bath_limit')]],
            zone: ['from' => $shown($melts->meltFromC), 'to' => $shown($melts->meltToC), 'text' => $say('melts')],
        );
    }
}
