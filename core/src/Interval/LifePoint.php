<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;

/** How many km a chain lives if it is waxed again every so many km. */
final readonly class LifePoint
{
    public function __construct(public float $intervalKm, public float $lifeKm)
    {
        Check::positive('interval_km', $intervalKm);
        Check::positive('life_km', $lifeKm);
    }

    public static function from(Fields $in): self
    {
        $in->only('interval_km', 'life_km');

        return new self($in->number('interval_km'), $in->number('life_km'));
    }
}
