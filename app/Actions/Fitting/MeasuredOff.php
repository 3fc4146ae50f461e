<?php

declare(strict_types=1);

namespace App\Actions\Fitting;

/** What the chain that comes off was measured to be, in the same step. */
final readonly class MeasuredOff
{
    /** @param array<string, mixed> $input of wear.reading */
    public function __construct(public array $input, public bool $ask, public ?int $instrumentId) {}
}
