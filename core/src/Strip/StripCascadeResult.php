<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** Chain by chain, and how many come out within the limit; null without one, or if all do for ever. */
final readonly class StripCascadeResult
{
    /** @param list<CascadeState> $byChain */
    public function __construct(public array $byChain, public ?int $chainsWithinLimit) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'by_chain' => array_map(fn(CascadeState $state) => $state->toArray(), $this->byChain),
            'chains_within_limit' => $this->chainsWithinLimit,
        ];
    }
}
