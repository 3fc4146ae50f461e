<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Care\Conversion;

/** Bikes on their way from oil to wax: one line each, that says what comes next. */
final readonly class Conversions implements NextSource
{
    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->rails as $rail) {
            $conversion = Conversion::of($in->book, $rail->bikeId, $in->nowS);
            if ($conversion !== null && !$in->underWay($conversion->chain ?? $conversion->old)) {
                $items[] = new NextItem(
                    NextKind::Convert,
                    $rail->bikeId,
                    [$conversion->chain ?? $conversion->old],
                    // It is ridden on oil meanwhile: nothing presses before somebody has decided.
                    $conversion->way === null ? null : $in->today->date,
                    Verb::Convert,
                    about: $conversion,
                );
            }
        }

        return $items;
    }
}
