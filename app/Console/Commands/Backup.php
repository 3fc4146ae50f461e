<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Archive\Backups;
use Illuminate\Console\Command;
use RuntimeException;

final class Backup extends Command
{
    protected $signature = 'dripel:backup {--to= : a folder, of another disk; it keeps the last fourteen too}';

    protected $description = 'Copy the database while it is in use, check the copy, let the oldest go';

    public function handle(Backups $backups): int
    {
        try {
            $this->info($backups->make($this->option('to')) ?? 'A database in memory has no backup.');
        } catch (RuntimeException $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
