<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverExpectedCondition as Until;
use Tests\Browser\Pages\JobPage;
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
        foreach (['/', ...ScreensWalk::PATHS, ...ScreensWalk::ASTRAY] as $path) {
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

it('fits its dialogs over a keyboard, opens a job at its top, and a tag with what one does with the chain in hand', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00');
    $chromium = Chromium::start(360, 780);
    $driver = $chromium->driver;
    try {
        ShedPage::open($driver, $server->url, '/sign-in')->enterDemo();
        $open = fn(string $path): Page => Page::open($driver, $server->url, $path);
        $chromium->size(360, 430);
        foreach (
            [
                ['/', 'swap-Heron'],
                ['/', 'measure-Heron'],
                ['/', 'ride-Heron'],
                ['/', 'dip-these'],
                ['/chains/1', 'details'],
                ['/pot', 'tend-Shed pot'],
            ]
            as [$path, $opens]
        ) {
            $page = $open($path)->click($opens);
            // Its code comes after the page.
            $driver->wait(60, 50)->until(Until::presenceOfElementLocated(By::cssSelector('.v-overlay--active [data-test=submit]')));
            $page->settled();
            [$top, $bottom] = $driver->executeScript(
                "const it = document.querySelector('.v-overlay--active [data-test=submit]').getBoundingClientRect(); return [it.top, it.bottom]",
            );
            expect($top)->toBeGreaterThan(0)->and($bottom)->toBeLessThanOrEqual(430)->and($page->smallTargets())->toBe([]);
        }
        $chromium->size(360, 780);

        // What is said of a field on leaving it moves nothing from under the thumb that presses another.
        $form = $open('/')->click('ride-Heron')->fill('distance', 'far')->settled();
        $driver->action()->clickAndHold($form->part('condition-wet'))->perform();
        expect($form->text('ride-form'))->not->toContain('such as 12.5');
        $driver->action()->release()->perform();
        expect($form->awaitText('ride-form', 'such as 12.5')->settled()->part('condition-wet')->getAttribute('class'))->toContain('on');

        $plan = $open('/pot-day')->awaitText('plan-lines', 'done about');
        $driver->executeScript('window.scrollTo(0, 900)');
        $plan->click('begin');
        $job = (new JobPage($driver, $server->url))->at('prepare')->settled();
        expect($driver->executeScript('return window.scrollY'))->toBe(0)->and($job->smallTargets())->toBe([]);

        // Two taps from anywhere.
        $open('/ahead')->click('add')->click('add-bike-3')->click('add-loud')->submit('loud-form')->awaitText('done', 'Tram');
        $tag = $open('/tags/10')->awaitText('state', 'waxed')->click('put-on')->awaitText('done', 'Swapped Tram to B');
        $tag->click('took-off')->part('put-on');
        $tag->click('dipped')->click('dry')->submit('dip-form')->awaitText('done', 'Dipped');
        expect($tag->smallTargets())->toBe([]);
    } finally {
        $chromium->stop();
        $server->stop();
    }
});
