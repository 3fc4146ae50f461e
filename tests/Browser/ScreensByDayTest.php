<?php

declare(strict_types=1);

use Tests\Browser\Pages\Page;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\ScreensWalk;
use Tests\Browser\Support\Server;

it('has no screen, dialog or menu in which axe finds anything, by day on the desk', function (): void {
    ScreensWalk::walk('light', 1280);
});

it(
    'loads the Shed in under 150 kB of script and style, and all that its buttons open in under 300, compressed and cacheable',
    function (): void {
        $server = Server::start('2026-11-25T12:20:00+01:00');
        $chromium = Chromium::start();
        ShedPage::open($chromium->driver, $server->url, '/sign-in')->enterDemo();
        $chromium->driver->get($server->url . '/');
        (new Page($chromium->driver, $server->url))->part('pot');
        $loaded = fn(): array => $chromium->driver->executeScript(
            "return performance.getEntriesByType('resource').filter((r) => /\\.(js|css)$/.test(new URL(r.name).pathname)).map((r) => r.name)",
        );
        // The forms behind its buttons come after it.
        $chromium->driver->wait(60, 50)->until(fn(): bool => preg_match('~/forms-\S+\.js~', implode(' ', $loaded())) === 1);
        $assets = $loaded();
        $bytes = function (array $assets): int {
            $all = 0;
            foreach ($assets as $asset) {
                $headers = get_headers($asset, true, stream_context_create(['http' => ['header' => 'Accept-Encoding: gzip']]));
                expect($headers['Content-Encoding'])->toBe('gzip')->and($headers['Cache-Control'])->toContain('immutable');
                $all += (int) $headers['Content-Length'];
            }

            return $all;
        };
        // What the document names itself is there before anything is drawn; the Shed is in it.
        preg_match_all('~"(http[^"]+\.(?:js|css))"~', (string) file_get_contents("{$server->url}/sign-in"), $named);
        $first = array_values(array_unique($named[1]));
        expect(count($first))
            ->toBe(3)
            ->and($bytes($first))
            ->toBeLessThan(150_000)
            ->and(array_diff($first, $assets))
            ->toBe([])
            ->and(count($assets))
            ->toBeGreaterThan(3)
            ->and($bytes($assets))
            ->toBeLessThan(300_000)
            ->and(implode(' ', $assets))
            ->not->toContain('echarts');
        $chromium->stop();
        $server->stop();
    },
);
