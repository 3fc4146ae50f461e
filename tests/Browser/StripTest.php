<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy as By;
use Tests\Browser\Pages\JobPage;
use Tests\Browser\Pages\Page;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

beforeEach(function (): void {
    $this->server = Server::start('2026-11-25T12:20:00+01:00');
    $this->chromium = Chromium::start();
    $this->chromium->prefer('light');
    $this->driver = $this->chromium->driver;
    $this->shed = ShedPage::open($this->driver, $this->server->url)->enterDemo();
    $this->page = fn(string $path): Page => Page::open($this->driver, $this->server->url, $path);
    $this->offline = function (bool $off): void {
        $this->chromium->tell('Network.enable', ['maxPostDataSize' => 65536]);
        $this->chromium->tell('Network.emulateNetworkConditions', [
            'offline' => $off,
            'latency' => 0,
            'downloadThroughput' => -1,
            'uploadThroughput' => -1,
        ]);
    };
});

afterEach(function (): void {
    $this->chromium->stop();
    $this->server->stop();
});

it('leads a greased chain from its box to bare steel with a clock on the Shed', function (): void {
    $before = ($this->page)('/pot');
    expect($before->text('jar-Clean spirit'))->toContain('2 of 10 cleanings');

    // Choose, size against the old one, on to the strip.
    $new = ($this->page)('/chains/new')
        ->click('open-size')
        ->awaitText('sized', 'Keep 115 pitches')
        ->click('use-size')
        ->click('submit')
        ->awaitText('plan-lines', 'Bare about');
    expect($new->text('bath-2'))->toContain('Clean spirit')->and($new->text('bath-3'))->toContain('fresh');
    $new->click('start');
    $job = new JobPage($this->driver, $this->server->url);
    // The check before it begins cannot be skipped.
    $job->at('prepare')->press(' ');
    $job->part('tick-all');
    $job->done()->at('open')->done(' ')->at('shake');

    // A reload in the middle of the timer: it counts on from the server's time.
    $left = $job->left();
    $this->driver->wait(60, 50)->until(fn() => $job->left() < $left - 1);
    $left = $job->left();
    $this->driver->navigate()->refresh();
    $job->at('shake');
    expect($job->left())
        ->toBeLessThanOrEqual($left)
        ->toBeGreaterThan($left - 30)
        ->and($job->text('job-step'))
        ->toBe('Step 3 of 20');
    expect($this->driver->getTitle())->toMatch('/0:[45]\d Shake/');
    $job->click('job-longer');
    expect($job->left())->toBeGreaterThan(80);
    // Paused it stands, and does so on a page that is opened anew.
    $job->click('job-pause')->awaitText('job-pause', 'Resume')->sent();
    $standing = $job->left();
    $this->driver->navigate()->refresh();
    $job->at('shake')->awaitText('job-pause', 'Resume');
    expect($job->left())->toBe($standing);
    $job->click('job-pause');

    // Left for the night, it comes back from Next.
    ShedPage::open($this->driver, $this->server->url)
        ->unfoldNext()
        ->awaitText('next-job', 'Continue stripping Heron E')
        ->part('solvent-out');
    $this->driver->executeScript(
        "[...document.querySelectorAll('[data-test=next-job]')].find((line) => line.innerText.includes('Heron E')).querySelector('button').click()",
    );
    $job->at('shake')->until('look');

    // Still cloudy: the same bath again, with fresh solvent.
    $job->click('job-again')
        ->at('open')
        ->awaitText('step-open', 'Again, with fresh solvent')
        ->until('look')
        ->awaitText('seen-Bath 3', 'cloudy');
    $job->done()->until('dry')->awaitText('recorded', 'bare since');
    $job->done()->at('check')->done()->sent()->part('job-over');
    expect($job->text('job-over'))->toContain('ready for the pot');

    $shed = ($this->page)('/');
    expect($shed->text('hanging-Heron E'))
        ->toMatch('/bare \d+ min/')
        ->toContain('rusts from')
        ->and($shed->text('pot'))
        ->toContain('Heron E');
    $books = ($this->page)('/pot');
    expect($books->text('jar-Clean spirit'))->toContain('3 of 10 cleanings')->and($books->text('jar-Last alcohol'))->toContain('3 of 10');
});

it('goes on without the server and sends the taps later, and counts a step once on two devices', function (): void {
    ($this->page)('/chains/new')->click('submit')->awaitText('plan-lines', 'Bare about')->click('start');
    $job = (new JobPage($this->driver, $this->server->url))->at('prepare')->done()->at('open');
    $url = $this->driver->getCurrentURL();
    ($this->offline)(true);
    $job->click('job-done')->at('shake')->part('away');
    expect($job->text('waiting'))->toContain('1');
    // The timer runs on, and so does the job: shake, leave, shake, lift.
    $left = $job->left();
    $this->driver->wait(60, 50)->until(fn() => $job->left() < $left);
    $job->done()->done()->at('shake');
    ($this->offline)(false);
    $this->driver->wait(12, 100)->until(fn() => !$job->has('away') && !$job->has('waiting'));
    expect($job->position())->toBe(4);

    // The same job in a second window: what is done here is done there, and once.
    $this->driver->switchTo()->newWindow();
    $there = new JobPage($this->driver, $this->server->url);
    $this->driver->get($url);
    $there->at('shake')->done()->at('lift');
    $windows = $this->driver->getWindowHandles();
    $this->driver->switchTo()->window($windows[0]);
    $this->driver->wait(8, 100)->until(fn() => $job->has('step-lift'));
    expect($job->position())->toBe(5);
    $job->click('give-up')->click('give-up')->part('job-over');
    expect($job->text('job-over'))->toContain('Stopped')->not->toContain('bare since');
});

it('does it all on a phone, names the dangers of petrol, and prints a bench card', function (): void {
    $this->chromium->size(360, 780);
    $plan = ($this->page)('/strip')->click('other-schools')->click('school-two_petrol_jars');
    $plan->awaitText('not-advised', 'explosive vapour')->click('start')->awaitText('not-advised', 'Use white spirit instead');
    expect($plan->scrollsSideways())->toBeFalse();
    $plan->click('instead')->awaitText('bath-1', 'White spirit')->click('start');
    $job = (new JobPage($this->driver, $this->server->url))->at('prepare');
    expect($job->text('step-prepare'))->not->toContain('approved can');
    $job->done()->at('open');
    // Within reach of a thumb, large, and what is to be minded still on the screen.
    $thumb = $job->part('job-done');
    $cautions = $this->driver->findElement(By::cssSelector('.cautions'));
    expect($thumb->getSize()->getHeight())
        ->toBeGreaterThanOrEqual(64)
        ->and($thumb->getLocation()->getY())
        ->toBeGreaterThan(390)
        ->and($cautions->getLocation()->getY() + $cautions->getSize()->getHeight())
        ->toBeLessThanOrEqual(780)
        ->and($job->scrollsSideways())
        ->toBeFalse();

    $this->chromium->size(1280, 800);
    ($this->page)('/protocols/three_and_two')->awaitText('bench-card', 'repeat with fresh solvent until clear');
    $pdf = $this->driver->executeCustomCommand('/session/:sessionId/print', 'POST', ['page' => ['width' => 21.0, 'height' => 29.7]]);
    expect(preg_match_all('~/Type\s*/Page\b~', (string) base64_decode((string) $pdf)))->toBe(1);
});

it('keeps the books: a jar filled and handed in, a price, a spare link that a swap opens, a protocol of one’s own', function (): void {
    $books = ($this->page)('/pot')
        ->click('tend-Dirty spirit')
        ->click('act-hand_in')
        ->fill('volume_ml', '900')
        ->fill('note', 'collecting point');
    $books->part('jar-form')->findElement(By::cssSelector('[data-test="submit"]'))->click();
    $books->awaitText('jar-form', 'There are only 750 ml in it');
    $books->fill('volume_ml', '750')->submit('jar-form')->awaitText('done', 'Handed in 750 ml from Dirty spirit');
    expect($books->text('jar-Dirty spirit'))->toContain('empty');
    $books->click('add-jar')->fill('name', 'Third jar')->click('role-clean')->choose('solvent', 'sopropyl');
    $books->fill('volume_ml', '300')->fill('flash', '12')->submit('jar-form')->awaitText('jar-Third jar', '300 ml of isopropyl alcohol');
    expect($books->text('hazards'))->toContain('By the sheet of this product');
    $books = ($this->page)('/books/stock')
        ->click('set-price')
        ->fill('amount', '31,50')
        ->submit('price-form')
        ->awaitText('price-Chain', '€31.50');
    $books
        ->click('add-link')
        ->fill('name', 'Gold link')
        ->fill('speeds', '12')
        ->fill('closings_allowed', '2')
        ->submit('link-form')
        ->awaitText('done', 'Added a quick link, Gold link');
    $spares = $books->count('spare');

    // Only what suits the chain is offered: nothing for ten speeds.
    expect(($this->page)('/')->click('swap-Moth')->click('choose-B')->has('new-link'))->toBeFalse();
    $swap = ($this->page)('/')->click('swap-Heron')->click('choose-C');
    $swap->part('new-link')->findElement(By::cssSelector('label'))->click();
    $swap->part('link');
    $swap->submit('swap-form')->awaitText('done', 'Swapped Heron to C')->click('fitted-Heron')->awaitText('link', '1 of 1 closings');
    expect(($this->page)('/books/stock')->count('spare'))->toBe($spares - 1);

    // A pot that is filled; the next dip takes its wax from it.
    $pot = ($this->page)('/pot')
        ->click('add-pot')
        ->fill('name', 'New pot')
        ->click('pot-kind-stove')
        ->fill('diameter', '120')
        ->fill('height', '90');
    $pot->part('pot-form')->findElement(By::cssSelector('[data-test="submit"]'))->click();
    $pot->awaitText('pot-form', 'Not on a stove or a flame');
    $pot->click('pot-kind-rice_cooker')->submit('pot-form')->awaitText('book-New pot', 'no wax recorded yet');
    $pot->click('tend-New pot')->fill('wax', '420')->submit('pot-form')->awaitText('book-New pot', '420 g, 48 mm deep');
    $pot->click('heat-Shed pot')->awaitText('heat', 'house rules')->click('power-high')->awaitText('heat', '140 W');
    $dip = ($this->page)('/');
    expect($dip->text('level-Shed pot'))->toContain('542 g');
    // 5 g weighed, and that for the five that nobody weighed.
    $dip->click('dip-these')
        ->click('weigh')
        ->fill('pickup-Heron B', '5')
        ->click('dry')
        ->submit('dip-form')
        ->awaitText('level-Shed pot', '512 g');
    $dip->undo()->awaitText('level-Shed pot', '542 g');

    $own = ($this->page)('/protocols/two_soaks/copy')
        ->fill('name', 'Mine')
        ->fill('volume-1', '20')
        ->click('submit')
        ->awaitText('step-1', '50 to 5,000 ml');
    $own->fill('volume-1', '300')->click('submit')->awaitText('done', 'Saved the protocol Mine');
    ($this->page)('/strip')->click('other-schools')->part('school-own-1');
});
