<?php

declare(strict_types=1);

namespace Dripel\Core\Explain;

use Dripel\Core\Logbook\Distance;

/** One figure of a chain before and after something is put right. Units: km, percent; null where there is none. */
final readonly class Change
{
    public function __construct(
        public string $figure,
        public Distance|float|string|null $before,
        public Distance|float|string|null $after,
    ) {}
}
