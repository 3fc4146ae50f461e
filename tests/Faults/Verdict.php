<?php

declare(strict_types=1);

namespace Tests\Faults;

/** What trials came to. */
final readonly class Verdict
{
    public function __construct(
        public int $tried = 0,
        /** Acknowledged and gone. */
        public int $lost = 0,
        public int $doubled = 0,
        /** Half stored, left lying about, or a trace where words should be. */
        public int $half = 0,
        public string $note = '',
    ) {}

    public function and(self $other): self
    {
        return new self(
            $this->tried + $other->tried,
            $this->lost + $other->lost,
            $this->doubled + $other->doubled,
            $this->half + $other->half,
            $other->note !== '' ? $other->note : $this->note,
        );
    }

    public function holds(): bool
    {
        return $this->lost + $this->doubled + $this->half === 0;
    }
}
