<?php

declare(strict_types=1);

// Writes job-runs.json: jobs and taps drawn by a seed, and where each tap leads. JobRunTest checks the engine by hand and by a second one;
// this file holds the engine of the page (resources/js/composables/jobRun.ts) to it. Run: php tests/Core/Guided/data/job-runs.php

use Dripel\Core\Guided\JobEvent;
use Dripel\Core\Guided\JobEventKind as Kind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Guided\JobVerdict;
use Random\Engine\Mt19937;
use Random\Randomizer;

require dirname(__DIR__, 4) . '/vendor/autoload.php';

$random = new Randomizer(new Mt19937(20261127));
$pick = fn(array $of): mixed => $of[$random->getInt(0, count($of) - 1)];
$runs = [];
for ($n = 0; $n < 40; $n++) {
    $steps = [];
    for ($i = 0, $count = $random->getInt(3, 8); $i < $count; $i++) {
        $seconds = $pick([null, 60, 180, 3600]);
        $holds = $seconds !== null && $pick([true, false, false]);
        $steps[] = new JobStep(
            "step {$i}",
            $seconds,
            againFrom: $i > 1 && $pick([true, false, false, false]) ? $random->getInt(0, $i - 1) : null,
            since: $i > 0 && $seconds !== null && $pick([true, false, false]) ? $random->getInt(0, $i - 1) : null,
            holds: $holds,
            sign: $pick([true, false, false, false]) ? 'bubbles' : null,
            skippable: $pick([true, false]),
        );
    }
    $run = JobRun::of($steps, 1000, []);
    [$atS, $taps] = [1000, []];
    for ($tries = 0; $tries < 60 && $run->current() !== null; $tries++) {
        $current = $run->current();
        $atS += $random->getInt(1, $pick([20, 120, 4000]));
        $event = new JobEvent(
            $pick([
                Kind::Done,
                Kind::Done,
                Kind::Done,
                Kind::Again,
                Kind::Pause,
                Kind::Resume,
                Kind::Longer,
                Kind::Sign,
                Kind::Skip,
                Kind::Note,
            ]),
            $current->position,
            $atS,
        );
        if ($run->verdict($event) !== JobVerdict::Take) {
            continue;
        }
        $run = $run->after($event);
        $now = $run->current();
        $taps[] = [
            'kind' => $event->kind->value,
            'position' => $event->position,
            'at' => $atS,
            'then' =>
                $now === null
                    ? null
                    : [
                        'position' => $now->position,
                        'step' => $now->step,
                        'round' => $now->round,
                        'seconds' => $run->seconds(),
                        'gone' => $run->goneS($atS),
                        'paused' => $run->pausedS !== null,
                        'signed' => $run->signS !== null,
                    ],
            'ahead' => $run->ahead,
        ];
    }
    $runs[] = [
        'started' => 1000,
        'steps' => array_map(
            fn(JobStep $step) => [
                'seconds' => $step->seconds,
                'againFrom' => $step->againFrom,
                'since' => $step->since,
                'holds' => $step->holds,
                'sign' => $step->sign,
                'skippable' => $step->skippable,
            ],
            $steps,
        ),
        'taps' => $taps,
    ];
}
file_put_contents(
    __DIR__ . '/job-runs.json',
    json_encode(['source' => 'job-runs.php, seed 20261127', 'runs' => $runs], JSON_THROW_ON_ERROR) . "\n",
);
