<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Ride\ResumeImports;
use App\Archive\Backups;
use App\Models\Workshop;
use App\Push\TellBrowsers;
use App\Ride\Inbox;
use App\Support\DatabaseFile;
use Illuminate\Console\Command;

/**
 * What happens by itself beside the server: ride files that arrive in a folder, timers and reminders for browsers, archives whose
 * reader died, the backup of each night. bin/start keeps it.
 */
final class Watch extends Command
{
    protected $signature = 'dripel:watch
        {--once : looks twice, and ends}
        {--every=3 : seconds between two looks}
        {--max-time=3600 : ends after so many seconds, to be started afresh}';

    protected $description = 'Take in ride files from the folders that are watched, tell browsers what they asked to be told, back up each night';

    private const REMINDERS_S = 600;

    private const BACKUP_S = 600;

    private const IMPORTS_S = 10;

    /** @var array<int, array<string, int>> by workshop the sizes of the files at the last look */
    private array $sizes = [];

    /** @var array<string, float> when each was done last, by the monotonic clock */
    private array $doneS = [];

    public function handle(
        Inbox $inbox,
        TellBrowsers $tellBrowsers,
        Backups $backups,
        ResumeImports $resumeImports,
        DatabaseFile $file,
    ): int {
        $startS = self::nowS();
        $every = (float) $this->option('every');
        $mostS = (float) $this->option('max-time');
        // A file is taken once it has stopped growing: at the second look.
        for ($look = 0; $look < 2 || (!$this->option('once') && self::nowS() - $startS < $mostS); $look++) {
            $look > 0 && usleep((int) (1e6 * $every));
            if ($file->isReplaced()) {
                break;
            }
            $this->attempt(fn() => $this->lookAtFolders($inbox));
            $this->isDue('backup', self::BACKUP_S) && $this->attempt(fn() => $backups->nightly());
            $this->isDue('imports', self::IMPORTS_S) && $this->attempt(fn() => $resumeImports());
            $today = $this->isDue('reminders', self::REMINDERS_S);
            $this->attempt(fn() => $tellBrowsers($today));
        }

        return self::SUCCESS;
    }

    private function lookAtFolders(Inbox $inbox): void
    {
        foreach (Workshop::query()->get() as $workshop) {
            $this->sizes[$workshop->id] = $inbox->look($workshop, $this->sizes[$workshop->id] ?? []);
        }
    }

    /** What fails in one chore is reported and keeps none of the others. */
    private function attempt(callable $chore): void
    {
        rescue($chore);
    }

    private function isDue(string $chore, int $everyS): bool
    {
        $due = self::nowS() - ($this->doneS[$chore] ?? -INF) >= $everyS;
        $due && ($this->doneS[$chore] = self::nowS());

        return $due;
    }

    private static function nowS(): float
    {
        return hrtime(true) / 1e9;
    }
}
