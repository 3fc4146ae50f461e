<?php

declare(strict_types=1);

use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Ride\AnyTrackReader;
use Dripel\Core\Ride\FitReader;
use Dripel\Core\Ride\GpxReader;
use Dripel\Core\Ride\RideTrack;
use Dripel\Core\Ride\RideTrackResult;
use Dripel\Core\Ride\TrackPoint;
use Dripel\Core\Ride\TrackReader;
use Random\Engine\Mt19937;
use Random\Randomizer;

const FIT_EPOCH_S = 631065600;

/** @return list<TrackPoint> */
function pointsOf(TrackReader $reader, string $content): array
{
    $stream = fopen('php://memory', 'w+b') ?: throw new RuntimeException();
    fwrite($stream, $content);
    rewind($stream);

    return iterator_to_array($reader->points($stream), false);
}

function fitRide(string $content): RideTrackResult
{
    $stream = fopen('php://memory', 'w+b') ?: throw new RuntimeException();
    fwrite($stream, $content);
    rewind($stream);

    return (new RideTrack(new AnyTrackReader()))($stream);
}

function fitFixture(string $name): string
{
    return (string) file_get_contents(dirname(__DIR__, 2) . "/fixtures/fit/{$name}");
}

/** The check sum of the FIT protocol by its definition, a bit at a time. */
function fitSum(string $bytes): int
{
    $crc = 0;
    foreach (str_split($bytes) as $byte) {
        $crc ^= ord($byte);
        for ($bit = 0; $bit < 8; $bit++) {
            $crc = ($crc & 1) === 1 ? ($crc >> 1) ^ 0xa001 : $crc >> 1;
        }
    }

    return $crc;
}

/** A whole file of messages. */
function fit(string ...$messages): string
{
    $data = implode('', $messages);
    $header = pack('CCvV', 14, 16, 2132, strlen($data)) . '.FIT';
    $file = $header . pack('v', fitSum($header)) . $data;

    return $file . pack('v', fitSum($file));
}

/** @param list<array{int, int}> $fields number and bytes of each; $developers: bytes of theirs */
function fitDefinition(int $local, int $message, array $fields, bool $big = false, array $developers = []): string
{
    return pack('CCC', 0x40 | ($developers === [] ? 0 : 0x20) | $local, 0, (int) $big) .
        pack($big ? 'nC' : 'vC', $message, count($fields)) .
        implode('', array_map(fn(array $field) => pack('CCC', $field[0], $field[1], 0x86), $fields)) .
        ($developers === []
            ? ''
            : pack('C', count($developers)) . implode('', array_map(fn(int $bytes) => pack('CCC', 0, $bytes, 0), $developers)));
}

function fitPlace(float $degrees): int
{
    return (int) round(($degrees / 180) * 2 ** 31) & 0xffffffff;
}

/** A record as `fitDefinition(0, 20, [[253, 4], [0, 4], [1, 4], [5, 4]])` says; null: unknown. */
function fitRecord(int $atS, ?float $lat, ?float $lon, ?float $metres, bool $big = false): string
{
    return "\0" .
        pack(
            $big ? 'N4' : 'V4',
            $atS - FIT_EPOCH_S,
            $lat === null ? 0x7fffffff : fitPlace($lat),
            $lon === null ? 0x7fffffff : fitPlace($lon),
            $metres === null ? 0xffffffff : (int) round(100 * $metres),
        );
}

const RECORD_FIELDS = [[253, 4], [0, 4], [1, 4], [5, 4]];

it('reads what an independent reader finds in files that another program wrote, and the ride that they were written from', function (
    string $ride,
): void {
    // Source: tools/fit-fixtures: written by Debian's gpsbabel, read by fit-file-parser.
    /** @var list<array{at: int, lat: float, lon: float, metres: float|null}> $theirs */
    $theirs = json_decode(fitFixture("{$ride}.json"), true);
    $ours = pointsOf(new FitReader(), fitFixture("{$ride}.fit"));
    expect(count($ours))->toBe(count($theirs));
    foreach ($ours as $i => $point) {
        expect($point->lat)
            ->toEqualWithDelta($theirs[$i]['lat'], 1e-9)
            ->and($point->lon)
            ->toEqualWithDelta($theirs[$i]['lon'], 1e-9)
            ->and($point->atS)
            ->toBe((float) $theirs[$i]['at'])
            ->and($point->metres)
            ->toEqualWithDelta($theirs[$i]['metres'], 1e-9);
    }
    $gpx = pointsOf(new GpxReader(), fitFixture("{$ride}.gpx"));
    foreach ($gpx as $i => $point) {
        // A 2^31th of half a circle is a centimetre.
        expect($ours[$i]->lat)->toEqualWithDelta($point->lat, 1e-7)->and($ours[$i]->lon)->toEqualWithDelta($point->lon, 1e-7);
    }
    [$fit, $same] = [fitRide(fitFixture("{$ride}.fit")), fitRide(fitFixture("{$ride}.gpx"))];
    expect($fit->km)
        ->toEqualWithDelta($same->km, 1e-4 * $same->km)
        ->and([$fit->startS, $fit->elapsedHours, $fit->points])
        ->toBe([$same->startS, $same->elapsedHours, $same->points]);
})->with(['loop', 'south']);

it('takes times, pauses and what developers added as the protocol has them', function (): void {
    $startS = FIT_EPOCH_S + 0x40000000 + 30;
    $ride = fit(
        fitDefinition(1, 0, [[0, 1], [4, 4]]),
        "\x01\x04" . pack('V', 1),
        // A message that nobody knows, with a field of two hundred bytes.
        fitDefinition(3, 65280, [[7, 200]]),
        "\x03" . str_repeat("\xff", 200),
        fitDefinition(0, 20, [[253, 4], [0, 4], [1, 4], [5, 4], [13, 1]], developers: [3, 2]),
        fitRecord($startS, 52.0, 6.0, 0.0) . "\x20" . 'devdv',
        fitRecord($startS + 1, 52.0001, 6.0, null) . "\x20" . 'devdv',
        // The time in five bits, over the edge of 32 seconds.
        fitDefinition(2, 20, [[0, 4], [1, 4]]),
        pack('C', 0x80 | (2 << 5) | (($startS + 4 - FIT_EPOCH_S) & 0x1f)) . pack('V2', fitPlace(52.0002), fitPlace(6.0)),
        // The timer is stopped and started: what lies between is no riding.
        fitDefinition(4, 21, [[253, 4], [0, 1], [1, 1]]),
        "\x04" . pack('VCC', $startS + 5 - FIT_EPOCH_S, 0, 4),
        "\x04" . pack('VCC', $startS + 900 - FIT_EPOCH_S, 0, 0),
        // Big-endian from here on.
        fitDefinition(0, 20, RECORD_FIELDS, true),
        fitRecord($startS + 900, 52.1, 6.0, null, true),
        fitRecord($startS + 903, 52.1001, 6.0, null, true),
    );
    $points = pointsOf(new FitReader(), $ride);
    expect(array_map(fn(TrackPoint $point) => [(int) $point->atS - $startS, $point->segment, round((float) $point->lat, 6)], $points))
        ->toBe([[0, 0, 52.0], [1, 0, 52.0001], [4, 0, 52.0002], [900, 1, 52.1], [903, 1, 52.1001]])
        ->and(fitRide($ride)->km)
        ->toEqualWithDelta(0.033, 0.001)
        ->and(fitRide($ride)->segments)
        ->toBe(2)
        ->and(round(3600 * (float) fitRide($ride)->movingHours))
        ->toBe(7.0);
    // Two files in one, the second of them read as if it were alone.
    expect(fitRide($ride . $ride)->points)->toBe(10);
});

it('goes by what the wheel counted where there is no place, and by sums where there is nothing else', function (): void {
    $startS = 1795161600;
    $indoor = fit(
        fitDefinition(0, 20, RECORD_FIELDS),
        ...array_map(fn(int $i) => fitRecord($startS + 60 * $i, null, null, 500.0 * min($i, 30)), range(0, 40)),
    );
    $found = fitRide($indoor);
    expect([$found->km, $found->movingHours, $found->points, $found->segments])->toBe([15.0, 0.5, 41, 1]);

    // Through a tunnel: the wheel goes on counting.
    $tunnel = fit(
        fitDefinition(0, 20, RECORD_FIELDS),
        fitRecord($startS, 52.0, 6.0, 1000.0),
        fitRecord($startS + 60, null, null, 1400.0),
        fitRecord($startS + 120, 52.01, 6.0, 2100.0),
    );
    expect(fitRide($tunnel)->km)->toEqualWithDelta(1.1, 1e-9);

    $sums = fit(fitDefinition(0, 18, [[2, 4], [8, 4], [9, 4]]), "\0" . pack('V3', $startS - FIT_EPOCH_S, 5_400_000, 4_210_000));
    expect(fitRide($sums)->toArray())->toMatchArray(['start' => gmdate('Y-m-d\TH:i:s\Z', $startS), 'km' => 42.1, 'moving_hours' => 1.5]);
});

it('answers every damage, wherever it is, and takes no ride of it', function (): void {
    $whole = fitFixture('south.fit');
    for ($bytes = 12; $bytes < strlen($whole); $bytes += 7) {
        expect(fn() => fitRide(substr($whole, 0, $bytes)))->toThrow(InvalidInput::class);
    }
    $dice = new Randomizer(new Mt19937(23));
    for ($n = 0; $n < 300; $n++) {
        $at = $dice->getInt(12, strlen($whole) - 1);
        $broken = $whole;
        $broken[$at] = chr(ord($broken[$at]) ^ (1 << $dice->getInt(0, 7)));
        expect(fn() => fitRide($broken))->toThrow(InvalidInput::class);
    }
    for ($n = 0; $n < 300; $n++) {
        expect(fn() => fitRide(fit($dice->getBytes($dice->getInt(1, 400)))))->toThrow(InvalidInput::class);
    }
});

it('says what is wrong and what to do', function (string $content, string $says): void {
    expect(fn() => fitRide($content))->toThrow(fn(InvalidInput $e) => expect($e->getMessage())->toContain($says));
})->with([
    'cut short' => fn() => [substr(fitFixture('loop.fit'), 0, 1000), 'is cut short, 1754 bytes before its ride is over'],
    'a recorder that was switched off' => ["\x0e\x10\x54\x08\x00\x00\x00\x00.FIT\x00\x00", 'never finished'],
    'a size that is none' => ["\x0e\x10\x54\x08\xff\xff\xff\xff.FIT\x00\x00", 'larger than any ride'],
    'something behind it' => fn() => [fitFixture('loop.fit') . 'and more of it than a header has', 'something else is behind its ride'],
    'another sum' => fn() => [substr(fitFixture('loop.fit'), 0, -2) . 'xx', 'check sum'],
    'a message before what describes it' => fn() => [fit("\x05\x00\x00"), 'before what describes it'],
    'longer than it says' => fn() => [fit(fitDefinition(0, 20, RECORD_FIELDS), "\0\0"), 'is cut short'],
    'a course' => fn() => [fit(fitDefinition(0, 0, [[0, 1]]), "\0\x06"), 'export the activity'],
    'nothing in it' => fn() => [fit(fitDefinition(0, 0, [[0, 1]]), "\0\x04"), 'neither where it went nor how far'],
    'a latitude that is none' => fn() => [fit(fitDefinition(0, 20, RECORD_FIELDS), fitRecord(1795161600, 95.0, 6.0, 0.0)), 'latitude'],
]);
