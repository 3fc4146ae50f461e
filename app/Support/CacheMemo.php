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

    /** @var array<string, array<string, mixed>> by the first word of the key, then by the key: the newest last */
    private array $known = [];

    /** @var array<string, array<string, true>> what was asked for, by the first word of the key */
    private array $asked = [];

    /** @var array<string, true> of which there is more than was kept */
    private array $grown = [];

    public function __construct(private readonly Repository $cache) {}

    public function of(string $key, Closure $make): mixed
    {
        // Each sort of thing for itself: plans that are tried do not push out what a chain's wear took to work out.
        $sort = strstr($key, ' ', true) ?: $key;
        $this->known[$sort] ??= (array) $this->cache->get($this->name($sort), []);
        if (array_key_exists($key, $this->known[$sort])) {
            // What is asked for again goes last: what nobody asks for is let go first.
            $value = $this->known[$sort][$key];
            unset($this->known[$sort][$key]);
        } else {
            $value = $make();
            $this->grown[$sort] = true;
        }
        $this->asked[$sort][$key] = true;

        return $this->known[$sort][$key] = $value;
    }

    public function keep(): void
    {
        foreach (array_keys($this->grown) as $sort) {
            // All that this request asked for: the next one asks for it again, however many chains there are.
            $newest = array_slice($this->known[$sort], -max(self::MOST, count($this->asked[$sort] ?? [])), null, true);
            DiskTrouble::mayFail(fn() => $this->cache->put($this->name($sort), $newest, 86400 * self::DAYS));
        }
        $this->grown = [];
    }

    private function name(string $sort): string
    {
        return "memo {$sort} v" . self::VERSION;
    }
}
