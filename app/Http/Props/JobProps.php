<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Models\Action;
use App\Models\GuidedJob;
use App\Text\Speaker;
use App\Text\StripWords;
use App\Text\Voice;
use Dripel\Core\Job\JobEventKind;
use Dripel\Core\Job\JobRun;
use Dripel\Core\Job\JobStep;
use Dripel\Core\Job\JobTurn;
use Dripel\Core\Strip\JobResidues;
use Dripel\Core\Strip\Solvent;

/** A guided job as its page shows it: every step in words, where it stands, and what is expected beside what was seen. */
final readonly class JobProps
{
    public function __construct(private Speaker $speaker) {}

    /** @return array<string, mixed> */
    public function of(GuidedJob $job): array
    {
        $voice = $this->speaker->voice();
        $words = new StripWords($voice);
        $run = $job->run();
        $steps = $run->steps;
        $dripOnly = in_array('brakes_covered', $steps[0]->ticks, true);

        return [
            'id' => $job->id,
            'title' => $words->school($job->title),
            'chains' => array_map($voice->names->fullChain(...), $job->chains),
            'chainIds' => $job->chains,
            'dripOnly' => $dripOnly,
            'steps' => array_map(fn(JobStep $step) => $words->step($step, $job->chains, $dripOnly) + [
                'code' => $step->code,
                'seconds' => $step->seconds,
                'againFrom' => $step->againFrom,
                'leavable' => $step->leavable(),
                'ticks' => array_map(fn(string $tick) => ['key' => $tick, 'text' => $voice->say("strip.tick.{$tick}")], $step->ticks),
                'question' => $step->againFrom === null ? null : ['yes' => $voice->say('strip.step.look.yes'), 'no' => $voice->say('strip.step.look.no')],
                'cautions' => $words->cautions($step),
                'subject' => $this->subject($step, $words),
                'time' => $step->seconds === null ? '' : $voice->quantities->seconds($step->seconds),
            ], $steps),
            'lanes' => $this->lanes($steps, $words, $voice),
            ...$this->state($job, $run, $voice),
        ];
    }

    /** @return array<string, mixed> what changes while it runs */
    public function state(GuidedJob $job, ?JobRun $run = null, ?Voice $voice = null): array
    {
        $run ??= $job->run();
        $voice ??= $this->speaker->voice();
        $q = $voice->quantities;
        $current = $job->ended_at === null ? $run->current() : null;

        return [
            'now' => $voice->nowS,
            'turns' => array_map(fn(JobTurn $turn) => ['position' => $turn->position, 'step' => $turn->step, 'round' => $turn->round, 'answer' => $turn->answer?->value], $run->turns),
            'ahead' => $run->ahead,
            'current' => $current === null ? null : [
                'position' => $current->position,
                'step' => $current->step,
                'round' => $current->round,
                'seconds' => $run->seconds(),
                'gone' => $run->goneS($voice->nowS),
                'paused' => $run->pausedS !== null,
            ],
            'ended' => $job->ended_at !== null,
            'givenUp' => $job->ended_at !== null && $run->doneS() === null,
            'about' => $q->time($run->aboutS($voice->nowS)),
            'residues' => $this->residues($job, $run, $voice),
            'recorded' => $this->recorded($job, $voice),
        ];
    }

    /** The solvent under the title: what is in the jar now. */
    private function subject(JobStep $step, StripWords $words): string
    {
        $solvent = Solvent::tryFrom((string) ($step->about['solvent'] ?? ''));

        [$flashC, $boilingC] = [$step->about['flash_c'] ?? null, $step->about['boiling_c'] ?? null];
        $own = is_numeric($flashC) ? (float) $flashC : null;

        return $solvent === null ? '' : ucfirst($words->solvent($solvent)).'. '.$words->hazard($solvent, $solvent->hazard($own, is_numeric($boilingC) ? (float) $boilingC : null), $own);
    }

    /**
     * @param list<JobStep> $steps
     *
     * @return list<array{key: string, text: string, time: string, steps: list<int>}> the whole job, stretch by stretch
     */
    private function lanes(array $steps, StripWords $words, Voice $voice): array
    {
        $lanes = [];
        foreach ($steps as $i => $step) {
            ['key' => $key, 'text' => $text] = $this->lane($step, $words, $voice);
            $lanes[$key] ??= ['key' => $key, 'text' => $text, 'seconds' => 0, 'steps' => []];
            $lanes[$key]['seconds'] += $step->seconds ?? 0;
            $lanes[$key]['steps'][] = $i;
        }

        return array_values(array_map(fn(array $lane) => [
            'key' => $lane['key'], 'text' => $lane['text'], 'steps' => $lane['steps'], 'time' => $lane['seconds'] > 0 ? $voice->quantities->seconds($lane['seconds']) : '',
        ], $lanes));
    }

    /** @return array{key: string, text: string} the stretch of the whole job that a step belongs to */
    private function lane(JobStep $step, StripWords $words, Voice $voice): array
    {
        $bath = $step->about['bath'] ?? null;

        return match (true) {
            is_int($bath) => ['key' => "bath-{$bath}", 'text' => $words->solvent(Solvent::from((string) $step->about['solvent']))],
            in_array($step->code, ['prepare', 'dry', 'check'], true) => ['key' => $step->code, 'text' => $voice->say("strip.lane.{$step->code}")],
            $step->code === 'blow_dry' => ['key' => 'dry', 'text' => $voice->say('strip.lane.dry')],
            default => ['key' => $step->code, 'text' => $voice->say('strip.lane.between')],
        };
    }

    /** @return list<array<string, mixed>> what each bath should leave, and what was seen where somebody looked */
    private function residues(GuidedJob $job, JobRun $run, Voice $voice): array
    {
        $q = $voice->quantities;
        $residues = [['name' => $voice->say('strip.residue.start'), 'share' => 1.0, 'text' => $q->mass($job->terms['start_g']), 'seen' => null, 'done' => true]];
        foreach (JobResidues::of($run, $job->terms['start_g'], count($job->chains)) as $left) {
            $residues[] = [
                'name' => $voice->say($left->round === 1 ? 'strip.residue.bath' : 'strip.residue.again', ['bath' => (string) $left->bath]),
                'share' => self::share($left->expectedG, $job->terms['start_g']),
                'text' => $q->mass($left->expectedG),
                'seen' => $left->seen === null ? null : $voice->say('strip.residue.'.($left->seen === JobEventKind::Again ? 'cloudy' : 'clear')),
                'done' => $left->done,
            ];
        }

        return $residues;
    }

    /** How long a bar is drawn: by order of magnitude, from a hundred-thousandth of the start to all of it. */
    private static function share(float $grams, float $startG): float
    {
        return $grams <= 0.0 ? 0.0 : max(0.0, min(1.0, 1 + log10($grams / $startG) / 6));
    }

    /** @return array{text: string, undone: bool}|null */
    private function recorded(GuidedJob $job, Voice $voice): ?array
    {
        $action = $job->action_id === null ? null : Action::query()->find($job->action_id);

        return $action === null ? null : [
            'text' => (string) __('ui.job.record', ['time' => $voice->quantities->time((int) ($action->about['at'] ?? 0))]),
            'undone' => $action->reverted_by !== null,
        ];
    }
}
