<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Guided\GuidedKind;
use App\Models\Action;
use App\Models\GuidedJob;
use App\Models\GuidedTap;
use App\Text\LayoutWords;
use App\Text\Translator;
use App\Text\Translators;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Guided\JobTurn;
use Dripel\Core\PotDay\PotDayPlan;

/**
 * A guided job as its page shows it: every step in words, where it stands, and what its kind shows beside it.
 *
 * @phpstan-import-type Choice from FormProps
 * @phpstan-import-type PotDayBath from PotDayPresenter
 * @phpstan-import-type RecordedDip from PotDayPresenter
 * @phpstan-import-type ResidueView from StripPresenter
 * @phpstan-import-type RiderShareView from PotDayProps
 * @phpstan-import-type TimeAxis from PotDayProps
 *
 * @phpstan-type JobNow array{position: int, step: int, round: int, seconds: int|null, gone: int, paused: bool, signed: bool}
 * @phpstan-type JobTurnView array{position: int, step: int, round: int, answer: value-of<JobEventKind>|null, end: int|null}
 * @phpstan-type JobStateView array{
 *     now: int,
 *     turns: list<JobTurnView>,
 *     ahead: list<int>,
 *     current: JobNow|null,
 *     begun: bool,
 *     ended: bool,
 *     givenUp: bool,
 *     about: string,
 *     notes: list<string>,
 *     recorded: array{text: string, undone: bool}|null,
 *     axis?: TimeAxis,
 *     bath?: PotDayBath,
 *     dips?: list<RecordedDip>,
 *     split?: list<RiderShareView>,
 *     residues?: list<ResidueView>|null,
 * }
 * @phpstan-type JobStepView array{
 *     code: string,
 *     seconds: int|null,
 *     againFrom: int|null,
 *     since: int|null,
 *     holds: bool,
 *     sign: string|null,
 *     skippable: bool,
 *     asks: list<Choice>,
 *     leavable: bool,
 *     liquid: bool,
 *     readingC: array{float, float}|null,
 *     reading: string,
 *     drawing: value-of<StepDrawing>|null,
 *     chains: list<array{id: int, name: string}>,
 *     ticks: list<array{key: string, text: string}>,
 *     time: string,
 *     title: string,
 *     text: string,
 *     again: array{title: string, text: string}|null,
 *     cautions: list<string>,
 *     subject: string,
 *     question: array{yes: string, no: string}|null,
 * }
 * @phpstan-type JobView array{
 *     id: string,
 *     kind: value-of<GuidedKind>,
 *     title: string,
 *     chains: list<string>,
 *     chainIds: list<int>,
 *     speed: float,
 *     units: array{temperature: string, mass: string},
 *     steps: list<JobStepView>,
 *     layout: list<string>,
 *     dripOnly?: bool,
 *     stretches?: list<array{key: string, text: string, time: string, steps: list<int>}>,
 *     pot?: array{id: int, name: string},
 *     aboutPot?: string,
 *     planned?: string,
 *     alsoNeeds?: list<string>,
 *     now: int,
 *     turns: list<JobTurnView>,
 *     ahead: list<int>,
 *     current: JobNow|null,
 *     begun: bool,
 *     ended: bool,
 *     givenUp: bool,
 *     about: string,
 *     notes: list<string>,
 *     recorded: array{text: string, undone: bool}|null,
 *     axis?: TimeAxis,
 *     bath?: PotDayBath,
 *     dips?: list<RecordedDip>,
 *     split?: list<RiderShareView>,
 *     residues?: list<ResidueView>|null,
 * }
 */
final readonly class JobProps
{
    /** Seconds by which a hand is faster than a clock are not told. */
    private const EARLY_S = 5;

    public function __construct(
        private Translators $translators,
        private StripPresenter $strip,
        private PotDayPresenter $potDay,
        private DripPresenter $drip,
        private BikeJobPresenter $bike,
    ) {}

    /** @return JobView */
    public function of(GuidedJob $job): array
    {
        $translator = $this->translators->current();
        $presenter = $this->presenter($job);
        $run = $job->run();
        $page = $presenter->page($job, $run, $translator);

        return [
            'id' => $job->id,
            'kind' => $job->kind->value,
            'title' => $presenter->title($job, $translator),
            'chains' => array_map($translator->names->fullChain(...), $job->chains),
            'chainIds' => $job->chains,
            'speed' => config()->float('dripel.clock.speed'),
            'units' => ['temperature' => $translator->quantities->units->temperature, 'mass' => $translator->quantities->units->mass],
            'steps' => array_map(
                fn(JobStep $step) => $presenter->step($job, $step, $translator) + [
                    'code' => $step->code,
                    'seconds' => $step->seconds,
                    'againFrom' => $step->againFrom,
                    'since' => $step->since,
                    'holds' => $step->holds,
                    'sign' => $step->sign === null ? null : $translator->say("ui.job.sign.{$step->sign}"),
                    'skippable' => $step->skippable,
                    'asks' => array_map(
                        fn(string $answer) => ['value' => $answer, 'title' => $translator->say("pot_day.waxed_so.{$answer}")],
                        $step->asks,
                    ),
                    'leavable' => $step->leavable(),
                    'drawing' => StepDrawing::of($job->kind, $step->code)?->value,
                    'liquid' => in_array($step->code, PotDayPlan::WANTS_LIQUID, true),
                    'readingC' =>
                        $step->readingC === null ? null : array_map($translator->quantities->units->fromCelsius(...), $step->readingC),
                    'reading' =>
                        $step->readingC === null
                            ? ''
                            : $translator->say('ui.job.reading', [
                                'from' => $translator->quantities->temperature($step->readingC[0]),
                                'to' => $translator->quantities->temperature($step->readingC[1]),
                            ]),
                    'chains' => array_map(fn(int $id) => ['id' => $id, 'name' => $translator->names->fullChain($id)], $step->chains),
                    'ticks' => array_map(
                        fn(string $tick) => ['key' => $tick, 'text' => $translator->say("{$job->kind->value}.tick.{$tick}")],
                        $step->ticks,
                    ),
                    'time' => $step->seconds === null ? '' : $translator->quantities->seconds($step->seconds),
                ],
                $run->steps,
            ),
            'layout' => (new LayoutWords($translator))->of($job->kind, $run->steps, $page['alsoNeeds'] ?? []),
            ...$page,
            ...$this->state($job, $run, $translator),
        ];
    }

    /** @return JobStateView what changes while it runs */
    public function state(GuidedJob $job, ?JobRun $run = null, ?Translator $translator = null): array
    {
        $run ??= $job->run();
        $translator ??= $this->translators->current();
        $current = $job->ended_at === null ? $run->current() : null;

        return [
            'now' => $translator->nowS,
            'turns' => array_map(
                fn(JobTurn $turn) => [
                    'position' => $turn->position,
                    'step' => $turn->step,
                    'round' => $turn->round,
                    'answer' => $turn->answer?->value,
                    'end' => $turn->endS,
                ],
                $run->turns,
            ),
            'ahead' => $run->ahead,
            'current' =>
                $current === null
                    ? null
                    : [
                        'position' => $current->position,
                        'step' => $current->step,
                        'round' => $current->round,
                        'seconds' => $run->seconds(),
                        'gone' => $run->goneS($translator->nowS),
                        'paused' => $run->pausedS !== null,
                        'signed' => $run->signS !== null,
                    ],
            'begun' => $job->begun_at !== null,
            'ended' => $job->ended_at !== null,
            'givenUp' => $job->ended_at !== null && $run->doneS() === null,
            'about' => $translator->soon($run->aboutS($translator->nowS)),
            'notes' => $this->notes($job, $run, $translator),
            'recorded' => $this->recorded($job, $translator),
            ...$this->presenter($job)->live($job, $run, $translator),
        ];
    }

    private function presenter(GuidedJob $job): JobPresenter
    {
        return match ($job->kind) {
            GuidedKind::Strip => $this->strip,
            GuidedKind::PotDay => $this->potDay,
            GuidedKind::Drip => $this->drip,
            GuidedKind::Fit, GuidedKind::Care => $this->bike,
        };
    }

    /** @return list<string> what was noted, why steps were passed over and which waits ended early, the newest first */
    private function notes(GuidedJob $job, JobRun $run, Translator $translator): array
    {
        $said = $job->taps->filter(
            fn(GuidedTap $tap) => in_array($tap->kind, [JobEventKind::Note, JobEventKind::Skip], true) &&
                ($tap->about['text'] ?? '') !== '',
        );

        $q = $translator->quantities;
        $notes = [
            ...array_map(
                fn(GuidedTap $tap) => [
                    $tap->at,
                    $translator->say($tap->kind === JobEventKind::Skip ? 'ui.job.said.skip' : 'ui.job.said.note', [
                        'time' => $q->time($tap->at),
                        'text' => (string) ($tap->about['text'] ?? ''),
                    ]),
                ],
                array_values($said->all()),
            ),
            ...array_map(
                fn(JobTurn $turn) => [
                    (int) $turn->endS,
                    $translator->say('ui.job.said.early', [
                        'time' => $q->time((int) $turn->endS),
                        'step' => $this->presenter($job)->step($job, $run->steps[$turn->step], $translator)['title'],
                        'early' => $q->seconds($turn->earlyS),
                    ]),
                ],
                array_values(array_filter($run->turns, fn(JobTurn $turn) => $turn->earlyS >= self::EARLY_S)),
            ),
        ];
        usort($notes, fn(array $a, array $b) => $b[0] <=> $a[0]);

        return array_column($notes, 1);
    }

    /** @return array{text: string, undone: bool}|null */
    private function recorded(GuidedJob $job, Translator $translator): ?array
    {
        $action = $job->action_id === null ? null : Action::query()->find($job->action_id);

        return $action === null
            ? null
            : [
                'text' => $this->presenter($job)->record($action, $translator),
                'undone' => $action->reverted_by !== null,
            ];
    }
}
