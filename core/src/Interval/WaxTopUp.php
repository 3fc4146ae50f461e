<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** A drip top-up, placed after a ride (counted from 0; −1: before the first). `km` is what it is good for, above 0. */
final readonly class WaxTopUp
{
    /** Common practice: a coat of drip wax is good for about this far, in km. */
    public const KM = 200.0;

    /** @throws InvalidInput at `km` unless above 0, at `after_ride` below −1 */
    public function __construct(public int $afterRide, public float $km = self::KM)
    {
        Check::positive('km', $km);
        if ($afterRide < -1) {
            throw new InvalidInput('after_ride', 'must be -1 (before the first ride) or the number of a ride, counted from 0');
        }
    }

    public static function from(Fields $in): self
    {
        $in->only('after_ride', 'km');

        return new self($in->whole('after_ride'), $in->number('km', self::KM));
    }
}
