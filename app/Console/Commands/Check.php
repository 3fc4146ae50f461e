<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Archive\Backups;
use App\Support\DatabaseFile;
use Illuminate\Console\Command;

final class Check extends Command
{
    protected $signature = 'dripel:check';

    protected $description = 'Read the whole file of the database once: is it sound?';

    public function handle(Backups $backups): int
    {
        $file = DatabaseFile::path();
        if ($file === null || Backups::isWhole($file)) {
            return self::SUCCESS;
        }
        $newest = $backups->newest();
        $this->line(
            "The database {$file} is damaged. Nothing was changed. " .
                ($newest === null
                    ? 'There is no backup in ' . config()->string('dripel.backups') . '; name one: bin/restore FILE.'
                    : 'bin/restore sets it aside and puts the newest backup in its place, of ' .
                        gmdate('j M Y, H:i', $newest->madeS) .
                        ' UTC.'),
        );

        return self::FAILURE;
    }
}
