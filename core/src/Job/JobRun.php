<?php

declare(strict_types=1);

namespace Dripel\Core\Job;

/**
 * Where a guided job stands: its steps, and the taps that were made. The one engine of every guided job. Instants in
 * Unix seconds; a step's timer starts when the step before it is done, and a pause stops it.
 */
final readonly class JobRun
{
    /** House rule: what a step without a timer is taken to last when the end is estimated. */
    public const HANDLING_S = 60;

    public const LONGER_S = 60;

    /**
     * @param list<JobStep> $steps
     * @param list<JobTurn> $turns those that are done, then the one under way
     * @param list<int> $ahead the steps that are still to come
     */
    private function __construct(
        public array $steps,
        public array $turns,
        public array $ahead,
        /** Since when it is paused. */
        public ?int $pausedS,
        /** For how long the step under way was paused before. */
        private int $stoodS,
        /** By how much its timer was made longer. */
        private int $longerS,
    ) {}

    /**
     * @param non-empty-list<JobStep> $steps
     * @param list<JobEvent> $events in the order in which they were taken
     */
    public static function of(array $steps, int $startedS, array $events): self
    {
        $run = new self($steps, [new JobTurn(0, 0, 1, $startedS)], array_keys(array_slice($steps, 1, null, true)), null, 0, 0);
        foreach ($events as $event) {
            $run = $run->verdict($event) === JobVerdict::Take ? $run->after($event) : $run;
        }

        return $run;
    }

    public function verdict(JobEvent $event): JobVerdict
    {
        $current = $this->current();
        $step = $current === null ? null : $this->steps[$current->step];

        return match (true) {
            $event->position < count($this->turns) - ($current === null ? 0 : 1) => JobVerdict::AlreadyDone,
            $current === null || $step === null || $event->position > $current->position => JobVerdict::Refused,
            $event->kind === JobEventKind::Again && $step->againFrom === null => JobVerdict::Refused,
            $event->kind === JobEventKind::Longer && $step->seconds === null => JobVerdict::Refused,
            $event->kind === JobEventKind::Pause && $this->pausedS !== null, $event->kind === JobEventKind::Resume && $this->pausedS === null => JobVerdict::AlreadyDone,
            default => JobVerdict::Take,
        };
    }

    /** Must have been taken by `verdict`. */
    public function after(JobEvent $event): self
    {
        $current = $this->current();
        if ($current === null) {
            return $this;
        }
        // A device's clock may be off; what follows never begins before what came first.
        $atS = max($event->atS, $current->startS, $this->pausedS ?? 0);
        if ($event->kind === JobEventKind::Pause) {
            return new self($this->steps, $this->turns, $this->ahead, $atS, $this->stoodS, $this->longerS);
        }
        if ($event->kind === JobEventKind::Resume) {
            return new self($this->steps, $this->turns, $this->ahead, null, $this->stoodS + $atS - (int) $this->pausedS, $this->longerS);
        }
        if ($event->kind === JobEventKind::Longer) {
            return new self($this->steps, $this->turns, $this->ahead, $this->pausedS, $this->stoodS, $this->longerS + self::LONGER_S);
        }
        $ahead = $event->kind === JobEventKind::Again ? [...range((int) $this->steps[$current->step]->againFrom, $current->step), ...$this->ahead] : $this->ahead;
        $turns = [...array_slice($this->turns, 0, -1), new JobTurn($current->position, $current->step, $current->round, $current->startS, $atS, $event->kind)];
        $next = array_shift($ahead);
        if ($next !== null) {
            $before = count(array_filter($turns, fn(JobTurn $turn) => $turn->step === $next));
            $turns[] = new JobTurn($current->position + 1, $next, $before + 1, $atS);
        }

        return new self($this->steps, $turns, $ahead, null, 0, 0);
    }

    /** The turn under way, null once all is done. */
    public function current(): ?JobTurn
    {
        $last = $this->turns[count($this->turns) - 1];

        return $last->endS === null ? $last : null;
    }

    public function step(): ?JobStep
    {
        $current = $this->current();

        return $current === null ? null : $this->steps[$current->step];
    }

    /** When the timer of the step under way rings; null without a timer or while it is paused. */
    public function dueS(): ?int
    {
        $current = $this->current();
        $seconds = $this->seconds();

        return $current === null || $seconds === null || $this->pausedS !== null ? null : $current->startS + $this->stoodS + $seconds;
    }

    /** How long the step under way lasts at least, with what was added; null without a timer. */
    public function seconds(): ?int
    {
        $seconds = $this->step()?->seconds;

        return $seconds === null ? null : $seconds + $this->longerS;
    }

    /** What the timer has counted so far; a pause does not count. */
    public function goneS(int $nowS): int
    {
        $current = $this->current();

        return $current === null ? 0 : max(0, ($this->pausedS ?? $nowS) - $current->startS - $this->stoodS);
    }

    /** When the last step was done. */
    public function doneS(): ?int
    {
        return $this->turns[count($this->turns) - 1]->endS;
    }

    /** An estimate of when a step that is still to come, or the whole job, will be done. */
    public function aboutS(int $nowS, ?int $untilStep = null): int
    {
        $leftS = $this->current() === null ? 0 : max(0, ($this->seconds() ?? self::HANDLING_S) - $this->goneS($nowS));
        foreach ($this->ahead as $step) {
            if ($step === $untilStep) {
                break;
            }
            $leftS += $this->steps[$step]->seconds ?? self::HANDLING_S;
        }

        return ($this->doneS() ?? $nowS) + $leftS;
    }
}
