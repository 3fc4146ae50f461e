<?php

declare(strict_types=1);

namespace Bench;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

/**
 * What pages cost in a browser on a processor four times as slow, opened by their address: the first paint, the longest task, how far
 * things moved by themselves, how many nodes. Of several openings the least each: on a shared machine the others tell of its neighbours.
 */
final readonly class InBrowser
{
    private const SLOWER = 4;

    private const OPENINGS = 4;

    private const READ = <<<'JS'
    const done = arguments[arguments.length - 1]
    const seen = { task: 0, shift: 0 }
    const watch = (type, take) => new PerformanceObserver((list) => list.getEntries().forEach(take)).observe({ type, buffered: true })
    watch('longtask', (entry) => (seen.task = Math.max(seen.task, entry.duration)))
    watch('layout-shift', (entry) => (seen.shift += entry.hadRecentInput ? 0 : entry.value))
    // What comes after the page has come by then.
    setTimeout(() => {
        const paint = performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0
        const document_ = performance.getEntriesByType('navigation')[0]
        done([paint, seen.task, seen.shift, document.querySelectorAll('*').length, document_.responseEnd])
    }, 2500)
    JS;

    /** What the longest task is once something was tapped: a dialog that opens for the first time, closes, opens again. */
    private const TAPS = [
        'a ride is logged' => "document.querySelector('[data-test^=\"ride-\"]').click()",
        'closed' => "document.activeElement.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))",
        'and again' => "document.querySelector('[data-test^=\"ride-\"]').click()",
    ];

    private const TAP = <<<'JS'
    const done = arguments[arguments.length - 1]
    let task = 0
    const longest = (list) => (task = Math.max(task, ...list.getEntries().map((entry) => entry.duration)))
    new PerformanceObserver(longest).observe({ type: 'longtask' })
    eval(arguments[0])
    setTimeout(() => done(task), 2000)
    JS;

    public static function print(): void
    {
        printf("%-22s %9s %9s %9s %7s %7s\n", 'page', 'answer ms', 'paint ms', 'task ms', 'shift', 'nodes');
        foreach (['demo' => null, '60 chains' => 2] as $of => $years) {
            $server = $years === null ? Server::start(gmdate('Y-m-d\TH:i:s\Z'), linked: true) : Pages::grown($years);
            $chromium = Chromium::start(whole: true);
            $page = ShedPage::open($chromium->driver, $server->url, '/sign-in')->enterDemo();
            foreach (Pages::PATHS as $name => $path) {
                (new ChromeDevToolsDriver($chromium->driver))->execute('Emulation.setCPUThrottlingRate', ['rate' => self::SLOWER]);
                $all = [];
                for ($opening = 0; $opening < self::OPENINGS; $opening++) {
                    $chromium->driver->get($server->url . $path);
                    $all[] = $chromium->driver->executeAsyncScript(self::READ);
                }
                $least = array_map(min(...), ...$all);
                printf("%-22s %9.0f %9.0f %9.0f %7.3f %7d\n", "{$name}, {$of}", $least[4], $least[0], $least[1], $least[2], $least[3]);
            }
            self::printTaps($chromium, $server, $of);
            $chromium->stop();
            $server->stop();
        }
    }

    private static function printTaps(Chromium $chromium, Server $server, string $of): void
    {
        $all = [];
        for ($opening = 0; $opening < self::OPENINGS; $opening++) {
            $chromium->driver->get($server->url . '/');
            $chromium->driver->executeAsyncScript(self::READ);
            $all[] = array_map(fn(string $tap) => (float) $chromium->driver->executeAsyncScript(self::TAP, [$tap]), self::TAPS);
        }
        foreach (array_keys(self::TAPS) as $tap) {
            printf("%-22s %9s %9s %9.0f\n", "{$tap}, {$of}", '', '', min(array_column($all, $tap)));
        }
    }
}
