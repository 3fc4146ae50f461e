<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** One sort of thing that Next asks for. */
interface NextSource
{
    /** @return list<NextItem> */
    public function items(NextInput $in): array;
}
