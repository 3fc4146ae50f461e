<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Drip\DeepClean;

/** Chains on drip wax alone that by their school want a full clean with solvent. */
final readonly class DeepCleans implements NextSource
{
    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->rails as $rail) {
            foreach ($rail->chains() as $chain) {
                $due =
                    $chain->terms->dripOnly &&
                    !$chain->wear->pastLimit &&
                    !$in->inJob($chain) &&
                    DeepClean::of($in->book->history($chain->chainId)->until($in->nowS), $in->book->settings->dripCleanSchool())->due;
                if ($due) {
                    $minutes = $in->plan->terms->stripMinutes;
                    $items[] = new NextItem(NextKind::DeepClean, $rail->bikeId, [$chain], null, Verb::Strip, minutes: $minutes);
                }
            }
        }

        return $items;
    }
}
