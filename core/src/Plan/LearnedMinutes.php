<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/**
 * What pot days, swaps and strips take, from those that were led step by step, in place of the house rules: so that the plan, put over the
 * same days, comes to the minutes that they took. Nothing before three of a kind; the last eight count. House rules.
 */
final readonly class LearnedMinutes
{
    public const LAST = 8;

    private const LEAST = 3;

    private function __construct(
        /** Pot days, as a whole; null: too few, as of the others. */
        public ?OftenDone $days,
        public int $dips,
        public ?float $fixedMinutes,
        public ?float $dipMinutes,
        /** Null too where chains never went in together: then a batch is a dip. */
        public ?float $batchMinutes,
        public ?OftenDone $swaps,
        public ?OftenDone $strips,
    ) {}

    /**
     * @param list<WorkedDay> $days the newest last
     * @param list<float> $swaps minutes of each, the newest last
     * @param list<float> $strips likewise, however many chains went through the jars together
     */
    public static function of(array $days, array $swaps, array $strips): self
    {
        [$days, $swaps, $strips] = array_map(fn(array $all) => count($all) < self::LEAST ? [] : array_slice($all, -self::LAST), [
            $days,
            $swaps,
            $strips,
        ]);
        $sum = fn(callable $of): float => (float) array_sum(array_map($of, $days));
        [$dips, $batches] = [(int) $sum(fn(WorkedDay $day) => $day->dips), $sum(fn(WorkedDay $day) => $day->batches)];
        $together = $sum(fn(WorkedDay $day) => $day->batchMinutes);

        return new self(
            OftenDone::of(array_map(fn(WorkedDay $day) => $day->minutes(), $days)),
            $dips,
            $days === [] ? null : $sum(fn(WorkedDay $day) => $day->fixedMinutes) / count($days),
            $days === [] ? null : $sum(fn(WorkedDay $day) => $day->dipMinutes) / $dips,
            $days === [] || $together <= 0.0 ? null : $together / $batches,
            OftenDone::of($swaps),
            OftenDone::of($strips),
        );
    }

    /** The same for the plan; what was not learned as it is. */
    public function applied(PlanTerms $terms): PlanTerms
    {
        return $terms->taking(
            $this->fixedMinutes ?? $terms->fixedMinutes,
            $this->dipMinutes ?? $terms->dipMinutes,
            $this->fixedMinutes === null ? $terms->batchMinutes : $this->batchMinutes ?? 0.0,
            $this->swaps->meanMinutes ?? $terms->swapMinutes,
            $this->strips->meanMinutes ?? $terms->stripMinutes,
        );
    }

    /** Whether there is anything to offer: something was learned that is not what the plan goes by, in whole minutes. */
    public function news(PlanTerms $terms): bool
    {
        $of = fn(PlanTerms $one): array => array_map(round(...), [
            $one->fixedMinutes,
            $one->dipMinutes,
            $one->batchMinutes,
            $one->swapMinutes,
            $one->stripMinutes,
        ]);

        return $of($this->applied($terms)) !== $of($terms);
    }
}
