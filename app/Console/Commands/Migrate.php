<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Archive\Backups;
use Illuminate\Console\Command;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/**
 * Brings the database up to date, all steps or none: whoever pulls the plug half-way finds it as it was. What is there
 * already is backed up first.
 */
final class Migrate extends Command
{
    protected $signature = 'dripel:migrate';

    protected $description = 'Back up, then migrate in one transaction';

    public function handle(Migrator $migrator, Backups $backups): int
    {
        $ran = $migrator->repositoryExists() ? $migrator->getRepository()->getRan() : [];
        $pending = array_diff(array_keys($migrator->getMigrationFiles(database_path('migrations'))), $ran);
        if ($pending === []) {
            return self::SUCCESS;
        }
        $ran === [] || $this->info('Backed up to ' . ($backups->before() ?? 'nowhere') . '.');
        DB::getDriverName() === 'sqlite' ? $this->inFile() : DB::transaction($this->migrate(...));
        $this->info('Migrated: ' . implode(', ', $pending) . '.');

        return self::SUCCESS;
    }

    /** Tables are rebuilt there while others point to them; afterwards every pointer is checked. */
    private function inFile(): void
    {
        DB::statement('pragma foreign_keys = off');
        try {
            DB::transaction(function (): void {
                $this->migrate();
                DB::select('pragma foreign_key_check') === [] || throw new RuntimeException('The migration left rows that point nowhere.');
            });
        } finally {
            DB::statement('pragma foreign_keys = on');
        }
    }

    private function migrate(): void
    {
        $this->callSilently('migrate', ['--force' => true]) === self::SUCCESS || throw new RuntimeException('The migration failed.');
    }
}
