<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Archive\Backups;
use App\Archive\RestoreDatabase;
use Illuminate\Console\Command;
use RuntimeException;

final class Restore extends Command
{
    protected $signature = 'dripel:restore {file? : of storage/app/backups; the newest if left out}';

    protected $description = 'Put a backup in the place of the database; what was there is backed up or, where damaged, set aside';

    public function handle(Backups $backups, RestoreDatabase $restore): int
    {
        $file = $this->argument('file') ?? $backups->newest()?->path;
        if (!is_string($file)) {
            $this->error('There is no backup yet in ' . config()->string('dripel.backups') . '. Name one: bin/restore FILE.');

            return self::FAILURE;
        }
        try {
            foreach ($restore($file, fn() => $this->call('dripel:migrate') === self::SUCCESS) as $sentence) {
                $this->info($sentence);
            }
        } catch (RuntimeException $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
