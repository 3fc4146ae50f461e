<?php

declare(strict_types=1);

namespace Dripel\Core\Chain;

use Dripel\Core\Input\Fields;
use Dripel\Core\Model;

/**
 * The new chain beside the old one: how many pitches to keep of it. Counts are as ridden, a quick link included; it
 * stands in for one outer link. Source: common practice.
 */
final readonly class ChainMatch implements Model
{
    public function __invoke(ChainMatchInput $in): ChainMatchResult
    {
        return new ChainMatchResult(
            $in->oldPitches,
            $in->oldPitches - $in->newJoint->pitches(),
            match (true) {
                $in->oldJoint === $in->newJoint => MatchNote::LikeTheOld,
                $in->newJoint === Joint::QuickLink => MatchNote::LinkReplacesOuter,
                default => MatchNote::PinNeedsTheOuter,
            },
        );
    }

    public function compute(Fields $input): array
    {
        return $this(ChainMatchInput::from($input))->toArray();
    }
}
