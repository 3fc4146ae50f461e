<?php

declare(strict_types=1);

use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Ride\RideTrack;
use Dripel\Core\Ride\RideTrackResult;

/** Points a hundredth of a degree of latitude apart at 52° north are 1112.7 m apart (GeographicLib). */
const STEP_KM = 1.11267;

function track(string $gpx): RideTrackResult
{
    $stream = fopen('php://memory', 'r+');
    fwrite($stream, $gpx);
    rewind($stream);

    return (new RideTrack())($stream);
}

function gpx(string $body, string $attributes = 'version="1.1" xmlns="http://www.topografix.com/GPX/1/1"'): string
{
    return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<gpx {$attributes}>{$body}</gpx>";
}

function point(float $lat, ?string $time = null): string
{
    return "<trkpt lat=\"{$lat}\" lon=\"5\"><ele>3</ele>" .
        ($time === null ? '' : "<time>{$time}</time>") .
        '<extensions><time>nonsense</time></extensions></trkpt>';
}

it('adds up segments without the jump between them, and moves only when it moves', function (): void {
    $result = track(
        gpx(
            '<metadata><time>1999-01-01T00:00:00Z</time></metadata><trk><name>A &amp; B</name><type>running</type>' .
                '<trkseg>' .
                point(52.0, '2026-11-22T08:00:00Z') .
                point(52.01, '2026-11-22T08:03:00Z') .
                // A pause of ten minutes on the spot.
                point(52.01, '2026-11-22T08:13:00Z') .
                point(52.02, '2026-11-22T08:16:00.500Z') .
                '</trkseg><trkseg></trkseg>' .
                '<trkseg>' .
                point(52.3, '2026-11-22T09:00:00+00:00') .
                point(52.31, '2026-11-22T10:03:00+01:00') .
                '</trkseg></trk>',
        ),
    );
    expect($result->toArray()['start'])
        ->toBe('2026-11-22T08:00:00Z')
        ->and($result->km)
        ->toEqualWithDelta(3 * STEP_KM, 0.001)
        ->and($result->movingHours)
        ->toEqualWithDelta((180 + 180.5 + 180) / 3600, 1e-9)
        ->and($result->elapsedHours)
        ->toEqualWithDelta(63 / 60, 1e-9)
        ->and([$result->points, $result->segments])
        ->toBe([6, 2]);
});

it('counts every metre where times are missing in places, but no time for it', function (): void {
    $result = track(
        gpx(
            '<trk><trkseg>' .
                point(52.0) .
                point(52.01, '2026-11-22T08:03:00Z') .
                point(52.02) .
                point(52.03, '2026-11-22T08:10:00Z') .
                point(52.04, '2026-11-22T08:13:00Z') .
                '</trkseg></trk>',
        ),
    );
    expect($result->km)
        ->toEqualWithDelta(4 * STEP_KM, 0.001)
        ->and($result->movingHours)
        ->toEqualWithDelta(0.05, 1e-9)
        ->and($result->elapsedHours)
        ->toEqualWithDelta(10 / 60, 1e-9)
        ->and($result->startS)
        ->toBe(1795334580.0);
});

it('reads every way of writing an instant alike', function (string $later): void {
    $first = point(52.0, '2026-11-22T08:00:30Z');
    $result = track(gpx("<trk><trkseg>{$first}" . point(52.01, $later) . point(52.02, '2026-11-22T08:06:30Z') . '</trkseg></trk>'));
    expect($result->elapsedHours)->toEqualWithDelta(0.1, 1e-9)->and($result->movingHours)->toEqualWithDelta(0.1, 1e-9);
})->with([
    'in the same minute' => '2026-11-22T08:00:59Z',
    'with an offset' => '2026-11-22T09:03:00+01:00',
    'with a fraction' => '2026-11-22T08:03:00.250Z',
    'without seconds' => '2026-11-22T08:03Z',
]);

it('has no times where the file has none', function (): void {
    $result = track(gpx('<trk><trkseg>' . point(52.0) . point(52.01) . '</trkseg></trk>', 'version="1.0"'));
    expect([$result->startS, $result->movingHours, $result->elapsedHours])
        ->toBe([null, null, null])
        ->and($result->km)
        ->toEqualWithDelta(STEP_KM, 0.001);
});

it('knows the same track again, whatever it is called', function (): void {
    $body = fn(string $name) => "<trk><name>{$name}</name><trkseg>" .
        point(52.0, '2026-11-22T08:00:00Z') .
        point(52.01, '2026-11-22T08:03:00Z') .
        '</trkseg></trk>';
    $prefixed = str_replace(
        ['<trk', '</trk', '<time', '</time', '<ele', '</ele', '<extensions', '</extensions'],
        ['<g:trk', '</g:trk', '<g:time', '</g:time', '<g:ele', '</g:ele', '<g:extensions', '</g:extensions'],
        '<trk><trkseg>' . point(52.0, '2026-11-22T08:00:00Z') . point(52.01, '2026-11-22T08:03:00Z') . '</trkseg></trk>',
    );
    expect(track(gpx($body('one')))->fingerprint)
        ->toBe(track(gpx($body('two')))->fingerprint)
        ->toBe(track("<g:gpx xmlns:g=\"http://www.topografix.com/GPX/1/1\">{$prefixed}</g:gpx>")->fingerprint)
        ->not->toBe(track(gpx(str_replace('08:03:00', '08:04:00', $body('one'))))->fingerprint);
});

it('says clearly what a file lacks', function (string $gpx, string $message): void {
    try {
        track($gpx);
    } catch (InvalidInput $e) {
        expect($e->path)->toBe('file')->and($e->getMessage())->toContain($message);

        return;
    }
    $this->fail('It was read.');
})->with([
    'empty' => ['', 'is empty'],
    'blank' => ["  \n ", 'is empty'],
    'not XML' => ['FIT data, perhaps', 'line 1: no ride file begins like this'],
    'cut short' => [
        substr(gpx("<trk>\n<trkseg>\n" . point(52.0) . point(52.1) . '</trkseg></trk>'), 0, 220),
        'line 4: breaks off here, before the ride is over',
    ],
    'not GPX' => ["<?xml version=\"1.0\"?>\n<TrainingCenterDatabase/>", 'outermost element is <TrainingCenterDatabase>'],
    'waypoints only' => [gpx('<wpt lat="1" lon="2"/>'), 'no recorded track'],
    'a route only' => [gpx('<rte><rtept lat="1" lon="2"/></rte>'), 'no recorded track'],
    'letters that UTF-16 has none of' => [
        "\xff\xfe" . mb_convert_encoding('<gpx><trk><name>', 'UTF-16LE') . "\xe7\xd8\x70\xcd",
        'line 1: cannot be read from here on: the file is damaged',
    ],
    'a track without points' => [gpx('<trk><trkseg/></trk>'), 'without any point'],
    'no latitude' => [gpx("\n<trk><trkseg><trkpt lon=\"5\"/></trkseg></trk>"), 'line 3: has a point without a valid latitude'],
    'longitude beyond' => [gpx('<trk><trkseg><trkpt lat="5" lon="181"/></trkseg></trk>'), 'valid longitude'],
    'latitude NaN' => [gpx('<trk><trkseg><trkpt lat="NaN" lon="1"/></trkseg></trk>'), 'valid latitude'],
    'a point that is a number' => [gpx('<trk><trkseg><trkpt>5</trkpt></trkseg></trk>'), 'valid latitude'],
    'a time of digits alone' => [
        gpx('<trk><trkseg><trkpt lat="5" lon="1"><ele>3</ele><time>1795000000</time></trkpt></trkseg></trk>'),
        'has a time that',
    ],
    'a fault below heights and pulses' => [
        gpx("\n<trk><trkseg>\n<trkpt lat=\"5\" lon=\"1\">\n<ele>-3.5</ele>\n<x:hr>131</x:hr>\n</trkpt>\n<trkpt lon=\"5\"/></trkseg></trk>"),
        'line 8: has a point without a valid latitude',
    ],
    'a time that is none' => [gpx('<trk><trkseg>' . point(52, 'noon') . '</trkseg></trk>'), 'has a time that'],
    'times backwards' => [
        gpx('<trk><trkseg>' . point(52, '2026-11-22T08:00:00Z') . point(52.1, '2026-11-22T07:00:00Z') . '</trkseg></trk>'),
        'run backwards',
    ],
    'an external entity' => [
        "<?xml version=\"1.0\"?>\n<!DOCTYPE gpx [<!ENTITY x SYSTEM \"file:///etc/passwd\">]>\n<gpx><trk><name>&x;</name></trk></gpx>",
        'line 2: has a document type declaration',
    ],
    'a billion laughs' => ['<!DOCTYPE gpx [<!ENTITY a "ha"><!ENTITY b "&a;&a;">]><gpx>&b;</gpx>', 'document type declaration'],
    'a declaration behind a long prolog' => [str_repeat('<!--' . str_repeat('x', 40_000) . '-->', 5) . '<!DOCTYPE gpx><gpx/>', '64 kB'],
    'a declaration in an encoding that hides it' => [
        '<?xml version="1.0" encoding="UTF-7"?>+ADw-!DOCTYPE gpx+AD4-<gpx/>',
        'in the encoding UTF-7',
    ],
    'a tag without end' => ['<gpx ' . implode(' ', array_map(fn(int $i) => "a{$i}='>'", range(1, 300_000))) . '/>', 'longer than 64 kB'],
    'a declaration in another encoding' => [
        mb_convert_encoding('<?xml version="1.0" encoding="UTF-16"?><!DOCTYPE gpx [<!ENTITY a "b">]><gpx/>', 'UTF-16'),
        'document type declaration',
    ],
]);

it('reads a large file as a stream', function (): void {
    $path = tempnam(sys_get_temp_dir(), 'gpx');
    $file = fopen($path, 'w');
    fwrite($file, '<gpx><trk><trkseg>');
    for ($i = 0; $i < 40_000; $i++) {
        fwrite($file, point(52 + $i * 1e-5, gmdate('Y-m-d\TH:i:s\Z', 1_795_000_000 + $i)));
    }
    fwrite($file, '</trkseg></trk></gpx>');
    fclose($file);
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $result = (new RideTrack())(fopen($path, 'r'));
    unlink($path);
    expect($result->points)
        ->toBe(40_000)
        ->and($result->km)
        ->toEqualWithDelta(39_999 * 1e-3 * STEP_KM, 0.01)
        ->and(memory_get_peak_usage() - $before)
        ->toBeLessThan(8_000_000);
});
