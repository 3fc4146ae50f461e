<?php

declare(strict_types=1);

namespace App\Support;

/** The file of the database as this process opened it. */
final class DatabaseFile
{
    private readonly ?int $inode;

    public function __construct()
    {
        $this->inode = self::now();
    }

    /** Where it is; null where there is none: on a database server, and in memory. */
    public static function path(): ?string
    {
        $connection = config()->array('database.connections.' . config()->string('database.default'));

        return $connection['driver'] === 'sqlite' && $connection['database'] !== ':memory:' ? $connection['database'] : null;
    }

    /** A backup was put in its place: who goes on would write into the file that was set aside. */
    public function isReplaced(): bool
    {
        return self::now() !== $this->inode;
    }

    private static function now(): ?int
    {
        $file = self::path();
        clearstatcache(true, (string) $file);

        return $file !== null && is_file($file) ? (int) fileinode($file) : null;
    }
}
