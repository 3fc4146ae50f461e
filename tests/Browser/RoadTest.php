<?php

declare(strict_types=1);

use Tests\Browser\Pages\ShedPage;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Server;

it('takes thirty files dropped at once, three of them twice, one broken, one of another bike, in one action', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00');
    $chromium = Chromium::start();
    $folder = sys_get_temp_dir().'/rides-'.bin2hex(random_bytes(4));
    mkdir($folder);
    try {
        $paths = [];
        $write = function (string $name, string $day, float $km) use ($folder, &$paths): void {
            $points = implode('', array_map(fn(int $i) => sprintf('<trkpt lat="%.6f" lon="6.1"><time>%sT%02d:%02d:00Z</time></trkpt>', 52 + $i / 20 * $km / 111.26, $day, 12 + intdiv($i * 3, 60), $i * 3 % 60), range(0, 20)));
            file_put_contents($paths[] = "{$folder}/{$name}.gpx", "<gpx version=\"1.1\"><trk><trkseg>{$points}</trkseg></trk></gpx>");
        };
        foreach (range(1, 25) as $n) {
            $write("heron-{$n}", gmdate('Y-m-d', strtotime('2026-11-24 -'.$n.' days')), 4.0);
        }
        $write('moth-1', '2026-11-23', 6.0);
        foreach (range(1, 3) as $n) {
            copy("{$folder}/heron-{$n}.gpx", $paths[] = "{$folder}/again-{$n}.gpx");
        }
        file_put_contents($paths[] = "{$folder}/broken.gpx", '<gpx version="1.1"><trk><trkseg>');

        $shed = ShedPage::open($chromium->driver, $server->url, '/sign-in')->enterDemo();
        $left = $shed->left('Heron');
        $page = ShedPage::open($chromium->driver, $server->url, '/road');
        $page->part('track-file')->sendKeys(implode("\n", $paths));
        $page->awaitText('many', 'Reading 30 of 30')->awaitText('failed', 'broken.gpx');
        $page->click('look')->awaitText('take-in', 'Take in 26 rides');
        expect($page->text('track-again-2.gpx'))->toContain('the same ride')->and($page->text('track-moth-1.gpx'))->toContain('by the name of the file')
            ->and($page->axe())->toBe([])->and($page->scrollsSideways())->toBeFalse();
        $page->click('take-in')->awaitText('done', 'Took in 26 rides, 106 km');
        // A hangs on the bike since eight days ago: seven of the rides are its own.
        expect(ShedPage::open($chromium->driver, $server->url)->left('Heron'))->toEqualWithDelta($left - 7 * 4, 4);
        $page = ShedPage::open($chromium->driver, $server->url, '/history')->awaitText('action', 'Took in 26 rides from files');
    } finally {
        $chromium->stop();
        $server->stop();
        array_map(unlink(...), glob("{$folder}/*") ?: []);
        rmdir($folder);
    }
});
