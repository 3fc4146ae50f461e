<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Workshop;
use App\Ride\Inbox as RideInbox;
use Illuminate\Console\Command;

/** Watches the folders of the workshops for ride files: bin/start keeps it beside the server. */
final class Inbox extends Command
{
    protected $signature = 'dripel:inbox
        {--watch : goes on until it is stopped}
        {--every=3 : seconds between two looks}
        {--max-time=3600 : ends after so many seconds, to be started afresh}';

    protected $description = 'Take in ride files from the folders that are watched';

    public function handle(RideInbox $inbox): int
    {
        $sizes = [];
        $untilNs = hrtime(true) + (int) (1e9 * (float) $this->option('max-time'));
        // A file is taken once it has stopped growing: at the second look.
        for ($look = 0; $look < 2 || ($this->option('watch') && hrtime(true) < $untilNs); $look++) {
            $look > 0 && usleep((int) (1e6 * (float) $this->option('every')));
            foreach (Workshop::query()->get() as $workshop) {
                $sizes[$workshop->id] = $inbox->look($workshop, $sizes[$workshop->id] ?? []);
            }
        }

        return self::SUCCESS;
    }
}
