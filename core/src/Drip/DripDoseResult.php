<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

use DateTimeImmutable;

/** Drops and ml of one application, how many more the bottle does after it (null: unknown), and when the chain may be ridden. */
final readonly class DripDoseResult
{
    public function __construct(public float $drops, public float $ml, public ?int $applicationsLeft, public float $readyAtS) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'drops' => $this->drops,
            'ml' => $this->ml,
            'applications_left' => $this->applicationsLeft,
            'ready_at' => (new DateTimeImmutable('@' . (int) round($this->readyAtS)))->format('Y-m-d\TH:i:s\Z'),
        ];
    }
}
