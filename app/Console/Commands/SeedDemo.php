<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\DemoWorkshop;
use App\Models\Workshop;
use App\Support\AppClock;
use DateTimeImmutable;
use Illuminate\Console\Command;

/** Writes the demo workshop, once. */
final class SeedDemo extends Command
{
    protected $signature = 'dripel:demo {--today= : the instant it ends at, ISO 8601; now if left out} {--seed=7 : same seed, same demo}';

    protected $description = 'Write the demo workshop, ending today';

    public function handle(AppClock $clock, DemoWorkshop $demo): int
    {
        if (Workshop::query()->where('demo', true)->exists()) {
            $this->info('The demo is there already.');

            return self::SUCCESS;
        }
        $today = $this->option('today');
        $demo(is_string($today) ? (new DateTimeImmutable($today))->getTimestamp() : $clock->unixS(), (int) $this->option('seed'));
        $this->info('The demo is ready.');

        return self::SUCCESS;
    }
}
