<?php

declare(strict_types=1);

namespace App\Demo;

use App\Actions\Arriving\Arrive;
use App\Actions\Arriving\ArrivingBike;
use App\Actions\Arriving\ArrivingPart;
use App\Actions\Arriving\CorrectOpening;
use App\Actions\Bike\AddBike;
use App\Actions\Bike\BrushDrivetrain;
use App\Actions\CatchUp\EstimateDistance;
use App\Actions\CatchUp\SetCommute;
use App\Actions\Chain\AddChain;
use App\Actions\Chain\RecordReading;
use App\Actions\Chain\ReportNoise;
use App\Actions\Chain\RetireChain;
use App\Actions\Drip\TopUpChain;
use App\Actions\Fitting\FitChain;
use App\Actions\Plan\AnswerMargin;
use App\Actions\Pot\DipChains;
use App\Actions\Pot\DipTerms;
use App\Actions\Ride\LogRide;
use App\Actions\Ride\RideFacts;
use App\Actions\Workshop\ChangeSettings;
use App\Actions\Workshop\OpenWorkshop;
use App\Exceptions\NotPossible;
use App\Jobs\PackPastRides;
use App\Logbook\ActionContext;
use App\Logbook\PastRides;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\User;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use DateTimeImmutable;
use DateTimeZone;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\Factors;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\Estimate;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\WaxThen;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlanTerms;
use Illuminate\Support\Str;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * The demo: two invented riders of the Ostermoor with five bikes and fourteen months of logbook, ending at a given today.
 * The first thirteen months are ridden by the dice; the last thirty days are told, so that every state of a chain and
 * everything that Next can ask for is there to be seen. Written only through the app's own actions.
 */
final class DemoWorkshop
{
    private const ZONE = 'Europe/Amsterdam';

    private const FIRST_DAY = 425;

    /** From this many days ago on the story is told, not thrown. */
    private const TOLD_FROM = 30;

    /** Chains that came used: km so far, whether they had been waxed, and how long they were by then, in %. */
    private const CAME_USED = ['Tram A' => [3_100.0, WaxThen::Known, 0.3], 'Lantern C' => [4_800.0, WaxThen::None, 0.72]];

    /** Two live in the house; the one in the cellar is everybody's. */
    private const RIDERS = [
        'Heron' => self::JORY,
        'Badger' => self::JORY,
        'Tram' => self::SUNNIVA,
        'Lantern' => null,
        'Moth' => self::SUNNIVA,
    ];

    private const JORY = 'Jory Venn';

    private const SUNNIVA = 'Sunniva Venn';

    /** One after the other: a jar serves one job at a time. */
    private const STRIPPED_AT = ['Heron' => '10:00', 'Badger' => '11:00', 'Tram' => '12:00'];

    private DemoTimeline $timeline;

    private Randomizer $dice;

    private LocalDay $today;

    private int $nowS;

    /** @var array<string, Bike> by name */
    private array $bikes = [];

    /** @var array<string, Chain> by "Heron A" */
    private array $chains = [];

    /** @var array<string, float> km on each chain, for readings that make sense */
    private array $km = [];

    /** @var array<string, float> km of wax used on each chain */
    private array $used = [];

    public function __construct(
        private readonly AppClock $clock,
        private readonly OpenWorkshop $openWorkshop,
        private readonly AddBike $addBike,
        private readonly AddChain $addChain,
        private readonly FitChain $fitChain,
        private readonly LogRide $logRide,
        private readonly DipChains $dipChains,
        private readonly TopUpChain $topUpChain,
        private readonly RecordReading $recordReading,
        private readonly ReportNoise $reportNoise,
        private readonly BrushDrivetrain $brushDrivetrain,
        private readonly RetireChain $retireChain,
        private readonly Arrive $arrive,
        private readonly CorrectOpening $correctOpening,
        private readonly EstimateDistance $estimateDistance,
        private readonly SetCommute $setCommute,
        private readonly DemoSolvents $solvents,
        private readonly DemoPotDay $potDay,
        private readonly AnswerMargin $answerMargin,
        private readonly ChangeSettings $changeSettings,
        private readonly DemoBench $bench,
    ) {}

    public function __invoke(int $nowS, int $seed): Workshop
    {
        $this->timeline = new DemoTimeline($this->clock, $seed);
        $this->dice = new Randomizer(new Mt19937($seed));
        $this->nowS = $nowS;
        $this->today = LocalDay::of($nowS, new DateTimeZone(self::ZONE));

        return WriteTransaction::run(function () use ($nowS): Workshop {
            $this->clock->stopAt($this->day(self::FIRST_DAY, '08:00'));
            $rider = User::query()->create(['name' => self::JORY, 'email' => 'demo@dripel.example', 'password' => Str::random(40)]);
            $workshop = ($this->openWorkshop)($rider, 'Lean-to on the Ostermoor', self::ZONE, true);
            // Fourteen months are written in a moment: they are packed once, when all of it stands.
            PastRides::asked($workshop, $nowS);
            $this->solvents->shelf($this->timeline, $this->day(self::FIRST_DAY, '09:00'));
            $this->solvents->pots(
                $this->timeline,
                $this->day(self::FIRST_DAY, '09:30'),
                $this->day(self::TOLD_FROM, '17:30'),
                $this->day(5, '17:00'),
            );
            $this->bench->instruments($this->timeline, $this->day(self::FIRST_DAY, '09:10'));
            $this->solvents->refill($this->timeline, $this->day(210, '10:30'));
            foreach (self::bikes() as $bike) {
                $this->open($bike, $workshop, $rider);
            }
            $this->bench->parts($this->timeline, $this->bikes, $this->day(self::FIRST_DAY, '22:00'), $this->day(36, '15:00'));
            foreach (self::bikes() as $bike) {
                $this->throwDice($bike);
            }
            $this->tell();
            $this->timeline->write($workshop, $rider);
            $this->clock->set($nowS);
            PackPastRides::dispatch($workshop->id)->afterCommit();

            return $workshop;
        });
    }

    /** @return list<DemoBike> */
    private static function bikes(): array
    {
        $year = range(1, 12);

        return [
            new DemoBike(
                'Heron',
                'road',
                12,
                300,
                null,
                'strict',
                116,
                ['A', 'B', 'C'],
                ['D'],
                [3 => 36, 6 => 50, 7 => 74],
                '09:10',
                27,
                $year,
                0.046,
            ),
            new DemoBike(
                'Badger',
                'gravel',
                11,
                250,
                null,
                'strict',
                112,
                ['A', 'B', 'C'],
                ['D'],
                [2 => 26, 6 => 44],
                '14:20',
                19,
                [1, 2, 3, 4, 5, 9, 10, 11, 12],
                0.035,
            ),
            new DemoBike(
                'Tram',
                'city',
                1,
                300,
                10,
                'by_speeds',
                98,
                ['A', 'B', 'C'],
                [],
                array_fill(1, 5, 11.4),
                '07:35',
                18,
                $year,
                0.07,
            ),
            new DemoBike(
                'Lantern',
                'indoor',
                9,
                400,
                null,
                'by_speeds',
                108,
                ['A', 'C', 'D'],
                ['B'],
                [2 => 24, 4 => 30],
                '19:05',
                29,
                [1, 2, 3, 10, 11, 12],
                0.08,
            ),
        ];
    }

    private function open(DemoBike $bike, Workshop $workshop, User $rider): void
    {
        $action = ($this->addBike)($this->timeline->context($workshop, $rider), [
            SettingKey::BikeName->value => $bike->name,
            SettingKey::BikeRider->value => self::RIDERS[$bike->name],
            SettingKey::BikeKind->value => $bike->kind,
            SettingKey::BikeSpeeds->value => $bike->speeds,
            SettingKey::IntervalKm->value => $bike->intervalKm,
            SettingKey::IntervalHours->value => $bike->intervalHours,
            SettingKey::LimitSchool->value => $bike->school,
            // One is past its limit and one is retired: time to buy.
            ...$bike->indoor() ? [SettingKey::ChainsWanted->value => 3] : [],
        ]);
        $this->bikes[$bike->name] = Bike::query()->whereKey($action->about->bike)->sole();
        $start = self::FIRST_DAY;
        foreach ($bike->inTurn as $index => $letter) {
            // Of three bikes the first chains went through the jars, three at a time.
            $this->addChain(
                $workshop,
                $rider,
                $bike,
                $letter,
                $bike->indoor() ? $this->day($start, '18:00') : null,
                $this->day($start, '20:30'),
                $index === 0 ? $this->day($start, '21:00') : null,
            );
        }
        if (!$bike->indoor()) {
            $this->solvents->strip(
                $this->timeline,
                array_map(fn(string $letter) => $this->chains["{$bike->name} {$letter}"], $bike->inTurn),
                $this->day($start, self::STRIPPED_AT[$bike->name]),
            );
        }
        foreach ($bike->asOld as $letter) {
            $this->addChain($workshop, $rider, $bike, $letter, null, null, null);
        }
    }

    private function addChain(
        Workshop $workshop,
        User $rider,
        DemoBike $bike,
        string $letter,
        ?int $strippedS,
        ?int $dippedS,
        ?int $fittedS,
    ): void {
        $at = fn(?int $unixS) => $unixS === null ? null : new Moment($unixS);
        $action = ($this->addChain)(
            $this->timeline->context($workshop, $rider),
            $this->bikes[$bike->name],
            $letter,
            $bike->speeds,
            $bike->pitches,
            $at($strippedS),
            $at($dippedS),
            $at($fittedS),
        );
        $name = "{$bike->name} {$letter}";
        $this->chains[$name] = Chain::query()->whereKey($action->about->chain)->sole();
        [$this->km[$name], $this->used[$name]] = [0.0, 0.0];
        if (isset(self::CAME_USED[$name])) {
            [$km, $wax] = self::CAME_USED[$name];
            $this->correctOpening->add(
                $this->timeline->context($workshop, $rider),
                $this->chains[$name],
                $km,
                $wax,
                $wax === WaxThen::Known ? 0.0 : null,
            );
        }
    }

    /** Thirteen months by the dice: ride as the season lets, swap before the wax runs out, heat the pot on Thursdays. */
    private function throwDice(DemoBike $bike): void
    {
        $on = $bike->inTurn[0];
        for ($ago = self::FIRST_DAY - 1; $ago > self::TOLD_FROM; $ago--) {
            $day = $this->today->plus(-$ago);
            $month = (int) substr($day->date, 5, 2);
            $km = $bike->week[$day->weekday()] ?? 0.0;
            $recent = $ago <= 60;
            if ($km > 0 && ($recent || (in_array($month, $bike->months, true) && !$this->chance(0.14)))) {
                $condition = $this->weather($bike, $month);
                $km = $recent ? $km : round($km * (0.8 + 0.4 * $this->throw()), 1);
                $this->ride($bike, $ago, $km, $condition, $on);
                if ($condition->soaks() && $this->chance(0.3)) {
                    $this->topUp("{$bike->name} {$on}", $ago);
                }
            }
            if ($this->used["{$bike->name} {$on}"] + max([0.0, ...$bike->week]) > $bike->intervalKm) {
                $next = $this->leastUsed($bike);
                if ($next !== $on && $this->used["{$bike->name} {$next}"] === 0.0) {
                    $this->swap($bike, $ago, $next, $on);
                    $on = $next;
                }
            }
            if ($day->weekday() === 4) {
                $this->potEvening($bike, $ago, $on);
            }
        }
    }

    /** The last thirty days. */
    private function tell(): void
    {
        [$heron, $badger, $tram, $lantern] = self::bikes();
        $this->dip(self::TOLD_FROM, [
            'Heron A',
            'Heron B',
            'Heron C',
            'Badger A',
            'Badger B',
            'Badger C',
            'Tram A',
            'Tram B',
            'Tram C',
            'Lantern A',
            'Lantern C',
        ]);
        $dry = fn(int $ago) => Condition::Dry;

        // Heron: A has some left, B is spent, C hangs waxed, D was stripped this morning.
        $this->put('Heron C', self::TOLD_FROM, '21:30');
        $this->rides($heron, 29, 22, $dry, 'C');
        $this->put('Heron B', 22, '20:00');
        $this->measure('Heron C', 22, '20:10');
        $this->rides($heron, 21, 8, $dry, 'B');
        $this->put('Heron A', 8, '20:00');
        $this->measure('Heron B', 8, '20:10');
        $this->rides($heron, 7, 1, $dry, 'A');
        foreach (['Heron C', 'Tram B'] as $name) {
            $this->used[$name] = 0.0;
        }
        $this->timeline->at(
            $this->day(5, '17:40'),
            fn(ActionContext $by) => $this->potDay->lead($by, [$this->chains['Heron C'], $this->chains['Tram B']]),
        );
        $this->solvents->strip($this->timeline, [$this->chains['Heron D']], $this->nowS - 16800 - DemoSolvents::BATHS_S, $this->nowS);

        // Some weeks were longer than those before, so that the plan took them to be longer for a while, where Dripel said so; now the
        // days are short, and it goes by ten again.
        $this->timeline->at($this->day(self::TOLD_FROM + 5, '08:10'), function (ActionContext $by): void {
            try {
                ($this->answerMargin)($by, true);
            } catch (NotPossible) {
                // On some days the margin was right as it was.
            }
        });
        $this->timeline->at(
            $this->day(12, '08:10'),
            fn(ActionContext $by) => ($this->changeSettings)($by, null, [SettingKey::PlanMarginPct->value => PlanTerms::MARGIN_PCT], false),
        );

        // Badger: C came off muddy, B got loud, A was ridden in yesterday's rain, and nothing waxed hangs ready.
        $this->put('Badger C', self::TOLD_FROM, '21:40');
        $this->rides($badger, 29, 21, $dry, 'C');
        $this->rideOf($badger, 20, 22.5, Condition::Muddy, 'C');
        $this->put('Badger B', 20, '20:00');
        $this->rides($badger, 19, 10, fn(int $ago) => Condition::Dusty, 'B');
        $this->timeline->at(
            $this->day(12, '17:20'),
            fn(ActionContext $by) => ($this->brushDrivetrain)($by, $this->bikes['Heron'], new Moment($this->day(12, '17:20'))),
        );
        $this->timeline->at(
            $this->day(10, '18:45'),
            fn(ActionContext $by) => ($this->reportNoise)($by, $this->bikes['Badger'], new Moment($this->day(10, '18:45'))),
        );
        $this->put('Badger A', 10, '20:00');
        $this->measure('Badger B', 10, '20:10');
        $this->solvents->strip($this->timeline, [$this->chains['Badger D']], $this->nowS - 3900 - DemoSolvents::BATHS_S, $this->nowS);
        $this->solvents->settle($this->timeline, $this->day(2, '11:00'));
        $this->rides($badger, 9, 2, $dry, 'A');
        $this->rideOf($badger, 1, 41.2, Condition::Wet, 'A');

        // Tram: C came off early, A has done its ten hours, B hangs waxed.
        $this->put('Tram C', self::TOLD_FROM, '21:50');
        $this->rides($tram, 29, 27, $dry, 'C');
        $this->put('Tram A', 27, '20:00');
        $this->measure('Tram C', 27, '20:10');
        $this->rides($tram, 26, 1, $dry, 'A');

        // Lantern: D was retired, C is past its limit, B is still in its box; one evening no chain was on.
        $this->put('Lantern A', self::TOLD_FROM, '22:00');
        $this->rides($lantern, 29, 20, fn(int $ago) => Condition::Indoor, 'A');
        $this->timeline->at(
            $this->day(25, '17:00'),
            fn(ActionContext $by) => ($this->recordReading)(
                $by,
                $this->chains['Lantern C'],
                [
                    'kind' => 'drop_in',
                    'results' => [['mark_pct' => 0.5, 'seat' => 'enters'], ['mark_pct' => 0.75, 'seat' => 'enters']],
                ],
                new Moment($this->day(25, '17:00')),
            ),
        );
        $this->timeline->at(
            $this->day(26, '17:00'),
            fn(ActionContext $by) => ($this->retireChain)($by, $this->chains['Lantern D'], new Moment($this->day(26, '17:00'))),
        );
        $this->timeline->at(
            $this->day(20, '21:00'),
            fn(ActionContext $by) => ($this->fitChain)($by, $this->bikes['Lantern'], null, new Moment($this->day(20, '21:00'))),
        );
        $this->rideOf($lantern, 19, 25, Condition::Indoor, 'A');
        $this->put('Lantern A', 18, '08:00');
        $this->measure('Lantern A', 18, '08:05');
        $this->topUp('Lantern A', 12);
        $this->rides($lantern, 11, 1, fn(int $ago) => Condition::Indoor, 'A');
        $this->tellOfMoth();
        $this->tellOfTheRace();
    }

    /** A race chain came three weeks ago, waxed in the small pot; it is kept for its event, and wants a fresh dip for it from today on. */
    private function tellOfTheRace(): void
    {
        $this->timeline->at(
            $this->day(20, '18:30'),
            fn(ActionContext $by) => ($this->addChain)(
                $by,
                $this->bikes['Heron'],
                'R',
                12,
                116,
                dippedAt: new Moment($this->day(20, '18:00')),
                facts: [
                    SettingKey::ChainEvent->value => 'the Ostermoor crossing',
                    SettingKey::ChainEventOn->value => $this->today->plus(12)->date,
                    SettingKey::ChainDippedAfter->value => $this->today->plus(-1)->date,
                ],
            ),
        );
    }

    /**
     * Moth came second-hand nine days ago: of the chain on it nobody knows when it was waxed. Its first days were caught
     * up with, its commute fills itself in, and one ride of a file went to no bike yet.
     */
    private function tellOfMoth(): void
    {
        $cameS = $this->day(9, '17:30');
        $this->timeline->at($cameS, function (ActionContext $by) use ($cameS): void {
            $action = ($this->arrive)(
                $by,
                [
                    new ArrivingBike(
                        [
                            SettingKey::BikeName->value => 'Moth',
                            SettingKey::BikeRider->value => self::RIDERS['Moth'],
                            SettingKey::BikeKind->value => 'city',
                            SettingKey::BikeSpeeds->value => 10,
                            SettingKey::IntervalKm->value => 300.0,
                            SettingKey::IntervalHours->value => null,
                            SettingKey::LimitSchool->value => 'by_speeds',
                        ],
                        [
                            new ArrivingPart(
                                Chain::KIND,
                                'A',
                                km: null,
                                wax: WaxThen::Unknown,
                                reading: ['kind' => 'digital', 'value_pct' => 0.31],
                                fitted: true,
                            ),
                            new ArrivingPart(
                                Chain::KIND,
                                'B',
                                pitches: 110,
                                km: 640.0,
                                wax: WaxThen::Known,
                                sinceWaxKm: 180.0,
                                closings: 3,
                                closingsAllowed: 5,
                            ),
                            new ArrivingPart(PartKind::Cassette->value, 'Cassette', km: 5200.0),
                            new ArrivingPart(PartKind::Ring->value, 'Chainring'),
                        ],
                    ),
                ],
                new Moment($cameS),
            );
            $this->bikes['Moth'] = Bike::query()->whereKey($action->about->bikes[0])->firstOrFail();
        });
        $this->timeline->at(
            $this->day(5, '20:00'),
            fn(ActionContext $by) => ($this->estimateDistance)(
                $by,
                new Estimate(
                    0,
                    new Moment($this->day(6, '23:59'), sequence: PHP_INT_MAX),
                    $this->bikes['Moth']->id,
                    $this->day(8, '00:00'),
                    $this->today->plus(-8)->date,
                    $this->today->plus(-6)->date,
                    36.0,
                    Condition::Dry,
                ),
            ),
        );
        $this->timeline->at(
            $this->day(5, '20:05'),
            fn(ActionContext $by) => ($this->setCommute)(
                $by,
                null,
                [
                    'bike_id' => $this->bikes['Moth']->id,
                    'weekdays' => range(1, 7),
                    'time' => '07:50',
                    'km' => 11.0,
                    'hours' => 0.6,
                    'condition' => Condition::Dry,
                    'from_date' => $this->today->plus(-3)->date,
                    'until_date' => null,
                ],
                new Moment($this->day(5, '20:05')),
            ),
        );
        $this->timeline->at(
            $this->day(2, '19:00'),
            fn(ActionContext $by) => ($this->logRide)(
                $by,
                new RideFacts(null, new Moment($this->day(2, '16:40')), 18.4, 0.9, Condition::Dry),
            ),
        );
    }

    /** @param callable(int): Condition $condition */
    private function rides(DemoBike $bike, int $from, int $to, callable $condition, string $letter): void
    {
        for ($ago = $from; $ago >= $to; $ago--) {
            $km = $bike->week[$this->today->plus(-$ago)->weekday()] ?? 0.0;
            if ($km > 0) {
                $this->ride($bike, $ago, $km, $condition($ago), $letter);
            }
        }
    }

    private function rideOf(DemoBike $bike, int $ago, float $km, Condition $condition, string $letter): void
    {
        $this->ride($bike, $ago, $km, $condition, $letter, '16:05');
    }

    private function ride(DemoBike $bike, int $ago, float $km, Condition $condition, string $letter, ?string $time = null): void
    {
        $name = "{$bike->name} {$letter}";
        $this->km[$name] += $km;
        $this->used[$name] += $km * Factors::houseRule()->of($condition);
        $hours = round($km / ($bike->kmh * ($condition->soaks() ? 0.92 : 1.0)), 3);
        $startS = $this->day($ago, $time ?? $bike->startsAt);
        $this->timeline->at(
            $startS + (int) (3600 * $hours) + 600,
            fn(ActionContext $by) => ($this->logRide)(
                $by,
                new RideFacts($this->bikes[$bike->name], new Moment($startS), $km, $hours, $condition),
            ),
        );
    }

    private function swap(DemoBike $bike, int $ago, string $on, string $off): void
    {
        $this->put("{$bike->name} {$on}", $ago, '21:10');
        if ($this->chance(0.7)) {
            $this->measure("{$bike->name} {$off}", $ago, '21:20');
        }
    }

    private function put(string $chain, int $ago, string $time): void
    {
        $atS = $this->day($ago, $time);
        $bike = $this->bikes[strtok($chain, ' ') ?: ''];
        $this->timeline->at($atS, function (ActionContext $by) use ($chain, $bike, $atS): void {
            if (app(ReadBook::class)->withoutRides($by->workshop)->fittings()->componentOn($bike->id, $atS) !== $this->chains[$chain]->id) {
                ($this->fitChain)($by, $bike, $this->chains[$chain], new Moment($atS));
            }
        });
    }

    private function potEvening(DemoBike $bike, int $ago, string $on): void
    {
        $spent = array_values(
            array_filter($bike->inTurn, fn(string $letter) => $letter !== $on && $this->used["{$bike->name} {$letter}"] > 0),
        );
        if (count($spent) >= 2) {
            $this->dip($ago, array_map(fn(string $letter) => "{$bike->name} {$letter}", $spent));
        }
    }

    /** @param non-empty-list<string> $names */
    private function dip(int $ago, array $names): void
    {
        foreach ($names as $name) {
            $this->used[$name] = 0.0;
        }
        $atS = $this->day($ago, '19:30');
        // The book of the pot begins with its last fill.
        $this->timeline->at(
            $atS,
            fn(ActionContext $by) => ($this->dipChains)(
                $by,
                array_map(fn(string $name) => $this->chains[$name], $names),
                new Moment($atS),
                terms: new DipTerms($ago <= self::TOLD_FROM ? DemoSolvents::pot($by, 0) : null),
            ),
        );
    }

    private function topUp(string $name, int $ago): void
    {
        $this->used[$name] = max(0.0, $this->used[$name] - WaxTopUp::KM);
        $atS = $this->day($ago, '20:45');
        $this->timeline->at(
            $atS,
            fn(ActionContext $by) => ($this->topUpChain)($by, $this->chains[$name], DemoBench::dose($by), new Moment($atS)),
        );
    }

    /** With the rule, the drop-in gauge or the digital gauge, as it lies at hand; each errs in its own way. */
    private function measure(string $name, int $ago, string $time): void
    {
        $rates = array_column(array_map(fn(DemoBike $bike) => [$bike->name, $bike->wearPctPer1000Km], self::bikes()), 1, 0);
        $truePct = (self::CAME_USED[$name][2] ?? 0.01) + ($this->km[$name] / 1000) * $rates[strtok($name, ' ') ?: ''];
        $error = fn(float $most) => ($this->throw() - 0.5) * 2 * $most;
        $input = match ($this->dice->getInt(0, 6)) {
            0, 1, 2 => ['kind' => 'ruler', 'pitches' => 46, 'length_mm' => round(46 * 12.7 * (1 + ($truePct + $error(0.03)) / 100), 1)],
            3, 4 => ['kind' => 'digital', 'value_pct' => round($truePct + 0.02 + $error(0.03), 2), 'zero_pct' => 0.02],
            default => [
                'kind' => 'drop_in',
                'results' => [['mark_pct' => 0.5, 'seat' => $truePct >= 0.5 ? 'enters' : ($truePct >= 0.4 ? 'part' : 'rests')]],
            ],
        };
        $atS = $this->day($ago, $time);
        // One chain that nobody ever measured: it is due.
        $name === 'Tram A' ||
            $this->timeline->at(
                $atS,
                fn(ActionContext $by) => ($this->recordReading)(
                    $by,
                    $this->chains[$name],
                    $input,
                    new Moment($atS),
                    instrumentId: DemoBench::instrument($by, $input),
                ),
            );
    }

    private function leastUsed(DemoBike $bike): string
    {
        $letters = $bike->inTurn;
        usort(
            $letters,
            fn(string $a, string $b) => [$this->used["{$bike->name} {$a}"], $this->km["{$bike->name} {$a}"]] <=> [
                $this->used["{$bike->name} {$b}"],
                $this->km["{$bike->name} {$b}"],
            ],
        );

        return $letters[0];
    }

    private function weather(DemoBike $bike, int $month): Condition
    {
        if ($bike->indoor()) {
            return Condition::Indoor;
        }
        $wet = in_array($month, [10, 11, 12, 1, 2, 3], true) ? 0.2 : 0.07;
        $throw = $this->throw();

        return match (true) {
            $throw < $wet / 2 => $bike->kind === 'gravel' ? Condition::Muddy : Condition::Wet,
            $throw < $wet => Condition::Wet,
            $throw < 2.2 * $wet => Condition::Damp,
            $bike->kind === 'gravel' && $wet < 0.1 && $throw > 0.5 => Condition::Dusty,
            default => Condition::Dry,
        };
    }

    private function chance(float $probability): bool
    {
        return $this->throw() < $probability;
    }

    /** 0 to below 1. */
    private function throw(): float
    {
        return $this->dice->getInt(0, 999_999) / 1_000_000;
    }

    private function day(int $ago, string $time): int
    {
        return (new DateTimeImmutable("{$this->today->plus(-$ago)->date} {$time}", new DateTimeZone(self::ZONE)))->getTimestamp();
    }
}
