<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Interval\IntervalSchool;
use Dripel\Core\Plan\DipRule;

/** How a year is ridden again: one interval for all bikes or each its own, which chains a pot day dips, with a bottle or not. */
final readonly class ReplayPolicy
{
    public function __construct(public ?float $intervalKm = null, public DipRule $dips = DipRule::Chosen, public bool $bottle = true) {}

    /** @return array<string, self> the plan itself, and what else one might have done, by name */
    public static function all(): array
    {
        return [
            'plan' => new self(),
            'all_used' => new self(dips: DipRule::Used),
            'no_bottle' => new self(bottle: false),
            'short' => new self(IntervalSchool::Short->km()),
            'long' => new self(IntervalSchool::Long->km()),
        ];
    }
}
