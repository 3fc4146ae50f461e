<?php

declare(strict_types=1);

namespace Dripel\Core\Guided;

/** One step as it came to be done: the same step comes round again when its answer was no. */
final readonly class JobTurn
{
    public function __construct(
        /** Counts from 0 through the whole job. */
        public int $position,
        /** Which step of the job it is. */
        public int $step,
        /** 1 the first time, 2 when it comes round again. */
        public int $round,
        public int $startS,
        /** Null while it is under way. */
        public ?int $endS = null,
        public ?JobEventKind $answer = null,
        /** When the sign it waited for was seen. */
        public ?int $signS = null,
        /** What was said when it was passed over. */
        public ?string $said = null,
        /** By so many seconds it was done before its time was up. */
        public int $earlyS = 0,
    ) {}
}
