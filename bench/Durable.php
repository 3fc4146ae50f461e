<?php

declare(strict_types=1);

namespace Bench;

use PDO;

/** A database beside the app's own, on the same disk: what a committed entry costs with and without waiting for the disk. */
final readonly class Durable
{
    private const TRIES = 200;

    private const ROW_BYTES = 800;

    public function medianMs(string $synchronous): float
    {
        $file = dirname(__DIR__) . '/storage/app/bench-' . bin2hex(random_bytes(4)) . '.sqlite';
        $db = new PDO("sqlite:{$file}");
        $db->exec("pragma journal_mode = wal; pragma synchronous = {$synchronous}; create table entries (text text)");
        $ms = [];
        for ($i = 0; $i < self::TRIES; $i++) {
            $start = hrtime(true);
            $db->exec("begin immediate; insert into entries values ('" . str_repeat('x', self::ROW_BYTES) . "'); commit");
            $ms[] = (hrtime(true) - $start) / 1e6;
        }
        unset($db);
        array_map(fn(string $end) => is_file($file . $end) && unlink($file . $end), ['', '-wal', '-shm']);
        sort($ms);

        return $ms[intdiv(self::TRIES, 2)];
    }
}
