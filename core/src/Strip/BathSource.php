<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** Where the solvent of one bath comes from and where it goes: a jar that is used as it is, or fresh from the bottle. */
final readonly class BathSource
{
    private function __construct(
        /** The jar the chain goes into; null: fresh solvent. */
        public ?int $jarId,
        /** How much is in that jar, in ml; null for a fresh bath, which takes what the protocol says. */
        public ?float $jarMl,
        /** What that jar has dissolved, in grams. */
        public float $greaseG,
        /** The jar or waste can that a fresh bath is poured into afterwards; null: nobody said. */
        public ?int $intoId,
        /** Flash and boiling point of what is in that jar, by its sheet; null: those of its kind. */
        public ?float $flashC = null,
        public ?float $boilingC = null,
    ) {}

    public static function jar(int $jarId, float $jarMl, float $greaseG, ?float $flashC = null, ?float $boilingC = null): self
    {
        return new self($jarId, $jarMl, $greaseG, null, $flashC, $boilingC);
    }

    public static function fresh(?int $intoId = null): self
    {
        return new self(null, null, 0.0, $intoId);
    }
}
