<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** The plan, or the day that cannot be ridden whatever is done. Days from 0. */
final readonly class PotDaysResult
{
    /**
     * @param list<PlannedPotDay> $potDays
     * @param list<PlannedSwap> $swaps
     * @param list<PlannedDrip> $topUps
     */
    public function __construct(
        public bool $feasible,
        public ?float $totalMinutes,
        public array $potDays,
        public array $swaps,
        public array $topUps,
        public ?PlanBlock $blocked,
    ) {}

    /**
     * @param list<PlannedPotDay> $potDays until then
     * @param list<PlannedSwap> $swaps
     * @param list<PlannedDrip> $topUps
     */
    public static function blocked(int $day, string|int $bike, bool $tooLong, array $potDays = [], array $swaps = [], array $topUps = []): self
    {
        return new self(false, null, $potDays, $swaps, $topUps, new PlanBlock($day, $bike, $tooLong));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'feasible' => $this->feasible,
            'total_minutes' => $this->totalMinutes,
            'pot_days' => array_map(fn(PlannedPotDay $one) => ['day' => $one->day, 'batches' => $one->batches, 'dips' => $one->dips], $this->potDays),
            'swaps' => array_map(fn(PlannedSwap $one) => ['day' => $one->day, 'bike' => $one->bike, 'from' => $one->from, 'to' => $one->to], $this->swaps),
            'topups' => array_map(fn(PlannedDrip $one) => ['day' => $one->day, 'bike' => $one->bike, 'chain' => $one->chain], $this->topUps),
            'blocked' => $this->blocked === null ? null : [
                'day' => $this->blocked->day, 'bike' => $this->blocked->bike,
                'why' => $this->blocked->tooLong ? 'the ride is longer than the interval, and no chain is fresh or can be made so by top-ups' : 'no chain has enough wax left for the ride, with or without top-ups',
            ],
        ];
    }
}
