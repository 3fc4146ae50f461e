<?php

declare(strict_types=1);

namespace App\Support;

use FilesystemIterator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** Says which code this is, by what stands in its files: the same on every machine that runs it. */
final class CodeStamp
{
    public static function of(string ...$folders): string
    {
        $hash = hash_init('xxh64');
        foreach ($folders as $folder) {
            $files = [];
            /** @var SplFileInfo $file */
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
                $files[substr($file->getPathname(), strlen($folder))] = hash_file('xxh64', $file->getPathname());
            }
            ksort($files);
            hash_update($hash, serialize($files));
        }

        return hash_final($hash);
    }
}
