<?php

declare(strict_types=1);

use Bench\Visitor;
use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverKeys as Keys;
use Illuminate\Support\Str;
use Tests\Browser\Pages\Page;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Cable;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

// The phone in a garage without a network: a full tool that happens to send later. It trusts the machine's own root, and no flag says so.

const EVENING = '2026-11-25T18:20:00+01:00';

/** Until this device can do without the machine: some seventy pages, one after the other. */
function keepsPages(Chromium $chromium): void
{
    $chromium->driver
        ->wait(300, 200)
        ->until(
            fn() => $chromium->driver->executeScript(
                'return navigator.serviceWorker.controller !== null && localStorage.getItem("dripel.kept") !== null',
            ),
        );
}

/** @return list<array<string, mixed>> what this device keeps, in its order */
function keptOn(Chromium $chromium): array
{
    return $chromium->driver->executeAsyncScript(
        <<<'JS'
        const done = arguments[arguments.length - 1]
        indexedDB.open('dripel').onsuccess = (opened) => {
            const all = opened.target.result.transaction('entries').objectStore('entries').getAll()
            all.onsuccess = () => done(all.result)
        }
        JS
        ,
    );
}

/** How many pages it could open without the machine. */
function pagesOn(Chromium $chromium): int
{
    return (int) $chromium->driver->executeAsyncScript(
        <<<'JS'
        const done = arguments[arguments.length - 1]
        indexedDB.open('dripel').onsuccess = (opened) => {
            const count = opened.target.result.transaction('pages').objectStore('pages').count()
            count.onsuccess = () => done(count.result)
        }
        JS
        ,
    );
}

/** @return list<mixed> what the wall shows of each bike and chain */
function wallOf(string $url): array
{
    return array_map(
        fn(array $rail) => [$rail['name'], $rail['leftNumber'], $rail['fitted'], array_column($rail['hanging'], null, 'id')],
        (new Visitor($url))->props('/')['rails'],
    );
}

it('walks an evening of the garage without a network while the desk goes on, and comes to what it would be online', function (): void {
    [$server, $online] = [Server::start(EVENING), Server::start(EVENING)];
    $cable = Cable::to($server);
    $chromium = Chromium::start(360, 780, trusts: $cable->root());
    $driver = $chromium->driver;
    $driver->manage()->timeouts()->setScriptTimeout(30);
    $tap = fn(string $test) => $driver->executeScript("document.querySelector('[data-test=\"{$test}\"]').click()");
    try {
        $phone = ShedPage::open($driver, $cable->url(), '/sign-in')->enterDemo();
        keepsPages($chromium);
        $cable->cut();

        // Twelve things, on pages that this device kept; and the same swap that somebody at the desk is about to write down.
        $kept = fn(int $count) => $phone->awaitText('waiting', $count === 1 ? 'One entry kept here' : "{$count} entries kept here");
        $phone->ride('Heron', '31', 'wet');
        $kept(1)->awaitText('done', 'Kept here, not sent yet');
        $phone->click('swap-Heron')->click('choose-C')->submit('swap-form');
        $kept(2);
        $phone->click('loud-Lantern')->submit('loud-form');
        $kept(3);
        $phone->click('topup-Lantern')->submit('topup-form');
        $kept(4);
        $phone->click('measure-Tram')->click('instrument-Drawer gauge')->fill('value_pct', '0.31')->submit('measure-form');
        $kept(5);
        $phone->unfoldNext();
        $tap('act-wipe');
        $kept(6);
        $tap('act-commute');
        $kept(7);
        $phone->click('dip-these')->click('dry')->submit('dip-form');
        $kept(8);
        // What the machine would have to work out is not worked out here: it is said what is not in it.
        expect($phone->left('Heron'))->toBe(140)->and($phone->text('not-counted'))->toContain('entries not counted yet');
        Page::open($driver, $cable->url(), '/chains/5/wet')->awaitText('offline', 'No connection. As of 18:2')->click('dried');
        $kept(9);
        // A page that was never opened here leads to those that are kept.
        Page::open($driver, $cable->url(), '/settings')->awaitText('kept-pages', 'Heron A');
        // It outlasts the reload.
        $phone = ShedPage::open($driver, $cable->url());
        $driver->navigate()->refresh();
        $kept(9);
        $phone->ride('Badger', '12', 'dry');
        $kept(10);
        $phone->ride('Tram', '8', 'damp');
        $kept(11);
        $phone->click('swap-Moth')->click('choose-B')->submit('swap-form');
        $kept(12);
        $phone->click('swap-Tram')->click('choose-B')->submit('swap-form');
        $kept(13);
        $made = keptOn($chromium);
        expect(array_column($made, 'subject'))->toContain('Tram → Tram B')->toContain('Moth A');

        // Meanwhile at the desk.
        $at = fn(string $time): array => ['action_id' => (string) Str::uuid(), 'date' => '2026-11-25', 'time' => $time];
        $desk = [
            ['/rides', ['bike_id' => 1, 'distance' => 9, 'condition' => 'dry', 'loud' => 0] + $at('08:10')],
            ['/bikes/3/fittings', ['chain_id' => 10] + $at('12:00')],
            ['/rides', ['bike_id' => 3, 'distance' => 14, 'condition' => 'dry', 'loud' => 0] + $at('13:00')],
            ['/bikes/1/noises', $at('17:00')],
            ['/chains/3/oilings', $at('17:30')],
        ];
        foreach ($desk as $entry) {
            expect((new Visitor($server->url))->postAtOnce([$entry]))->toBe([302]);
        }

        expect($phone->axe())->toBe([])->and($phone->smallTargets())->toBe([]);

        // The network is back, the machine dies under it, twice.
        $server->powerCut();
        $cable->mend();
        $driver->navigate()->refresh();
        $kept(13);
        $server->powerBack();
        $left = fn(): int => count(keptOn($chromium));
        $driver->wait(60, 20)->until(fn() => $left() < 11);
        $server->powerCut();
        $between = $left();
        $server->powerBack();
        $phone->awaitText('refused', 'Tram');
        $driver->wait(60, 100)->until(fn() => $left() === 1);
        expect($between)->toBeLessThan(13);

        // One real conflict, said with its reason; nothing twice.
        expect($phone->axe())->toBe([])->and($phone->smallTargets())->toBe([]);
        expect($phone->text('refused'))->toContain('Not taken: Swap Tram → Tram B')->toContain('on the bike already');
        $database = $server->pdo();
        $ids = array_column(array_column($made, 'data'), 'action_id');
        $known = $database
            ->query("select id, count(*) from actions where id in ('" . implode("','", $ids) . "') group by id")
            ->fetchAll(PDO::FETCH_KEY_PAIR);
        expect($known)
            ->toHaveCount(12)
            ->and(array_unique(array_values($known)))
            ->toBe([1]);

        // The same, online, in the order of their times.
        $all = [...$desk, ...array_map(fn(array $one) => [$one['url'], $one['data']], array_slice($made, 0, 12))];
        usort($all, fn(array $one, array $other) => ($one[1]['time'] ?? '18:59') <=> ($other[1]['time'] ?? '18:59'));
        foreach ($all as $entry) {
            expect((new Visitor($online->url))->postAtOnce([$entry]))->toBe([302], json_encode($entry));
        }
        $server->jump('2026-11-25T20:00:00+01:00');
        $online->jump('2026-11-25T20:00:00+01:00');
        expect(wallOf($server->url))->toEqual(wallOf($online->url));

        // And the way on: another chain goes on instead, in the form as it was.
        $phone = ShedPage::open($driver, $cable->url());
        $phone->click('refused-change')->click('choose-C')->submit('swap-form')->awaitText('done', 'Swapped Tram to C');
        expect($phone->fitted('Tram'))->toBe('C')->and($left())->toBe(0)->and($phone->has('kept'))->toBeFalse();

        // Whoever signs out takes everything along.
        expect(pagesOn($chromium))->toBeGreaterThan(20);
        $phone->click('more')->click('sign-out')->part('demo');
        $driver->wait(60, 100)->until(fn() => pagesOn($chromium) === 0);
    } finally {
        $chromium->stop();
        $cable->remove();
        $server->stop();
        $online->stop();
    }
});

it('takes a network that hangs for gone, says where it was pressed what became of it, and keeps the fields of a form', function (): void {
    $server = Server::start(EVENING);
    $cable = Cable::to($server);
    $chromium = Chromium::start(360, 780, trusts: $cable->root());
    $driver = $chromium->driver;
    $driver->manage()->timeouts()->setScriptTimeout(30);
    try {
        $phone = ShedPage::open($driver, $cable->url(), '/sign-in')->enterDemo();
        keepsPages($chromium);

        // What was typed outlasts a reload, and is gone once it was sent.
        $phone->click('ride-Heron')->fill('distance', '47');
        $driver
            ->wait(60, 50)
            ->until(fn() => $driver->executeScript('return Object.keys(sessionStorage).some((key) => key.startsWith("dripel.draft."))'));
        $driver->navigate()->refresh();
        $distance = fn(): string => (string) $phone
            ->click('ride-Heron')
            ->part('ride-form')
            ->findElement(By::name('distance'))
            ->getAttribute('value');
        expect($distance())->toBe('47')->and($phone->text('done'))->toContain('Your fields are back');
        $phone->submit('ride-form')->awaitText('done', 'Logged 47 km');
        expect($distance())->toBe('');
        $phone->press(Keys::ESCAPE);
        $driver->wait(60, 50)->until(fn() => $driver->findElements(By::cssSelector('.v-overlay--active')) === []);

        $cable->hang();
        $began = microtime(true);
        $phone->click('loud-Heron')->submit('loud-form')->awaitText('done', 'Kept here, not sent yet');
        // Five seconds, and what a busy machine takes to draw it.
        expect(microtime(true) - $began)->toBeLessThan(30.0);
        // What cannot be kept says so where it was pressed, and stays as it was typed.
        $driver->executeScript('history.replaceState(history.state, "", "/")');
        $phone->click('more-Heron')->click('correct-Heron')->part('correct-form');
        $driver->executeScript("document.querySelector('[data-test=\"correct-form\"] [data-test=\"submit\"]').click()");
        $phone->awaitText('done', 'Not saved: no connection');
        expect($phone->has('correct-form'))->toBeTrue();
        $phone->press(Keys::ESCAPE);
        $cable->goOn();
        $driver->wait(60, 100)->until(fn() => keptOn($chromium) === []);

        // Whoever is removed from the workshop leaves nothing on the device, neither what could be read nor what was not sent.
        $database = $server->pdo();
        $cable->cut();
        $phone->click('loud-Tram')->submit('loud-form')->awaitText('waiting', 'One entry kept here');
        $database->exec('delete from sessions');
        $cable->mend();
        Page::open($driver, $cable->url(), '/sign-in')->awaitText('unsent', 'One entry is kept on this device');
        $database->exec('delete from memberships');
        $driver->navigate()->refresh();
        $driver->wait(60, 100)->until(fn() => keptOn($chromium) === []);
        expect(pagesOn($chromium))
            ->toBe(0)
            ->and(Page::open($driver, $cable->url(), '/sign-in')->has('unsent'))
            ->toBeFalse();
    } finally {
        $chromium->stop();
        $cable->remove();
        $server->stop();
    }
});
