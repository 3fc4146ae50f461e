<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** Where a ride that nobody logged comes from: an estimate over some days, or the weekly commute. */
final readonly class Guess
{
    private function __construct(public ?int $estimateId, public ?int $commuteId, public string $date) {}

    public static function ofEstimate(int $id, string $date): self
    {
        return new self($id, null, $date);
    }

    public static function ofCommute(int $id, string $date): self
    {
        return new self(null, $id, $date);
    }
}
