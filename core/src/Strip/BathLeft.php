<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Guided\JobEventKind;

/** What one bath of a job should leave on each chain, in grams, and what was seen. */
final readonly class BathLeft
{
    public function __construct(
        public int $bath,
        /** 1 the first time, 2 when it had to be repeated. */
        public int $round,
        public float $expectedG,
        public bool $done,
        /** Null where nobody was asked, or not yet. */
        public ?JobEventKind $seen,
    ) {}
}
