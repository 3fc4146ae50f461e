<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A chain or part on a bike from an instant (included) until another (not included; null: still on). Unix seconds. */
final readonly class Span
{
    public function __construct(
        public int $bikeId,
        public int $componentId,
        public int $fromS,
        public ?int $untilS,
        public int $fittingId,
    ) {}

    /** The same, over at an instant if it was not before. */
    public function until(?int $endS): self
    {
        return $endS === null || ($this->untilS !== null && $this->untilS <= $endS)
            ? $this
            : new self($this->bikeId, $this->componentId, $this->fromS, $endS, $this->fittingId);
    }

    public function holdsAt(int $atS): bool
    {
        return $this->fromS <= $atS && ($this->untilS === null || $atS < $this->untilS);
    }
}
