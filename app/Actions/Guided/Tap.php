<?php

declare(strict_types=1);

namespace App\Actions\Guided;

use Dripel\Core\Guided\JobEventKind;

/** A tap as a device sends it: with an id of its own and the time at which it was made there. */
final readonly class Tap
{
    /**
     * @param list<string> $ticks what was confirmed at a step that asks for it
     * @param array<string, string|int|float> $about what was noted, or why a step was passed over: `text`, `celsius`, `ml`, `waxed`,
     * `chain` with
     * `before_g` or `after_g`
     */
    public function __construct(
        public string $id,
        public JobEventKind $kind,
        public int $position,
        public int $atS,
        public array $ticks = [],
        public array $about = [],
    ) {}
}
