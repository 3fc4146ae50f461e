<?php

declare(strict_types=1);

namespace Dripel\Core\Maths;

use Closure;

/** Works everything out anew. */
final readonly class NoMemo implements Memo
{
    public function of(string $key, Closure $make): mixed
    {
        return $make();
    }
}
