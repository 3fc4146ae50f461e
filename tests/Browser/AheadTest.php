<?php

declare(strict_types=1);

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys as Keys;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

it(
    'plans four weeks of the demo, moves the pot day a week, takes the offered top-up, and calendar and Next say the same',
    function (): void {
        $server = Server::start('2026-11-25T12:20:00+01:00');
        $chromium = Chromium::start();
        try {
            ShedPage::open($chromium->driver, $server->url, '/sign-in')->enterDemo();
            $page = ShedPage::open($chromium->driver, $server->url, '/ahead')->awaitText(
                'headline',
                'One pot day carries you to Wed 23 Dec',
            );
            expect($page->axe())->toBe([])->and($page->text('about'))->toContain('every ride on wax');
            // What happens on a day, with the keys.
            $page->part('lane-Heron')->sendKeys(Keys::ARROW_RIGHT . Keys::ARROW_RIGHT . Keys::ARROW_RIGHT);
            $page->awaitText('told', 'Heron, Sat 28 Nov');
            // Day by day, with the keys: a week later.
            $day = new DateTimeImmutable('2026-11-26');
            for ($i = 0; $i < 7; $i++) {
                $page->part('pot-' . $day->format('Y-m-d'))->sendKeys(Keys::ARROW_RIGHT);
                $day = $day->modify('+1 day');
                $page->part('pot-' . $day->format('Y-m-d'));
            }
            $page
                ->awaitText('headline', 'This plan breaks on Sat 28 Nov')
                ->awaitText('breaks', 'Badger’s 44 km on Sat 28 Nov take 61 km of wax, and A would have 0 km')
                ->awaitText('repair-0', 'Drip Badger A Fri 27 Nov');
            expect($page->axe())->toBe([])->and($page->scrollsSideways())->toBeFalse();
            $page
                ->click('repair-0')
                ->awaitText('tried', 'one top-up')
                ->click('keep')
                ->awaitText('done', 'The plan is kept')
                ->awaitText('followed', 'Next and the calendar');
            // The calendar has it.
            $cookies = implode(
                '; ',
                array_map(fn($cookie) => "{$cookie->getName()}={$cookie->getValue()}", $chromium->driver->manage()->getCookies()),
            );
            $ics = (string) file_get_contents(
                "{$server->url}/ahead/dripel.ics",
                false,
                stream_context_create(['http' => ['header' => "Cookie: {$cookies}"]]),
            );
            expect($ics)
                ->toContain('UID:pot-2026-12-03-1@dripel')
                ->toContain('SUMMARY:Drip Badger A')
                ->toContain('DTSTART:20261127T190000Z');
            // So has Next: the bottle on Friday, the pot on Thursday week, and the pot day opens with its chains.
            $shed = ShedPage::open($chromium->driver, $server->url);
            expect($shed->text('next-planned_drip'))
                ->toContain('Friday')
                ->toContain('Drip Badger A')
                ->and($shed->text('next-planned_pot'))
                ->toContain('3 Dec')
                ->toContain('Heat the pot:')
                ->and($shed->has('next-spent_waiting'))
                ->toBeFalse();
            $shed->click('act-planned_pot');
            $chromium->driver
                ->wait(15)
                ->until(
                    fn() => $chromium->driver->executeScript(
                        'return location.pathname === "/pot-day" && document.querySelectorAll("input[type=checkbox]:checked").length',
                    ) >= 5,
                );
            // Years side by side, figures with the weeks behind them; and what it all cost.
            $page = ShedPage::open($chromium->driver, $server->url, '/ahead/what-if')->click('open-0-per');
            expect($page->text('weeks'))->toContain('Week')->and($page->axe())->toBe([]);
            ShedPage::open($chromium->driver, $server->url, '/books')->click('money')->awaitText('against', 'plain drip');
            $page = ShedPage::open($chromium->driver, $server->url, '/books/money');
            expect($page->axe())->toBe([]);
            foreach (['/ahead/what-if', '/books/money'] as $path) {
                $chromium->size(360, 780);
                $page = ShedPage::open($chromium->driver, $server->url, $path);
                expect($page->axe())->toBe([])->and($page->scrollsSideways())->toBeFalse();
            }
            // A browser that was allowed to reminds of what is for today.
            (new ChromeDevToolsDriver($chromium->driver))->execute('Browser.grantPermissions', [
                'permissions' => ['notifications'],
                'origin' => $server->url,
            ]);
            ShedPage::open($chromium->driver, $server->url, '/settings')->part('remind');
            $chromium->driver->executeScript('document.querySelector("[data-test=remind] input").click()');
            $chromium->driver
                ->wait(15, 200)
                ->until(
                    fn() => str_contains(
                        (string) $chromium->driver->executeScript('return localStorage.getItem("dripel.reminded")'),
                        'wet-',
                    ),
                );
            // By hand, further to the right; nothing is kept.
            $chromium->size(1280, 800);
            $page = ShedPage::open($chromium->driver, $server->url, '/ahead');
            (new WebDriverActions($chromium->driver))
                ->moveToElement($page->part('pot-2026-12-03'))
                ->clickAndHold()
                ->moveByOffset(130, 0)
                ->moveByOffset(136, 0)
                ->release()
                ->perform();
            $page->part('pot-2026-12-10');
            // On the phone it fits, and can be put back.
            $chromium->size(360, 780);
            $page = ShedPage::open($chromium->driver, $server->url, '/ahead');
            expect($page->scrollsSideways())->toBeFalse()->and($page->axe())->toBe([]);
            $page->click('again')->awaitText('headline', 'One pot day carries you')->awaitText('done', 'made anew');
        } finally {
            $chromium->stop();
            $server->stop();
        }
    },
);
