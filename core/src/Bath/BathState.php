<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

/** A pot with what its book says of the wax in it; null before it was ever filled. */
final readonly class BathState
{
    /** @param list<BathMoment> $history since its last fill */
    public function __construct(
        public int $potId,
        public ?BathLedgerResult $ledger,
        public float $limitC,
        public ?float $heightMm,
        public ?int $filledS,
        /** What in its book cannot be, by InvalidInput's path; null if all can. */
        public ?string $problem = null,
        public array $history = [],
    ) {}
}
