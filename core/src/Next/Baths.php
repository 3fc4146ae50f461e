<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Bath\BathNext;

/** Baths that want wax, a filter, or to be replaced. */
final readonly class Baths implements NextSource
{
    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->baths as $bath) {
            if ($bath->ledger !== null && $bath->ledger->next !== BathNext::Ok) {
                $items[] = new NextItem(NextKind::Bath, null, [], null, Verb::Jar, about: $bath);
            }
        }

        return $items;
    }
}
