<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/** @return array{int, string} exit code and output, errors included */
function compute(array $arguments, string $input = ''): array
{
    $process = new Process([PHP_BINARY, 'artisan', 'dripel:compute', ...$arguments], dirname(__DIR__, 3), null, $input);
    $process->run();

    return [$process->getExitCode(), $process->getOutput() . $process->getErrorOutput()];
}

it('computes by name, JSON in, JSON out', function (): void {
    expect(compute(['--list']))->toBe([
        0,
        "bare.clock\nbath.ledger\nchain.length\nchain.match\ndrip.dose\nfactors.learn\ninterval.advise\ninterval.economy\ninterval.learn\nplan.pot_days\nplan.risk\nplan.simulate\npot.calibrate\npot.dip\npot.heat\nride.track\nsolvent.hazard\nstrip.cascade\nstrip.rinse\nwax.life\nwear.forecast\nwear.reading\n",
    ]);
    [$exit, $output] = compute(
        ['wax.life'],
        '{"interval_km":300,"interval_hours":null,"rides":[{"km":100,"hours":4,"condition":"damp"}],"factors":{"damp":2},"topups":[{"after_ride":0,"km":50}]}',
    );
    expect($exit)
        ->toBe(0)
        ->and(json_decode($output, true))
        ->toBe([
            'effective_km' => 200.0,
            'hours' => 4.0,
            'left_km' => 150.0,
            'left_hours' => null,
            'left_fraction' => 0.5,
            'due' => false,
            'because' => null,
        ]);
    $file = tempnam(sys_get_temp_dir(), 'gpx');
    file_put_contents($file, '<gpx><trk><trkseg><trkpt lat="0" lon="0"/><trkpt lat="0" lon="1"/></trkseg></trk></gpx>');
    [$exit, $output] = compute(['ride.track', $file]);
    // One degree of the equator: GeographicLib.
    expect($exit)
        ->toBe(0)
        ->and(json_decode($output, true)['km'])
        ->toEqualWithDelta(111.3194907932, 0.011)
        ->and(json_decode($output, true)['start'])
        ->toBeNull();
});

it('says what is wrong at its path, exit 1, never a trace', function (array $arguments, string $input, string $path): void {
    [$exit, $output] = compute($arguments, $input);
    $errors = json_decode($output, true)['errors'] ?? null;
    expect($exit)
        ->toBe(1)
        ->and(array_keys((array) $errors))
        ->toBe([$path])
        ->and($output)
        ->not->toContain('.php');
})->with([
    'no model' => [[], '', 'model'],
    'unknown model' => [['wax.lfie'], '{}', 'model'],
    'empty input' => [['wax.life'], " \n", 'input'],
    'broken JSON' => [['wax.life'], '{"interval_km":', 'input'],
    'NaN' => [['wax.life'], '{"interval_km":NaN}', 'input'],
    'not UTF-8' => [['wax.life'], "{\"x\":\"\xff\"}", 'input'],
    'a list for the object' => [['wax.life'], '[]', 'input'],
    'nested too deep' => [['wax.life'], str_repeat('{"a":', 90) . '1' . str_repeat('}', 90), 'input'],
    'missing field' => [['wax.life'], '{"interval_km":300,"rides":[]}', 'interval_hours'],
    'misspelt field' => [['wax.life'], '{"interval_km":300,"interval_hours":null,"rides":[],"factor":{}}', 'factor'],
    'number in quotes' => [['wax.life'], '{"interval_km":"300","interval_hours":null,"rides":[]}', 'interval_km'],
    'infinite' => [['wax.life'], '{"interval_km":1e999,"interval_hours":null,"rides":[]}', 'interval_km'],
    'a number for true' => [['wax.life'], '{"interval_km":true,"interval_hours":null,"rides":[]}', 'interval_km'],
    'list for an object inside' => [['wax.life'], '{"interval_km":300,"interval_hours":null,"rides":[],"factors":[]}', 'factors'],
    'object for a list' => [['wax.life'], '{"interval_km":300,"interval_hours":null,"rides":{}}', 'rides'],
    'negative inside a list' => [
        ['wax.life'],
        '{"interval_km":300,"interval_hours":null,"rides":[{"km":1,"hours":1,"condition":"dry"},{"km":-1,"hours":1,"condition":"dry"}]}',
        'rides.1.km',
    ],
    'unknown condition' => [
        ['wax.life'],
        '{"interval_km":300,"interval_hours":null,"rides":[{"km":1,"hours":1,"condition":"windy"}]}',
        'rides.0.condition',
    ],
    'unknown factor' => [['wax.life'], '{"interval_km":300,"interval_hours":null,"rides":[],"factors":{"windy":2}}', 'factors.windy'],
    'top-up beyond the end' => [
        ['wax.life'],
        '{"interval_km":300,"interval_hours":null,"rides":[],"topups":[{"after_ride":-1},{"after_ride":0}]}',
        'topups.1.after_ride',
    ],
    'half a ride' => [
        ['wax.life'],
        '{"interval_km":300,"interval_hours":null,"rides":[],"topups":[{"after_ride":-0.5}]}',
        'topups.0.after_ride',
    ],
    'a file for a model without' => [['wax.life', 'x.json'], '{}', 'file'],
    'no file' => [['ride.track'], '', 'file'],
    'a file that is not there' => [['ride.track', '/nowhere.gpx'], '', 'file'],
    'a folder' => [['ride.track', '/tmp'], '', 'file'],
]);
