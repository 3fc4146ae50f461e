<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobSpan;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Pot\PotCourse;
use Dripel\Core\Pot\PotHeat;
use Dripel\Core\Pot\PowerKnown;

/**
 * A pot day made ready for a job: its steps in the order in which one pair of hands does them, waits running side by side.
 * Times come from pot.heat and pot.dip and the schools chosen; the time axis is the job's own, so the plan is the run before
 * its first tap. The cleanest chains go in first, unless somebody has put them in another order; of those that are as clean as one another
 * the longest soak.
 */
final readonly class PotDayPlan
{
    public const PLUG_IN = 'plug_in';

    public const HEAT = 'heat';

    public const CHECK = 'check';

    public const TO_LOW = 'to_low';

    public const OFF = 'off';

    public const LAY_ON = 'lay_on';

    public const IN = 'in';

    public const UNDER = 'under';

    public const RECOVER = 'recover';

    public const LIFT = 'lift';

    public const HANG = 'hang';

    public const RINSE = 'rinse';

    public const POWDER = 'powder';

    public const JAR_FIRST = 'jar_first';

    public const JAR_SECOND = 'jar_second';

    public const SMEAR = 'smear';

    /** What is not done in a bath that is still solid. */
    public const WANTS_LIQUID = [self::HEAT, self::IN];

    /** More chains than that are no pot day any more. */
    public const MOST_CHAINS = 12;

    /**
     * @param non-empty-list<JobStep> $steps
     * @param list<PotWarning> $warnings
     * @param list<PotDayDip> $dips in the order in which they go in
     */
    private function __construct(
        public PotDayTerms $terms,
        public array $steps,
        public array $warnings,
        public array $dips,
        public PotCapacity $capacity,
        /** After this step all that is to be recorded is known. */
        public int $recordStep,
        /** @var array<int, float> g by chain */
        public array $massesG,
        /** Seconds from the start at which it passes the limit of the wax; null: never. */
        public ?float $overheatsS,
    ) {}

    /**
     * @param list<PotDayChain> $chains
     * @param bool $inOrder in the order in which they are given, whatever they were ridden in
     *
     * @throws InvalidInput at `chains` unless 1 to 12
     */
    public static function of(PotDayTerms $terms, array $chains, bool $inOrder = false): self
    {
        Check::between('chains', count($chains), 1, self::MOST_CHAINS);
        $heaviestG = max([0.0, ...array_map(fn(PotDayChain $chain) => $chain->massG, $chains)]);
        $capacity = PotCapacity::of($terms->vessel, $terms->pot->waxG, $heaviestG, $terms->atOnce, $terms->lay);
        $inOrder ||
            usort(
                $chains,
                fn(PotDayChain $a, PotDayChain $b) => PotDayChain::compare($a, $b) ?:
                $terms->soak($b)->leastMinutes() <=> $terms->soak($a)->leastMinutes(),
            );
        $draft = PotDayDraft::of($terms, $chains, $capacity->atOnce());
        $masses = array_column(array_map(fn(PotDayChain $chain) => [$chain->id, $chain->massG], $chains), 1, 0);
        $spans = JobRun::of($draft->steps, 0, [])->spans(0);
        $course = PotDayCourse::of($terms, $masses, $draft->steps, $spans, 0);
        $offS = (float) max(array_map(fn(JobSpan $span) => $draft->steps[$span->step]->code === self::OFF ? $span->endS : 0, $spans));
        $overheatsS = $course->passesS($terms->limitC, $offS);

        return new self(
            $terms,
            $draft->steps,
            self::warnings($terms, $capacity, $draft, $overheatsS, $chains),
            $draft->dips,
            $capacity,
            $draft->recordStep,
            $masses,
            $overheatsS,
        );
    }

    /**
     * Whether a chain goes in after one that is dirtier.
     *
     * @param list<PotDayChain> $chains
     */
    private static function dirtyFirst(array $chains, PotDayDraft $draft): bool
    {
        $dirt = array_column(array_map(fn(PotDayChain $chain) => [$chain->id, $chain->dirt()], $chains), 1, 0);
        foreach ($draft->dips as $n => $dip) {
            $before = array_filter(array_slice($draft->dips, 0, $n), fn(PotDayDip $other) => $other->batch < $dip->batch);
            $seen = max([0, ...array_map(fn(PotDayDip $other) => $dirt[$other->chainId], $before)]);
            if ($dirt[$dip->chainId] < $seen) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<PotDayChain> $chains
     * @param callable(PotDayChain): bool $is
     */
    private static function any(array $chains, callable $is): bool
    {
        return array_filter($chains, $is) !== [];
    }

    /** From the first step to the last, as expected. */
    public function seconds(): int
    {
        return self::endS($this->steps);
    }

    /** When a step with this code begins the first time, in seconds from the start; null if there is none. */
    public function startsS(string $code): ?int
    {
        foreach (JobRun::of($this->steps, 0, [])->spans(0) as $span) {
            if ($this->steps[$span->step]->code === $code) {
                return $span->startS;
            }
        }

        return null;
    }

    public function course(): PotCourse
    {
        return PotDayCourse::of($this->terms, $this->massesG, $this->steps, JobRun::of($this->steps, 0, [])->spans(0), 0);
    }

    public function forbidden(): bool
    {
        return array_filter($this->warnings, fn(PotWarning $warning) => $warning->forbids()) !== [];
    }

    /** @param non-empty-list<JobStep> $steps */
    private static function endS(array $steps): int
    {
        return JobRun::of($steps, 0, [])->aboutS(0);
    }

    /**
     * @param list<PotDayChain> $chains
     *
     * @return list<PotWarning>
     */
    private static function warnings(
        PotDayTerms $terms,
        PotCapacity $capacity,
        PotDayDraft $draft,
        ?float $overheatsS,
        array $chains,
    ): array {
        $heat = (new PotHeat())($terms->pot);

        return array_map(
            PotWarning::from(...),
            array_keys(
                array_filter([
                    PotWarning::NeverMelts->value => $heat->minutesToLiquid === null,
                    PotWarning::NeverHot->value => $heat->minutesToLiquid !== null && $heat->minutesToTarget === null,
                    PotWarning::Overfull->value => $capacity->overflowsWithOne,
                    PotWarning::TooLow->value => !$capacity->coversOne,
                    PotWarning::Overheats->value => $overheatsS !== null,
                    // A bath that never gets there says nothing of what a chain would do to it.
                    PotWarning::Freezes->value =>
                        $heat->minutesToTarget !== null && array_filter($draft->dips, fn(PotDayDip $dip) => !$dip->staysLiquid) !== [],
                    PotWarning::Spent->value => $terms->overheatedBefore,
                    PotWarning::DirtyFirst->value => self::dirtyFirst($chains, $draft),
                    PotWarning::Gritty->value => $terms->grit > BathLedgerInput::GRIT_LIMIT + Check::EPSILON,
                    PotWarning::GreasedLink->value => $terms->linkIn && self::any($chains, fn(PotDayChain $chain) => !$chain->linkClean),
                    PotWarning::NeverDirty->value => $terms->forRaces && self::any($chains, fn(PotDayChain $chain) => $chain->dirty()),
                    PotWarning::KeptClean->value =>
                        $terms->forRaces &&
                        self::any($chains, fn(PotDayChain $chain) => !$chain->race && !$chain->first && !$chain->dirty()),
                    PotWarning::RaceElsewhere->value =>
                        !$terms->forRaces && $terms->otherForRaces && self::any($chains, fn(PotDayChain $chain) => $chain->race),
                    PotWarning::PowerLastTime->value => $terms->power === PowerKnown::LastTime,
                    PotWarning::PowerUsual->value => $terms->power === PowerKnown::Usual,
                ]),
            ),
        );
    }
}
