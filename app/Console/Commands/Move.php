<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Archive\CopyDatabase;
use App\Archive\Figures;
use App\Models\Workshop;
use App\Support\AppClock;
use Illuminate\Console\Command;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use InvalidArgumentException;
use RuntimeException;

/** From the one database into the other, all of it; what either is called stands in the configuration. */
final class Move extends Command
{
    protected $signature = 'dripel:move {to : pgsql, or sqlite} {--replace : what is there already is thrown away}';

    protected $description = 'Copy the whole installation into another database, and hold every workshop’s figures of both against each other';

    public function handle(CopyDatabase $copy, AppClock $clock): int
    {
        try {
            [$from, $to] = [DB::connection(), DB::connection((string) $this->argument('to'))];
            $from->getName() !== $to->getName() || throw new RuntimeException("It is in {$to->getName()} already (DB_CONNECTION).");
            $this->callSilently('migrate', ['--database' => $to->getName(), '--force' => true]);
            $this->option('replace') ||
                $to->table('users')->doesntExist() ||
                throw new RuntimeException(
                    'There is somebody in that database already. Take another one, or say --replace: what is there is thrown away.',
                );
            $rows = $copy($from, $to);
            $this->line(array_sum($rows) . ' rows of ' . count($rows) . ' tables copied.');
            $nowS = $clock->unixS();
            $compared = $this->compare(self::figures($from, $nowS), self::figures($to, $nowS));
        } catch (RuntimeException | InvalidArgumentException $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $this->line("{$compared} figures compared: all the same.");
        $this->line("Now set DB_CONNECTION={$to->getName()} and start Dripel again; the old database is as it was.");

        return self::SUCCESS;
    }

    /** @return array<string, array<string, list<mixed>>> by workshop */
    private static function figures(Connection $of, int $nowS): array
    {
        $default = DB::getDefaultConnection();
        DB::setDefaultConnection((string) $of->getName());
        try {
            $figures = [];
            foreach (Workshop::query()->orderBy('id')->get() as $workshop) {
                app()->forgetScopedInstances();
                $figures["workshop {$workshop->id}"] = app(Figures::class)->of($workshop, $nowS);
            }

            return $figures;
        } finally {
            DB::setDefaultConnection($default);
            app()->forgetScopedInstances();
        }
    }

    /**
     * @param array<string, array<string, list<mixed>>> $before
     * @param array<string, array<string, list<mixed>>> $after
     */
    private function compare(array $before, array $after): int
    {
        $compared = 0;
        foreach ($before as $workshop => $figures) {
            foreach ($figures as $of => $values) {
                serialize($values) === serialize($after[$workshop][$of] ?? null) ||
                    throw new RuntimeException(
                        "{$of} of {$workshop} is not the same there. Stay with the old database; nothing of it was changed.",
                    );
                $compared += count($values);
            }
        }

        return $compared;
    }
}
