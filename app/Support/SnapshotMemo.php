<?php

declare(strict_types=1);

namespace App\Support;

use App\Kept\Reads;
use Closure;
use Dripel\Core\Maths\Memo;
use Illuminate\Contracts\Cache\Repository;

/**
 * What follows from a logbook as it stands, from one request to the next: of each workshop only what was worked out last, under a stamp
 * that says of which state it is. Each thing is packed by itself, so that a page unpacks what it asks for; what was then, and the coats
 * of each chain, of which there is much and few pages speak, are kept apart from what is now.
 */
final class SnapshotMemo implements Memo
{
    private const DAYS = 30;

    /** By the first word of a key; what is in none of these is now. */
    private const APART = ['then', 'coats'];

    /** @var array<string, array<string, string>> packed, by part and key, as far as they were read */
    private array $packed = [];

    /** @var array<string, mixed> unpacked */
    private array $known = [];

    /** @var array<string, true> the parts of which there is more than was kept */
    private array $grown = [];

    public function __construct(private readonly Repository $cache, private readonly string $name, public readonly string $stamp) {}

    public function of(string $key, Closure $make): mixed
    {
        if (!array_key_exists($key, $this->known)) {
            $word = (string) strstr($key, ' ', true);
            $part = in_array($word, self::APART, true) ? $word : 'now';
            $this->packed[$part] ??= $this->kept($part);
            $this->known[$key] = isset($this->packed[$part][$key])
                ? unserialize($this->packed[$part][$key])
                : $this->made($part, $key, $make);
        }

        return $this->known[$key];
    }

    /** Writes what is new, beside what others wrote since. */
    public function keep(): void
    {
        foreach (array_keys($this->grown) as $part) {
            // The names of the same few classes over and over: a tenth is left of it.
            $all = [$this->stamp, gzcompress(serialize($this->packed[$part] + $this->kept($part)), 1)];
            DiskTrouble::mayFail(fn() => $this->cache->put("{$this->name} {$part}", $all, 86400 * self::DAYS));
        }
        $this->grown = [];
    }

    public static function forget(Repository $cache, string $name): void
    {
        $cache->deleteMultiple(array_map(fn(string $part) => "{$name} {$part}", ['now', ...self::APART]));
    }

    private function made(string $part, string $key, Closure $make): mixed
    {
        $value = $make();
        $this->packed[$part][$key] = serialize($value);
        $this->grown[$part] = true;

        return $value;
    }

    /** @return array<string, string> */
    private function kept(string $part): array
    {
        /** @var array{string, string}|null $kept */
        $kept = Reads::aside(fn() => $this->cache->get("{$this->name} {$part}"));
        // Damaged: as if there were none.
        $values = ($kept[0] ?? null) === $this->stamp ? @unserialize((string) @gzuncompress($kept[1])) : null;

        return is_array($values) ? $values : [];
    }
}
