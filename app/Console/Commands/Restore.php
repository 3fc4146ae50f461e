<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Archive\Backups;
use Illuminate\Console\Command;
use RuntimeException;

final class Restore extends Command
{
    protected $signature = 'dripel:restore {file? : of storage/app/backups; the newest if left out}';

    protected $description = 'Put a backup in the place of the database, which is backed up first';

    public function handle(Backups $backups): int
    {
        $file = $this->argument('file') ?? ($backups->all()[0] ?? null);
        if (!is_string($file)) {
            $this->error('There is no backup yet.');

            return self::FAILURE;
        }
        try {
            $backups->restore($file);
        } catch (RuntimeException $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $this->info("Restored from {$file}.");

        return $this->call('dripel:migrate');
    }
}
