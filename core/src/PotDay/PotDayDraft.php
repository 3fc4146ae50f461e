<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Pot\DippedChain;
use Dripel\Core\Pot\LampOil;
use Dripel\Core\Pot\PotDip;
use Dripel\Core\Pot\PotDipInput;
use Dripel\Core\Pot\PotDipResult;
use Dripel\Core\Pot\PotHeat;
use Dripel\Core\Pot\PotKind;
use Dripel\Core\Pot\PotLay;
use Dripel\Core\Pot\WaxKind;

/**
 * The steps of a pot day while they are being laid out: what waits is kept with the time at which it is over, and the next
 * of them gets the hands; whenever there is room in hot wax, the chains that are ready go in together. Handling times are
 * house rules. Every step may be passed over with a reason but the checks before heat and before a dip, what lies on the
 * set wax, the melt, and switching off.
 */
final class PotDayDraft
{
    /** Common practice: ten minutes in each of the two jars; the drying is that of a stripped chain. */
    public const JAR_S = 600;

    public const JAR_DRY_S = 10800;

    /** Common practice: swish for ten to twenty seconds. */
    private const SWISH_S = 20;

    private const S_PER_MIN = 60;

    /** Above so many tries of oil the wax is another. */
    private const MOST_OIL_STEPS = 5;

    /** @var non-empty-list<JobStep> */
    public array $steps;

    /** @var list<PotDayDip> */
    public array $dips = [];

    public int $recordStep = 0;

    /** @var list<array{int, int, JobStep, callable(int): void}> over at, rank, the step that waits for it, what follows it */
    private array $waiting = [];

    /** @var list<PotDayChain> */
    private array $queue;

    /** @var list<int> chains that may not go in yet */
    private array $wet = [];

    private bool $hot = false;

    /** @var array{int, int}|null the last batch that went in, and how long the bath takes from then on to come back, in seconds */
    private ?array $cooled = null;

    private bool $recovering = false;

    private int $inside = 0;

    private int $batch = 0;

    /** @param list<PotDayChain> $order */
    private function __construct(private readonly PotDayTerms $terms, private readonly array $order, private readonly int $capacity)
    {
        $this->queue = $order;
        $this->steps = [$this->prepare()];
    }

    /** @param list<PotDayChain> $order in which they go in, if nothing else decides */
    public static function of(PotDayTerms $terms, array $order, int $capacity): self
    {
        $draft = new self($terms, $order, $capacity);
        $draft->open();
        while ($draft->waiting !== []) {
            usort($draft->waiting, fn(array $a, array $b) => [$a[0], $a[1]] <=> [$b[0], $b[1]]);
            [, , $step, $then] = array_shift($draft->waiting);
            $then($draft->add($step));
            $draft->load();
        }

        return $draft;
    }

    private function open(): void
    {
        $this->jars();
        if ($this->terms->wax === WaxKind::Blend) {
            $this->add(new JobStep('turn_block', skippable: true));
        }
        $this->terms->lay === PotLay::Flat && $this->add(new JobStep('practise', skippable: true));
        $onBlock = $this->layOn();
        $plugged = $this->add(
            new JobStep(
                PotDayPlan::PLUG_IN,
                about: ['power_w' => $this->terms->pot->powerW, 'program' => $this->terms->program->value],
                skippable: true,
                handlingS: 30,
            ),
        );
        $minutes = (new PotHeat())($this->terms->pot->withSteel(self::massG($onBlock)))->minutesToTarget;
        $heat = new JobStep(
            PotDayPlan::HEAT,
            $minutes === null ? null : (int) ceil(self::S_PER_MIN * $minutes),
            ['target_c' => $this->terms->pot->targetC, 'limit_c' => $this->terms->limitC, 'melt_in' => $onBlock !== []],
            // A bath that is still solid waxes nothing.
            ticks: ['all_liquid'],
            since: $plugged,
            readingC: BathNow::meltedC($this->terms),
        );
        $this->wait($heat, 1, function (int $melted) use ($onBlock): void {
            $this->hot = true;
            $this->terms->program === PowerProgram::HighThenLow &&
                $this->add(new JobStep(PotDayPlan::TO_LOW, about: ['power_w' => $this->terms->holdW], skippable: true, handlingS: 10));
            $this->smear();
            $onBlock === [] || $this->sankIn($onBlock, $melted);
        });
        $this->rinse();
    }

    /**
     * What is dry and without smell before the plug goes in may lie on the set wax. Common practice, a school.
     *
     * @return list<PotDayChain>
     */
    private function layOn(): array
    {
        $dry = array_filter($this->order, fn(PotDayChain $chain) => $chain->rinse !== RinseSchool::HotWater);
        $group = $this->terms->meltIn ? array_slice($dry, 0, $this->capacity) : [];
        if ($group === []) {
            return [];
        }
        $ids = array_map(fn(PotDayChain $chain) => $chain->id, $group);
        $this->leaveQueue($ids);
        $this->check($group, $ids);
        $this->add(new JobStep(PotDayPlan::LAY_ON, about: self::link($group, $this->terms->linkIn), chains: $ids));

        return $group;
    }

    /** @param non-empty-list<PotDayChain> $group what lay on the set wax is in it now: its soak counts from the melt */
    private function sankIn(array $group, int $melted): void
    {
        $this->terms->wax->wantsStirring() && $this->add(new JobStep('stir', skippable: true));
        $this->batch++;
        $bathC = $this->bathC();
        $ids = array_map(fn(PotDayChain $chain) => $chain->id, $group);
        $this->add(new JobStep(PotDayPlan::IN, self::SWISH_S, ['melted_in' => true, 'bath_c' => $bathC], chains: $ids, skippable: true));
        $this->inside += count($group);
        $bySchool = [];
        foreach ($group as $chain) {
            $school = $this->terms->soak($chain);
            $minutes = $school->leastMinutes();
            $this->dips[] = new PotDayDip($chain->id, $this->batch, $bathC, $bathC, 0.0, $minutes, false, true);
            $bySchool[$school->value][] = [$chain, $minutes];
        }
        foreach ($bySchool as $name => $together) {
            $this->soak(array_column($together, 0), $together[0][1], SoakSchool::from($name), 0.0, $melted);
        }
    }

    /**
     * @param list<PotDayChain> $group
     * @param list<int> $ids
     */
    private function check(array $group, array $ids): void
    {
        $this->terms->weigh && $this->add(new JobStep('weigh_before', chains: $ids, skippable: true, handlingS: 30 * count($ids)));
        $rust = array_filter($group, fn(PotDayChain $chain) => $chain->rust) === [] ? [] : ['rust_looked'];
        $this->add(new JobStep(PotDayPlan::CHECK, ticks: ['dry', 'no_smell', ...$rust], chains: $ids, handlingS: 30));
    }

    /**
     * What is said of quick links: nothing where none is.
     *
     * @param list<PotDayChain> $group
     *
     * @return array{link_in?: bool}
     */
    private static function link(array $group, bool $in): array
    {
        return array_filter($group, fn(PotDayChain $chain) => $chain->quickLink) === [] ? [] : ['link_in' => $in];
    }

    /** @param list<int> $ids */
    private function leaveQueue(array $ids): void
    {
        $this->queue = array_values(array_filter($this->queue, fn(PotDayChain $chain) => !in_array($chain->id, $ids, true)));
    }

    /** @param list<PotDayChain> $chains */
    private static function massG(array $chains): float
    {
        return array_sum(array_map(fn(PotDayChain $chain) => $chain->massG, $chains));
    }

    private function prepare(): JobStep
    {
        return new JobStep(
            'prepare',
            about: ['kind' => $this->terms->kind->value],
            ticks: [
                'gloves',
                'nobody_small',
                ...self::ids($this->order, RinseSchool::TwoJars) === [] ? ['jars_away'] : ['open_air'],
                'stay',
                ...$this->terms->kind === PotKind::Pan ? ['thermometer'] : [],
            ],
            handlingS: 180,
        );
    }

    /** The jars have had their chains, and are out of the room, before the pot is plugged in. */
    private function jars(): void
    {
        $chains = self::ids($this->order, RinseSchool::TwoJars);
        if ($chains === []) {
            return;
        }
        $this->add(
            new JobStep(
                PotDayPlan::JAR_FIRST,
                self::JAR_S,
                JarRinse::about($this->terms->jars[0] ?? null),
                chains: $chains,
                skippable: true,
            ),
        );
        $second = $this->add(
            new JobStep(
                PotDayPlan::JAR_SECOND,
                self::JAR_S,
                JarRinse::about($this->terms->jars[1] ?? null),
                chains: $chains,
                skippable: true,
            ),
        );
        $this->add(new JobStep('jar_dry', self::JAR_DRY_S, ticks: ['jars_away', 'no_smell'], chains: $chains, since: $second));
    }

    private function rinse(): void
    {
        $chains = self::ids($this->order, RinseSchool::HotWater);
        if ($chains === []) {
            return;
        }
        $rinsed = $this->add(new JobStep(PotDayPlan::RINSE, chains: $chains, skippable: true, handlingS: 120 + 60 * count($chains)));
        $this->wet = $chains;
        $this->wait(
            new JobStep(
                'dry',
                $this->terms->dryBy->seconds(),
                ['by' => $this->terms->dryBy->value],
                ticks: ['bone_dry'],
                chains: $chains,
                since: $rinsed,
            ),
            2,
            fn() => ($this->wet = []),
        );
    }

    private function smear(): void
    {
        if ($this->terms->wax === WaxKind::Softened) {
            $oil = LampOil::stepsG($this->terms->pot->waxG, $this->terms->oilFraction, self::MOST_OIL_STEPS);
            $this->add(
                new JobStep(
                    PotDayPlan::SMEAR,
                    about: ['oil_g' => implode(' ', $oil), 'fraction' => $this->terms->oilFraction],
                    againFrom: count($this->steps),
                    skippable: true,
                    handlingS: 120,
                ),
            );
        }
    }

    /** What is ready goes into the hot wax, as far as there is room. */
    private function load(): void
    {
        $ready = array_values(array_filter($this->queue, fn(PotDayChain $chain) => !in_array($chain->id, $this->wet, true)));
        $room = $this->capacity - $this->inside;
        if (!$this->hot || $room < 1 || $ready === [] || $this->recovers()) {
            return;
        }
        $group = array_slice($ready, 0, $room);
        // Fewer at once where together they would make the wax set.
        while (count($group) > 1 && !$this->dip($group, $this->bathC())->bathStaysLiquid) {
            array_pop($group);
        }
        $ids = array_map(fn(PotDayChain $chain) => $chain->id, $group);
        $this->leaveQueue($ids);
        $this->goIn($group, $ids);
        $this->load();
    }

    /** Whether the bath has still to come back from what went in last: the next chains wait for that, not those that are under. */
    private function recovers(): bool
    {
        if ($this->cooled === null) {
            return false;
        }
        [$in, $seconds] = $this->cooled;
        if (!$this->recovering && $this->endS($in) + $seconds <= $this->endS(count($this->steps) - 1)) {
            $this->cooled = null;

            return false;
        }
        if (!$this->recovering) {
            $this->recovering = true;
            $this->wait(new JobStep(PotDayPlan::RECOVER, $seconds, since: $in, skippable: true), 0, function (): void {
                [$this->cooled, $this->recovering] = [null, false];
            });
        }

        return true;
    }

    /**
     * @param list<PotDayChain> $group
     * @param list<int> $ids
     */
    private function goIn(array $group, array $ids): void
    {
        $this->terms->wax->wantsStirring() && $this->add(new JobStep('stir', skippable: true));
        $this->check($group, $ids);
        $this->batch++;
        $bathC = $this->bathC();
        $met = $this->dip($group, $bathC);
        $in = $this->add(
            new JobStep(
                PotDayPlan::IN,
                self::SWISH_S,
                ['mixed_c' => $met->mixedC, 'bath_c' => $bathC] + self::link($group, $this->terms->linkIn),
                chains: $ids,
                skippable: true,
            ),
        );
        $this->inside += count($group);
        $this->cooled = [$in, (int) ceil(self::S_PER_MIN * ($met->recoverMinutes ?? 0.0))];
        $bySchool = [];
        foreach ($group as $chain) {
            $school = $this->terms->soak($chain);
            $minutes = max($school->leastMinutes(), $met->chainSeconds / self::S_PER_MIN);
            $this->dips[] = new PotDayDip(
                $chain->id,
                $this->batch,
                $bathC,
                $met->mixedC,
                $met->frozenG,
                $minutes,
                $met->chainSeconds / self::S_PER_MIN > $school->leastMinutes(),
                $met->bathStaysLiquid,
            );
            $bySchool[$school->value][] = [$chain, $minutes];
        }
        foreach ($bySchool as $name => $together) {
            $this->soak(array_column($together, 0), $together[0][1], SoakSchool::from($name), $met->chainSeconds, $in);
        }
    }

    /**
     * @param non-empty-list<PotDayChain> $chains that come out together
     * @param float $warmS until its steel is as warm as the bath
     */
    private function soak(array $chains, float $minutes, SoakSchool $school, float $warmS, int $in): void
    {
        $ids = array_map(fn(PotDayChain $chain) => $chain->id, $chains);
        $under = new JobStep(
            PotDayPlan::UNDER,
            (int) ceil(self::S_PER_MIN * $minutes),
            ['chain_s' => $warmS, 'school' => $school->value],
            chains: $ids,
            since: $in,
            // Where the bubbles decide it is over when none come, however long that took.
            holds: $school !== SoakSchool::Bubbles,
            sign: 'bubbles',
            skippable: true,
            asks: array_column(WaxedSo::cases(), 'value'),
        );
        $this->wait($under, 0, function () use ($chains, $ids): void {
            $this->add(
                new JobStep(
                    PotDayPlan::LIFT,
                    $this->terms->drain->seconds(),
                    ['drain' => $this->terms->drain->value],
                    chains: $ids,
                    skippable: true,
                ),
            );
            $hung = $this->add(new JobStep(PotDayPlan::HANG, chains: $ids, skippable: true, handlingS: 20 * count($ids)));
            $powder = array_values(
                array_map(fn(PotDayChain $chain) => $chain->id, array_filter($chains, fn(PotDayChain $chain) => $chain->powder)),
            );
            $powder === [] || $this->add(new JobStep(PotDayPlan::POWDER, chains: $powder, skippable: true));
            $this->inside -= count($ids);
            if ($this->queue === [] && $this->inside === 0) {
                $this->recordStep = $this->add(new JobStep(PotDayPlan::OFF, handlingS: 30));
            }
            $this->wait(
                new JobStep('set', self::S_PER_MIN * ReadySchool::SET_MINUTES, chains: $ids, since: $hung, skippable: true),
                3,
                function () use ($ids, $chains): void {
                    $this->terms->weigh &&
                        ($this->recordStep = $this->add(
                            new JobStep('weigh_after', chains: $ids, skippable: true, handlingS: 30 * count($ids)),
                        ));
                    $this->add(
                        new JobStep(
                            'flex',
                            about: ['links' => self::link($chains, true) !== []],
                            chains: $ids,
                            skippable: true,
                            handlingS: 90 * count($ids),
                        ),
                    );
                },
            );
        });
    }

    private function add(JobStep $step): int
    {
        $this->steps[] = $step;

        return count($this->steps) - 1;
    }

    /** @param callable(int): mixed $then */
    private function wait(JobStep $step, int $rank, callable $then): void
    {
        $this->waiting[] = [
            $this->endS((int) $step->since) + ($step->seconds ?? $step->handlingS),
            $rank,
            $step,
            function (int $added) use ($then): void {
                $then($added);
            },
        ];
    }

    private function endS(int $step): int
    {
        foreach (JobRun::of($this->steps, 0, [])->spans(0) as $span) {
            if ($span->step === $step) {
                return $span->endS;
            }
        }

        return 0;
    }

    private function bathC(): float
    {
        $spans = JobRun::of($this->steps, 0, [])->spans(0);
        $masses = array_column(array_map(fn(PotDayChain $chain) => [$chain->id, $chain->massG], $this->order), 1, 0);

        return PotDayCourse::of($this->terms, $masses, $this->steps, $spans, 0)->celsius($spans[count($spans) - 1]->endS);
    }

    /** @param list<PotDayChain> $group */
    private function dip(array $group, float $bathC): PotDipResult
    {
        $pot = $this->terms->pot;

        return (new PotDip())(
            new PotDipInput(
                $pot->waxG,
                max($bathC, $pot->wax->meltToC),
                array_map(fn(PotDayChain $chain) => new DippedChain($chain->massG, $pot->ambientC), $group),
                wax: $pot->wax,
                vesselJPerK: $pot->vesselJPerK,
                powerW: $pot->efficiency * $this->terms->holdW,
                lossWPerK: $pot->lossWPerK,
                ambientC: $pot->ambientC,
            ),
        );
    }

    /**
     * @param list<PotDayChain> $chains
     *
     * @return list<int>
     */
    private static function ids(array $chains, RinseSchool $rinse): array
    {
        return array_values(
            array_map(fn(PotDayChain $chain) => $chain->id, array_filter($chains, fn(PotDayChain $chain) => $chain->rinse === $rinse)),
        );
    }
}
