<?php

declare(strict_types=1);

namespace Dripel\Core\Maths;

use Closure;

/** Keeps all of it as long as it lives. */
final class KeptMemo implements Memo
{
    /** @var array<string, mixed> */
    private array $kept = [];

    public function of(string $key, Closure $make): mixed
    {
        return array_key_exists($key, $this->kept) ? $this->kept[$key] : ($this->kept[$key] = $make());
    }
}
