<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverKeys as Keys;
use Tests\Browser\Pages\JobPage;
use Tests\Browser\Pages\Page;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

beforeEach(function (): void {
    $this->server = Server::start('2026-11-25T12:20:00+01:00');
    $this->chromium = Chromium::start();
    $this->driver = $this->chromium->driver;
    $this->driver->manage()->timeouts()->setScriptTimeout(30);
});

afterEach(function (): void {
    $this->chromium->stop();
    $this->server->stop();
});

it('has no screen, dialog or menu in which axe finds anything, by day and by night, desk and phone', function (
    string $scheme,
    int $width,
): void {
    $this->chromium->prefer($scheme);
    $this->chromium->size($width, 800);
    $clean = function (Page $page, string $what): void {
        expect($page->axe())->toBe([], $what)->and($page->codeNames())->toBe([], $what)->and($page->scrollsSideways())->toBeFalse($what);
    };
    $shed = ShedPage::open($this->driver, $this->server->url, '/sign-in');
    $shed->part('demo');
    $clean($shed, 'sign-in');
    $shed->enterDemo();
    $clean($shed->unfoldNext(), 'shed');
    foreach (
        ['swap-Heron', 'swap-Tram', 'ride-Heron', 'topup-Heron', 'measure-Heron', 'loud-Heron', 'dip-these', 'act-no_chain', 'act-worn']
        as $opens
    ) {
        $shed->click($opens);
        $clean($shed, $opens);
        $shed->press(Keys::ESCAPE);
        $this->driver->wait(5, 50)->until(fn() => $this->driver->findElements(By::cssSelector('.v-overlay--active')) === []);
    }
    foreach (['more', 'pot-add'] as $menu) {
        $shed->click($menu);
        $clean($shed, $menu);
        $shed->press(Keys::ESCAPE);
        $this->driver->wait(5, 50)->until(fn() => $this->driver->findElements(By::cssSelector('.v-overlay--active')) === []);
    }
    $shed->press('?');
    $clean($shed, 'keys');
    foreach (
        [
            '/gauge',
            '/gauge?measure=3',
            '/road',
            '/chains/1',
            '/chains/1?why=left',
            '/chains/4',
            '/chains/new',
            '/chains/15',
            '/bikes/new',
            '/bikes/5',
            '/arrive',
            '/arrive?bike=1',
            '/arrive/table',
            '/labels',
            '/books',
            '/strip',
            '/protocols/petrol_degreaser_spirit',
            '/protocols/three_and_two/copy',
            '/history',
            '/settings',
            '/nowhere',
            '/%00',
            '/%ff',
        ]
        as $path
    ) {
        $clean(Page::open($this->driver, $this->server->url, $path), $path);
    }
    foreach (['dip', 'measure', 'topup', 'strip', 'retire', 'details', 'correct-opening'] as $opens) {
        $clean(Page::open($this->driver, $this->server->url, '/chains/1')->click($opens), "chain: {$opens}");
    }
    foreach (
        [
            ['/gauge', 'add-instrument'],
            ['/gauge', 'change-expected'],
            ['/gauge', 'edit-Drawer gauge'],
            ['/bikes/1', 'add-part'],
            ['/bikes/1', 'fit-part-Light wheel cassette'],
        ]
        as [$path, $opens]
    ) {
        $clean(Page::open($this->driver, $this->server->url, $path)->click($opens), "{$path}: {$opens}");
    }
    foreach (['edit-ride', 'split-ride', 'catch-up', 'which-bike'] as $opens) {
        $clean(Page::open($this->driver, $this->server->url, '/road')->click($opens), $opens);
    }
    $clean(Page::open($this->driver, $this->server->url, '/bikes/5')->click('new-commute'), 'commute');
    foreach (
        [
            'add-jar',
            'tend-Clean spirit',
            'set-price',
            'add-link',
            'add-pot',
            'tend-Shed pot',
            'heat-Shed pot',
            'calibrate-Shed pot',
            'probe-Shed pot',
        ]
        as $opens
    ) {
        $clean(Page::open($this->driver, $this->server->url, '/books')->click($opens), "books: {$opens}");
    }
    $new = Page::open($this->driver, $this->server->url, '/chains/new')->click('open-known');
    $clean($new, 'more about a chain');
    $plan = $new->click('submit')->awaitText('plan-lines', 'Bare about')->click('other-schools');
    $clean($plan, 'plan of a strip');
    $clean($plan->click('school-two_petrol_jars')->awaitText('not-advised', 'explosive'), 'a school that is not advised');
    $plan->click('school-three_and_two')->awaitText('bath-5', 'alcohol')->click('start');
    $job = (new JobPage($this->driver, $this->server->url))->at('prepare');
    $clean($job, 'job: prepare');
    // Step by step on the phone, where it is used.
    foreach ($width < 600 ? ['shake', 'look', 'dry', 'check'] : ['shake'] as $step) {
        $clean($job->until($step), "job: {$step}");
    }
    if ($width < 600) {
        $job->done()->part('job-over');
        $clean($job, 'job: over');
    }
    $potDay = Page::open($this->driver, $this->server->url, '/pot-day')->awaitText('plan-lines', 'all is done')->click('schools');
    $clean($potDay, 'plan of a pot day');
    $clean($potDay->fill('target', '120')->awaitText('target', 'limit of this wax'), 'a bath above its limit');
    $potDay->fill('target', '80')->awaitText('plan-lines', 'all is done')->click('begin');
    $clean($job->at('prepare'), 'pot day: prepare');
    foreach ($width < 600 ? ['rinse', 'heat', 'under'] : ['under'] as $step) {
        $clean($job->until($step), "pot day: {$step}");
    }
    $clean($job->click('job-skip'), 'pot day: skip');
    $job->click('give-up')->click('give-up')->part('job-over');
    $clean($job, 'pot day: over');
    $size = Page::open($this->driver, $this->server->url, '/chains/new')
        ->click('open-size')
        ->click('size-by-compute')
        ->fill('chainstay_mm', '410')
        ->fill('front_teeth', '50')
        ->fill('rear_teeth', '34')
        ->awaitText('sized', 'Keep 109 pitches');
    $clean($size, 'sizing');
    $shed = Page::open($this->driver, $this->server->url)->click('more-Heron');
    $clean($shed, 'more of a bike');
    $clean($shed->click('correct-Heron'), 'the tag says otherwise');
    $line = Page::open($this->driver, $this->server->url)
        ->click('command')
        ->fill('command', 'swap heron c')
        ->awaitText('understood', 'Swap Heron');
    $clean($line, 'command line');
    $gpx = sys_get_temp_dir() . '/screens.gpx';
    file_put_contents($gpx, '<gpx><trk><trkseg><trkpt lat="52" lon="5"/><trkpt lat="52.1" lon="5"/></trkseg></trk></gpx>');
    $road = Page::open($this->driver, $this->server->url, '/road');
    $road->part('track-file')->sendKeys($gpx);
    $road->part('track-km');
    $clean($road, 'track');
    unlink($gpx);
    $history = Page::open($this->driver, $this->server->url, '/history');
    $history->click('undo-action')->part('confirm-undo');
    $clean($history, 'undo');
})->with([['light', 1280], ['dark', 360]]);

it('loads the Shed in under 350 kB of script and style, compressed and cacheable', function (): void {
    ShedPage::open($this->driver, $this->server->url, '/sign-in')->enterDemo();
    $this->driver->get($this->server->url . '/');
    (new Page($this->driver, $this->server->url))->part('pot');
    $assets = $this->driver->executeScript(
        "return performance.getEntriesByType('resource').filter((r) => /\\.(js|css)$/.test(new URL(r.name).pathname)).map((r) => r.name)",
    );
    $bytes = 0;
    foreach ($assets as $asset) {
        $headers = get_headers($asset, true, stream_context_create(['http' => ['header' => 'Accept-Encoding: gzip']]));
        expect($headers['Content-Encoding'])->toBe('gzip')->and($headers['Cache-Control'])->toContain('immutable');
        $bytes += (int) $headers['Content-Length'];
    }
    expect(count($assets))->toBeGreaterThan(5)->and($bytes)->toBeLessThan(350_000)->and(implode(' ', $assets))->not->toContain('echarts');
});
