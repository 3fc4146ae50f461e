<?php

declare(strict_types=1);

use Tests\Feature\Bench;
use Tests\Feature\Follower;

it('leads somebody who does what it says through seven weeks: nothing is refused, and what was done is not asked for again', function (
    int $seed,
    bool $daily,
): void {
    mt_srand($seed);
    $bench = new Bench();
    $this->actingAs($bench->owner);
    $somebody = new Follower($this, $bench);
    // By distance, by hours that nobody times, on drip wax alone with no chain known, and with a chain of the old gears on its hook.
    foreach (
        [
            ['name' => 'Heron', 'speeds' => 11, 'interval' => 300, 'chains_wanted' => 3],
            ['name' => 'Wren', 'speeds' => 12, 'interval' => null, 'interval_hours' => 8],
            ['name' => 'Plover', 'speeds' => 9, 'interval' => 250, 'drip_only' => true],
            ['name' => 'Dunlin', 'speeds' => 12, 'interval' => 200],
        ]
        as $bike
    ) {
        $somebody->send('/bikes', $bike + ['kind' => 'road', 'limit_school' => 'strict']);
    }
    [$heron, $wren, $plover, $dunlin] = Follower::bikes();
    $somebody->send('/pots', [
        'name' => 'Pot',
        'kind' => 'slow_cooker',
        'low' => 120,
        'diameter' => 160,
        'height' => 100,
        'wax' => 'plain',
    ]);
    $somebody->send('/pots/1/bath', ['act' => 'fill', 'wax' => 500]);
    $somebody->send('/bottles', ['name' => 'Drip', 'volume' => 500, 'left' => 500]);
    foreach (
        [
            [$heron, 'A', 11, 'waxed', true],
            [$heron, 'B', 11, 'bare', false],
            [$wren, 'A', 12, 'factory_waxed', true],
            [$dunlin, 'A', 12, 'waxed', true],
            [$dunlin, 'B', 9, 'waxed', false],
        ]
        as [$bike, $label, $speeds, $state, $fit]
    ) {
        $somebody->send('/chains', [
            'bike_id' => $bike,
            'label' => $label,
            'speeds' => $speeds,
            'pitches' => 116,
            'state' => $state,
            'fit' => $fit,
        ]);
    }

    $midnightS = intdiv(Bench::NOW, 86400) * 86400;
    for ($day = 1; $day <= 49; $day++) {
        $somebody->at($midnightS + 86400 * $day + 11 * 3600);
        foreach ([$heron => 4, $wren => 2, $plover => 3, $dunlin => 3] as $bike => $aWeek) {
            if (mt_rand(1, 7) <= $aWeek) {
                $somebody->send('/rides', [
                    'bike_id' => $bike,
                    'distance' => mt_rand(10, 90),
                    'condition' => ['dry', 'dry', 'dry', 'damp', 'wet'][mt_rand(0, 4)],
                ]);
            }
        }
        if ($daily || mt_rand(1, 3) === 1) {
            $somebody->at($midnightS + 86400 * $day + 19 * 3600);
            $somebody->evening();
        }
    }

    ksort($somebody->done);
    expect($somebody->trouble)
        ->toBe([])
        ->and(array_keys($somebody->done))
        ->toContain('bare', 'bath', 'buy', 'measure', 'no_chain', 'outrun', 'overdue', 'planned_drip', 'planned_pot', 'strip', 'wet');
})->with(['each evening' => [1, true], 'one evening in three' => [2, false]]);
