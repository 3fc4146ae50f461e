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

it('loads the Shed in under 350 kB of script and style, compressed and cacheable', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00');
    $chromium = Chromium::start();
    ShedPage::open($chromium->driver, $server->url, '/sign-in')->enterDemo();
    $chromium->driver->get($server->url . '/');
    (new Page($chromium->driver, $server->url))->part('pot');
    $assets = $chromium->driver->executeScript(
        "return performance.getEntriesByType('resource').filter((r) => /\\.(js|css)$/.test(new URL(r.name).pathname)).map((r) => r.name)",
    );
    $bytes = 0;
    foreach ($assets as $asset) {
        $headers = get_headers($asset, true, stream_context_create(['http' => ['header' => 'Accept-Encoding: gzip']]));
        expect($headers['Content-Encoding'])->toBe('gzip')->and($headers['Cache-Control'])->toContain('immutable');
        $bytes += (int) $headers['Content-Length'];
    }
    expect(count($assets))->toBeGreaterThan(5)->and($bytes)->toBeLessThan(350_000)->and(implode(' ', $assets))->not->toContain('echarts');
    $chromium->stop();
    $server->stop();
});
