<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverKeys as Keys;
use Tests\Browser\Pages\JobPage;
use Tests\Browser\Pages\Page;
use Tests\Browser\Pages\ShedPage;

/** Every screen, dialog and menu, once: nothing that axe finds, no name of the code, nothing that scrolls sideways. */
final class ScreensWalk
{
    /** Every page of the demo that has an address of its own, and each part of those that have parts. */
    public const PATHS = [
        '/gauge',
        '/gauge?measure=3',
        '/rides',
        '/chains/1',
        '/chains/1?why=left',
        '/chains/4',
        '/chains/new',
        '/chains/15',
        '/bikes/new',
        '/bikes/5',
        '/bikes/5#wax',
        '/bikes/5#week',
        '/bikes/5#drivetrain',
        '/bikes/5#parts',
        '/arrive',
        '/arrive?bike=1',
        '/arrive/table',
        '/labels',
        '/pot',
        '/pot-day',
        '/ahead',
        '/ahead/what-if',
        '/gauge/how-right',
        '/books/money',
        '/books',
        '/books/stock',
        '/books/parts',
        '/help',
        '/help#words',
        '/help#figures',
        '/help#safety',
        '/help#keys',
        '/strip',
        '/protocols/petrol_degreaser_spirit',
        '/protocols/three_and_two/copy',
        '/history',
        '/settings',
        '/settings#wax',
        '/settings#drip',
        '/settings#roads',
        '/settings#people',
        '/settings#device',
        '/settings#keep',
        '/history?text=swapped',
        '/rides?text=wet&sort=-distance',
    ];

    /** What no link leads to. */
    public const ASTRAY = ['/nowhere', '/%00', '/%ff'];

    /** @param bool $followed whether it comes to each page as links do; else by its address. To what opens on a page it always follows. */
    public static function walk(string $scheme, int $width, bool $followed = false): void
    {
        $server = Server::start('2026-11-25T12:20:00+01:00', linked: true);
        $chromium = Chromium::start();
        try {
            self::screens($server, $chromium, $scheme, $width, $followed);
        } finally {
            $chromium->stop();
            $server->stop();
        }
    }

    private static function screens(Server $server, Chromium $chromium, string $scheme, int $width, bool $followed): void
    {
        $driver = $chromium->driver;
        $driver->manage()->timeouts()->setScriptTimeout(30);
        $chromium->prefer($scheme);
        $chromium->size($width, 800);
        $chromium->bring(Page::axeScript());
        // All of it is walked before it is told.
        $found = [];
        $clean = function (Page $page, string $what) use ($driver, $chromium, $width, &$found): void {
            // On the desk no page of the demo is longer than three screens.
            $long =
                $width > 1200 &&
                str_starts_with($what, '/') &&
                $driver->executeScript('return document.documentElement.scrollHeight') > 2400;
            array_push(
                $found,
                ...array_map(fn(string $one) => "{$what}: {$one}", [
                    ...$page->axe(),
                    ...$page->codeNames(),
                    ...$chromium->violations(),
                    ...$page->offCentre(),
                    ...$page->scrollsSideways() ? ['scrolls sideways'] : [],
                    ...$long ? ['longer than 2400 px'] : [],
                ]),
            );
        };
        $open = fn(string $path): Page => Page::follow($driver, $server->url, $path);
        // The code of a dialog comes after the page: it is looked at, and closed, once it is there.
        $overlays = fn(): array => $driver->findElements(By::cssSelector('.v-overlay--active'));
        $opened = fn() => $driver->wait(60, 50)->until(fn() => $overlays() !== []);
        $shed = ShedPage::open($driver, $server->url, '/sign-in');
        $shed->part('demo');
        $clean($shed, 'sign-in');
        $shed->enterDemo();
        $clean($shed->unfoldNext(), 'shed');
        foreach (
            ['swap-Heron', 'swap-Tram', 'ride-Heron', 'topup-Heron', 'measure-Heron', 'loud-Heron', 'dip-these', 'act-no_chain', 'act-worn']
            as $opens
        ) {
            $shed->click($opens);
            $opened();
            $clean($shed, $opens);
            $shed->press(Keys::ESCAPE);
            $driver->wait(60, 50)->until(fn() => $overlays() === []);
        }
        foreach (['more', 'pot-add'] as $menu) {
            $shed->click($menu);
            $opened();
            $clean($shed, $menu);
            $shed->press(Keys::ESCAPE);
            $driver->wait(60, 50)->until(fn() => $overlays() === []);
        }
        $shed->press('?');
        $clean($shed, 'keys');
        foreach (self::PATHS as $path) {
            $clean($followed ? $open($path) : Page::open($driver, $server->url, $path), $path);
        }
        foreach (self::ASTRAY as $path) {
            $clean(Page::open($driver, $server->url, $path), $path);
        }
        // Each name of a limit stands under its line.
        $off = $open('/gauge')->driver->executeScript(
            <<<'JS'
            return [...document.querySelectorAll('.scale span[style]')].filter((one) => {
                const [box, all] = [one.getBoundingClientRect(), one.parentElement.getBoundingClientRect()]
                return Math.abs(box.left + box.width / 2 - all.left - (parseFloat(one.style.left) / 100) * all.width) > 1
            }).map((one) => one.innerText)
            JS
            ,
        );
        array_push($found, ...array_map(fn(string $name) => "/gauge: {$name} is not under its line", $off));
        foreach (['dip', 'measure', 'topup', 'strip', 'retire', 'details', 'correct-opening'] as $opens) {
            $clean($open('/chains/1')->click($opens), "chain: {$opens}");
        }
        foreach (
            [
                ['/gauge', 'add-instrument'],
                ['/gauge', 'edit-Drawer gauge'],
                ['/pot-day', 'retire-Lantern C'],
                ['/bikes/1#parts', 'add-part'],
                ['/gauge', 'change-expected'],
                ['/bikes/1#parts', 'fit-part-Light wheel cassette'],
            ]
            as [$path, $opens]
        ) {
            $clean($open($path)->click($opens), "{$path}: {$opens}");
        }
        foreach (['edit-ride', 'split-ride', 'catch-up', 'which-bike'] as $opens) {
            $clean($open('/rides')->click($opens), $opens);
        }
        $clean($open('/bikes/5#week')->click('new-commute'), 'commute');
        foreach (
            [
                'add-jar',
                'tend-Clean spirit',
                'change-Clean spirit',
                'add-pot',
                'tend-Shed pot',
                'change-Shed pot',
                'heat-Shed pot',
                'calibrate-Shed pot',
                'probe-Shed pot',
            ]
            as $opens
        ) {
            $clean($open('/pot')->click($opens), "pot: {$opens}");
        }
        foreach (['set-price', 'add-link', 'add-bottle'] as $opens) {
            $clean($open('/books/stock')->click($opens), "stock: {$opens}");
        }
        $clean($open('/rides')->click('log-ride')->click('pick-date'), 'a month to choose a day from');
        $new = $open('/chains/new')->click('open-known');
        $clean($new, 'more about a chain');
        $plan = $new->click('submit')->awaitText('plan-lines', 'Bare about')->click('other-schools');
        $clean($plan, 'plan of a strip');
        $clean($plan->click('school-two_petrol_jars')->awaitText('not-advised', 'explosive'), 'a school that is not advised');
        $plan->click('school-three_and_two')->awaitText('bath-5', 'alcohol')->click('start');
        $job = (new JobPage($driver, $server->url))->at('prepare');
        $clean($job, 'job: prepare');
        // Step by step on the phone, where it is used.
        foreach ($width < 600 ? ['shake', 'look', 'dry', 'check'] : ['shake'] as $step) {
            $clean($job->until($step), "job: {$step}");
        }
        if ($width < 600) {
            $job->done()->part('job-over');
            $clean($job, 'job: over');
        }
        $potDay = $open('/pot-day')->awaitText('plan-lines', 'done about')->click('schools');
        $clean($potDay, 'plan of a pot day');
        $clean($potDay->fill('target', '120')->awaitText('target', 'limit of this wax'), 'a bath above its limit');
        $potDay->fill('target', '80')->awaitText('plan-lines', 'done about')->click('begin');
        $clean($job->at('prepare'), 'pot day: prepare');
        foreach ($width < 600 ? ['rinse', 'heat', 'under'] : ['under'] as $step) {
            $clean($job->until($step), "pot day: {$step}");
        }
        $clean($job->click('job-skip'), 'pot day: skip');
        $job->click('give-up')->click('give-up')->part('job-over');
        $clean($job, 'pot day: over');
        // At the bike: a swap and a clean, and the way from oil to wax.
        $open('/')->click('swap-Heron')->click('led');
        $clean($job->at('small_sprocket'), 'swap, led');
        $job->until('route_cages');
        $clean($job, 'swap: threaded');
        $job->click('give-up')->click('give-up')->part('job-over');
        $open('/bikes/1#drivetrain')->click('care');
        $job->at('cover_brake')->until('sprockets');
        $clean($job, 'care: sprockets');
        $job->click('give-up')->click('give-up')->part('job-over');
        $clean($open('/bikes/1/convert'), 'nothing to convert');
        $clean($open('/chains/2/drip')->click('place-in_box')->awaitText('drip-lines', 'covers'), 'drip in a box');
        $size = $open('/chains/new')
            ->click('open-size')
            ->click('size-by-compute')
            ->fill('chainstay_mm', '410')
            ->fill('front_teeth', '50')
            ->fill('rear_teeth', '34')
            ->awaitText('sized', 'Keep 109 pitches');
        $clean($size, 'sizing');
        $shed = $open('/')->click('more-Heron');
        $clean($shed, 'more of a bike');
        $clean($shed->click('correct-Heron'), 'wrong chain recorded');
        $line = $open('/')->click('command')->fill('command', 'swap heron c')->awaitText('understood', 'Swap Heron');
        $clean($line, 'command line');
        $gpx = sys_get_temp_dir() . '/screens-' . getmypid() . '.gpx';
        file_put_contents($gpx, '<gpx><trk><trkseg><trkpt lat="52" lon="5"/><trkpt lat="52.1" lon="5"/></trkseg></trk></gpx>');
        $road = $open('/rides');
        $road->part('track-file')->sendKeys($gpx);
        $road->part('track-km');
        $clean($road, 'track');
        unlink($gpx);
        $history = $open('/history');
        $history->click('undo-action')->part('confirm-undo');
        $clean($history, 'undo');
        expect($found)->toBe([]);
    }
}
