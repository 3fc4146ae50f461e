<?php

declare(strict_types=1);

namespace Dripel\Core\Chain;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** Pitches of the old chain as ridden, its quick link counted, and how each of the two is closed. */
final readonly class ChainMatchInput
{
    private const FEWEST = 2;

    private const MOST = 400;

    /** @throws InvalidInput at `old_pitches` unless 2 to 400 and even: inner and outer links alternate all the way round */
    public function __construct(public int $oldPitches, public Joint $oldJoint, public Joint $newJoint)
    {
        if (Check::between('old_pitches', $oldPitches, self::FEWEST, self::MOST) % 2 !== 0) {
            throw new InvalidInput('old_pitches', 'must be even: inner and outer links alternate; count again, the quick link included');
        }
    }

    public static function from(Fields $in): self
    {
        $in->only('old_pitches', 'old_joint', 'new_joint');

        return new self($in->whole('old_pitches'), $in->choice('old_joint', Joint::class), $in->choice('new_joint', Joint::class));
    }
}
