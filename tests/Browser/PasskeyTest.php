<?php

declare(strict_types=1);

use Tests\Browser\Pages\Page;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

it('adds a passkey in Settings and signs in with it, and says where none can be had', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00', demo: false);
    $chromium = Chromium::start();
    try {
        $byName = str_replace('127.0.0.1', 'localhost', $server->url);
        $chromium->addAuthenticator();
        $page = Page::open($chromium->driver, $byName, '/register');
        foreach (
            ['name' => 'Mave', 'email' => 'mave@test.example', 'workshop' => 'Shed', 'password' => 'three green herons']
            as $field => $value
        ) {
            $page->fill($field, $value);
        }
        $page->click('submit')->part('more');
        $page = Page::open($chromium->driver, $byName, '/settings#people')->click('add-passkey');
        $page->awaitText('passkey', 'not used yet');
        $page->click('more')->click('sign-out');
        $page->click('by-passkey')->part('more');
        $page = Page::open($chromium->driver, $byName, '/settings#people')->awaitText('passkey', 'last used 25 Nov');
        expect($page->axe())->toBe([]);

        // Under a number browsers have no keys.
        $page = Page::open($chromium->driver, $server->url, '/sign-in');
        $page->fill('email', 'mave@test.example')->fill('password', 'three green herons')->click('submit')->part('more');
        Page::open($chromium->driver, $server->url, '/settings#people')->awaitText('no-passkeys', 'your password works there');
    } finally {
        $chromium->stop();
        $server->stop();
    }
});
