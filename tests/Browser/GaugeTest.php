<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy as By;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

it('measures a chain as it comes off, says when again, and retires it the next time', function (): void {
    $server = Server::start('2026-11-25T06:20:00+00:00', demo: false);
    $chromium = Chromium::start();
    $csv = sys_get_temp_dir() . '/parts-' . bin2hex(random_bytes(4)) . '.csv';
    try {
        $page = ShedPage::open($chromium->driver, $server->url);
        $page
            ->fill('name', 'Mave')
            ->fill('email', 'mave@test.example')
            ->fill('password', 'long-enough-1')
            ->fill('workshop', 'Barn')
            ->click('submit');
        file_put_contents(
            $csv,
            "bike;part;letter;distance;since_wax;on_bike\nHeron;chain;A;3600;60;yes\nHeron;chain;B;900;0;\nHeron;cassette;;3600;;\n",
        );
        $page->click('first-used')->click('to-table')->part('table-file')->sendKeys($csv);
        $page->click('keep-table')->awaitText('done', 'Added Heron A and B');
        $hour = 6;
        $later = function () use ($chromium, $server, &$hour): ShedPage {
            $server->jump(sprintf('2026-11-25T%02d:20:00+00:00', $hour += 2));

            return ShedPage::open($chromium->driver, $server->url);
        };
        $ride = fn(string $km) => $later()->click('ride-Heron')->fill('distance', $km)->submit('ride-form')->awaitText('done', 'Logged');
        $ride('140');

        // Off it comes, and is measured in the same step: the gauge rests at 0.75 and goes in part of the way at 0.5.
        $page->click('swap-Heron')->click('choose-B')->part('measure-off')->findElement(By::cssSelector('label'))->click();
        $page->click('kind-drop_in')->click('seat-0.75-enters')->click('seat-0.5-rests')->awaitText('wrong-seats', 'cannot be');
        $page
            ->click('seat-0.75-rests')
            ->click('seat-0.5-part')
            ->awaitText('meaning', 'That reads between 0.4 % and 0.5 %')
            ->awaitText('meaning', 'Measure again by');
        expect($page->part('meaning')->getAttribute('data-verdict'))->toBe('keep');
        $page->submit('swap-form')->awaitText('done', 'Swapped Heron to B');
        $rule = $page->part('hanging-Heron A')->findElement(By::cssSelector('[data-test="wear"]'));
        expect([$rule->getAttribute('data-lower'), $rule->getAttribute('data-upper')])
            ->toBe(['0.4', '0.5'])
            ->and($rule->findElements(By::cssSelector('[data-test="wear-band"]')))
            ->toHaveCount(1)
            ->and($page->text('hanging-Heron A'))
            ->toContain('0.40 to 0.5 %');

        // It goes on again, as it is, and is measured the next time it comes off: the tooth enters.
        $later()->click('swap-Heron')->click('choose-A')->submit('swap-form')->awaitText('done', 'Swapped Heron to A');
        $ride('110');
        $page->awaitText('next-measure', 'Measure Heron A');
        $page
            ->click('swap-Heron')
            ->click('choose-B')
            ->awaitText('measure-due', 'Heron A')
            ->click('seat-0.5-enters')
            ->awaitText('meaning', 'Retire it');
        $page->click('another-spot')->click('seat-0.5-rests')->awaitText('agree', 'differently from spot to spot');
        // A spot that was opened and not read does not count, and what is wrong with another one is said there.
        $page
            ->click('another-spot')
            ->click('another-spot')
            ->click('seat-0.5-rests')
            ->click('seat-0.75-enters')
            ->awaitText('wrong-seats', 'cannot be')
            ->click('spot-1')
            ->awaitText('measure-fields', 'Spot 4: That cannot be');
        $page->click('spot-4')->click('seat-0.75-rests')->click('seat-0.5-enters');
        $page->click('spot-2')->click('seat-0.5-enters')->awaitText('agree', 'The spots agree')->submit('swap-form');
        $page->awaitText('life-story', '3,850 km')->awaitText('chains-left', 'Heron has only B left');
        $page->submit('retire-form')->awaitText('done', 'Retired Heron A');
        expect($page->fitted('Heron'))
            ->toBe('B')
            ->and($page->has('hanging-Heron A'))
            ->toBeFalse()
            ->and($page->text('next-buy'))
            ->toContain('Buy a chain for Heron')
            ->and($page->has('next-worn'))
            ->toBeFalse();
        // The cassette remembers, and the Gauge says what is left.
        $gauge = ShedPage::open($chromium->driver, $server->url, '/gauge');
        expect($gauge->text('part-Cassette'))
            ->toContain('3,850 km')
            ->and($gauge->text('supply'))
            ->toContain('Buy one.')
            ->and($gauge->count('wear-Heron A'))
            ->toBe(0);
    } finally {
        $chromium->stop();
        $server->stop();
        @unlink($csv);
    }
});

it('takes what the simulated gauge sends, spot by spot, on the phone', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00');
    $chromium = Chromium::start(360, 780);
    try {
        ShedPage::open($chromium->driver, $server->url, '/sign-in')->enterDemo();
        $page = ShedPage::open($chromium->driver, $server->url, '/gauge?measure=2');
        // It works until it is stopped, however long the others let it wait.
        $worker = $server->beside('queue:work', '--sleep=0.2');
        $page->click('instrument-Drawer gauge')->click('simulate')->awaitText('feed', 'Received: 3');
        // Drawer gauge shows 0.02 when closed: what it sends is read less that.
        $page->awaitText('meaning', 'That reads')->awaitText('agree', 'no more than the instrument');
        expect($page->count('spot-3'))->toBe(1)->and($page->scrollsSideways())->toBeFalse();
        $page->submit('measure-form')->awaitText('done', 'Measured Heron B');
    } finally {
        ($worker ?? null)?->stop(1);
        $chromium->stop();
        $server->stop();
    }
});
