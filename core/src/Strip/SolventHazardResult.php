<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** The class, or null: no flammable liquid by these criteria. */
final readonly class SolventHazardResult
{
    public function __construct(public ?GhsFlammable $class) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['ghs_category' => $this->class?->value, 'signal' => $this->class?->signal(), 'statement' => $this->class?->statement()];
    }
}
