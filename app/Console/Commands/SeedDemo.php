<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\DemoWorkshop;
use App\Models\Action;
use App\Models\Workshop;
use App\Support\AppClock;
use DateTimeImmutable;
use Illuminate\Console\Command;

/** Writes the demo workshop, once. */
final class SeedDemo extends Command
{
    protected $signature = 'dripel:demo {--today= : the instant it ends at, ISO 8601; now if left out} {--seed=7 : same seed, same demo} {--stale : only tell, exit 0, if it was written on an earlier day and nobody touched it}';

    protected $description = 'Write the demo workshop, ending today';

    public function handle(AppClock $clock, DemoWorkshop $demo): int
    {
        $there = Workshop::query()->where('demo', true)->first();
        if ($this->option('stale')) {
            return $there !== null && $this->isStale($there, $clock) ? self::SUCCESS : self::FAILURE;
        }
        if ($there !== null) {
            $this->info('The demo is there already.');

            return self::SUCCESS;
        }
        $today = $this->option('today');
        $demo(is_string($today) ? (new DateTimeImmutable($today))->getTimestamp() : $clock->unixS(), (int) $this->option('seed'));
        $this->info('The demo is ready.');

        return self::SUCCESS;
    }

    /** A demo that somebody used is theirs to keep; one that only grew old is better written anew. */
    private function isStale(Workshop $workshop, AppClock $clock): bool
    {
        $writtenS = (int) $workshop->created_at?->getTimestamp();

        return intdiv($writtenS, 86400) < intdiv($clock->unixS(), 86400) &&
            !Action::query()
                ->in($workshop)
                ->where('recorded_at', '>', $writtenS + 60)
                ->exists();
    }
}
