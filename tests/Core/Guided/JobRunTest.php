<?php

declare(strict_types=1);

use Dripel\Core\Guided\JobEvent;
use Dripel\Core\Guided\JobEventKind as Kind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobSpan;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Guided\JobTurn;
use Dripel\Core\Guided\JobVerdict;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Open, shake a minute, leave an hour, look (back to open), dry two hours. Started at 1000. */
function jobRun(JobEvent ...$events): JobRun
{
    return JobRun::of(
        [
            new JobStep('open'),
            new JobStep('shake', 60),
            new JobStep('rest', 3600),
            new JobStep('look', againFrom: 0),
            new JobStep('dry', 7200),
        ],
        1000,
        array_values($events),
    );
}

function tapped(Kind $kind, int $position, int $atS): JobEvent
{
    return new JobEvent($kind, $position, $atS);
}

/** @return list<string> "step, round, start–end" */
function turns(JobRun $run): array
{
    return array_map(fn(JobTurn $turn) => "{$run->steps[$turn->step]->code} {$turn->round} {$turn->startS}–{$turn->endS}", $run->turns);
}

it('goes step by step, and round again as long as the answer is no', function (): void {
    $run = jobRun(
        tapped(Kind::Done, 0, 1030),
        tapped(Kind::Done, 1, 1100),
        tapped(Kind::Done, 2, 4700),
        tapped(Kind::Again, 3, 4720),
        tapped(Kind::Done, 4, 4750),
        tapped(Kind::Done, 5, 4811),
        tapped(Kind::Done, 6, 8411),
        tapped(Kind::Again, 7, 8420),
        tapped(Kind::Done, 8, 8450),
        tapped(Kind::Done, 9, 8511),
        tapped(Kind::Done, 10, 12111),
        tapped(Kind::Done, 11, 12120),
    );
    expect(turns($run))
        ->toBe([
            'open 1 1000–1030',
            'shake 1 1030–1100',
            'rest 1 1100–4700',
            'look 1 4700–4720',
            'open 2 4720–4750',
            'shake 2 4750–4811',
            'rest 2 4811–8411',
            'look 2 8411–8420',
            'open 3 8420–8450',
            'shake 3 8450–8511',
            'rest 3 8511–12111',
            'look 3 12111–12120',
            'dry 1 12120–',
        ])
        ->and([$run->current()?->position, $run->dueS(), $run->step()?->leavable(), $run->doneS()])
        ->toBe([12, 19320, true, null]);
    $done = $run->after(tapped(Kind::Done, 12, 19400));
    expect([$done->current(), $done->step(), $done->dueS(), $done->doneS()])->toBe([null, null, null, 19400]);
});

it('goes back to how it stood before a tap, once, until the job is done', function (): void {
    $events = [
        tapped(Kind::Done, 0, 1030),
        tapped(Kind::Pause, 1, 1040),
        tapped(Kind::Resume, 1, 1050),
        tapped(Kind::Longer, 1, 1060),
        tapped(Kind::Done, 1, 1070),
        tapped(Kind::Pause, 2, 1080),
    ];
    $run = jobRun(...$events);
    $back = $run->after(tapped(Kind::Back, 2, 1100));
    // Shaking again, with its pause and its minute more, and the timer as if nobody had tapped; the pause of the rest is gone.
    expect([$back->current()?->position, $back->step()?->code, $back->seconds(), $back->pausedS, $back->goneS(1100), $back->dueS()])
        ->toBe([1, 'shake', 120, null, 60, 1160])
        ->and(turns($back))
        ->toBe(['open 1 1000–1030', 'shake 1 1030–'])
        // The same from the taps alone, as a job is read.
        ->and(turns(jobRun(...[...$events, tapped(Kind::Back, 2, 1100)])))
        ->toBe(turns($back));
    // Another device that goes back from where it was changes nothing; once more from here is one step more.
    expect($back->verdict(tapped(Kind::Back, 2, 1110)))
        ->toBe(JobVerdict::Refused)
        ->and($back->verdict(tapped(Kind::Back, 0, 1110)))
        ->toBe(JobVerdict::AlreadyDone)
        ->and($back->after(tapped(Kind::Back, 1, 1110))->current()?->position)
        ->toBe(0)
        ->and($back->after(tapped(Kind::Back, 1, 1110))->verdict(tapped(Kind::Back, 0, 1120)))
        ->toBe(JobVerdict::Refused);
    // On it goes, and a round that was asked for by mistake was never ridden.
    $round = jobRun(
        tapped(Kind::Done, 0, 1030),
        tapped(Kind::Done, 1, 1100),
        tapped(Kind::Done, 2, 4700),
        tapped(Kind::Again, 3, 4720),
        tapped(Kind::Back, 4, 4725),
        tapped(Kind::Done, 3, 4730),
        tapped(Kind::Done, 4, 12_000),
    );
    expect([count($round->turns), $round->doneS(), $round->verdict(tapped(Kind::Back, 5, 12_010))])->toBe([5, 12_000, JobVerdict::Refused]);
    // A sign that was seen too early is unseen.
    $signed = JobRun::of([new JobStep('open'), new JobStep('under', 60, holds: true, sign: 'bubbles'), new JobStep('lift')], 0, [
        tapped(Kind::Done, 0, 10),
        tapped(Kind::Sign, 1, 80),
    ]);
    expect([$signed->step()?->code, $signed->after(tapped(Kind::Back, 2, 90))->signS])->toBe(['lift', null]);
});

it('counts a tap once, whoever sends it and however often', function (): void {
    $run = jobRun(tapped(Kind::Done, 0, 1030), tapped(Kind::Done, 0, 1031), tapped(Kind::Done, 1, 1100));
    expect(turns($run))
        ->toBe(['open 1 1000–1030', 'shake 1 1030–1100', 'rest 1 1100–'])
        ->and($run->verdict(tapped(Kind::Done, 1, 1200)))
        ->toBe(JobVerdict::AlreadyDone)
        ->and($run->verdict(tapped(Kind::Again, 0, 1200)))
        ->toBe(JobVerdict::AlreadyDone)
        ->and($run->verdict(tapped(Kind::Done, 2, 1200)))
        ->toBe(JobVerdict::Take)
        // Ahead of the job, or a question that the step does not ask.
        ->and($run->verdict(tapped(Kind::Done, 3, 1200)))
        ->toBe(JobVerdict::Refused)
        ->and($run->verdict(tapped(Kind::Again, 2, 1200)))
        ->toBe(JobVerdict::Refused)
        ->and(jobRun()->verdict(tapped(Kind::Longer, 0, 1001)))
        ->toBe(JobVerdict::Refused);
    $over = JobRun::of([new JobStep('open')], 0, [tapped(Kind::Done, 0, 5)]);
    expect($over->verdict(tapped(Kind::Done, 0, 9)))
        ->toBe(JobVerdict::AlreadyDone)
        ->and($over->verdict(tapped(Kind::Done, 1, 9)))
        ->toBe(JobVerdict::Refused);
});

it('stops the timer in a pause, makes it longer, and lets it overrun', function (): void {
    $run = jobRun(tapped(Kind::Done, 0, 1000), tapped(Kind::Pause, 1, 1020), tapped(Kind::Pause, 1, 1030));
    expect([$run->dueS(), $run->goneS(1500), $run->pausedS])->toBe([null, 20, 1020]);
    $run = $run->after(tapped(Kind::Resume, 1, 1500))->after(tapped(Kind::Longer, 1, 1510));
    expect([$run->seconds(), $run->dueS(), $run->goneS(1510), $run->goneS(1700)])
        ->toBe([120, 1600, 30, 220])
        ->and($run->verdict(tapped(Kind::Resume, 1, 1600)))
        ->toBe(JobVerdict::AlreadyDone);
    // The next step has a timer of its own; a tap made in a pause ends the pause.
    $next = $run->after(tapped(Kind::Pause, 1, 1600))->after(tapped(Kind::Done, 1, 1700));
    expect([$next->pausedS, $next->seconds(), $next->dueS()])->toBe([null, 3600, 5300]);
});

it('never lets a clock that is off turn time back, and estimates the end', function (): void {
    $run = jobRun(tapped(Kind::Done, 0, 400), tapped(Kind::Done, 1, 300));
    expect(turns($run))
        ->toBe(['open 1 1000–1000', 'shake 1 1000–1000', 'rest 1 1000–'])
        // 3600 − 500 of the rest, a minute to look (house rule), two hours to dry.
        ->and($run->aboutS(1500))
        ->toBe(1500 + 3100 + 60 + 7200)
        ->and($run->aboutS(1500, 4))
        ->toBe(1500 + 3100 + 60)
        ->and($run->aboutS(9000))
        ->toBe(9000 + 60 + 7200);
});

/** Two things wait side by side: a long one from step 0 on, a short one that comes and goes beside it. Started at 0. */
function sideBySide(JobEvent ...$events): JobRun
{
    return JobRun::of(
        [
            new JobStep('in_long', chains: [1]),
            new JobStep('in_short', chains: [2], handlingS: 30),
            new JobStep('under', 300, chains: [2], holds: true, sign: 'bubbles', skippable: true),
            new JobStep('under', 3600, chains: [1], since: 0, holds: true),
            new JobStep('off'),
        ],
        0,
        array_values($events),
    );
}

/** @return list<string> "code, from–end" */
function spans(JobRun $run, int $nowS): array
{
    return array_map(fn(JobSpan $span) => "{$run->steps[$span->step]->code} {$span->fromS}–{$span->endS}", $run->spans($nowS));
}

it('lets waits run side by side, on a time axis that keeps what was and expects the rest', function (): void {
    expect(spans(sideBySide(), 0))->toBe(['in_long 0–60', 'in_short 60–90', 'under 90–390', 'under 60–3660', 'off 3660–3720']);
    $run = sideBySide(tapped(Kind::Done, 0, 50), tapped(Kind::Done, 1, 100));
    // The short one is late: the long one has not waited for it.
    expect(spans($run, 900))
        ->toBe(['in_long 0–50', 'in_short 50–100', 'under 100–900', 'under 50–3650', 'off 3650–3710'])
        ->and($run->aboutS(900, 4))
        ->toBe(3650);
    $long = $run->after(tapped(Kind::Sign, 2, 1000));
    expect([$long->step()?->chains, $long->goneS(1000), $long->dueS()])
        ->toBe([[1], 950, 3650])
        ->and($long->verdict(tapped(Kind::Done, 3, 3649)))
        ->toBe(JobVerdict::Refused)
        ->and($long->verdict(tapped(Kind::Done, 3, 3650)))
        ->toBe(JobVerdict::Take)
        ->and($long->verdict(tapped(Kind::Skip, 3, 1001)))
        ->toBe(JobVerdict::Refused);
});

it('ends a step that waits for a sign no earlier than its time, and passes one over only where that may be', function (): void {
    $run = sideBySide(tapped(Kind::Done, 0, 50), tapped(Kind::Done, 1, 100));
    expect($run->verdict(tapped(Kind::Done, 2, 500)))->toBe(JobVerdict::Refused);
    $seen = $run->after(tapped(Kind::Sign, 2, 160));
    expect([
        $seen->signS,
        $seen->current()?->position,
        $seen->verdict(tapped(Kind::Sign, 2, 170)),
        $seen->verdict(tapped(Kind::Done, 2, 399)),
        $seen->verdict(tapped(Kind::Done, 2, 400)),
    ])
        ->toBe([160, 2, JobVerdict::AlreadyDone, JobVerdict::Refused, JobVerdict::Take])
        ->and($seen->after(tapped(Kind::Longer, 2, 200))->verdict(tapped(Kind::Done, 2, 459)))
        ->toBe(JobVerdict::Refused)
        ->and($seen->after(tapped(Kind::Done, 2, 420))->turns[2]->signS)
        ->toBe(160);
    $skipped = $run->after(tapped(Kind::Skip, 2, 150));
    expect([$skipped->turns[2]->answer, $skipped->turns[2]->signS])
        ->toBe([Kind::Skip, null])
        ->and($run->verdict(tapped(Kind::Note, 1, 150)))
        ->toBe(JobVerdict::Take)
        ->and($run->after(tapped(Kind::Note, 1, 150)))
        ->toEqual($run);
});

it('comes back from what a job keeps as it was', function (): void {
    $step = new JobStep(
        'look',
        90,
        ['bath' => 2, 'solvent' => 'white_spirit', 'volume_ml' => 200.0, 'jar' => null],
        3,
        ['dry'],
        [4],
        1,
        true,
        'bubbles',
        true,
        20,
    );
    expect(JobStep::fromArray(['code' => 'dry', 'seconds' => 60, 'about' => [], 'again_from' => null, 'ticks' => []]))->toEqual(
        new JobStep('dry', 60),
    );
    expect(JobStep::fromArray(json_decode((string) json_encode($step->toArray(), JSON_PRESERVE_ZERO_FRACTION), true)))->toEqual($step);
});

it('comes to the same however the taps of two devices are mixed and repeated', function (): void {
    $dice = new Randomizer(new Mt19937(7));
    for ($try = 0; $try < 300; $try++) {
        // One hand goes through the job; now and then it is cloudy, or the timer stands for a while.
        [$taps, $run, $atS] = [[], jobRun(), 1000];
        while (($turn = $run->current()) !== null && count($taps) < 40) {
            $atS += $dice->getInt(0, 90);
            $kinds = [
                Kind::Done,
                Kind::Done,
                ...$run->step()?->againFrom === null ? [] : [Kind::Again],
                ...$run->step()?->seconds === null ? [] : [Kind::Longer],
            ];
            if ($run->pausedS !== null) {
                $kinds[] = Kind::Resume;
            } else {
                $kinds[] = Kind::Pause;
            }
            $taps[] = tapped($kinds[$dice->getInt(0, count($kinds) - 1)], $turn->position, $atS);
            $run = $run->after($taps[count($taps) - 1]);
        }
        // The other device sends what it saw: any of the "done" once more, later or out of turn. None of it counts.
        $mixed = [];
        foreach ($taps as $i => $tap) {
            $mixed[] = $tap;
            $seen = $taps[$dice->getInt(0, $i)];
            if ($seen->position < $tap->position) {
                $mixed[] = tapped($seen->kind, $seen->position, $tap->atS + 5);
            }
            if ($dice->getInt(0, 3) === 0) {
                $mixed[] = tapped(Kind::Done, $tap->position + 2, $tap->atS);
            }
        }
        $again = jobRun(...$mixed);
        expect($again->turns)
            ->toEqual($run->turns)
            ->and([$again->pausedS, $again->dueS(), $again->ahead])
            ->toBe([$run->pausedS, $run->dueS(), $run->ahead]);
        // Turns follow one another without a gap, and no step is lost.
        foreach (array_slice($run->turns, 1) as $i => $turn) {
            expect($turn->startS)
                ->toBe($run->turns[$i]->endS)
                ->and($turn->position)
                ->toBe($i + 1);
        }
        expect(
            count(array_unique(array_map(fn(JobTurn $turn) => $turn->step, $run->turns))) + count(array_unique($run->ahead)),
        )->toBeGreaterThanOrEqual(5);
    }
});

it('goes where the file of job runs says that the page goes too', function (): void {
    $file = json_decode((string) file_get_contents(__DIR__ . '/data/job-runs.json'), true);
    $taps = 0;
    foreach ($file['runs'] as $n => $kept) {
        $steps = array_map(
            fn(array $step) => new JobStep(
                'step',
                $step['seconds'],
                againFrom: $step['againFrom'],
                since: $step['since'],
                holds: $step['holds'],
                sign: $step['sign'],
                skippable: $step['skippable'],
            ),
            $kept['steps'],
        );
        $events = [];
        foreach ($kept['taps'] as $i => $tap) {
            $events[] = tapped(Kind::from($tap['kind']), $tap['position'], $tap['at']);
            $run = JobRun::of($steps, $kept['started'], $events);
            $now = $run->current();
            expect(
                $now === null
                    ? null
                    : [
                        'position' => $now->position,
                        'step' => $now->step,
                        'round' => $now->round,
                        'seconds' => $run->seconds(),
                        'gone' => $run->goneS($tap['at']),
                        'paused' => $run->pausedS !== null,
                        'signed' => $run->signS !== null,
                    ],
            )
                ->toBe($tap['then'], "run {$n}, tap {$i}")
                ->and($run->ahead)
                ->toBe($tap['ahead'], "run {$n}, tap {$i}");
            $taps++;
        }
    }
    expect($taps)->toBeGreaterThan(300);
});
