<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Dripel\Core\Maths\Memo;
use Illuminate\Contracts\Cache\Repository;

/**
 * What follows from a logbook as it stands, from one request to the next: of each workshop only what was worked out last, under a stamp
 * that says of which state it is. Each thing is packed by itself, so that a page unpacks what it asks for.
 */
final class SnapshotMemo implements Memo
{
    private const DAYS = 30;

    /** @var array<string, string>|null by key, packed; null: not read yet */
    private ?array $packed = null;

    /** @var array<string, mixed> unpacked */
    private array $known = [];

    private bool $grown = false;

    public function __construct(private readonly Repository $cache, private readonly string $name, private readonly string $stamp) {}

    public function of(string $key, Closure $make): mixed
    {
        if (!array_key_exists($key, $this->known)) {
            $this->packed ??= $this->kept();
            $this->known[$key] = isset($this->packed[$key]) ? unserialize($this->packed[$key]) : $this->made($key, $make);
        }

        return $this->known[$key];
    }

    /** Writes what is new, beside what others wrote since. */
    public function keep(): void
    {
        if ($this->grown) {
            $all = [$this->stamp, (array) $this->packed + $this->kept()];
            DiskTrouble::mayFail(fn() => $this->cache->put($this->name, $all, 86400 * self::DAYS));
            $this->grown = false;
        }
    }

    private function made(string $key, Closure $make): mixed
    {
        $value = $make();
        $this->packed[$key] = serialize($value);
        $this->grown = true;

        return $value;
    }

    /** @return array<string, string> */
    private function kept(): array
    {
        /** @var array{string, array<string, string>}|null $kept */
        $kept = $this->cache->get($this->name);

        return ($kept[0] ?? null) === $this->stamp ? $kept[1] : [];
    }
}
