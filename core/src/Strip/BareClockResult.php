<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** Hours until bare steel rusts (negative when overdue) and how pressing that is. */
final readonly class BareClockResult
{
    public function __construct(public float $hoursLeft, public BareState $state) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['hours_left' => $this->hoursLeft, 'state' => $this->state->value];
    }
}
