<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Pot\PotProposal;
use App\Text\Chart;
use App\Text\ChartAxis;
use App\Text\ChartLine;
use App\Text\HowRightWords;
use App\Text\Translator;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\HowRight\CalibrationPoint;
use Dripel\Core\HowRight\GradedPromise;
use Dripel\Core\HowRight\HowRight;
use Dripel\Core\HowRight\PromiseGrade;
use Dripel\Core\HowRight\PromiseKind;
use Dripel\Core\HowRight\ProposedMargin;
use Dripel\Core\HowRight\ReplayedYear;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\LearnedCondition;
use Dripel\Core\Logbook\RecordedBook;

/**
 * How right Dripel was: each kind of promise with its share, how sure that is, what was broken most, and what follows from it.
 *
 * @phpstan-import-type ChartView from Chart
 *
 * @phpstan-type GradeView array{
 *     kind: value-of<PromiseKind>,
 *     name: string,
 *     text: string,
 *     share: string|null,
 *     kept: string,
 *     band: array{low: float, high: float, at: float, promised: float|null}|null,
 *     sentences: list<string>,
 * }
 * @phpstan-type BrokenPromise array{when: string, text: string, why: string}
 * @phpstan-type MarginView array{text: string, why: string, take: string}
 * @phpstan-type PotFitView array{pot: int, text: string, why: string, take: string}
 * @phpstan-type FactorOfferView array{condition: value-of<Condition>, text: string, why: string, take: string}
 * @phpstan-type ReplayView array{text: string, columns: list<string>, rows: list<array{name: string, cells: list<string>}>}
 * @phpstan-type HowRightView array{
 *     intro: string,
 *     grades: list<GradeView>,
 *     chart: ChartView|null,
 *     worst: list<BrokenPromise>,
 *     margin: MarginView|null,
 *     pots: list<PotFitView>,
 *     factors: list<FactorOfferView>,
 *     answers: list<string>,
 * }
 * @phpstan-type HowRightPage array{how?: HowRightView, replay?: ReplayView|null}
 */
final readonly class HowRightProps
{
    private HowRightWords $words;

    public function __construct(private Translator $translator)
    {
        $this->words = new HowRightWords($translator);
    }

    /**
     * @param list<PotProposal> $pots
     * @param list<LearnedCondition> $factors
     *
     * @return HowRightView
     */
    public function all(?HowRight $how, ?ProposedMargin $margin, array $pots, array $factors, RecordedBook $recorded): array
    {
        return [
            'intro' => $this->words->intro($how),
            'grades' => array_map($this->grade(...), $how->grades ?? []),
            'chart' => $how === null || $how->calibration() === [] ? null : $this->chart($how->calibration()),
            'worst' => array_map(
                fn(GradedPromise $one) => [
                    'when' => $this->words->made($one),
                    'text' => $this->words->broken($one),
                    'why' => $this->words->why($one),
                ],
                $how?->worst() ?? [],
            ),
            'margin' => $margin === null ? null : $this->words->margin($margin),
            'pots' => array_map($this->words->pot(...), $pots),
            'factors' => array_map($this->words->factor(...), $factors),
            'answers' => $this->words->answers($recorded),
        ];
    }

    /**
     * @param array<string, ReplayedYear>|null $years
     * @param float $pickupG what a dip takes out of the pot
     *
     * @return ReplayView|null
     */
    public function replay(?array $years, PriceList $prices, float $pickupG): ?array
    {
        if ($years === null) {
            return null;
        }
        $waxKg = $prices->costMinor(Supply::Wax, 1000, $this->translator->nowS);
        $topUp = $prices->costMinor(Supply::DripWax, DripDoseInput::USUAL_ML, $this->translator->nowS);
        $priced = $waxKg !== null && $topUp !== null;

        return [
            'text' => $this->words->replayed($years),
            'columns' => $this->words->replayColumns($priced),
            'rows' => array_map(
                fn(string $name, ReplayedYear $year) => [
                    'name' => $this->words->policy($name),
                    'cells' => [
                        ...$this->words->replayCells($year),
                        ...$priced ? [$this->translator->quantities->money($year->costMinor($pickupG, $waxKg, $topUp))] : [],
                    ],
                ],
                array_keys($years),
                $years,
            ),
        ];
    }

    /** @return GradeView */
    private function grade(PromiseGrade $grade): array
    {
        $interval = $grade->interval();

        return [
            'kind' => $grade->kind->value,
            'name' => $this->words->name($grade->kind),
            'text' => $this->words->promise($grade->kind),
            'share' => $grade->share() === null ? null : $this->words->share($grade->share()),
            'kept' => $this->words->kept($grade),
            'band' =>
                $interval === null
                    ? null
                    : [
                        'low' => $interval->low,
                        'high' => $interval->high,
                        'at' => (float) $grade->share(),
                        'promised' => $grade->promised(),
                    ],
            'sentences' => $this->words->about($grade),
        ];
    }

    /**
     * @param list<CalibrationPoint> $points
     *
     * @return ChartView
     */
    private function chart(array $points): array
    {
        $percent = $this->words->share(...);

        return Chart::of(
            $this->words->say('chart'),
            new ChartAxis($this->words->say('said'), 0.0, 1.0, $percent),
            new ChartAxis($this->words->say('came'), 0.0, 1.0, $percent),
            [
                new ChartLine($this->words->say('as_said'), [['x' => 0.0, 'y' => 0.0], ['x' => 1.0, 'y' => 1.0]]),
                new ChartLine(
                    $this->words->say('came'),
                    array_map(
                        fn(CalibrationPoint $one) => [
                            'x' => $one->said,
                            'y' => $one->share(),
                            'low' => $one->interval()->low,
                            'high' => $one->interval()->high,
                        ],
                        $points,
                    ),
                    'dots',
                ),
            ],
        );
    }
}
