<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;

/** A chain as it goes into the bath: grams and °C. */
final readonly class DippedChain
{
    public function __construct(public float $massG, public float $tempC)
    {
        Check::positive('mass_g', $massG);
        Check::temperature('temp_c', $tempC);
    }

    public static function from(Fields $in): self
    {
        $in->only('mass_g', 'temp_c');

        return new self($in->number('mass_g'), $in->number('temp_c'));
    }
}
