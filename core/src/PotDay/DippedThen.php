<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

/** One chain as it was waxed. Unix seconds. */
final readonly class DippedThen
{
    public function __construct(
        public int $chainId,
        /** When it hung: from then on it counts as waxed. */
        public int $atS,
        public int $inS,
        /** How long it was under. */
        public int $soakS,
        /** When no more bubbles came; null: nobody saw. */
        public ?int $bubblesS,
        public bool $rinsed,
        public bool $powder,
        /** Its soak was cut short, and it was waxed only partly. */
        public bool $partly = false,
    ) {}
}
