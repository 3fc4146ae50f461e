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

    /**
     * @param int $days pot days that it was learned from
     * @param array{float, float} $dayMinutes the shortest and the longest of them, as a whole
     * @param int $swaps that it was learned from
     * @param array{float, float} $eachSwap the shortest and the longest
     * @param int $strips likewise
     * @param array{float, float} $eachStrip
     */
    private function __construct(
        public int $days,
        public int $dips,
        public ?float $fixedMinutes,
        public ?float $dipMinutes,
        /** Null too where chains never went in together: then a batch is a dip. */
        public ?float $batchMinutes,
        public array $dayMinutes,
        public int $swaps,
        public ?float $swapMinutes,
        public array $eachSwap,
        public int $strips,
        public ?float $stripMinutes,
        public array $eachStrip,
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
        $all = array_map(fn(WorkedDay $day) => $day->minutes(), $days);

        return new self(
            count($days),
            $dips,
            $days === [] ? null : $sum(fn(WorkedDay $day) => $day->fixedMinutes) / count($days),
            $days === [] ? null : $sum(fn(WorkedDay $day) => $day->dipMinutes) / $dips,
            $days === [] || $together <= 0.0 ? null : $together / $batches,
            self::span($all),
            count($swaps),
            $swaps === [] ? null : array_sum($swaps) / count($swaps),
            self::span($swaps),
            count($strips),
            $strips === [] ? null : array_sum($strips) / count($strips),
            self::span($strips),
        );
    }

    /**
     * @param list<float> $minutes
     *
     * @return array{float, float}
     */
    private static function span(array $minutes): array
    {
        return $minutes === [] ? [0.0, 0.0] : [min($minutes), max($minutes)];
    }

    /** The same for the plan; what was not learned as it is. */
    public function applied(PlanTerms $terms): PlanTerms
    {
        return $terms->taking(
            $this->fixedMinutes ?? $terms->fixedMinutes,
            $this->dipMinutes ?? $terms->dipMinutes,
            $this->fixedMinutes === null ? $terms->batchMinutes : $this->batchMinutes ?? 0.0,
            $this->swapMinutes ?? $terms->swapMinutes,
            $this->stripMinutes ?? $terms->stripMinutes,
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
