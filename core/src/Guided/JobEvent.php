<?php

declare(strict_types=1);

namespace Dripel\Core\Guided;

/**
 * One tap: at which turn of the job, and when it was made (Unix seconds), which may be well before it arrives; what was said where a step
 * asks.
 */
final readonly class JobEvent
{
    public function __construct(public JobEventKind $kind, public int $position, public int $atS, public ?string $said = null) {}
}
