<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** How a bike fares in the runs of a plan. */
final readonly class BikeRisk
{
    /**
     * @param float $waxed share of the runs in which it is never ridden without wax
     * @param array<int, float> $firstTrouble by day: share of all runs in which its first ride without wax is then
     * @param float $swaps a run, on average
     * @param float $topUps a run, on average
     */
    public function __construct(
        public string|int $id,
        public float $waxed,
        public array $firstTrouble,
        public float $swaps,
        public float $topUps,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'waxed' => $this->waxed,
            'first_trouble' => array_map(
                fn(int $day, float $share) => ['day' => $day, 'share' => $share],
                array_keys($this->firstTrouble),
                $this->firstTrouble,
            ),
            'swaps' => $this->swaps,
            'topups' => $this->topUps,
        ];
    }
}
