<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Wear\ReadingDue;

/** Chains that may be past their limit. */
final readonly class Measurements implements NextSource
{
    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->rails as $rail) {
            foreach ($rail->chains() as $chain) {
                $forecast = $in->forecasts[$chain->chainId] ?? null;
                if (ReadingDue::of($chain, $forecast)) {
                    $items[] = new NextItem(
                        NextKind::Measure,
                        $rail->bikeId,
                        [$chain],
                        $chain === $rail->fitted ? $in->today->date : null,
                        Verb::Measure,
                        about: $forecast,
                        minutes: PlanTerms::MEASURE_MINUTES,
                    );
                }
            }
        }

        return $items;
    }
}
