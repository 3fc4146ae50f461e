<?php

declare(strict_types=1);

use Tests\Browser\Pages\Page;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\ScreensWalk;
use Tests\Browser\Support\Server;

// One thumb, wet gloves, a screen of 360 pixels.

it('keeps every page short, every target large and what it is for under the thumb', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00');
    $chromium = Chromium::start(360, 780);
    $found = [];
    try {
        ShedPage::open($chromium->driver, $server->url, '/sign-in')->enterDemo();
        foreach (['/', ...ScreensWalk::PATHS] as $path) {
            $page = Page::open($chromium->driver, $server->url, $path)->settled();
            $found[$path] = array_values(
                array_filter([
                    ...$page->smallTargets(),
                    $page->height() > 2400 ? "{$page->height()} px high" : '',
                    $page->primaryWithinReach() || preg_match('/nowhere|%/', $path) === 1 ? '' : 'primary action out of reach',
                ]),
            );
        }
    } finally {
        $chromium->stop();
        $server->stop();
    }
    expect(array_filter($found))->toBe([]);
});
