<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** A bath that chains were given: in a jar, or fresh and poured into one afterwards. ml and grams. */
final readonly class JarBath
{
    public function __construct(
        public int $atS,
        /** All baths of one stripping have the same: the chains pass through them in order. */
        public string $series,
        public ?int $jarId,
        public ?int $intoId,
        public Solvent $solvent,
        public float $volumeMl,
        public int $chains,
        /** On each chain before the first bath of the series. */
        public float $startG,
    ) {}
}
