<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverKeys as Keys;
use Tests\Browser\Pages\Page;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

beforeEach(function (): void {
    $this->server = Server::start('2026-11-25T12:20:00+01:00');
    $this->chromium = Chromium::start();
    $this->chromium->prefer('light');
    $this->shed = ShedPage::open($this->chromium->driver, $this->server->url)->enterDemo();
});

afterEach(function (): void {
    $this->chromium->stop();
    $this->server->stop();
});

it('rides, counts, swaps, dips, and takes the swap back', function (): void {
    expect($this->shed->left('Heron'))
        ->toBe(140)
        ->and($this->shed->fitted('Heron'))
        ->toBe('A')
        ->and($this->shed->drawnCoat('Heron'))
        ->toEqualWithDelta(140 / 300, 1e-3);
    $this->shed->ride('Heron', '62', 'dry')->awaitText('done', 'Logged 62 km on Heron');
    expect($this->shed->left('Heron'))
        ->toBe(78)
        ->and($this->shed->drawnCoat('Heron'))
        ->toEqualWithDelta(78 / 300, 1e-3);

    $this->shed->swap('Heron', 'C');
    expect($this->shed->left('Heron'))->toBe(300)->and($this->shed->text('hanging-Heron A'))->toContain('78 km left');

    $this->shed->dipThePot();
    // What the plan's next pot has: what hangs of it is fresh.
    foreach (['Heron B', 'Heron D', 'Badger C'] as $chain) {
        expect($this->shed->text("hanging-{$chain}"))
            ->toContain('waxed')
            ->and(
                (float) $this->shed
                    ->part("hanging-{$chain}")
                    ->findElement(By::cssSelector('[data-coat]'))
                    ->getAttribute('data-coat'),
            )
            ->toBe(1.0);
    }
    expect($this->shed->has('next-bare'))->toBeFalse();

    // Undo the swap from the history: the dip after it stays, and the 62 km are where they belong.
    $this->shed->menu('history')->awaitText('action', 'Swapped Heron from A to C');
    $this->chromium->driver->findElements(By::cssSelector('[data-test="undo-action"]'))[1]->click();
    $this->shed->click('confirm-undo')->awaitText('done', 'Undone');
    expect($this->shed->fitted('Heron'))
        ->toBe('A')
        ->and($this->shed->left('Heron'))
        ->toBe(78)
        ->and($this->shed->text('hanging-Heron C'))
        ->toContain('waxed');

    // "Why 78?" adds up on the screen.
    $this->shed->click('left-Heron')->part('why');
    $numbers = array_map(
        fn($line) => (float) $line->getAttribute('data-number'),
        $this->chromium->driver->findElements(By::cssSelector('[data-test="why-line"]')),
    );
    expect(array_sum($numbers))
        ->toEqualWithDelta(78.0, 1e-6)
        ->and($this->shed->text('why'))
        ->toContain('62.0 km dry × 1.0')
        ->toContain('house rule');
});

it('swaps and fills the pot by dragging, and by keys', function (): void {
    $this->shed->drag('Heron C', 'bike-Heron')->awaitText('done', 'Swapped Heron to C');
    expect($this->shed->fitted('Heron'))->toBe('C');
    $this->shed->undo();
    expect($this->shed->fitted('Heron'))->toBe('A');

    expect($this->shed->has('pot-Heron C'))->toBeFalse();
    $this->shed->drag('Heron C', 'pot');
    expect($this->shed->has('pot-Heron C'))->toBeTrue();

    $this->shed->press('3')->press('s')->part('swap-form');
    $this->shed->submit('swap-form')->awaitText('done', 'Swapped Tram to B');
    $this->shed->press('u')->awaitText('done', 'Undone');
    expect($this->shed->fitted('Tram'))->toBe('A');
    $this->shed->press('?')->awaitText('nav-rides', 'Rides');
    expect($this->chromium->driver->findElement(By::id('keys-title'))->isDisplayed())->toBeTrue();
    $this->shed->press(Keys::ESCAPE);
});

it('creates nothing twice by two tabs, double clicks or a reload', function (): void {
    $driver = $this->chromium->driver;
    $this->shed->click('ride-Heron')->fill('distance', '10');
    $driver->executeScript(
        'const b = document.querySelector(\'[data-test="ride-form"] [data-test="submit"]\'); b.click(); b.click(); b.form.requestSubmit()',
    );
    $this->shed->awaitText('done', 'Logged 10 km');
    expect($this->shed->left('Heron'))->toBe(130);
    $driver->navigate()->refresh();
    expect($this->shed->left('Heron'))->toBe(130);

    // Two tabs edit the same ride: the second is shown both versions and decides.
    $first = $driver->getWindowHandle();
    $road = Page::open($driver, $this->server->url, '/rides');
    $road->click('edit-ride')->fill('distance', '11');
    $driver->switchTo()->newWindow();
    $second = Page::open($driver, $this->server->url, '/rides');
    $second->click('edit-ride')->fill('distance', '12')->submit('ride-form')->awaitText('ride', '12.0 km');
    $driver->close();
    $driver->switchTo()->window($first);
    $driver->findElement(By::cssSelector('[data-test="ride-form"] [data-test="submit"]'))->click();
    expect($road->text('conflict'))->toContain('10.0 km')->toContain('12.0 km')->toContain('11 km');
    $road->click('insist')->awaitText('done', '11 km');
    expect(ShedPage::open($driver, $this->server->url)->left('Heron'))->toBe(129);
});

it('takes a GPX file by hand, shows where it goes, and keeps it', function (): void {
    $file = sys_get_temp_dir() . '/evening.gpx';
    $points = implode(
        '',
        array_map(
            fn(int $i) => sprintf('<trkpt lat="%.4f" lon="5"><time>2026-11-24T18:%02d:00Z</time></trkpt>', 52 + $i * 0.005, $i),
            range(0, 40),
        ),
    );
    file_put_contents($file, "<gpx version=\"1.1\"><trk><trkseg>{$points}</trkseg></trk></gpx>");
    $road = Page::open($this->chromium->driver, $this->server->url, '/rides');
    $road->part('track-file')->sendKeys($file);
    expect($road->text('track-km'))->toContain('22.3 km')->and($road->text('outcome'))->toContain('Heron A and leaves 117 km');
    $road->click('condition-damp')->awaitText('outcome', 'leaves 106 km');
    $road->click('keep-track')->awaitText('done', 'Logged 22.3 km on Heron');
    file_put_contents($file, '<gpx><trk><trkseg><trkpt lat="5');
    $road->part('track-file')->sendKeys($file);
    $road->awaitText('track-error', 'line 1');

    // 40 MB is a long ride and is read; more than is promised is refused in words.
    $points = str_repeat(str_repeat('<trkpt lat="52.1" lon="5.1"><ele>4</ele></trkpt>' . "\n", 1000), 820);
    file_put_contents($file, "<gpx><trk><trkseg>{$points}<trkpt lat=\"52.2\" lon=\"5.1\"/></trkseg></trk></gpx>");
    expect(filesize($file))->toBeGreaterThan(40_000_000);
    $road->part('track-file')->sendKeys($file);
    expect($road->text('track-km'))->toContain('11.1 km');
    $road->click('discard-track')->part('track-file');
    file_put_contents($file, str_repeat("{$points}\n", 2));
    $road->part('track-file')->sendKeys($file);
    $road->awaitText('track-error', 'larger than 64 MB');
    unlink($file);
});
