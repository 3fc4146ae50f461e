<?php

declare(strict_types=1);

namespace Dripel\Core\Guided;

/** One step on the time axis: as it was, or as it is expected. Unix seconds. */
final readonly class JobSpan
{
    public function __construct(
        public int $step,
        public int $round,
        /** When it gets somebody's hands: the step before it is done. */
        public int $startS,
        /** Since when it lasts: earlier than its start where its timer ran beside other steps. */
        public int $fromS,
        public int $endS,
        public bool $done,
        public ?JobEventKind $answer = null,
    ) {}
}
