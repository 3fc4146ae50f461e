<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** One dip and what was ridden on it, in effective km, until its end. */
final readonly class WaxCycle
{
    /** @throws InvalidInput at `km` unless above 0 */
    public function __construct(public float $km, public CycleEnd $ended)
    {
        Check::positive('km', $km);
    }

    public static function from(Fields $in): self
    {
        $in->only('km', 'ended');
        $ended = CycleEnd::tryFrom($in->text('ended')) ?? throw new InvalidInput('ended', 'must be one of noise, pulled');

        return new self($in->number('km'), $ended);
    }
}
