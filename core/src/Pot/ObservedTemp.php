<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;

/** What a thermometer showed, so many minutes after the start. */
final readonly class ObservedTemp
{
    public function __construct(public float $min, public float $tempC)
    {
        Check::notNegative('min', $min);
        Check::temperature('temp_c', $tempC);
    }

    public static function from(Fields $in): self
    {
        $in->only('min', 'temp_c');

        return new self($in->number('min'), $in->number('temp_c'));
    }
}
