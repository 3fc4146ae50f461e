<?php

declare(strict_types=1);

use Tests\Browser\Pages\Page;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\ScreensWalk;
use Tests\Browser\Support\Server;

it('scrolls no page sideways with text at 200 %, as the person has chosen it in the browser', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00');
    $chromium = Chromium::start(360, 800, textPx: 32);
    ShedPage::open($chromium->driver, $server->url, '/sign-in')->enterDemo();
    $sideways = [];
    foreach (['/', ...ScreensWalk::PATHS, ...ScreensWalk::ASTRAY] as $path) {
        $chromium->size(360, 800);
        $page = in_array($path, ScreensWalk::ASTRAY, true)
            ? Page::open($chromium->driver, $server->url, $path)
            : Page::follow($chromium->driver, $server->url, $path);
        foreach ([360, 1280] as $width) {
            $chromium->size($width, 800);
            $page->settled()->scrollsSideways() && ($sideways[] = "{$path} at {$width}");
        }
    }
    $large = $chromium->driver->executeScript('return getComputedStyle(document.querySelector("h1")).fontSize');
    $chromium->stop();
    $server->stop();
    expect($sideways)->toBe([])->and((float) $large)->toBeGreaterThan(40);
});
