<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Care\Conversion;

/** Chains with grease or oil on them: no wax holds before they are stripped. At once where one is on its bike. */
final readonly class Unstripped implements NextSource
{
    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->rails as $rail) {
            $conversion = Conversion::of($in->book, $rail->bikeId, $in->nowS);
            foreach ($rail->chains() as $chain) {
                if (
                    // Told with the bike's way to wax.
                    $chain->chainId !== $conversion?->old->chainId &&
                    $chain->chainId !== $conversion?->chain?->chainId &&
                    $rail->greasy($chain) &&
                    !$chain->wear->pastLimit &&
                    !$in->underWay($chain)
                ) {
                    $date = $chain === $rail->fitted ? $in->today->date : null;
                    $items[] = new NextItem(
                        NextKind::Strip,
                        $rail->bikeId,
                        [$chain],
                        $date,
                        Verb::Strip,
                        minutes: $in->plan->terms->stripMinutes,
                    );
                }
            }
        }

        return $items;
    }
}
