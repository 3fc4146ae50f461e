<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Maths\Wilson;

/** Promises that were said to be about as likely: how likely on average, and how many of them came true. */
final readonly class CalibrationPoint
{
    public function __construct(public float $said, public int $kept, public int $of) {}

    public function share(): float
    {
        return $this->kept / $this->of;
    }

    public function interval(): Wilson
    {
        return Wilson::of($this->kept, $this->of);
    }
}
