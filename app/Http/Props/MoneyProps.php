<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Cost\ReadCosts;
use App\Cost\ReadPrices;
use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\People\ReadWhose;
use App\Plan\ReadPlan;
use App\Support\SortOrder;
use App\Text\Chart;
use App\Text\ChartAxis;
use App\Text\ChartLine;
use App\Text\StripWords;
use App\Text\Translator;
use App\Text\Translators;
use App\Wear\ReadWear;
use Dripel\Core\Cost\ChainLife;
use Dripel\Core\Cost\CostFigures;
use Dripel\Core\Cost\CostPoint;
use Dripel\Core\Cost\CostSum;
use Dripel\Core\Cost\PlainDrip;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Cost\WorkDone;
use Dripel\Core\Interval\IntervalEconomyInput;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Riders\Riders;
use Dripel\Core\Riders\Whose;

/**
 * What it all costs: by year, by bike, by chain, and beside plain drip.
 *
 * @phpstan-import-type ChartView from Chart
 *
 * @phpstan-type MoneyChain array{id: int, name: string, km: string, total: string, used: bool, per: string}
 * @phpstan-type PlainDripTerms array{as_wax: string, every: string, lives: string}
 * @phpstan-type MoneyChart array{text: string, chart: ChartView}
 * @phpstan-type MoneyRow array{name: string, kinds: list<string>, total: string, km: string, per: string}
 * @phpstan-type MoneyPage array{
 *     kinds: list<string>,
 *     all: MoneyRow,
 *     years: list<MoneyRow>,
 *     bikes: list<MoneyRow>,
 *     riders: list<MoneyRow>,
 *     chains: list<MoneyChain>,
 *     sort: string,
 *     beside: list<array{name: string, total: string}>,
 *     unpriced: string,
 *     chart: MoneyChart|null,
 *     months: ChartView|null,
 *     plain: PlainDripTerms,
 *     work: array{hour: string, text: string},
 * }
 */
final readonly class MoneyProps
{
    /** The chart is drawn through so many points. */
    private const STEPS = 48;

    /** The columns: what is bought, by what it is for. */
    private const KINDS = [
        'chains' => [Supply::Chain, Supply::QuickLink],
        'parts' => [Supply::Cassette, Supply::Ring, Supply::JockeyWheels],
        'wax' => [Supply::Wax],
        'drip' => [Supply::DripWax],
        'solvents' => [
            Supply::WhiteSpirit,
            Supply::MethylatedSpirit,
            Supply::IsopropylAlcohol,
            Supply::Acetone,
            Supply::Petrol,
            Supply::LampOil,
            Supply::Degreaser,
        ],
    ];

    public function __construct(
        private ReadBook $readBook,
        private ReadCosts $readCosts,
        private ReadPrices $readPrices,
        private ReadWear $readWear,
        private ReadWhose $readWhose,
        private ReadPlan $readPlan,
        private Translators $translators,
    ) {}

    /**
     * @param string $sort a column of the chains; with a minus before it the largest first
     *
     * @return MoneyPage
     */
    public function all(Workshop $workshop, string $sort = ''): array
    {
        $book = ($this->readBook)($workshop);
        $translator = $this->translators->current();
        $whose = ($this->readWhose)();
        $riders = Riders::of($book);
        $bikeIds = $whose->bikes($book->bikeIds);
        $plain = $this->plain($workshop, $book, $translator->nowS);
        $costs = $book->kept(
            "costs {$whose->rider}",
            fn() => CostFigures::of(($this->readCosts)($workshop), $book, $whose, $riders, $plain, self::STEPS, $translator->nowS),
            $translator->nowS,
        );

        return [
            'kinds' => array_map(fn(string $kind) => $translator->say("ui.money.kind.{$kind}"), array_keys(self::KINDS)),
            'all' => $this->row($translator, $translator->say('ui.money.all'), $costs->all),
            'years' =>
                $costs->all->minor() > 0
                    ? array_map(
                        fn(int $year, CostSum $sum) => $this->row($translator, (string) $year, $sum),
                        array_keys($costs->years),
                        array_values($costs->years),
                    )
                    : [],
            'bikes' => [
                ...array_map(
                    fn(int $id) => $this->row($translator, $translator->names->bike($id), $costs->bikes[$id] ?? new CostSum()),
                    $bikeIds,
                ),
                // What is for all bikes was not used up by the km that are on none.
                ...$whose->rider === null
                    ? [['per' => '–'] + $this->row($translator, $translator->say('ui.money.common'), $costs->bikes[0] ?? new CostSum())]
                    : [],
            ],
            'riders' =>
                $whose->rider === null && $riders->several()
                    ? array_map(
                        // With what was bought for all bikes, which no km of these used up.
                        fn(array $one) => ($one[0] === null ? ['per' => '–'] : []) +
                            $this->row($translator, $one[0] ?? $translator->say('ui.riders.everybody'), $one[1]),
                        $costs->riders,
                    )
                    : [],
            'chains' => $this->chains($translator, $costs, $sort ?: '-km'),
            'sort' => $sort ?: '-km',
            'beside' => [
                [
                    'name' => $translator->say('ui.money.kind.parts'),
                    'total' => $translator->quantities->money($costs->besideChains->minor(self::KINDS['parts'])),
                ],
                [
                    'name' => $translator->say('ui.money.beside'),
                    'total' => $translator->quantities->money(
                        $costs->besideChains->minor() - $costs->besideChains->minor(self::KINDS['parts']),
                    ),
                ],
            ],
            'unpriced' => (new StripWords($translator))->unpriced($costs->unpriced),
            'chart' => $this->chart($translator, $costs->against),
            'months' => $this->months($translator, $costs->months),
            'plain' => $this->terms($translator, $book, $whose, $plain),
            'work' => $this->work($translator, $book, $whose, $this->readPlan->capacity($workshop)),
        ];
    }

    private function plain(Workshop $workshop, Book $book, int $nowS): PlainDrip
    {
        $wear = ($this->readWear)($workshop);
        $factors = array_combine($book->bikeIds, array_map(fn(int $id) => $wear->ofBike($id)->factor(), $book->bikeIds));

        return PlainDrip::of($book->settings, $factors, ($this->readPrices)($workshop), IntervalEconomyInput::CHAINS_PER_CASSETTE, $nowS);
    }

    /** @return list<MoneyChain> those that were bought and never ridden too */
    private function chains(Translator $translator, CostFigures $costs, string $sort): array
    {
        $lives = array_map(fn(int $id, ChainLife $life) => [$id, $life], array_keys($costs->lives), $costs->lives);
        $order = new SortOrder($sort);
        $key = fn(array $one): string|float => match ($order->column) {
            'name' => $translator->names->fullChain($one[0]),
            'total' => (float) $costs->chainMinor[$one[0]],
            'per' => (float) $one[1]->per1000KmMinor(),
            default => $one[1]->km->km,
        };

        return array_map(
            fn(array $one) => [
                'id' => $one[0],
                'name' => $translator->names->fullChain($one[0]),
                'km' => $translator->quantities->ridden($one[1]->km),
                'total' => $translator->quantities->money($costs->chainMinor[$one[0]]),
                'used' => $one[1]->cameUsed,
                'per' => $this->money($translator, $one[1]->per1000KmMinor()),
            ],
            $order->by($lives, $key),
        );
    }

    /** @return PlainDripTerms how plain drip is taken to do */
    private function terms(Translator $translator, Book $book, Whose $whose, PlainDrip $plain): array
    {
        $q = $translator->quantities;
        $lives = array_filter($plain->livesKm, fn(int $id) => $whose->bike($id) && $book->lastRiddenS($id) !== null, ARRAY_FILTER_USE_KEY);

        return [
            'as_wax' => $q->number($book->settings->dripAsWax(), 2),
            'every' => (string) round($q->units->fromKm($plain->everyKm)),
            'lives' =>
                $lives === []
                    ? ''
                    : $translator->say('ui.money.lives', [
                        'lives' => $translator->names->list(
                            array_map(
                                fn(int $id, float $km) => $translator->say('ui.money.life_of', [
                                    'bike' => $translator->names->bike($id),
                                    'km' => $q->distance(round($km, -2)),
                                ]),
                                array_keys($lives),
                                $lives,
                            ),
                        ),
                    ]),
        ];
    }

    /** @return array{hour: string, text: string} what an hour is worth, and what the book took of them */
    private function work(Translator $translator, Book $book, Whose $whose, ?int $potCapacity): array
    {
        $q = $translator->quantities;
        $minor = $book->settings->hourMinor();
        $minutes = $book->kept(
            "work done {$whose->rider} {$potCapacity}",
            fn() => WorkDone::of($book, PlanTerms::of($book, $potCapacity, $translator->nowS), $translator->nowS, $whose)->minutes,
            $translator->nowS,
        );

        return [
            'hour' => $q->amount($minor),
            'text' => $translator->say($minor > 0.0 ? 'ui.money.work_worth' : 'ui.money.work', [
                'hours' => $q->number($minutes / 60.0),
                'worth' => $q->money(($minutes / 60.0) * $minor),
            ]),
        ];
    }

    /** @return MoneyRow */
    private function row(Translator $translator, string $name, CostSum $sum): array
    {
        return [
            'name' => $name,
            'kinds' => array_map(function (array $supplies) use ($translator, $sum): string {
                $minor = $sum->minor($supplies);

                return $minor > 0 ? $translator->quantities->money($minor) : '–';
            }, array_values(self::KINDS)),
            'total' => $translator->quantities->money($sum->minor()),
            'km' => $translator->quantities->distance($sum->km),
            'per' => $this->money($translator, $sum->per1000Km()),
        ];
    }

    /**
     * @param list<CostPoint> $points
     *
     * @return MoneyChart|null
     */
    private function chart(Translator $translator, array $points): ?array
    {
        $most = max([0.0, ...array_map(fn(CostPoint $point) => max($point->waxedMinor, $point->plainMinor), $points)]);
        if ($most <= 0.0) {
            return null;
        }
        $last = $points[self::STEPS];
        $q = $translator->quantities;
        $line = fn(string $name, callable $of): ChartLine => new ChartLine(
            $translator->say("ui.money.{$name}"),
            array_map(fn(CostPoint $point) => ['x' => (float) $point->atS, 'y' => $of($point)], $points),
        );

        return [
            'chart' => Chart::of(
                $translator->say('ui.chart.money'),
                new ChartAxis(
                    $translator->say('ui.chart.day'),
                    (float) $points[0]->atS,
                    (float) $last->atS,
                    fn(float $atS) => $q->date((int) $atS, 'd MMM y'),
                    4,
                    $translator->zone(),
                ),
                new ChartAxis($translator->say('ui.chart.spent'), 0.0, 1.05 * $most, $q->money(...)),
                [$line('waxed', fn(CostPoint $point) => $point->waxedMinor), $line('plain', fn(CostPoint $point) => $point->plainMinor)],
            ),
            'text' => $translator->say(
                match (true) {
                    abs($last->waxedMinor - $last->plainMinor) < 0.5 => 'ui.money.as_much',
                    $last->waxedMinor < $last->plainMinor => 'ui.money.waxed_less',
                    default => 'ui.money.plain_less',
                },
                [
                    'km' => $q->distance($last->km),
                    'waxed' => $q->money($last->waxedMinor),
                    'plain' => $q->money($last->plainMinor),
                    'difference' => $q->money(abs($last->waxedMinor - $last->plainMinor)),
                ],
            ),
        ];
    }

    /**
     * @param array<string, int> $months
     *
     * @return ChartView|null what was paid month by month; null before anything was, and in the first month
     */
    private function months(Translator $translator, array $months): ?array
    {
        if (count($months) < 2 || array_sum($months) <= 0) {
            return null;
        }
        $q = $translator->quantities;
        $startS = fn(string $month): float => (float) LocalDay::named("{$month}-01", $translator->zone())->startS();
        $last = (string) array_key_last($months);
        $endS = $startS(date('Y-m', (int) strtotime("{$last}-01 +1 month")));

        return Chart::of(
            $translator->say('ui.chart.months'),
            new ChartAxis(
                $translator->say('ui.chart.month'),
                $startS((string) array_key_first($months)),
                $endS,
                fn(float $atS) => $q->date((int) $atS, 'MMM y'),
                5,
                $translator->zone(),
            ),
            new ChartAxis($translator->say('ui.chart.spent_month'), 0.0, 1.05 * max(1, ...array_values($months)), $q->money(...), 4),
            [
                new ChartLine(
                    $translator->say('ui.chart.spent'),
                    array_map(
                        fn(string $month, int $minor) => ['x' => $startS($month), 'y' => (float) $minor],
                        array_keys($months),
                        $months,
                    ),
                    'bars',
                ),
            ],
        );
    }

    private function money(Translator $translator, ?float $minor): string
    {
        return $minor === null ? '–' : $translator->quantities->money($minor);
    }
}
