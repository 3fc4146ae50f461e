<?php

declare(strict_types=1);

use Tests\Browser\Pages\JobPage;
use Tests\Browser\Pages\Page;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

/** How many times faster the one clock runs: hours of drying in seconds. */
const CONVERSION_SPEED = 400.0;

it('brings a bike ridden on oil from its arrival to the first ride on wax, on the phone, through a power cut', function (): void {
    $server = Server::start('2026-11-25T08:20:00+00:00', demo: false, speed: CONVERSION_SPEED);
    $chromium = Chromium::start(360, 780);
    $driver = $chromium->driver;
    $open = fn(string $path): Page => Page::open($driver, $server->url, $path);
    $job = fn(): JobPage => new JobPage($driver, $server->url);
    try {
        $page = ShedPage::open($driver, $server->url);
        $page
            ->fill('name', 'Mave')
            ->fill('email', 'mave@test.example')
            ->fill('password', 'long-enough-1')
            ->fill('workshop', 'Barn')
            ->click('submit');
        $page->click('first-used')->fill('name', 'Gull')->fill('km-0', '14000')->click('state-0-none');
        $driver->executeScript("document.querySelectorAll('button.drop')[1].click()");
        $page->click('submit')->awaitText('done', 'Added Gull A');
        // Next carries it from the first day on.
        $page->awaitText('next-convert', 'Ridden on oil. First: measure Gull A.');
        $way = $open('/bikes/1/convert')->awaitText('convert-measure', 'Measure Gull A');
        expect($way->axe())->toBe([])->and($way->scrollsSideways())->toBeFalse();
        // At half a percent and more one starts with a new chain.
        $way->click('go-measure')->click('kind-digital')->fill('value_pct', '0.5')->submit('measure-form');
        // On a busy machine the phone keeps a reading for a moment, and says so in place of its Undo: what counts is that it arrives.
        $driver->wait(60, 100)->until(fn() => $server->pdo()->query('select count(*) from readings')->fetchColumn() > 0);
        $open('/bikes/1/convert')->awaitText('way-new', 'advised by its wear')->click('take-new')->awaitText('convert-decide', 'done');
        // The drivetrain down to metal; a power cut in the middle costs nothing.
        $open('/bikes/1/convert')->click('go-clean');
        $care = $job()->at('cover_brake')->until('sprockets');
        expect($care->axe())->toBe([]);
        $care->sent();
        $server->powerCut();
        $server->powerBack();
        $driver->navigate()->refresh();
        $care->at('sprockets')->until('teeth')->click('teeth-good')->until('uncover')->done()->sent()->part('job-over');
        // A new chain is added, stripped, and waxed in a pot that stands ready.
        $open('/pot')
            ->click('add-pot')
            ->fill('name', 'Shed pot')
            ->fill('diameter', '130')
            ->fill('height', '105')
            ->submit('pot-form')
            ->awaitText('done', 'Added the pot')
            ->click('tend-Shed pot')
            ->fill('wax', '620')
            ->submit('pot-form')
            ->awaitText('done', 'Filled');
        $open('/bikes/1/convert')
            ->click('go-buy')
            ->fill('pitches', '114')
            ->click('submit')
            ->awaitText('plan-lines', 'Bare about')
            ->click('start');
        $job()->at('prepare')->until('check')->done()->sent()->click('pot-next');
        // Nobody read its plate: it is planned all the same, and says by what.
        $plan = $open('/pot-day')->awaitText('plan-lines', 'done about')->awaitText('warning', 'by its kind and wax');
        $plan->click('begin');
        $job()->at('prepare')->lead('flex')->until('flex')->done()->sent()->part('job-over');
        // Fitted by the hand: nothing is passed over that keeps a rider up.
        $open('/bikes/1/convert')->awaitText('convert-wax', 'done')->click('go-fit');
        $fit = $job()->until('load_test');
        expect($fit->has('job-skip'))->toBeFalse()->and($fit->axe())->toBe([]);
        $fit->until('first_km')->done()->sent()->part('job-over');
        // The last tap may still be on its way.
        $driver->wait(60, 200)->until(fn() => ShedPage::open($driver, $server->url)->fitted('Gull') === 'B');
        expect($open('/bikes/1/convert')->text('lead'))->toContain('Nothing to convert');
        ShedPage::open($driver, $server->url)->ride('Gull', '30', 'dry')->awaitText('done', 'Logged');
    } finally {
        $chromium->stop();
        $server->stop();
    }
});
