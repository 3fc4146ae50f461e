<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy as By;
use Tests\Browser\Pages\JobPage;
use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

it(
    'takes thirty files dropped at once, three of them twice, one broken, one of another bike; a wet ride leads through a top-up to the next day',
    function (): void {
        $server = Server::start('2026-11-25T12:20:00+01:00');
        $chromium = Chromium::start();
        $folder = sys_get_temp_dir() . '/rides-' . bin2hex(random_bytes(4));
        mkdir($folder);
        try {
            $paths = [];
            $write = function (string $name, string $day, float $km) use ($folder, &$paths): void {
                $points = implode(
                    '',
                    array_map(
                        fn(int $i) => sprintf(
                            '<trkpt lat="%.6f" lon="6.1"><time>%sT%02d:%02d:00Z</time></trkpt>',
                            52 + (($i / 20) * $km) / 111.26,
                            $day,
                            12 + intdiv($i * 3, 60),
                            ($i * 3) % 60,
                        ),
                        range(0, 20),
                    ),
                );
                file_put_contents($paths[] = "{$folder}/{$name}.gpx", "<gpx version=\"1.1\"><trk><trkseg>{$points}</trkseg></trk></gpx>");
            };
            foreach (range(1, 25) as $n) {
                $write("heron-{$n}", gmdate('Y-m-d', strtotime('2026-11-24 -' . $n . ' days')), 4.0);
            }
            $write('moth-1', '2026-11-23', 6.0);
            foreach (range(1, 3) as $n) {
                copy("{$folder}/heron-{$n}.gpx", $paths[] = "{$folder}/again-{$n}.gpx");
            }
            file_put_contents($paths[] = "{$folder}/broken.gpx", '<gpx version="1.1"><trk><trkseg>');

            $shed = ShedPage::open($chromium->driver, $server->url, '/sign-in')->enterDemo();
            $left = $shed->left('Heron');
            $page = ShedPage::open($chromium->driver, $server->url, '/rides');
            $page->part('track-file')->sendKeys(implode("\n", $paths));
            $page->awaitText('many', 'Reading 30 of 30')->awaitText('failed', 'broken.gpx');
            $page->click('look')->awaitText('take-in', 'Import 26 rides');
            expect($page->text('track-again-2.gpx'))
                ->toContain('the same ride')
                ->and($page->text('track-moth-1.gpx'))
                ->toContain('by the name of the file')
                ->and($page->axe())
                ->toBe([])
                ->and($page->scrollsSideways())
                ->toBeFalse();
            $page->click('take-in')->awaitText('done', 'Imported 26 rides, 106 km');
            // A hangs on the bike since eight days ago: seven of the rides are its own.
            expect(ShedPage::open($chromium->driver, $server->url)->left('Heron'))->toEqualWithDelta($left - 7 * 4, 4);
            ShedPage::open($chromium->driver, $server->url, '/history')->awaitText('action', 'Imported 26 rides from files');

            // This morning it rained. The ride leads to what the chain wants today.
            $page = ShedPage::open($chromium->driver, $server->url)->click('ride-Heron')->fill('distance', '12');
            $page->click('condition-wet')->submit('ride-form');
            $page->awaitText('dry-step', 'by 21:00')->awaitText('way-topup', 'Top it up');
            expect($page->axe())->toBe([]);
            $page
                ->click('dried')
                ->awaitText('dry-step', 'dried today')
                ->click('go-topup')
                ->awaitText('drip-lines', '116 drops, 5.8 ml')
                ->click('coats-2')
                ->awaitText('drip-lines', '232 drops, 11.6 ml')
                ->click('coats-1');
            $page->awaitText('drip-lines', '116 drops, 5.8 ml');
            expect($page->text('drip-lines'))->toContain('Ridden wet since')->and($page->axe())->toBe([]);
            $page->click('start');
            $job = new JobPage($chromium->driver, $server->url);
            foreach (
                ['protect', 'brush_water', 'blow_dry', 'warm_bottle', 'shake_bottle', 'cross_chain', 'drops', 'flex', 'gears', 'how_much']
                as $step
            ) {
                $job->at($step)->done();
            }
            $job->at('leave')->awaitText('recorded', 'Topped up at');
            expect($job->axe())->toBe([]);
            // It dries until tonight, late: the Shed says so, and Next carries the job.
            $shed = ShedPage::open($chromium->driver, $server->url);
            expect($shed->text('rail-Heron'))->toContain('Not ready before today, 22:');
            $goOn = fn(ShedPage $page) => $page
                ->unfoldNext()
                ->driver->findElement(By::cssSelector('[aria-label="Continue: Continue the drip: Heron A"]'));
            expect($goOn($shed)->isDisplayed())->toBeTrue();
            $server->jump('2026-11-26T08:00:00+01:00');
            $shed = ShedPage::open($chromium->driver, $server->url);
            expect($shed->text('rail-Heron'))->not->toContain('dries until')->toContain('Good until');
            $goOn($shed)->click();
            (new JobPage($chromium->driver, $server->url))
                ->at('leave')
                ->done()
                ->at('leave_excess')
                ->done()
                ->at('uncover')
                ->done()
                ->awaitText('job-over', 'Topped up at');
            $page = ShedPage::open($chromium->driver, $server->url)
                ->click('ride-Heron')
                ->fill('distance', '8')
                ->submit('ride-form')
                ->awaitText('done', 'Logged 8 km on Heron.');
            expect($page->text('done'))->not->toContain('before its wax was dry');
        } finally {
            $chromium->stop();
            $server->stop();
            array_map(unlink(...), glob("{$folder}/*") ?: []);
            rmdir($folder);
        }
    },
);
