<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** A guided job under way, as Next sees it: its chains, the step it is at, and when that step's timer rings. */
final readonly class OpenJob
{
    /** @param list<int> $chainIds */
    public function __construct(
        public string $id,
        public array $chainIds,
        public string $step,
        /** Unix seconds; null: it waits for somebody now. */
        public ?int $dueS,
    ) {}
}
