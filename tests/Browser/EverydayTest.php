<?php

declare(strict_types=1);

use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

it(
    'takes in a used bike, catches up, replaces a day, puts the tag right and splits a ride, and the Shed is right at each step',
    function (): void {
        $server = Server::start('2026-11-25T12:20:00+00:00', demo: false);
        $chromium = Chromium::start();
        $driver = $chromium->driver;
        $gpx = sys_get_temp_dir() . '/tuesday-' . bin2hex(random_bytes(4)) . '.gpx';
        $date = fn(ShedPage $page, string $field, string $value) => $driver->executeScript(
            "const i = document.querySelector('input[name=\"{$field}\"]'); i.value = arguments[0]; i.dispatchEvent(new Event('input', { bubbles: true }))",
            [$value],
        );
        // Keys of a choice are found by the letter that stands on them.
        $labelled = fn(string $test, string $letter) => $driver->executeScript(
            "return [...document.querySelectorAll('[data-test^=\"{$test}\"]')].find((label) => label.textContent.trim() === arguments[0]).dataset.test",
            [$letter],
        );
        try {
            $page = ShedPage::open($driver, $server->url);
            $page
                ->fill('name', 'Mave')
                ->fill('email', 'mave@test.example')
                ->fill('password', 'long-enough-1')
                ->fill('workshop', 'Barn')
                ->click('submit');

            // Three used chains as of Friday: A on the bike, B waxed nobody knows when, C fresh.
            $page->click('first-used')->fill('name', 'Heron')->fill('interval', '400');
            $date($page, 'date', '2026-11-20');
            $page
                ->fill('km-0', '2100')
                ->fill('since-0', '60')
                ->fill('wear-0', '0,21')
                ->fill('closings-0', '2')
                ->fill('allowed-0', '5')
                ->click('state-1-unsure')
                ->click('another-chain')
                ->fill('km-2', '1500')
                ->fill('since-2', '0')
                ->fill('cassette', '6400')
                ->click('submit')
                ->awaitText('done', 'Added Heron A, B and C, 3 parts');
            expect([$page->fitted('Heron'), $page->left('Heron')])
                ->toBe(['A', 340])
                ->and($page->text('hanging-Heron B'))
                ->toContain('wax unknown')
                ->toContain('at least 0 km')
                ->and($page->text('hanging-Heron C'))
                ->toContain('waxed')
                ->toContain('1,500 km');

            // 240 km since Friday: 40 a day.
            $page->click('more-Heron')->click('catch_up-Heron')->fill('distance', '240');
            $date($page, 'from', '2026-11-20');
            $page
                ->awaitText('worked-out', '240 km go to 6 days, 40.0 km each.')
                ->submit('catch-up-form')
                ->awaitText('done', 'Estimated 240 km');
            expect($page->left('Heron'))->toBe(100);

            // The track of Tuesday takes the place of Tuesday's share.
            $points = implode(
                '',
                array_map(
                    fn(int $i) => sprintf(
                        '<trkpt lat="%.6f" lon="6.1"><time>2026-11-24T17:%02d:00Z</time></trkpt>',
                        52 + $i * 0.0044932,
                        $i,
                    ),
                    range(0, 30),
                ),
            );
            file_put_contents($gpx, "<gpx version=\"1.1\"><trk><trkseg>{$points}</trkseg></trk></gpx>");
            $page->click('nav-rides')->part('track-file')->sendKeys($gpx);
            expect($page->text('track-km'))->toContain('15.0 km');
            $page->awaitText('outcome', 'leaves 125 km')->click('keep-track')->awaitText('done', 'Logged 15.0 km');
            $page->click('nav-shed');
            expect($page->left('Heron'))->toBe(125)->and($page->text('rail-Heron'))->not->toContain('no chain');

            // The tag says C since Monday: every figure is shown before it is done.
            $page->click('more-Heron')->click('correct-Heron')->part('correct-form');
            $page->click((string) $labelled('really-', 'C'));
            $date($page, 'date', '2026-11-23');
            $date($page, 'time', '00:00');
            $page->awaitText('changes', 'Now on Heron its hook')->awaitText('changes', 'Wax left 400 km 305 km');
            expect($page->left('Heron'))->toBe(125);
            $page->submit('correct-form')->awaitText('done', 'Corrected: C was on Heron');
            expect([$page->fitted('Heron'), $page->left('Heron')])
                ->toBe(['C', 305])
                ->and($page->text('hanging-Heron A'))
                ->toContain('220 km left')
                ->toContain('2,220 km');

            // On Tuesday the chain was changed at the roadside, after 5 km, to B.
            $page->click('nav-rides')->click('split-ride')->fill('distance', '5');
            $page->click((string) $labelled('split-to-', 'B'));
            $date($page, 'time', '17:10');
            $page->awaitText('changes', 'Heron B')->submit('split-form')->awaitText('done', 'Split the ride after 5 km');
            $page->click('nav-shed');
            expect($page->fitted('Heron'))
                ->toBe('B')
                ->and($page->text('rail-Heron'))
                ->toContain('wax unknown')
                ->toContain('ridden at least 50 km since its dip')
                ->and($page->text('hanging-Heron C'))
                ->toContain('355 km left')
                ->toContain('1,545 km')
                ->and($page->text('next-unsure'))
                ->toContain('Swap Heron to C');

            // All of it is told in the history, and the command line takes the last of it back.
            $page
                ->menu('history')
                ->awaitText('action', 'Split a ride of 15.0 km on Heron after 5 km: put B on at Tue 24 Nov, 17:10')
                ->awaitText('action', 'Corrected: C was on Heron');
            $page
                ->press('/')
                ->fill('command', 'undo')
                ->awaitText('understood', 'Undo: split a ride')
                ->click('do-command')
                ->awaitText('done', 'Undone');
            $page->click('nav-shed');
            expect([$page->fitted('Heron'), $page->left('Heron')])
                ->toBe(['C', 305])
                ->and($page->axe())
                ->toBe([]);
        } finally {
            is_file($gpx) && unlink($gpx);
            $chromium->stop();
            $server->stop();
        }
    },
);
