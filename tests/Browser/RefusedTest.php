<?php

declare(strict_types=1);

use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\WebDriverBy as By;
use Tests\Browser\Pages\Page;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

beforeEach(function (): void {
    $this->server = Server::start('2026-11-25T12:20:00+01:00', linked: true);
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
    $values = fn(string $form): array => (array) $this->driver->executeScript(
        <<<'JS'
        const form = document.querySelector(arguments[0])
        return Object.fromEntries([...form.querySelectorAll('input:not([type=hidden]), textarea, select')]
            .map((field, i) => [field.id || `field ${i}`, ['checkbox', 'radio'].includes(field.type) ? String(field.checked) : field.value]))
        JS
        ,
        [$form],
    );
    $spoil = fn(string $form): int => (int) $this->driver->executeScript(
        <<<'JS'
        const form = document.querySelector(arguments[0])
        const setter = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set
        const fields = [...form.querySelectorAll('input')]
            .filter((field) => ['text', 'number', ''].includes(field.type) && !field.readOnly && !field.closest('.v-select'))
        fields.forEach((field, i) => {
            setter.call(field, ['decimal', 'numeric'].includes(field.inputMode) || field.type === 'number' ? String(-7 - i) : `Zz${i}`)
            field.dispatchEvent(new Event('input', { bubbles: true }))
        })
        return fields.length
        JS
        ,
        [$form],
    );
    // An answer has come once one more request of a form is over, and what it says is drawn once no button turns any more.
    $answers = fn(): int => (int) $this->driver->executeScript(
        "return performance.getEntriesByType('resource').filter((one) => one.initiatorType === 'xmlhttprequest').length",
    );
    $still = fn(): bool => $this->driver->findElements(
        By::cssSelector('[aria-busy], .v-overlay--active.fade-transition-leave-active, .dialog-transition-leave-active'),
    ) === [];
    [$dialog, $main] = ['.v-overlay--active form', 'main form'];
    $sent = null;
    // On a busy machine what comes late may move a button from under the pointer: opened and pressed once more, as a person does.
    $reach = function (string $path, array $opens, string $form): void {
        for ($try = 1; $try <= 3; $try++) {
            $page = Page::follow($this->driver, $this->server->url, $path);
            // Of so many no more than some hundreds are noted.
            $this->driver->executeScript('performance.clearResourceTimings()');
            array_map($page->click(...), $opens);
            try {
                $this->driver->wait(20, 50)->until(fn(): bool => $this->driver->findElements(By::cssSelector($form)) !== []);

                return;
            } catch (TimeoutException) {
            }
        }
    };
    // Whether it was refused where it stood; a machine that takes too long has the device keep it, and refuses it as a card.
    $refuse = function (string $form, string $at) use ($values, $spoil, $answers, $still, &$sent): bool {
        $open = fn(): bool => $this->driver->findElements(By::cssSelector($form)) !== [];
        $this->driver->wait(60, 50)->until($open, $at);
        // Where there is nothing to type, it is refused for what was not chosen.
        $typed = $spoil($form);
        // A change may ask something more of the form; what it then holds is what is sent.
        $this->driver->wait(60, 100)->until(function () use ($values, $form, &$sent): bool {
            [$before, $sent] = [$sent, $values($form)];

            return $before === $sent;
        });
        expect($typed + count($sent))->toBeGreaterThan(0, $at);
        $before = $answers();
        $this->driver->executeScript('document.querySelector(arguments[0]).requestSubmit()', [$form]);
        $this->driver->wait(60, 50)->until(fn() => $answers() > $before && $still(), "{$at}: no answer");
        if (!$open()) {
            $this->driver->wait(60, 50)->until(fn() => $this->driver->findElements(By::cssSelector('[data-test="waiting"]')) === []);

            return false;
        }
        // A look at what it would do may still add a field; what was typed is kept.
        expect(array_intersect_key($values($form), (array) $sent))->toBe($sent, $at);

        return true;
    };
    foreach (
        [
            ['/', ['ride-Heron'], $dialog],
            ['/', ['topup-Heron'], $dialog],
            ['/', ['measure-Heron'], $dialog],
            ['/', ['swap-Heron'], $dialog],
            ['/', ['more-Badger', 'correct-Badger'], $dialog],
            ['/gauge', ['add-instrument'], $dialog],
            ['/gauge', ['change-expected'], $dialog],
            ['/gauge', ['edit-Drawer gauge'], $dialog],
            ['/bikes/1#parts', ['add-part'], $dialog],
            ['/bikes/5#week', ['new-commute'], $dialog],
            ['/bikes/1#drivetrain', ['brush'], $dialog],
            ['/bikes/1', [], $main],
            ['/bikes/new', [], $main],
            ['/rides', ['edit-ride'], $dialog],
            ['/rides', ['split-ride'], $dialog],
            ['/rides', ['catch-up'], $dialog],
            ['/rides', ['choose-ride', 'set-condition'], $dialog],
            ['/rides', ['choose-ride', 'move-chosen'], $dialog],
            ['/pot', ['add-jar'], $dialog],
            ['/pot', ['add-pot'], $dialog],
            ['/books/stock', ['add-bottle'], $dialog],
            ['/books/stock', ['add-link'], $dialog],
            ['/books/stock', ['set-price'], $dialog],
            ['/pot', ['tend-Shed pot'], $dialog],
            ['/pot', ['tend-Clean spirit'], $dialog],
            ['/books/money', [], $main],
            ['/ahead', ['add-ride'], $dialog],
            ['/ahead', ['add-holiday'], $dialog],
            ['/ahead', [], 'main form.fields'],
            ['/chains/1', ['details'], $dialog],
            ['/chains/1', ['retire'], $dialog],
            ['/chains/1', ['topup'], $dialog],
            ['/chains/13', ['correct-opening'], $dialog],
            ['/', ['dip-these', 'weigh'], $dialog],
            ['/chains/new', [], $main],
            ['/arrive?bike=1', [], $main],
            ['/protocols/three_and_two/copy', [], $main],
            ['/pot-day', [], $main],
            ['/strip', [], $main],
            ['/chains/1/drip', ['already'], $dialog],
            ['/settings', ['tab-wax'], $main],
            ['/settings#keep', ['empty'], 'form:has(input[name="empty-name"])'],
        ]
        as [$path, $opens, $form]
    ) {
        $at = implode(' ', [$path, ...$opens]);
        for ($refused = false, $try = 1; !$refused && $try <= 3; $try++) {
            $reach($path, $opens, $form);
            $refused = $refuse($form, $at);
        }
        expect($refused)->toBeTrue("{$at}: it closed three times");
    }
    // A track that does not say when it was asks for its day.
    $track = sys_get_temp_dir() . '/refused.gpx';
    file_put_contents($track, '<gpx version="1.1"><trk><trkseg><trkpt lat="50" lon="8"/><trkpt lat="50.1" lon="8"/></trkseg></trk></gpx>');
    $page = Page::open($this->driver, $this->server->url, '/rides');
    $page->part('track-file')->sendKeys($track);
    $page->awaitText('track-km', '11.1');
    $refuse($main, 'track');
    unlink($track);
    // An odd count on one speed is refused until somebody says half-link, and is still there then.
    $page = Page::open($this->driver, $this->server->url, '/chains/new')->fill('pitches', '97');
    $before = $answers();
    $page->click('submit');
    $this->driver->wait(60, 50)->until(fn() => $answers() > $before && $still());
    expect($this->driver->findElement(By::cssSelector('input[name="pitches"]'))->getAttribute('value'))->toBe('97');
});
