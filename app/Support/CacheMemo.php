<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Dripel\Core\Maths\Memo;
use Illuminate\Contracts\Cache\Repository;

/** Keeps what was worked out from one request to the next: read at once, written at once at its end if there is more of it. */
final class CacheMemo implements Memo
{
    /** Rises when a model means something else by the same input. */
    private const VERSION = 2;

    private const MOST = 400;

    private const DAYS = 30;

    /** @var array<string, mixed>|null by what it follows from, the newest last */
    private ?array $known = null;

    private bool $grown = false;

    public function __construct(private readonly Repository $cache) {}

    public function of(string $key, Closure $make): mixed
    {
        $this->known ??= (array) $this->cache->get($this->name(), []);
        if (!array_key_exists($key, $this->known)) {
            $this->known[$key] = $make();
            $this->grown = true;
        }

        return $this->known[$key];
    }

    public function keep(): void
    {
        if ($this->grown) {
            $this->cache->put($this->name(), array_slice($this->known ?? [], -self::MOST, null, true), 86400 * self::DAYS);
            $this->grown = false;
        }
    }

    private function name(): string
    {
        return 'memo v' . self::VERSION;
    }
}
