<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Model;

/**
 * Which interval is cheapest: chain, strip, quick link and a share of the cassette over the chain's life at that interval, and pot and
 * time for each re-wax. Money in the unit that the costs are in, per 1000 km. Source: arithmetic; the life points are common practice.
 */
final readonly class IntervalEconomy implements Model
{
    public function __invoke(IntervalEconomyInput $in): IntervalEconomyResult
    {
        $rows = [];
        for ($i = 0; ($km = $in->minKm + $i * $in->stepKm) <= $in->maxKm + Check::EPSILON; $i++) {
            $lifeKm = $in->lifeFactor * $in->curve->lifeKm($km);
            $rows[] = new EconomyRow(
                $km,
                $lifeKm,
                1000.0 *
                    (($in->chainCost + $in->stripCost + $in->quickLinkCost + $in->cassetteCost / $in->chainsPerCassette) / $lifeKm +
                        ($in->rewaxCost + ($in->minutesPerRewax * $in->hourValue) / 60.0) / $km),
                1000.0 / $km,
                (1000.0 * $in->minutesPerRewax) / $km,
                $in->curve->extrapolates($km),
            );
        }
        $best = 0;
        foreach ($rows as $i => $row) {
            $best = $row->costPer1000Km < $rows[$best]->costPer1000Km - Check::EPSILON ? $i : $best;
        }
        assert($rows !== []);

        return new IntervalEconomyResult($rows, $rows[$best], $best === 0 || $best === count($rows) - 1);
    }

    public function compute(Fields $input): array
    {
        return $this(IntervalEconomyInput::from($input))->toArray();
    }
}
