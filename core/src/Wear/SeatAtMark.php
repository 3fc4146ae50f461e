<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** What was seen at one mark of a drop-in gauge. `markPct` in percent elongation, above 0. */
final readonly class SeatAtMark
{
    /** @throws InvalidInput at `mark_pct` unless above 0 */
    public function __construct(public float $markPct, public Seat $seat)
    {
        Check::positive('mark_pct', $markPct);
    }

    public static function from(Fields $in): self
    {
        $in->only('mark_pct', 'seat');

        return new self($in->number('mark_pct'), $in->choice('seat', Seat::class));
    }
}
