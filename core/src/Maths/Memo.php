<?php

declare(strict_types=1);

namespace Dripel\Core\Maths;

use Closure;

/** Keeps what is costly to work out. What is made must follow from its key alone. */
interface Memo
{
    /**
     * @template T
     *
     * @param Closure(): T $make
     *
     * @return T
     */
    public function of(string $key, Closure $make): mixed;
}
