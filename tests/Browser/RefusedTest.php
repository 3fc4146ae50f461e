<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy as By;
use Tests\Browser\Pages\Page;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

beforeEach(function (): void {
    $this->server = Server::start('2026-11-25T12:20:00+01:00');
    $this->chromium = Chromium::start();
    $this->driver = $this->chromium->driver;
    ShedPage::open($this->driver, $this->server->url, '/sign-in')->enterDemo();
});

afterEach(function (): void {
    $this->chromium->stop();
    $this->server->stop();
});

it('keeps every field of a form that is refused', function (): void {
    // Every field of the open dialog, else of the page's form, as it stands; and every free one filled with what no form takes.
    $values = fn(): array => (array) $this->driver->executeScript(<<<'JS'
        const form = document.querySelector('.v-overlay--active form') ?? document.querySelector('main form[novalidate], main form')
        return [...form.querySelectorAll('input:not([type=hidden]), textarea, select')].map((field) => field.type === 'checkbox' || field.type === 'radio' ? String(field.checked) : field.value)
        JS);
    $spoil = fn(): int => (int) $this->driver->executeScript(<<<'JS'
        const form = document.querySelector('.v-overlay--active form') ?? document.querySelector('main form[novalidate], main form')
        const setter = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set
        const fields = [...form.querySelectorAll('input')].filter((field) => ['text', 'number', ''].includes(field.type) && !field.readOnly && !field.closest('.v-select'))
        fields.forEach((field, i) => { setter.call(field, field.inputMode === 'decimal' || field.inputMode === 'numeric' || field.type === 'number' ? String(-7 - i) : `Zz${i}`); field.dispatchEvent(new Event('input', { bubbles: true })) })
        return fields.length
        JS);
    // An answer has come once one more request of a form is over, and what it says is drawn once no button turns any more.
    $answers = fn(): int => (int) $this->driver->executeScript("return performance.getEntriesByType('resource').filter((one) => one.initiatorType === 'xmlhttprequest').length");
    $still = fn(): bool => $this->driver->findElements(By::cssSelector('.v-btn--loading, .v-overlay--active.fade-transition-leave-active, .dialog-transition-leave-active')) === [];
    $taken = [];
    $sent = null;
    foreach ([
        ['/', 'ride-Heron'], ['/', 'topup-Heron'], ['/gauge', 'add-instrument'], ['/gauge', 'change-expected'], ['/bikes/1', 'add-part'], ['/bikes/5', 'new-commute'],
        ['/road', 'edit-ride'], ['/road', 'split-ride'], ['/road', 'catch-up'], ['/books', 'add-jar'], ['/books', 'add-pot'], ['/books', 'add-bottle'], ['/books', 'add-link'], ['/books', 'set-price'],
        ['/books', 'tend-Shed pot'], ['/ahead', 'add-ride'], ['/chains/1', 'details'], ['/chains/13', 'correct-opening'],
        ['/', 'measure-Heron'], ['/books', 'tend-Clean spirit'], ['/chains/1', 'topup'], ['/gauge', 'edit-Drawer gauge'], ['/books/money', null], ['/arrive?bike=1', null], ['/protocols/three_and_two/copy', null],
        ['/chains/new', null], ['/bikes/new', null], ['/bikes/1', null], ['/settings', null],
    ] as [$path, $opens]) {
        $page = Page::open($this->driver, $this->server->url, $path);
        $opens === null || $page->click($opens);
        $at = $path.' '.($opens ?? 'page');
        $this->driver->wait(10, 50)->until(fn() => $this->driver->findElements(By::cssSelector($opens === null ? 'main form' : '.v-overlay--active form')) !== []);
        expect($spoil())->toBeGreaterThan(0, $at);
        // A change may ask something more of the form; what it then holds is what is sent.
        $this->driver->wait(10, 100)->until(function () use ($values, &$sent): bool {
            [$before, $sent] = [$sent, $values()];

            return $before === $sent;
        });
        $before = $answers();
        $this->driver->executeScript("(document.querySelector('.v-overlay--active form') ?? document.querySelector('main form[novalidate], main form')).requestSubmit()");
        $open = fn(): bool => $this->driver->findElements(By::cssSelector($opens === null ? 'main form' : '.v-overlay--active form')) !== [];
        $this->driver->wait(10, 50)->until(fn() => $answers() > $before && $still(), "{$at}: no answer");
        if (! $open()) {
            $taken[] = $at;
            continue;
        }
        expect($values())->toBe($sent, $at);
    }
    // Little else than a name is asked there.
    expect($taken)->toBe(['/books add-jar']);
    // An odd count on one speed is refused until somebody says half-link, and is still there then.
    $page = Page::open($this->driver, $this->server->url, '/chains/new')->fill('pitches', '97');
    $before = $answers();
    $page->click('submit');
    $this->driver->wait(10, 50)->until(fn() => $answers() > $before && $still());
    expect($this->driver->findElement(By::cssSelector('input[name="pitches"]'))->getAttribute('value'))->toBe('97');
});
