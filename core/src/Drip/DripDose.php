<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Model;

/**
 * How much drip wax a chain takes, how long the bottle lasts, and when it may be ridden: a drop on each roller for each coat.
 * ml, instants, unrounded. Source: 20 drops to the millilitre is the pharmacists' convention (memory); a drop on each roller and a
 * night to dry: common practice.
 */
final readonly class DripDose implements Model
{
    public function __invoke(DripDoseInput $in): DripDoseResult
    {
        $drops = $in->pitches * $in->dropsPerRoller * $in->coats;
        $ml = $drops * $in->mlPerDrop;

        return new DripDoseResult(
            $drops,
            $ml,
            $in->bottleMl === null ? null : (int) floor(max(0.0, $in->bottleMl - $ml) / $ml + Check::EPSILON),
            $in->appliedAtS + 3600.0 * $in->dryHours,
        );
    }

    public function compute(Fields $input): array
    {
        return $this(DripDoseInput::from($input))->toArray();
    }
}
