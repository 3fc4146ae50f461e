<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\Check;

/**
 * Elongation in percent: a value with its standard uncertainty, or an interval open to either side (null), never both.
 * `spreadPct` is there only for several spots that have values.
 */
final readonly class WearReadingResult
{
    public function __construct(
        public ?float $valuePct,
        public ?float $sigmaPct,
        public ?float $lowerPct,
        public ?float $upperPct,
        public ?float $spreadPct = null,
    ) {}

    /** The largest elongation that this reading alone proves: what is compared with a limit. */
    public function atLeastPct(): ?float
    {
        return $this->valuePct ?? $this->lowerPct;
    }

    /** Whether this reading alone says that the limit is reached. */
    public function reaches(float $limitPct): bool
    {
        return $this->atLeastPct() !== null && $this->atLeastPct() >= $limitPct - Check::EPSILON;
    }

    public function withSpread(?float $spreadPct): self
    {
        return new self($this->valuePct, $this->sigmaPct, $this->lowerPct, $this->upperPct, $spreadPct);
    }

    /** @return array<string, float|null> */
    public function toArray(): array
    {
        return [
            'value_pct' => $this->valuePct,
            'sigma_pct' => $this->sigmaPct,
            'lower_pct' => $this->lowerPct,
            'upper_pct' => $this->upperPct,
        ];
    }
}
