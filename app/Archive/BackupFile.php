<?php

declare(strict_types=1);

namespace App\Archive;

use DateTimeImmutable;
use DateTimeZone;

/** A copy of the database, as its name tells: dripel-000017-20261128-030002.sqlite. Before 0.10 there was no number. */
final readonly class BackupFile
{
    private function __construct(
        public string $path,
        /** Of those in its folder, as they were made; 0: from before they had one. */
        public int $number,
        /** Unix seconds, by the clock of that time. */
        public int $madeS,
        public int $bytes,
    ) {}

    /** @return self|null null: it is none of that database */
    public static function of(string $path, string $database): ?self
    {
        if (
            preg_match('/^(.+?)(?:-(\d{6}))?-(\d{8}-\d{6})(?:-\d+)?\.sqlite$/D', basename($path), $parts) !== 1 ||
            $parts[1] !== $database
        ) {
            return null;
        }
        $made = DateTimeImmutable::createFromFormat('!Ymd-His', $parts[3], new DateTimeZone('UTC'));

        return $made === false ? null : new self($path, (int) $parts[2], $made->getTimestamp(), (int) filesize($path));
    }

    /**
     * @param list<self> $files
     *
     * @return list<self> the newest first
     */
    public static function sorted(array $files): array
    {
        usort($files, fn(self $a, self $b) => [$b->number, basename($b->path)] <=> [$a->number, basename($a->path)]);

        return $files;
    }
}
