<?php

declare(strict_types=1);

use Tests\Browser\Pages\Page;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

it('leads from an empty machine to a counted ride, and lets a second person look', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00', demo: false);
    $chromium = Chromium::start(360, 780);
    $driver = $chromium->driver;
    try {
        $page = ShedPage::open($driver, $server->url);
        expect($page->has('demo'))->toBeFalse();
        $page
            ->fill('name', 'Mave')
            ->fill('email', 'mave@test.example')
            ->fill('password', 'long-enough-1')
            ->fill('workshop', 'Barn')
            ->click('submit');
        $page->click('first-bike')->fill('name', 'Otter')->fill('speeds', '11')->fill('interval', '250')->click('submit');
        $page->awaitText('rail-Otter', 'No chain is fitted');
        $page->click('add-chain')->click('state-waxed');
        $page->fill('pitches', '113')->click('submit')->awaitText('submit', 'Add a chain');
        $page->fill('pitches', '114')->click('submit')->awaitText('done', 'Added Otter A');
        expect($page->fitted('Otter'))->toBe('A')->and($page->left('Otter'))->toBe(250);
        // It was put on just now: what is logged next is taken to have begun then, and goes to it.
        $page->ride('Otter', '40', 'damp')->awaitText('done', 'Logged 40 km on Otter');
        expect($page->left('Otter'))->toBe(190);
        $page->click('more')->click('menu-history')->awaitText('action', 'Logged 40 km damp on Otter');

        $page->click('more')->click('menu-settings')->click('tab-people')->click('invite');
        $link = $page->text('invitation-link');
        $page->click('more')->click('sign-out')->awaitText('submit', 'Sign in');
        $guest = Page::open($driver, $link);
        $guest->fill('name', 'Ode')->fill('email', 'ode@test.example')->fill('password', 'long-enough-1')->click('submit');
        expect($guest->text('rail-Otter'))->toContain('Otter')->and($guest->has('ride-Otter'))->toBeTrue();
    } finally {
        $chromium->stop();
        $server->stop();
    }
});
