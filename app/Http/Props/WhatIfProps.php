<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Http\Requests\Plan\WhatIfRequest;
use App\Text\Chart;
use App\Text\ChartAxis;
use App\Text\ChartLine;
use App\Text\StripWords;
use App\Text\Translator;
use Dripel\Core\Interval\EconomyRow;
use Dripel\Core\Interval\IntervalEconomy;
use Dripel\Core\Interval\IntervalEconomyResult;
use Dripel\Core\Interval\IntervalSchool;
use Dripel\Core\Interval\LearnedByEar;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Plan\Rotation;
use Dripel\Core\Plan\SimulatedBike;
use Dripel\Core\Plan\SimulatedPolicy;
use Dripel\Core\Plan\SimulatedWeek;
use Dripel\Core\Plan\SimulateInput;
use Dripel\Core\Plan\SimulateResult;
use Dripel\Core\Plan\WorkshopYears;
use Dripel\Core\Wear\LimitSchool;
use Generator;

/**
 * Policies side by side over the years: chain life, cassettes, pot days, hours, wax, money; and the cheapest interval of a bike.
 *
 * @phpstan-import-type ChartView from Chart
 * @phpstan-import-type Choice from FormProps
 *
 * @phpstan-type WhatIfPage array{
 *     policies: list<array{interval: string, chains: int|null, rotation: string, limit: string|null, drip_only: bool}>,
 *     intervals: list<Choice>,
 *     most: int,
 *     rotations: list<Choice>,
 *     limits: list<Choice>,
 *     hour: string,
 *     bikes: list<array{value: int, title: string}>,
 * }
 * @phpstan-type ComparedRow array{
 *     name: string,
 *     figures: array{
 *         life: string,
 *         bought: string,
 *         cassettes: string,
 *         pot_days: string,
 *         topups: string,
 *         hours: string,
 *         wax: string,
 *         solvents: string,
 *         money: string,
 *         per: string,
 *     },
 *     forced: int,
 *     rough: bool,
 *     weeks: list<string>,
 * }
 * @phpstan-type Economy array{text: string, chart: ChartView}
 * @phpstan-type ComparedAll array{
 *     best: list<int>,
 *     against: string,
 *     differences: list<string>,
 *     bike: array{id: int, name: string, rate: string}|null,
 *     notes: list<string>,
 * }
 * @phpstan-type ComparedPart array{
 *     done: int,
 *     of: int,
 *     at: int|null,
 *     row: ComparedRow|null,
 *     all: ComparedAll|null,
 *     economy: Economy|null,
 * }
 */
final readonly class WhatIfProps
{
    public function __construct(private Book $book, private Translator $translator) {}

    /** @return WhatIfPage what the page starts from: the schools and what is set now */
    public function page(): array
    {
        $units = $this->translator->quantities->units;
        $row = fn(float $km, string $rotation = 'even', bool $drip = false): array => [
            'interval' => (string) round($units->fromKm($km)),
            'chains' => null,
            'rotation' => $rotation,
            'limit' => null,
            'drip_only' => $drip,
        ];
        $now = 10.0 * round($units->fromKm(WorkshopYears::intervalKm($this->book, $this->translator->nowS)) / 10.0);
        // What one does now goes first: the others are held against it.
        $others = array_slice(
            array_filter(
                array_map(fn(IntervalSchool $school) => $school->km(), IntervalSchool::cases()),
                fn(float $km) => abs($units->fromKm($km) - $now) > 0.05 * $now,
            ),
            0,
            2,
        );

        return [
            'policies' => [
                $row($units->toKm($now)),
                ...array_map(fn(float $km) => $row($km), $others),
                $row(IntervalSchool::Short->km(), 'even', true),
            ],
            'intervals' => $this->intervals(),
            'most' => WhatIfRequest::MOST,
            'rotations' => array_map(
                fn(Rotation $one) => ['value' => $one->value, 'title' => $this->translator->say("ui.what_if.rotation.{$one->value}")],
                Rotation::cases(),
            ),
            'limits' => array_map(
                fn(LimitSchool $one) => ['value' => $one->value, 'title' => $this->translator->say("schools.{$one->value}.name")],
                LimitSchool::cases(),
            ),
            'hour' => $this->translator->quantities->amount($this->book->settings->hourMinor()),
            'bikes' => array_map(fn(int $id) => ['value' => $id, 'title' => $this->translator->names->bike($id)], $this->book->bikeIds),
        ];
    }

    /** @return list<array{value: string, title: string}> the schools, what each bike has now, and what was learned by ear */
    private function intervals(): array
    {
        $choice = fn(float $km, string $title): array => [
            'value' => (string) round($this->translator->quantities->units->fromKm($km)),
            'title' => $title,
        ];
        $found = array_map(
            fn(IntervalSchool $school) => $choice($school->km(), $this->translator->say("ui.what_if.school.{$school->value}")),
            IntervalSchool::cases(),
        );
        foreach ($this->book->bikeIds as $id) {
            $learned = LearnedByEar::of($this->book, $id, $this->translator->nowS);
            if ($learned !== null) {
                $found[] = $choice(
                    $learned->result->intervalKm,
                    $this->translator->say('ui.what_if.school.learned', ['bike' => $this->translator->names->bike($id)]),
                );
            }
        }

        return $found;
    }

    /**
     * What can be said at once, then better and better: each row as if all chains that were used went into each pot day, the cheapest
     * interval of a bike, each row with the chains that a good plan chooses.
     *
     * @param list<SimulatedPolicy> $policies
     * @param list<LimitSchool|null> $schools of each
     *
     * @return Generator<int, ComparedPart>
     */
    public function compare(WorkshopYears $workshop, array $policies, array $schools, int $years, ?int $bikeId): Generator
    {
        $bike =
            array_values(array_filter($workshop->bikes, fn(SimulatedBike $one) => $one->id === $bikeId))[0] ??
            ($workshop->bikes[0] ?? null);
        if ($bike === null) {
            $all = ['best' => [], 'against' => '', 'differences' => [], 'bike' => null, 'notes' => []];
            yield ['done' => 0, 'of' => 0, 'at' => null, 'row' => null, 'all' => $all, 'economy' => null];

            return;
        }
        $inputs = array_map(
            fn(SimulatedPolicy $policy, ?LimitSchool $school) => $workshop->input($policy, $years, $school),
            $policies,
            $schools,
        );
        [$results, $done, $of] = [[], 0, 2 * count($policies) + 1];
        foreach ($policies as $i => $policy) {
            $results[$i] = $workshop->simply($policy, $years, $schools[$i]);
            yield [
                'done' => ++$done,
                'of' => $of,
                'at' => $i,
                'row' => $this->row($results[$i], $inputs[$i], true),
                'all' => $i === 0 ? $this->all([], $inputs, $workshop, $bike) : null,
                'economy' => null,
            ];
        }
        $economy = $this->economy($workshop, $bike, $years);
        yield ['done' => ++$done, 'of' => $of, 'at' => null, 'row' => null, 'all' => null, 'economy' => $economy];
        foreach ($policies as $i => $policy) {
            $results[$i] = $workshop->better($policy, $years, $schools[$i], $results[$i]);
            yield [
                'done' => ++$done,
                'of' => $of,
                'at' => $i,
                'row' => $this->row($results[$i], $inputs[$i], false),
                // Good rows are not held against rough ones.
                'all' => $done === $of ? $this->all($results, $inputs, $workshop, $bike) : null,
                'economy' => null,
            ];
        }
    }

    /**
     * @param array<int, SimulateResult> $results of all rows; none: as long as they are not there
     * @param list<SimulateInput> $inputs
     *
     * @return ComparedAll what is said of all rows together
     */
    private function all(array $results, array $inputs, WorkshopYears $workshop, SimulatedBike $bike): array
    {
        $q = $this->translator->quantities;
        $costs = array_filter(
            array_map(fn(SimulateResult $result) => $result->usedUpPer1000Km(), $results),
            fn(?float $cost) => $cost !== null,
        );
        $least = $costs === [] ? 0.0 : min($costs);
        $poured = array_filter(array_map($workshop->pouredG(...), $inputs));

        return [
            'best' => array_keys(array_filter($costs, fn(float $cost) => $cost <= $least + 1e-9)),
            'against' => $this->translator->say('ui.what_if.difference.against', ['name' => $this->nameOf($inputs[0])]),
            'differences' => $results === [] ? [] : $this->differences(array_values($results), $inputs),
            'bike' => [
                'id' => (int) $bike->id,
                'name' => $this->translator->names->bike((int) $bike->id),
                'rate' => $this->translator->say('ui.what_if.measured', [
                    'bike' => $this->translator->names->bike((int) $bike->id),
                    'rate' => $q->number($bike->ratePctPer1000Km, 3),
                    'interval' => $q->distance($bike->rateIntervalKm),
                    'km' => $q->distance(array_sum($bike->weekKm)),
                    'factor' => $q->number($bike->factor, 2),
                ]),
            ],
            'notes' => array_values(
                array_filter([
                    (new StripWords($this->translator))->unpriced($workshop->unpriced),
                    $poured === [] ? '' : $this->translator->say('ui.what_if.poured', ['wax' => $q->mass(max($poured))]),
                ]),
            ),
        ];
    }

    /** @return ComparedRow */
    private function row(SimulateResult $result, SimulateInput $input, bool $rough): array
    {
        $q = $this->translator->quantities;
        $whole = fn(callable $of): string => $q->number($result->sum($of));
        $life = $result->chainLifeKm();
        $per1000 = $result->usedUpPer1000Km();

        return [
            'name' => $this->nameOf($input),
            'figures' => [
                'life' => $life === null ? $this->translator->say('ui.what_if.none_worn') : $q->distance($life),
                'bought' => $whole(fn(SimulatedWeek $week) => $week->bought),
                'cassettes' => $whole(fn(SimulatedWeek $week) => $week->cassettes),
                'pot_days' => $whole(fn(SimulatedWeek $week) => $week->potDays),
                'topups' => $whole(fn(SimulatedWeek $week) => $week->topUps),
                'hours' => $q->number($result->minutes() / 60.0),
                'wax' => $q->mass($result->sum(fn(SimulatedWeek $week) => $week->waxBoughtG)),
                'solvents' => $q->money($result->solventCost()),
                'money' => $q->money($result->cost()),
                'per' => $per1000 === null ? '—' : $q->money($per1000),
            ],
            'forced' => (int) $result->sum(fn(SimulatedWeek $week) => $week->forced),
            'rough' => $rough,
            'weeks' => array_values(
                array_map(
                    fn(SimulatedWeek $week) => $this->translator->say('ui.what_if.week', [
                        'week' => (string) ($week->week + 1),
                        'km' => $q->distance($week->km),
                        'pots' => (string) $week->potDays,
                        'dips' => (string) $week->dips,
                        'topups' => (string) $week->topUps,
                        'swaps' => (string) $week->swaps,
                        'retired' => (string) count($week->retired),
                        'minutes' => $q->number($week->minutes),
                        'money' => $q->money($week->cost),
                        'wax' => $q->mass($week->waxG),
                    ]),
                    array_filter(
                        $result->weeks,
                        fn(SimulatedWeek $week) => $week->potDays > 0 || $week->topUps > 0 || $week->retired !== [],
                    ),
                ),
            ),
        ];
    }

    /**
     * @param list<SimulateResult> $results
     * @param list<SimulateInput> $inputs
     *
     * @return list<string> what each of the others costs, takes and wears out against the first
     */
    private function differences(array $results, array $inputs): array
    {
        $q = $this->translator->quantities;
        $first = $results[0];
        $bought = fn(SimulateResult $result): int => (int) $result->sum(fn(SimulatedWeek $week) => $week->bought);
        $against = fn(string $what, float $difference, string $amount): string => trans_choice(
            "ui.what_if.difference.{$what}." . ($difference > 0.0 ? 'more' : 'less'),
            (int) abs($difference),
            ['amount' => $amount],
        );
        $said = [];
        foreach (array_slice($results, 1, null, true) as $n => $result) {
            $money = $result->cost() - $first->cost();
            $hours = round(($result->minutes() - $first->minutes()) / 60.0);
            $chains = $bought($result) - $bought($first);
            $parts = array_filter([
                abs($money) < 0.5 ? '' : $against('money', $money, $q->money(abs($money))),
                $hours === 0.0 ? '' : $against('hours', $hours, $q->number(abs($hours))),
                $chains === 0 ? '' : $against('chains', (float) $chains, (string) abs($chains)),
            ]);
            $said[] = $this->translator->say('ui.what_if.difference.of', [
                'name' => $this->nameOf($inputs[$n]),
                'what' => implode(', ', $parts) ?: $this->translator->say('ui.what_if.difference.none'),
            ]);
        }

        return $said;
    }

    private function nameOf(SimulateInput $input): string
    {
        return $this->translator->say($input->policy->dripOnly ? 'ui.what_if.drip_every' : 'ui.what_if.wax_every', [
            'interval' => $this->translator->quantities->distance($input->policy->intervalKm),
        ]);
    }

    /** @return Economy */
    private function economy(WorkshopYears $workshop, SimulatedBike $bike, int $years): array
    {
        $q = $this->translator->quantities;
        $own = $this->book->terms()->ofBike((int) $bike->id, $this->translator->nowS)->intervalKm;
        $found = (new IntervalEconomy())($workshop->economy($bike, $own, $years));
        $nearest = $found->nearest($own);
        $shown = $q->units->fromKm(...);
        $say = fn(string $code): string => $this->translator->say("ui.{$code}");
        $points = array_map(fn(EconomyRow $row) => ['x' => $shown($row->intervalKm), 'y' => $row->costPer1000Km], $found->rows);
        $at = array_column($points, 'x');
        [$fromKm, $toKm] = $found->within();
        $more = ['more' => $q->number(100.0 * IntervalEconomyResult::AS_GOOD) . "\u{a0}%"];

        return [
            'chart' => Chart::of(
                $say('chart.economy'),
                new ChartAxis($say('chart.every'), min($at), max($at), fn(float $value) => $q->distance($q->units->toKm($value))),
                new ChartAxis($say('what_if.per'), 0.0, 1.05 * max(1e-9, ...array_column($points, 'y')), $q->money(...)),
                [new ChartLine($say('what_if.per'), $points)],
                moments: [
                    ['at' => max(min($at), min(max($at), $shown($own))), 'text' => $say('what_if.yours')],
                    ['at' => $shown($found->best->intervalKm), 'text' => $say('what_if.cheapest')],
                ],
                span: ['from' => $shown($fromKm), 'to' => $shown($toKm), 'text' => $this->translator->say('ui.what_if.as_good', $more)],
            ),
            'text' =>
                $this->translator->say($found->atEdge ? 'ui.what_if.best_edge' : 'ui.what_if.best', [
                    'best' => $q->distance($found->best->intervalKm),
                    'money' => $q->money($found->best->costPer1000Km),
                    'own' => $q->distance($own),
                    'own_money' => $q->money($nearest->costPer1000Km),
                    'bike' => $this->translator->names->bike((int) $bike->id),
                    'outside' => $found->best->extrapolated ? $this->translator->say('ui.what_if.outside') : '',
                ]) .
                ' ' .
                $this->translator->say('ui.what_if.flat', ['from' => $q->distance($fromKm), 'to' => $q->distance($toKm)] + $more),
        ];
    }
}
