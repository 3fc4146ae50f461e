<?php

declare(strict_types=1);

use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Ride\AnyTrackReader;
use Dripel\Core\Ride\RideTrack;
use Dripel\Core\Ride\RideTrackResult;

/** A file of any format, as it would be dropped. */
function dropped(string $content): RideTrackResult
{
    $stream = fopen('php://memory', 'w+b') ?: throw new RuntimeException();
    fwrite($stream, $content);
    rewind($stream);

    return (new RideTrack(new AnyTrackReader()))($stream);
}

/** @param list<list<array{float|null, float|null, string}>> $tracks latitude, longitude, time of each point */
function tcx(array $tracks): string
{
    $xml = array_map(
        fn(array $points) => '<Track>' .
            implode(
                '',
                array_map(
                    fn(array $p) => "<Trackpoint><Time>{$p[2]}</Time>" .
                        ($p[0] === null
                            ? ''
                            : "<Position><LatitudeDegrees>{$p[0]}</LatitudeDegrees><LongitudeDegrees>{$p[1]}</LongitudeDegrees></Position>") .
                        '<DistanceMeters>99999</DistanceMeters><HeartRateBpm><Value>140</Value></HeartRateBpm></Trackpoint>',
                    $points,
                ),
            ) .
            '</Track>',
        $tracks,
    );

    return '<?xml version="1.0" encoding="UTF-8"?><TrainingCenterDatabase xmlns="x"><Activities><Activity Sport="Biking"><Id>2026-11-20T08:00:00Z</Id><Lap StartTime="2026-11-20T08:00:00Z"><TotalTimeSeconds>1</TotalTimeSeconds>' .
        implode('', $xml) .
        '</Lap></Activity></Activities></TrainingCenterDatabase>';
}

it('reads of a TCX file what the same ride has as GPX', function (): void {
    $points = [[52.0, 6.1, '2026-11-20T08:00:00Z'], [52.01, 6.1, '2026-11-20T08:03:00Z'], [52.02, 6.12, '2026-11-20T08:07:30Z']];
    $later = [[52.1, 6.2, '2026-11-20T09:00:00Z'], [52.11, 6.2, '2026-11-20T09:02:00.5Z']];
    $gpx = fn(array $of): string => '<trkseg>' .
        implode('', array_map(fn(array $p) => "<trkpt lat=\"{$p[0]}\" lon=\"{$p[1]}\"><time>{$p[2]}</time></trkpt>", $of)) .
        '</trkseg>';
    // A pause without a position lies between; it is no point.
    $found = dropped(tcx([[...$points, [null, null, '2026-11-20T08:08:00Z']], $later]));
    expect($found)
        ->toEqual(dropped('<gpx version="1.1"><trk>' . $gpx($points) . $gpx($later) . '</trk></gpx>'))
        ->and($found->segments)
        ->toBe(2)
        ->and($found->points)
        ->toBe(5);
});

it('says of any other file what it is and what to do', function (string $content, string $says): void {
    expect(fn() => dropped($content))->toThrow(fn(InvalidInput $e) => expect($e->getMessage())->toContain($says));
})->with([
    'ridden on the spot' => [
        tcx([[[null, null, '2026-11-20T08:00:00Z'], [null, null, '2026-11-20T08:00:01Z']]]),
        'log its distance by hand',
    ],
    'a place that is none' => [tcx([[[95.0, 6.1, '2026-11-20T08:00:00Z']]]), 'valid latitude'],
    'a time that is none' => [tcx([[[52.0, 6.1, 'yesterday']]]), 'has a time that'],
    'cut short' => [substr(tcx([[[52.0, 6.1, '2026-11-20T08:00:00Z']]]), 0, -40), 'breaks off here, before the ride is over'],
    'a declaration' => ['<?xml version="1.0"?><!DOCTYPE x [<!ENTITY a "b">]><TrainingCenterDatabase/>', 'document type declaration'],
    'nothing in it' => [tcx([]), 'nothing was recorded'],
    'FIT' => ["\x0e\x20\x8b\x08\x10\x00\x00\x00.FIT\x00\x00", 'is cut short'],
    'a zip' => ["PK\x03\x04\x14\x00\x00\x00", 'unpack it'],
    'a page' => ['<html><body>signed out</body></html>', 'is not a GPX file'],
    'empty' => ['', 'is empty'],
]);
