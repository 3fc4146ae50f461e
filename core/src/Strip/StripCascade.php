<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Model;

/**
 * A dirty jar and a clean jar that serve chain after chain: each chain leaves each jar with v/(V + v) of what is then in
 * jar and chain together, the volumes staying as they are. ml and grams, unrounded.
 * Source: serial washing with ideal mixing and re-used baths, as in textbooks of extraction (memory).
 */
final readonly class StripCascade implements Model
{
    public function __invoke(StripCascadeInput $in): StripCascadeResult
    {
        $jars = new CascadeState(0.0, 0.0, 0.0);
        $byChain = [];
        for ($chain = 1; $chain <= $in->chains; $chain++) {
            $byChain[] = $jars = $this->wash($in, $jars);
        }

        return new StripCascadeResult($byChain, $in->limitG === null ? null : $this->chainsWithin($in, $in->limitG));
    }

    public function compute(Fields $input): array
    {
        return $this(StripCascadeInput::from($input))->toArray();
    }

    private function wash(StripCascadeInput $in, CascadeState $jars): CascadeState
    {
        [$carriedG, $dirty] = (new SolventBath($in->dirtyMl, $jars->dirtyG))->wash($in->loadG, $in->carryOverMl);
        [$leftG, $clean] = (new SolventBath($in->cleanMl, $jars->cleanG))->wash($carriedG, $in->carryOverMl);

        return new CascadeState($leftG, $dirty->greaseG, $clean->greaseG);
    }

    /** Each chain comes out dirtier than the one before, at last as dirty as it went in: never, where the limit allows that. */
    private function chainsWithin(StripCascadeInput $in, float $limitG): ?int
    {
        $jars = new CascadeState(0.0, 0.0, 0.0);
        for ($chains = 0; ; $chains++) {
            $next = $this->wash($in, $jars);
            if ($next->leftG > $limitG + Check::EPSILON) {
                return $chains;
            }
            if ($chains > 0 && $next->leftG <= $jars->leftG) {
                return null;
            }
            $jars = $next;
        }
    }
}
