<?php

declare(strict_types=1);

namespace Bench;

use Symfony\Component\Process\Process;
use Tests\Browser\Support\Server;

/**
 * What each page costs as a book grows: the demo; ten bikes and sixty chains after two, twenty and forty years; and how many times that
 * of two years the others are.
 */
final readonly class Pages
{
    public const PATHS = [
        'Shed' => '/',
        'Pot' => '/pot',
        'Rides' => '/rides',
        'Gauge' => '/gauge',
        'Ahead' => '/ahead',
        'Books' => '/books',
        'Money' => '/books/money',
        'a chain' => '/chains/1',
        'History' => '/history',
        'Settings' => '/settings',
        'What-if' => '/ahead/what-if',
    ];

    /** All pages that a phone keeps, in one answer. */
    private const KEPT = ['all kept' => '/offline/pages'];

    public static function print(): void
    {
        $kept = self::measure(Server::start(gmdate('Y-m-d\TH:i:s\Z'), linked: true), anew: false);
        $demo = self::measure(Server::start(gmdate('Y-m-d\TH:i:s\Z'), linked: true));
        $old = array_map(fn(int $years) => self::measure(self::grown($years)), [2 => 2, 20 => 20, 40 => 40]);
        printf("%-10s %8s %8s %8s %9s %9s %6s %6s\n", 'page, ms', 'as kept', 'demo', '2 years', '20 years', '40 years', 'times', 'times');
        foreach ($demo as $page => $ms) {
            printf(
                "%-10s %8.0f %8.0f %8.0f %9.0f %9.0f %6.1f %6.1f\n",
                $page,
                $kept[$page],
                $ms,
                $old[2][$page],
                $old[20][$page],
                $old[40][$page],
                $old[20][$page] / $old[2][$page],
                $old[40][$page] / $old[2][$page],
            );
        }
    }

    /** What each page of one workshop costs where an installation has so many others. */
    public static function printAmong(int $workshops): void
    {
        $alone = self::measure(Server::start(gmdate('Y-m-d\TH:i:s\Z'), linked: true));
        $server = Server::start(gmdate('Y-m-d\TH:i:s\Z'), linked: true);
        $rows = (new ManyWorkshops($server->database(), $workshops))();
        $among = self::measure($server);
        printf("%-10s %8s %12s   (%s rows were added)\n", 'page, ms', 'alone', "of {$workshops}", number_format($rows));
        foreach ($alone as $page => $ms) {
            printf("%-10s %8.0f %12.0f\n", $page, $ms, $among[$page]);
        }
    }

    /**
     * @param bool $anew each made each time, or as it was kept if it was
     *
     * @return array<string, float> least ms by page
     */
    private static function measure(Server $server, bool $anew = true): array
    {
        $visitor = new Visitor($server->url);
        $ms = array_map(fn(string $path) => $visitor->leastMs($path, $anew), self::PATHS + self::KEPT);
        $server->stop();

        return $ms;
    }

    public static function grown(int $years): Server
    {
        $server = Server::start(gmdate('Y-m-d\TH:i:s\Z', time() - 1), demo: false, demoMode: true, linked: true);
        $grow =
            '$app = require "bootstrap/app.php"; $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap(); $app->make(Bench\ManyYears::class)((int) $argv[1]); $app->make(App\Logbook\PastRides::class)->keep(App\Models\Workshop::query()->sole());';
        (new Process(
            [PHP_BINARY, '-d', 'memory_limit=1G', '-r', 'require "vendor/autoload.php"; ' . $grow, (string) $years],
            dirname(__DIR__),
            [
                'DB_DATABASE' => $server->database(),
                'CACHE_STORE' => 'array',
            ],
            null,
            600,
        ))->mustRun();

        return $server;
    }
}
