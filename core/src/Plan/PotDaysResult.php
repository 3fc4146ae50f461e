<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** The plan, or the day that cannot be ridden whatever is done. Days from 0. */
final readonly class PotDaysResult
{
    /**
     * @param float|null $totalMinutes with the end minutes, where dips are chosen
     * @param list<PlannedPotDay> $potDays
     * @param list<PlannedSwap> $swaps
     * @param list<PlannedDrip> $topUps
     * @param float|null $endMinutes what the wax that is used at the end will cost: where dips are chosen
     * @param float|null $gapMinutes no plan takes fewer minutes than this one less these: where dips are chosen
     */
    public function __construct(
        public bool $feasible,
        public ?float $totalMinutes,
        public array $potDays,
        public array $swaps,
        public array $topUps,
        public ?PlanBlock $blocked,
        public ?float $endMinutes = null,
        public ?float $gapMinutes = null,
        public DipRule $dips = DipRule::Used,
    ) {}

    /**
     * @param list<PlannedPotDay> $potDays until then
     * @param list<PlannedSwap> $swaps
     * @param list<PlannedDrip> $topUps
     */
    public static function blocked(PlanBlock $block, DipRule $dips, array $potDays = [], array $swaps = [], array $topUps = []): self
    {
        return new self(false, null, $potDays, $swaps, $topUps, $block, dips: $dips);
    }

    /** The same with how far from the best it may be at most. */
    public function within(float $gapMinutes): self
    {
        return new self(
            $this->feasible,
            $this->totalMinutes,
            $this->potDays,
            $this->swaps,
            $this->topUps,
            $this->blocked,
            $this->endMinutes,
            $gapMinutes,
            $this->dips,
        );
    }

    /** How many chains go into the pot in all. */
    public function dipCount(): int
    {
        return array_sum(array_map(fn(PlannedPotDay $pot) => count($pot->dips), $this->potDays));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'feasible' => $this->feasible,
            'total_minutes' => $this->totalMinutes,
            'pot_days' => array_map(
                fn(PlannedPotDay $one) => ['day' => $one->day, 'batches' => $one->batches, 'dips' => $one->dips],
                $this->potDays,
            ),
            'swaps' => array_map(
                fn(PlannedSwap $one) => ['day' => $one->day, 'bike' => $one->bike, 'from' => $one->from, 'to' => $one->to],
                $this->swaps,
            ),
            'topups' => array_map(
                fn(PlannedDrip $one) => ['day' => $one->day, 'bike' => $one->bike, 'chain' => $one->chain],
                $this->topUps,
            ),
            'blocked' => $this->blocked?->toArray(),
        ] + ($this->dips === DipRule::Used ? [] : ['end_minutes' => $this->endMinutes, 'gap_minutes' => $this->gapMinutes]);
    }
}
