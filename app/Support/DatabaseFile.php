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

    /** A backup was put in its place: who goes on would write into the file that was set aside. */
    public function isReplaced(): bool
    {
        return self::now() !== $this->inode;
    }

    private static function now(): ?int
    {
        $file = config()->string('database.connections.sqlite.database');
        clearstatcache(true, $file);

        return is_file($file) ? (int) fileinode($file) : null;
    }
}
