<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Actions\PotDay\PotDayProposal;
use App\Cost\ReadPrices;
use App\Guided\GuidedKind;
use App\Guided\OpenJobs;
use App\Logbook\ReadBook;
use App\Models\Dip as DipRow;
use App\Models\GuidedJob;
use App\Models\Workshop;
use App\Plan\ReadPlan;
use App\Pot\ReadBaths;
use App\Text\ChainWords;
use App\Text\Chart;
use App\Text\ChartAxis;
use App\Text\LayoutWords;
use App\Text\PotDayWords;
use App\Text\PotWords;
use App\Text\Translator;
use App\Text\Translators;
use BackedEnum;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Bath\DipPickup;
use Dripel\Core\Care\CareDue;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobSpan;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Next\OpenJob;
use Dripel\Core\Next\Verb;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Pot\PotFacts;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\PowerKnown;
use Dripel\Core\PotDay\DrainSchool;
use Dripel\Core\PotDay\DryBy;
use Dripel\Core\PotDay\PotDayBlock;
use Dripel\Core\PotDay\PotDayChain as PotDayChainCore;
use Dripel\Core\PotDay\PotDayDip;
use Dripel\Core\PotDay\PotDayLanes;
use Dripel\Core\PotDay\PotDayPlan;
use Dripel\Core\PotDay\PotDayTerms;
use Dripel\Core\PotDay\PotRefusal;
use Dripel\Core\PotDay\PotWarning;
use Dripel\Core\PotDay\PowerProgram;
use Dripel\Core\PotDay\RinseSchool;
use Dripel\Core\PotDay\SoakSchool;
use Dripel\Core\Riders\PotSplit;
use Dripel\Core\Riders\Riders;
use Dripel\Core\Riders\RiderShare;

/**
 * The pot day before it begins: which chains, in which pot, by which schools; then the plan with its lanes and warnings.
 *
 * @phpstan-import-type ChartView from Chart
 * @phpstan-import-type Choice from FormProps
 * @phpstan-import-type FormDefaults from FormProps
 *
 * @phpstan-type TimeAxis array{
 *     from: int,
 *     until: int,
 *     now: int|null,
 *     nowText: string,
 *     marks: list<array{at: int, text: string}>,
 *     lanes: list<array{
 *         name: string,
 *         blocks: list<array{
 *             code: string,
 *             text: string,
 *             title: string,
 *             from: int,
 *             to: int,
 *             state: 'done'|'now'|'ahead',
 *         }>,
 *     }>,
 * }
 * @phpstan-type PotDayChain array{
 *     id: int,
 *     name: string,
 *     word: string,
 *     detail: string,
 *     onBike: bool,
 *     first: bool,
 *     waxed: bool,
 *     rinse: value-of<RinseSchool>,
 *     refusal: array{code: value-of<PotRefusal>, text: string, remedy: value-of<Verb>|null}|null,
 *     proposed: bool,
 * }
 * @phpstan-type PotChoice array{id: int, name: string, empty: bool, about: string, target: string, limit: string}
 * @phpstan-type PotDayPlanView array{
 *     lines: list<string>,
 *     layout: list<string>,
 *     care: string|null,
 *     steps: list<array{at: string, title: string, text: string, subject: string, lasts: string}>,
 *     dips: list<array{id: int, chain: string, brings: string, batch: int, soak: string, because: string, shock: string}>,
 *     warnings: list<array{text: string, forbids: bool}>,
 *     unmeasured: string|null,
 *     later: bool,
 *     forbidden: bool,
 *     powerSaid: bool,
 *     target: string,
 *     axis: TimeAxis,
 *     bath: ChartView,
 *     split: list<RiderShareView>,
 * }
 * @phpstan-type RiderShareView array{rider: string, chains: string, wax: string, time: string, money: string}
 * @phpstan-type PotDayPage array{
 *     chains: list<PotDayChain>,
 *     chosen: list<int>,
 *     pots: list<PotChoice>,
 *     choices: array{
 *         program: list<Choice>,
 *         soak: list<Choice>,
 *         drain: list<Choice>,
 *         rinse: list<Choice>,
 *         dryBy: list<Choice>,
 *     },
 *     room: string,
 *     temperature: string,
 *     forms: FormDefaults,
 * }
 */
final readonly class PotDayProps
{
    private const CURVE_S = 120.0;

    /** Between two marks of a time axis, in minutes; the first that makes few enough. */
    private const MARKS_MIN = [5, 10, 15, 30, 60, 120, 240];

    private const MOST_MARKS = 9;

    public function __construct(
        private ReadBook $readBook,
        private ReadBaths $readBaths,
        private OpenJobs $openJobs,
        private ReadPlan $readPlan,
        private ReadPrices $readPrices,
        private Translators $translators,
    ) {}

    /**
     * @param list<int> $chosen chains that somebody came with; empty: those of the plan's next pot
     *
     * @return PotDayPage
     */
    public function create(Workshop $workshop, array $chosen): array
    {
        $translator = $this->translators->current();
        $book = ($this->readBook)($workshop);
        $jobs = $this->openJobs->byChain($workshop);
        $next = ($this->readPlan)($workshop)->nextPot();
        $chains = [];
        foreach ($book->chainIds as $id) {
            $state = $book->chain($id, $translator->nowS);
            if (!$state->retired() && !isset($jobs[$id]) && $book->bikeOfChain($id, $translator->nowS) !== null) {
                $chains[] = $this->chain(
                    $state,
                    $book->fittings()->bikeOf($id, $translator->nowS) !== null,
                    in_array($id, $next, true),
                    $translator,
                );
            }
        }
        $proposed = array_values(
            array_map(fn(array $chain) => $chain['id'], array_filter($chains, fn(array $chain) => $chain['proposed'])),
        );

        return [
            'chains' => $chains,
            'chosen' => $chosen === [] ? $proposed : $chosen,
            'pots' => array_values(array_map(fn(BathState $bath) => $this->pot($bath, $translator), ($this->readBaths)($workshop))),
            'choices' => [
                'program' => self::choices(PowerProgram::cases(), 'program', $translator),
                'soak' => self::choices(SoakSchool::cases(), 'soak', $translator),
                'drain' => self::choices(DrainSchool::cases(), 'drain', $translator),
                'rinse' => self::choices(RinseSchool::cases(), 'rinse', $translator),
                'dryBy' => self::choices(DryBy::cases(), 'dry_by', $translator),
            ],
            'room' => (string) round($translator->quantities->units->fromCelsius(PotHeatInput::AMBIENT_C)),
            'temperature' => $translator->quantities->units->temperature,
            'forms' => (new FormProps($book, $translator))->all(),
        ];
    }

    /** @return PotDayPlanView */
    public function plan(Workshop $workshop, PotDayProposal $proposal, int $potId, ?int $byS): array
    {
        $translator = $this->translators->current();
        $q = $translator->quantities;
        $words = new PotDayWords($translator);
        $plan = $proposal->plan;
        $book = ($this->readBook)($workshop);
        $startS = max($proposal->startS, $translator->nowS);
        $doneS = $startS + $plan->seconds();
        $spans = JobRun::of($plan->steps, $startS, [])->spans($startS);
        $plugS = $startS + (int) $plan->startsS(PotDayPlan::PLUG_IN);
        $dipped = array_values(array_unique(array_map(fn(PotDayDip $dip) => $dip->chainId, $plan->dips)));
        $pickup = DipPickup::of(($this->readBaths)($workshop), $book->dips());
        $readyS = $translator->settings->readySchool()->readyS(self::lastHangS($plan->steps, $spans), $translator->zone());

        return [
            'lines' => array_values(
                array_filter([
                    $byS !== null && $proposal->startS < $translator->nowS
                        ? $translator->say('pot_day.too_late', ['by' => $q->time($byS), 'done' => $q->time($doneS)])
                        : null,
                    $translator->say($byS === null ? 'pot_day.starts_now' : 'pot_day.starts', [
                        'at' => self::when($startS, $translator),
                        'plug' => $q->time($plugS),
                        'done' => $q->time($doneS),
                        'all' => $q->seconds($plan->seconds()),
                    ]),
                    $readyS <= $doneS
                        ? $translator->say('pot_day.ready_then')
                        : $translator->say('pot_day.ready', ['at' => self::when($readyS, $translator)]),
                    trans_choice('pot_day.batches', max([1, ...array_map(fn(PotDayDip $dip) => $dip->batch, $plan->dips)]), [
                        'capacity' => trans_choice('pot_day.at_once', $plan->capacity->atOnce()),
                    ]),
                    trans_choice('pot_day.takes', count($dipped), [
                        'wax' => $q->mass($pickup->ofChains($dipped, $potId)),
                    ]),
                ]),
            ),
            'steps' => array_map(
                fn(JobSpan $span) => [
                    'at' => $q->time($span->startS),
                    ...array_intersect_key($words->step($plan->steps[$span->step], $plan->terms), [
                        'title' => 1,
                        'text' => 1,
                        'subject' => 1,
                    ]),
                    'lasts' => $plan->steps[$span->step]->seconds === null ? '' : $q->seconds($plan->steps[$span->step]->seconds),
                ],
                $spans,
            ),
            'dips' => array_map(
                fn(PotDayDip $dip) => [
                    'id' => $dip->chainId,
                    'chain' => $translator->names->fullChain($dip->chainId),
                    'brings' => $words->brings(array_column($proposal->chains, null, 'id')[$dip->chainId]),
                    'batch' => $dip->batch,
                    'soak' => $q->seconds((int) ceil(60 * $dip->minutes)),
                    'because' => $translator->say($dip->bySteel ? 'pot_day.by_steel' : 'pot_day.by_school'),
                    'shock' => $translator->say('pot_day.shock', [
                        'bath' => $q->temperature($dip->bathC),
                        'mixed' => $q->temperature($dip->mixedC),
                    ]),
                ],
                $plan->dips,
            ),
            'warnings' => [
                // No pot is plugged in while a jar of solvent is open or a chain wet with it hangs about.
                ...$this->solventOut($workshop) ? [['text' => $translator->say('ui.shed.solvent_out'), 'forbids' => false]] : [],
                ...array_map(
                    fn(PotWarning $warning) => ['text' => $words->warning($warning, $plan, $startS), 'forbids' => $warning->forbids()],
                    $plan->warnings,
                ),
            ],
            'unmeasured' =>
                $proposal->unmeasured === []
                    ? null
                    : $translator->say('pot_day.unmeasured', ['chains' => $translator->names->chains($proposal->unmeasured)]),
            'later' => $startS - $translator->nowS > 60,
            'forbidden' => $plan->forbidden(),
            'care' => $this->careMeanwhile($proposal, $book, $translator),
            'layout' => (new LayoutWords($translator))->of(GuidedKind::PotDay, $plan->steps),
            'split' => $this->split(
                PotSplit::ahead(
                    Riders::of($book),
                    $dipped,
                    $potId,
                    $startS,
                    $pickup,
                    ($this->readPrices)($workshop),
                    PlanTerms::of($book, $plan->capacity->atOnce(), $translator->nowS),
                ),
                $translator,
            ),
            'powerSaid' => $plan->terms->power === PowerKnown::Said,
            'target' => (string) round($q->units->fromCelsius($plan->terms->pot->targetC)),
            'axis' => $this->axis(PotDayLanes::of($plan->steps, $spans, $startS), $startS, $doneS, null, $translator),
            'bath' => (new PotWords($translator))->bathChart(
                $plan->course()->curve($plan->seconds(), self::CURVE_S),
                [],
                fn(float $min) => $startS + 60 * $min,
                $plan->terms->pot->wax,
                $plan->terms->limitC,
                self::clock($startS, $doneS, $translator),
            ),
        ];
    }

    /**
     * What of a pot day that was held falls to whom; empty where there is nothing to split.
     *
     * @param list<DipRow> $dips
     *
     * @return list<RiderShareView>
     */
    public function splitOf(GuidedJob $job, array $dips, Translator $translator): array
    {
        $workshop = Workshop::query()->findOrFail($job->workshop_id);
        $book = ($this->readBook)($workshop);
        $ids = array_map(fn(DipRow $dip) => $dip->id, $dips);

        return $this->split(
            PotSplit::done(
                Riders::of($book),
                array_values(array_filter($book->dips(), fn(Dip $dip) => in_array($dip->id, $ids, true))),
                DipPickup::of(($this->readBaths)($workshop), $book->dips()),
                ($this->readPrices)($workshop),
                PlanTerms::of($book, $this->readPlan->capacity($workshop), $translator->nowS),
            ),
            $translator,
        );
    }

    /** @return list<RiderShareView> */
    private function split(PotSplit $split, Translator $translator): array
    {
        $q = $translator->quantities;

        return array_map(
            fn(RiderShare $share) => [
                'rider' => $share->rider ?? $translator->say('ui.riders.everybody'),
                'chains' => $translator->names->chains($share->chainIds),
                'wax' => $q->mass($share->waxG),
                'time' => $translator->say('ui.riders.minutes', ['minutes' => $q->number($share->minutes)]),
                'money' => $share->waxMinor === null ? '–' : $q->money($share->waxMinor),
            ],
            $split->several() ? $split->shares : [],
        );
    }

    /** Drivetrains that want cleaning, for the hands that a soak leaves free. */
    private function careMeanwhile(PotDayProposal $proposal, Book $book, Translator $translator): ?string
    {
        $bikes = array_unique(
            array_filter(
                array_map(fn(PotDayChainCore $chain) => $translator->settings->home($chain->id, $translator->nowS), $proposal->chains),
            ),
        );
        $due = array_filter($bikes, fn(int $id) => CareDue::of($book, $id, $translator->nowS)->due);

        return $due === []
            ? null
            : $translator->say('pot_day.care', [
                'bikes' => $translator->names->list(array_values(array_map($translator->names->bike(...), $due))),
            ]);
    }

    private function solventOut(Workshop $workshop): bool
    {
        return array_filter(($this->openJobs)($workshop), fn(OpenJob $job) => $job->kind === GuidedKind::Strip->value) !== [];
    }

    /**
     * @param list<JobStep> $steps
     * @param list<JobSpan> $spans
     */
    private static function lastHangS(array $steps, array $spans): int
    {
        return max([0, ...array_map(fn(JobSpan $span) => $steps[$span->step]->code === PotDayPlan::HANG ? $span->endS : 0, $spans)]);
    }

    /** "06:28", or "tomorrow, 06:28". */
    private static function when(int $atS, Translator $translator): string
    {
        $date = LocalDay::of($atS, $translator->zone())->date;
        $time = $translator->quantities->time($atS);

        return $date === LocalDay::of($translator->nowS, $translator->zone())->date
            ? $translator->say('pot_day.when_today', ['time' => $time])
            : $translator->say('pot_day.when', ['day' => $translator->dayWord($date), 'time' => $time]);
    }

    /**
     * Lanes of blocks on one time axis.
     *
     * @param array<int, list<PotDayBlock>> $lanes by chain; the pot's first
     *
     * @return TimeAxis
     */
    public function axis(array $lanes, int $fromS, int $untilS, ?int $nowS, Translator $translator): array
    {
        $untilS = max($fromS + 60, $untilS);
        $stepS = 60 * self::MARKS_MIN[0];
        foreach (self::MARKS_MIN as $minutes) {
            $stepS = 60 * $minutes;
            if (($untilS - $fromS) / $stepS <= self::MOST_MARKS) {
                break;
            }
        }
        $marks = [];
        for ($atS = (int) ceil($fromS / $stepS) * $stepS; $atS <= $untilS; $atS += $stepS) {
            $marks[] = ['at' => $atS, 'text' => $translator->quantities->time($atS)];
        }

        return [
            'from' => $fromS,
            'until' => $untilS,
            'now' => $nowS,
            'nowText' => $nowS === null ? '' : $translator->quantities->time($nowS),
            'marks' => $marks,
            'lanes' => array_map(
                fn(int $id, array $blocks) => [
                    'name' => $id === PotDayLanes::POT ? $translator->say('pot_day.lane.pot') : $translator->names->fullChain($id),
                    'blocks' => array_map(
                        fn(PotDayBlock $block) => [
                            'code' => $block->code,
                            'text' => $translator->say("pot_day.block.{$block->code}"),
                            'title' => $translator->say('pot_day.block_title', [
                                'what' => $translator->say("pot_day.block.{$block->code}"),
                                'from' => $translator->quantities->time($block->fromS),
                                'to' => $translator->quantities->time($block->toS),
                                'state' => $translator->say(
                                    'pot_day.block_state.' . ($block->done ? 'done' : ($block->underWay ? 'now' : 'ahead')),
                                ),
                            ]),
                            'from' => $block->fromS,
                            'to' => $block->toS,
                            'state' => $block->done ? 'done' : ($block->underWay ? 'now' : 'ahead'),
                        ],
                        $blocks,
                    ),
                ],
                array_keys($lanes),
                array_values($lanes),
            ),
        ];
    }

    /** @return PotDayChain */
    private function chain(ChainState $state, bool $onBike, bool $planned, Translator $translator): array
    {
        $words = new ChainWords($translator);
        $id = $state->chainId;
        $refusal = PotRefusal::of($state, $translator->settings);

        return [
            'id' => $id,
            'name' => $translator->names->fullChain($id),
            'word' => $words->status($state),
            'detail' => $words->detail($state),
            'onBike' => $onBike,
            'first' => $state->wax->life === null,
            'waxed' => $state->wax->life !== null,
            'rinse' => RinseSchool::usual($state)->value,
            'refusal' =>
                $refusal === null
                    ? null
                    : [
                        'code' => $refusal->value,
                        'text' => $translator->say("errors.pot_day.{$refusal->value}", ['chain' => $translator->names->fullChain($id)]),
                        'remedy' => $refusal->remedy()?->value,
                    ],
            'proposed' => $planned && $refusal === null,
        ];
    }

    /** @return PotChoice */
    private function pot(BathState $bath, Translator $translator): array
    {
        $facts = PotFacts::of($translator->settings, $bath->potId);

        return [
            'id' => $bath->potId,
            'name' => $translator->names->pot($bath->potId),
            'empty' => ($bath->ledger->waxG ?? 0.0) <= 0.0,
            'about' =>
                $bath->ledger === null
                    ? $translator->say('pot.empty')
                    : $translator->say("pot.wax.{$facts->wax->value}") .
                        ', ' .
                        $translator->say('pot.holds', [
                            'grams' => $translator->quantities->mass($bath->ledger->waxG),
                            'depth' => $translator->quantities->length($bath->ledger->depthMm),
                        ]),
            'target' => (string) round($translator->quantities->units->fromCelsius(PotDayTerms::usualTargetC($facts->limitC))),
            'limit' => $translator->quantities->temperature($facts->limitC),
        ];
    }

    /**
     * @param list<BackedEnum> $cases
     *
     * @return list<array{value: string, title: string}>
     */
    private static function choices(array $cases, string $key, Translator $translator): array
    {
        return array_map(
            fn(BackedEnum $case) => ['value' => (string) $case->value, 'title' => $translator->say("pot_day.{$key}.{$case->value}")],
            $cases,
        );
    }

    /** The hours of a pot day as an axis. */
    public static function clock(int $fromS, int $untilS, Translator $translator): ChartAxis
    {
        return new ChartAxis(
            $translator->say('ui.chart.clock'),
            (float) $fromS,
            (float) max($fromS + 60, $untilS),
            fn(float $atS) => $translator->quantities->time((int) $atS),
            4,
            $translator->zone(),
        );
    }
}
