<?php

declare(strict_types=1);

namespace App\Support;

use App\Kept\Reads;
use App\Models\Workshop;
use Closure;
use Dripel\Core\Maths\Memo;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\DB;

/**
 * Keeps what was worked out for a workshop from one request to the next. Each thing is packed by itself: a request unpacks what it asks
 * for, not the plans of every ride before. What other code worked out is not read: a model may mean something else by the same input.
 * After an entry was made many pages ask for the same new figures at one moment: one works each of them out, the others have it at once.
 */
final class CacheMemo implements Memo
{
    private const MOST = 400;

    private const DAYS = 30;

    /** Longer than a page ever takes: who waited for so long works it out as well. */
    private const PATIENCE_S = 2.0;

    private const LOOK_US = 2_000;

    /** So many files are there to wait at, however many workshops share them. */
    private const LOCKS = 64;

    private int $workshopId = 0;

    /** @var array<string, array<string, string>> packed, by the first word of the key, then by the key: the newest last */
    private array $packed = [];

    /** @var array<string, mixed> unpacked, by key */
    private array $known = [];

    /** @var array<string, array<string, true>> what was asked for, by the first word of the key */
    private array $asked = [];

    /** @var array<string, true> of which there is more than was kept */
    private array $grown = [];

    /** @var resource|null held while something is made */
    private $turn = null;

    public function __construct(private readonly Repository $cache) {}

    public function in(Workshop $workshop): self
    {
        if ($this->workshopId !== $workshop->id) {
            $this->keep();
            [$this->workshopId, $this->packed, $this->known, $this->asked] = [$workshop->id, [], [], []];
        }

        return $this;
    }

    public function of(string $key, Closure $make): mixed
    {
        // Each sort of thing for itself: plans that are tried do not push out what a chain's wear took to work out.
        $sort = strstr($key, ' ', true) ?: $key;
        $this->asked[$sort][$key] = true;
        if (array_key_exists($key, $this->known)) {
            return $this->known[$key];
        }
        $this->packed[$sort] ??= $this->kept($sort);
        if (isset($this->packed[$sort][$key])) {
            return $this->known[$key] = unserialize($this->packed[$sort][$key]);
        }

        return $this->known[$key] = $this->inTurn($sort, $key, function () use ($sort, $key, $make): mixed {
            $value = $make();
            $this->packed[$sort][$key] = serialize($value);
            $this->grown[$sort] = true;

            return $value;
        });
    }

    /**
     * Made by one request at a time, and there for the others at once. What is made on the way belongs to it. Within a transaction nobody
     * waits: the other one may wait for it in turn. What runs on (the watch, the queue) takes no turn either.
     */
    private function inTurn(string $sort, string $key, Closure $make): mixed
    {
        if ($this->turn !== null || DB::transactionLevel() > 0 || app()->runningInConsole()) {
            return $make();
        }
        $database = DB::connection()->getDatabaseName();
        $place = crc32("{$database} {$this->workshopId}") % self::LOCKS;
        $turn = @fopen(storage_path("framework/cache/memo-{$place}.lock"), 'c');
        if ($turn === false) {
            return $make();
        }
        $this->turn = $turn;
        try {
            $untilS = microtime(true) + self::PATIENCE_S;
            for ($waited = false; !flock($turn, LOCK_EX | LOCK_NB) && microtime(true) < $untilS; $waited = true) {
                usleep(self::LOOK_US);
            }
            // Another request may have worked on the same since this one read what was kept; who waited knows that one has.
            foreach ($waited ? array_keys($this->packed) : [$sort] as $each) {
                $this->packed[$each] = array_replace($this->kept($each), $this->packed[$each]);
            }
            if (isset($this->packed[$sort][$key])) {
                return unserialize($this->packed[$sort][$key]);
            }
            $value = $make();
            $this->keep();

            return $value;
        } finally {
            fclose($turn);
            $this->turn = null;
        }
    }

    public function keep(): void
    {
        foreach (array_keys($this->grown) as $sort) {
            // What was asked for goes last, what others kept since right before it: what nobody asks for is let go first.
            $asked = array_intersect_key($this->packed[$sort], $this->asked[$sort] ?? []);
            $others = array_diff_key($this->kept($sort), $this->packed[$sort]);
            $all = array_diff_key($this->packed[$sort], $asked) + $others + $asked;
            // All that this request asked for: the next one asks for it again, however many chains there are.
            $newest = array_slice($all, -max(self::MOST, count($this->asked[$sort] ?? [])), null, true);
            $put = fn(): bool => $this->cache->put($this->name($sort), [self::code(), $newest], 86400 * self::DAYS);
            Reads::aside(fn() => DiskTrouble::mayFail($put));
        }
        $this->grown = [];
    }

    /** @return array<string, string> packed, by key */
    private function kept(string $sort): array
    {
        /** @var array{string, array<string, string>}|null $kept */
        $kept = Reads::aside(fn() => $this->cache->get($this->name($sort)));

        return ($kept[0] ?? null) === self::code() ? $kept[1] : [];
    }

    private function name(string $sort): string
    {
        return "memo {$this->workshopId} {$sort}";
    }

    private static function code(): string
    {
        return config()->string('dripel.code');
    }
}
