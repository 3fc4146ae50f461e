<?php

declare(strict_types=1);

namespace Dripel\Core\Guided;

/**
 * Where a guided job stands: its steps, and the taps that were made. The one engine of every guided job. Instants in
 * Unix seconds; a step's timer starts when the step before it is done, or with an earlier step that it names, and a pause
 * stops it.
 */
final readonly class JobRun
{
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
        /** When the sign that it waits for was seen. */
        public ?int $signS = null,
        /** As it stood before the step before was done; null: there is none. */
        private ?self $before = null,
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
            // Words are kept even when the job has gone on meanwhile.
            $event->kind === JobEventKind::Note && $current !== null && $event->position <= $current->position => JobVerdict::Take,
            $event->position < count($this->turns) - ($current === null ? 0 : 1) => JobVerdict::AlreadyDone,
            $current === null || $step === null || $event->position > $current->position => JobVerdict::Refused,
            $event->kind === JobEventKind::Back => $this->before === null ? JobVerdict::Refused : JobVerdict::Take,
            $event->kind === JobEventKind::Again && $step->againFrom === null => JobVerdict::Refused,
            $event->kind === JobEventKind::Longer && $step->seconds === null => JobVerdict::Refused,
            $event->kind === JobEventKind::Sign && $step->sign === null => JobVerdict::Refused,
            $event->kind === JobEventKind::Skip && !$step->skippable => JobVerdict::Refused,
            $event->kind === JobEventKind::Done && !$this->mayBeDone($step, $event->atS) => JobVerdict::Refused,
            $event->kind === JobEventKind::Pause && $this->pausedS !== null,
            $event->kind === JobEventKind::Resume && $this->pausedS === null
                => JobVerdict::AlreadyDone,
            $event->kind === JobEventKind::Sign && $this->signS !== null => JobVerdict::AlreadyDone,
            default => JobVerdict::Take,
        };
    }

    private function mayBeDone(JobStep $step, int $atS): bool
    {
        return (!$step->holds || $this->goneS($atS) >= (int) $this->seconds()) && ($step->sign === null || $this->signS !== null);
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
        if ($event->kind === JobEventKind::Sign) {
            $seen = new self($this->steps, $this->turns, $this->ahead, $this->pausedS, $this->stoodS, $this->longerS, $atS, $this->before);

            return $seen->mayBeDone($this->steps[$current->step], $atS) ? $seen->done($current, JobEventKind::Done, $atS, $this) : $seen;
        }

        return match ($event->kind) {
            JobEventKind::Note => $this,
            JobEventKind::Back => $this->before ?? $this,
            JobEventKind::Pause => new self(
                $this->steps,
                $this->turns,
                $this->ahead,
                $atS,
                $this->stoodS,
                $this->longerS,
                $this->signS,
                $this->before,
            ),
            JobEventKind::Resume => new self(
                $this->steps,
                $this->turns,
                $this->ahead,
                null,
                $this->stoodS + $atS - (int) $this->pausedS,
                $this->longerS,
                $this->signS,
                $this->before,
            ),
            JobEventKind::Longer => new self(
                $this->steps,
                $this->turns,
                $this->ahead,
                $this->pausedS,
                $this->stoodS,
                $this->longerS + self::LONGER_S,
                $this->signS,
                $this->before,
            ),
            default => $this->done($current, $event->kind, $atS, $this, $event->said),
        };
    }

    /** @param self $before as it stood before the tap that did it */
    private function done(JobTurn $current, JobEventKind $answer, int $atS, self $before, ?string $said = null): self
    {
        $ahead =
            $answer === JobEventKind::Again
                ? [...range((int) $this->steps[$current->step]->againFrom, $current->step), ...$this->ahead]
                : $this->ahead;
        $turns = [
            ...array_slice($this->turns, 0, -1),
            new JobTurn(
                $current->position,
                $current->step,
                $current->round,
                $current->startS,
                $atS,
                $answer,
                $this->signS,
                $said,
                // A sign, a no and a reason end a wait by what they say, not early.
                $answer === JobEventKind::Done && $this->signS === null ? max(0, ($this->seconds() ?? 0) - $this->goneS($atS)) : 0,
            ),
        ];
        $next = array_shift($ahead);
        if ($next !== null) {
            $rounds = count(array_filter($turns, fn(JobTurn $turn) => $turn->step === $next));
            $turns[] = new JobTurn($current->position + 1, $next, $rounds + 1, $atS);
        }

        return new self($this->steps, $turns, $ahead, null, 0, 0, null, $before);
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

        return $current === null || $seconds === null || $this->pausedS !== null
            ? null
            : $this->timedFromS($current) + $this->stoodS + $seconds;
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

        return $current === null ? 0 : max(0, ($this->pausedS ?? $nowS) - $this->timedFromS($current) - $this->stoodS);
    }

    /** When the last step was done. */
    public function doneS(): ?int
    {
        return $this->turns[count($this->turns) - 1]->endS;
    }

    /** When a step was done the last time; null if it was not. */
    public function endedS(int $step): ?int
    {
        foreach (array_reverse($this->turns) as $turn) {
            if ($turn->step === $step && $turn->endS !== null) {
                return $turn->endS;
            }
        }

        return null;
    }

    /** An estimate of when a step that is still to come will begin, or the whole job will be done. */
    public function aboutS(int $nowS, ?int $untilStep = null): int
    {
        $spans = $this->spans($nowS);
        foreach (array_slice($spans, count($this->turns)) as $span) {
            if ($span->step === $untilStep) {
                return $span->startS;
            }
        }

        return $spans[count($spans) - 1]->endS;
    }

    /**
     * The whole job on the time axis: every turn as it was, the one under way and those to come as they are expected.
     *
     * @return non-empty-list<JobSpan>
     */
    public function spans(int $nowS): array
    {
        [$spans, $endedS, $rounds] = [[], [], []];
        foreach ($this->turns as $turn) {
            $step = $this->steps[$turn->step];
            $fromS = $step->since === null ? $turn->startS : $endedS[$step->since] ?? $turn->startS;
            $restS = max(0, ($this->seconds() ?? $step->handlingS) - $this->goneS($nowS));
            $endS = $turn->endS ?? max($nowS, $turn->startS) + $restS;
            $spans[] = new JobSpan($turn->step, $turn->round, $turn->startS, $fromS, $endS, $turn->endS !== null, $turn->answer);
            [$endedS[$turn->step], $rounds[$turn->step]] = [$endS, $turn->round];
        }
        foreach ($this->ahead as $index) {
            $step = $this->steps[$index];
            $startS = $spans[count($spans) - 1]->endS;
            $fromS = $step->since === null ? $startS : $endedS[$step->since] ?? $startS;
            $endS = max($startS, $fromS + ($step->seconds ?? $step->handlingS));
            $rounds[$index] = ($rounds[$index] ?? 0) + 1;
            $spans[] = new JobSpan($index, $rounds[$index], $startS, $fromS, $endS, false);
            $endedS[$index] = $endS;
        }
        assert($spans !== []);

        return $spans;
    }

    private function timedFromS(JobTurn $turn): int
    {
        $since = $this->steps[$turn->step]->since;

        return $since === null ? $turn->startS : $this->endedS($since) ?? $turn->startS;
    }
}
