<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** The first day on which a bike has no chain for its ride, or on which a chain was not dipped that must have been. */
final readonly class PlanBlock
{
    /** @param string|int|null $chain the one that missed the pot; null: it is the ride that has no chain */
    public function __construct(public int $day, public string|int $bike, public string|int|null $chain = null) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['day' => $this->day, 'bike' => $this->bike, 'chain' => $this->chain, 'why' => $this->chain === null ? 'ride' : 'dip_by'];
    }
}
