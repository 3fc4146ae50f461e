<?php

declare(strict_types=1);

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys as Keys;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

it(
    'has one plan for a bare chain, an event, a bike of ten hours and a wet ride: Next, Ahead, calendar and pot day say the same',
    function (): void {
        $server = Server::start('2026-11-25T12:20:00+01:00');
        $chromium = Chromium::start(whole: true);
        try {
            $shed = ShedPage::open($chromium->driver, $server->url, '/sign-in')->enterDemo();
            // What rusts, dries and is late; the evenings; the rest.
            expect($shed->text('part-now'))
                ->toContain('Wipe and dry Badger A')
                ->toContain('Wax Heron D before it rusts')
                ->toContain('Heat the pot today: solves it, 3 min less in all.')
                ->toContain('Swap Tram to B')
                ->and($shed->text('part-bench'))
                ->toContain('Heat the pot: Heron B, D and R, Badger A and C and Moth A')
                ->and($shed->text('part-any_day'))
                ->toContain('Buy a chain for Lantern');
            // An evening opens into its steps, in the order in which they are done.
            $shed->click('steps-evening');
            expect($shed->text('steps-evening'))->toMatch('/Measure Tram A.*Continue stripping Badger D.*Swap Moth to B/s');
            $page = ShedPage::open($chromium->driver, $server->url, '/ahead')->awaitText(
                'headline',
                'Heron D rusts from today 19:40 on, and no pot day comes in time',
            );
            $page->awaitText('sure', 'of 10 such 4 weeks every ride is on wax');
            expect($page->axe())->toBe([])->and($page->text('dip-Badger A'))->toContain('due, ridden next on Sat 28 Nov');
            // What happens on a day, with the keys.
            $page->part('lane-Heron')->sendKeys(Keys::ARROW_RIGHT . Keys::ARROW_RIGHT . Keys::ARROW_RIGHT);
            $page->awaitText('told', 'Heron, Sat 28 Nov');
            // And with a finger, which moves over nothing before it touches.
            $chromium->driver->executeScript(
                "const lane = document.querySelector('[data-test=lane-Heron]');
                lane.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, clientX: lane.getBoundingClientRect().left + 1 }))",
            );
            $page->awaitText('told', 'Heron, Wed 25 Nov');
            // The offered way out, taken.
            $page
                ->click('take-0')
                ->awaitText('tried', 'less in all')
                ->click('keep')
                ->awaitText('done', 'Plan kept')
                ->awaitText('changes', 'Pot day on Wed 25 Nov');
            expect($page->text('headline'))->toContain('One pot day carries you to Wed 23 Dec')->and($page->has('breaks'))->toBeFalse();
            // Moved to tomorrow, with the keys, it rusts: said at once, with what it saves.
            $page->part('pot-2026-11-25')->sendKeys(Keys::ARROW_RIGHT);
            $page->awaitText('headline', 'Heron D rusts from today 19:40 on')->awaitText('tried', 'more in all');
            expect($page->axe())->toBe([])->and($page->scrollsSideways())->toBeFalse();
            $page->click('put-back')->awaitText('headline', 'carries you to Wed 23 Dec');
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
            expect($ics)->toContain('UID:pot-2026-11-25-1@dripel')->toContain('SUMMARY:Swap Tram to B');
            // So has Next, this evening, and the pot day opens with its chains.
            $shed = ShedPage::open($chromium->driver, $server->url);
            expect($shed->has('next-bare'))
                ->toBeFalse()
                ->and($shed->text('next-evening'))
                ->toContain('Today')
                ->toContain('heat the pot for Heron');
            $shed->click('steps-evening')->click('act-planned_pot');
            $chromium->driver
                ->wait(15)
                ->until(
                    fn() => $chromium->driver->executeScript(
                        'return location.pathname === "/pot-day" && document.querySelectorAll("input[type=checkbox]:checked").length',
                    ) >= 5,
                );
            // Years side by side, row by row, nothing moving under the hand; figures with the weeks behind them; and what it all cost.
            $page = ShedPage::open($chromium->driver, $server->url, '/ahead/what-if')->awaitText('way', 'All worked out');
            // A font that comes late on a busy machine moves 0.03; rows that push the others 0.06 and more.
            expect($page->moved())->toBeLessThan(0.05);
            $page->click('open-0-per');
            expect($page->text('weeks'))->toContain('Week')->and($page->axe())->toBe([]);
            ShedPage::open($chromium->driver, $server->url, '/books')->click('tab-money')->awaitText('against', 'plain drip');
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
            ShedPage::open($chromium->driver, $server->url, '/settings#device')->part('remind');
            $chromium->driver->executeScript('document.querySelector("[data-test=remind] input").click()');
            $chromium->driver
                ->wait(60, 200)
                ->until(
                    fn() => str_contains(
                        (string) $chromium->driver->executeScript('return localStorage.getItem("dripel.reminded")'),
                        'wet-',
                    ),
                );
            // Told while Dripel is closed, it shows: this browser has no service of its maker's behind it, so it says that none answered.
            $page = ShedPage::open($chromium->driver, $server->url, '/settings#device');
            $page->part('push');
            $chromium->driver->executeScript('document.querySelector("[data-test=push] input").click()');
            $page->awaitText('push', 'did not answer');
            (new ChromeDevToolsDriver($chromium->driver))->execute('ServiceWorker.enable', []);
            $told = ['tag' => 'job-7', 'title' => 'Time is up', 'text' => 'Let it stand', 'url' => '/jobs/7'];
            foreach (range(0, 3) as $registration) {
                (new ChromeDevToolsDriver($chromium->driver))->execute('ServiceWorker.deliverPushMessage', [
                    'origin' => $server->url,
                    'registrationId' => (string) $registration,
                    'data' => json_encode($told),
                ]);
            }
            $shown = 'navigator.serviceWorker.ready.then((worker) => worker.getNotifications({ tag: "job-7" }))';
            $chromium->driver
                ->wait(60, 200)
                ->until(
                    fn() => $chromium->driver->executeAsyncScript(
                        "{$shown}.then((all) => arguments[0](all.map((one) => one.body).join()))",
                    ) === 'Let it stand',
                );
            // By hand, a week to the right; nothing is kept.
            $chromium->size(1280, 800);
            $page = ShedPage::open($chromium->driver, $server->url, '/ahead');
            (new WebDriverActions($chromium->driver))
                ->moveToElement($page->part('pot-2026-11-25'))
                ->clickAndHold()
                ->moveByOffset(130, 0)
                ->moveByOffset(136, 0)
                ->release()
                ->perform();
            $page->part('pot-2026-12-02');
            // On the phone it fits, and what was changed can be let go.
            $chromium->size(360, 780);
            $page = ShedPage::open($chromium->driver, $server->url, '/ahead');
            expect($page->scrollsSideways())->toBeFalse()->and($page->axe())->toBe([]);
            $page->click('let-go')->awaitText('headline', 'Heron D rusts from today')->awaitText('done', 'Planned again');
        } finally {
            $chromium->stop();
            $server->stop();
        }
    },
);
