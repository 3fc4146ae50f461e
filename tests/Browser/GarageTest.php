<?php

declare(strict_types=1);

use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

// The phone in the garage: 360 pixels wide, one thumb, and now and then no connection.

it('takes in many parts from a table, says things in words and settles what is open, on the phone', function (): void {
    $server = Server::start('2026-11-25T12:20:00+00:00', demo: false);
    $chromium = Chromium::start(360, 780);
    $driver = $chromium->driver;
    $csv = sys_get_temp_dir() . '/parts-' . bin2hex(random_bytes(4)) . '.csv';
    $tap = fn(string $test) => $driver->executeScript("document.querySelector('[data-test=\"{$test}\"]').click()");
    try {
        $page = ShedPage::open($driver, $server->url);
        $page
            ->fill('name', 'Mave')
            ->fill('email', 'mave@test.example')
            ->fill('password', 'long-enough-1')
            ->fill('workshop', 'Barn')
            ->click('submit');
        $page->click('first-used')->click('to-table');
        file_put_contents($csv, "bike;part;letter;distance;since_wax;on_bike\nHeron;chain;A;2100;60;yes\nHeron;chane;B;;unknown;\n");
        $page->part('table-file')->sendKeys($csv);
        $page->awaitText('row-error', 'chain, cassette, ring, jockey_wheels or quick_link');
        expect($page->has('keep-table'))->toBeFalse()->and($page->scrollsSideways())->toBeFalse();
        file_put_contents(
            $csv,
            "bike;part;letter;distance;since_wax;on_bike\nHeron;chain;A;2100;60;yes\nHeron;chain;B;;unknown;\nMoth;chain;A;500;0;yes\nMoth;cassette;;4000;;\n",
        );
        $page->part('table-file')->sendKeys($csv);
        $page->click('keep-table')->awaitText('done', 'Added Heron A and B');
        expect([$page->left('Heron'), $page->left('Moth'), $page->fitted('Moth')])->toBe([240, 300, 'A']);

        // In words: with a slip of the thumb, a near guess, what changes, done, taken back.
        $page->click('command')->fill('command', 'ride herron 62,5 wet today')->awaitText('not-understood', '“herron”');
        $page->click('guess')->awaitText('understood', 'Log 62.5 km wet on Heron, today.')->awaitText('changes', 'Wax left 240 km 83 km');
        $page->click('do-command')->awaitText('done', 'Logged 62.5 km');
        expect($page->left('Heron'))->toBe(83);
        $page->click('command')->fill('command', 'undo')->awaitText('understood', 'Undo: logged 62.5 km');
        $page->click('do-command')->awaitText('done', 'Undone');
        expect($page->left('Heron'))->toBe(240);
        $page
            ->click('command')
            ->fill('command', 'drip heron')
            ->awaitText('understood', 'Top up Heron A')
            ->click('do-command')
            ->awaitText('done', 'Topped up Heron A');

        // A ride on nobody knows which bike stays open, and Next asks.
        $page->click('ride-Heron')->fill('distance', '30');
        $driver->executeScript(
            "document.querySelector('[data-test=\"ride-form\"] .v-select .v-field').dispatchEvent(new MouseEvent('mousedown', { bubbles: true }))",
        );
        $driver
            ->wait(60, 50)
            ->until(
                fn() => $driver->executeScript(
                    "return [...document.querySelectorAll('.v-list-item')].some((item) => item.textContent.includes('Not sure'))",
                ),
            );
        $driver->executeScript(
            "[...document.querySelectorAll('.v-list-item')].find((item) => item.textContent.includes('Not sure')).click()",
        );
        // Only its day is known, so it comes after what was done that day.
        $driver->executeScript(
            "const i = document.querySelector('input[name=\"time\"]'); i.value = ''; i.dispatchEvent(new Event('input', { bubbles: true }))",
        );
        $page->submit('ride-form')->awaitText('next-no_bike', 'The ride of 30 km');
        // The bar of what was just done may lie over it; a thumb scrolls on.
        $tap('act-no_bike');
        $page->part('move-rides-form');
        $driver->executeScript(
            "[...document.querySelectorAll('[data-test^=\"to-bike-\"]')].find((key) => key.textContent.includes('Moth')).click()",
        );
        $page->awaitText('changes', 'Moth A')->submit('move-rides-form')->awaitText('done', 'Moved a ride to Moth');
        expect($page->left('Moth'))->toBe(270)->and($page->has('next-no_bike'))->toBeFalse();

        // The commute: set once, filled in, confirmed with one tap, one day not ridden.
        $driver->executeScript('document.querySelector(\'[data-test="rail-Moth"] h2 a\').click()');
        $page->click('tab-week')->click('new-commute')->fill('distance', '10');
        $driver->executeScript(
            "const i = document.querySelector('input[name=\"from\"]'); i.value = '2026-11-23'; i.dispatchEvent(new Event('input', { bubbles: true }))",
        );
        $page->submit('commute-form')->awaitText('done', 'Set the commute on Moth');
        $page->click('nav-shed')->awaitText('next-commute', '2 days filled in');
        $page->click('nav-rides')->awaitText('ride', 'estimated');
        $tap('not-ridden');
        $page->awaitText('done', 'Not ridden: one day on Moth');
        $page->click('nav-shed');
        $page->part('act-commute');
        $tap('act-commute');
        $page->awaitText('done', 'Confirmed one day on Moth, 10 km');
        // It was before the chain came, so the ride waits for one.
        expect($page->left('Moth'))
            ->toBe(270)
            ->and($page->has('next-no_chain'))
            ->toBeTrue()
            ->and($page->has('next-commute'))
            ->toBeFalse()
            ->and($page->scrollsSideways())
            ->toBeFalse();
    } finally {
        is_file($csv) && unlink($csv);
        $chromium->stop();
        $server->stop();
    }
});
