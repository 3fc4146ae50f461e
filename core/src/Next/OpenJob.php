<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\BookedPot;

/** A guided job under way, as Next sees it: its chains, the step it is at, and when that step's timer rings. */
final readonly class OpenJob
{
    /** The kind that puts its chains into the pot. */
    public const POT_DAY = 'pot_day';

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
        /** The bike that it is about, where it is about one. */
        public ?int $bikeId = null,
        /** @var list<int> the jars that it has open */
        public array $jarIds = [],
    ) {}

    /** As the plan takes it; null: it is no pot day. */
    public function booked(): ?BookedPot
    {
        return $this->kind === self::POT_DAY ? new BookedPot($this->dueS ?? 0, $this->chainIds, !$this->planned) : null;
    }
}
