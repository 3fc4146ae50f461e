<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** A guided job under way, as Next sees it: its chains, the step it is at, and when that step's timer rings. */
final readonly class OpenJob
{
    /**
     * @param string $kind which sort of job
     * @param list<int> $chainIds
     */
    public function __construct(
        public string $id,
        public string $kind,
        public array $chainIds,
        public string $step,
        /** Unix seconds; null: it waits for somebody now. */
        public ?int $dueS,
        /** It has not begun: `dueS` is when it should, to be done in time. */
        public bool $planned = false,
        /** When its chains should be out of the pot, if that is known. */
        public ?int $doneS = null,
    ) {}
}
