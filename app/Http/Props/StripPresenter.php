<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Logbook\ActionKind;
use App\Models\Action;
use App\Models\GuidedJob;
use App\Text\StripWords;
use App\Text\Translator;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Strip\JobResidues;
use Dripel\Core\Strip\Solvent;

/**
 * A guided strip: its baths in words, and what is expected beside what was seen.
 *
 * @phpstan-type ResidueView array{name: string, share: float, text: string, seen: string|null, done: bool}
 */
final readonly class StripPresenter implements JobPresenter
{
    public function title(GuidedJob $job, Translator $translator): string
    {
        return (new StripWords($translator))->school($job->title);
    }

    public function step(GuidedJob $job, JobStep $step, Translator $translator): array
    {
        $words = new StripWords($translator);

        return $words->step($step, $job->chains, self::dripOnly($job)) + [
            'question' =>
                $step->againFrom === null
                    ? null
                    : ['yes' => $translator->say('strip.step.look.yes'), 'no' => $translator->say('strip.step.look.no')],
            'cautions' => $words->cautions($step),
            'subject' => $this->subject($step, $words),
        ];
    }

    public function page(GuidedJob $job, JobRun $run, Translator $translator): array
    {
        return ['dripOnly' => self::dripOnly($job), 'stretches' => $this->lanes($run->steps, new StripWords($translator), $translator)];
    }

    public function live(GuidedJob $job, JobRun $run, Translator $translator): array
    {
        return ['residues' => $this->residues($job, $run, $translator)];
    }

    public function record(Action $action, Translator $translator): string
    {
        // Given up, only the baths that it had are in the book.
        return $action->kind === ActionKind::GiveUpStrip
            ? $translator->say('ui.job.record_baths')
            : $translator->say('ui.job.record', ['time' => $translator->quantities->time((int) $action->about->at)]);
    }

    private static function dripOnly(GuidedJob $job): bool
    {
        // Jobs from before it was kept say it by their ticks.
        return ($job->steps[0]['about']['on_bike'] ?? in_array('brakes_covered', $job->steps[0]['ticks'], true)) === true;
    }

    /** The solvent under the title: what is in the jar now. */
    private function subject(JobStep $step, StripWords $words): string
    {
        $solvent = Solvent::tryFrom((string) ($step->about['solvent'] ?? ''));

        [$flashC, $boilingC] = [$step->about['flash_c'] ?? null, $step->about['boiling_c'] ?? null];
        $own = is_numeric($flashC) ? (float) $flashC : null;

        return $solvent === null
            ? ''
            : ucfirst($words->solvent($solvent)) .
                    '. ' .
                    $words->hazard($solvent, $solvent->hazard($own, is_numeric($boilingC) ? (float) $boilingC : null), $own);
    }

    /**
     * @param list<JobStep> $steps
     *
     * @return list<array{key: string, text: string, time: string, steps: list<int>}> the whole job, stretch by stretch
     */
    private function lanes(array $steps, StripWords $words, Translator $translator): array
    {
        $lanes = [];
        foreach ($steps as $i => $step) {
            ['key' => $key, 'text' => $text] = $this->lane($step, $words, $translator);
            $lanes[$key] ??= ['key' => $key, 'text' => $text, 'seconds' => 0, 'steps' => []];
            $lanes[$key]['seconds'] += $step->seconds ?? 0;
            $lanes[$key]['steps'][] = $i;
        }

        return array_values(
            array_map(
                fn(array $lane) => [
                    'key' => $lane['key'],
                    'text' => $lane['text'],
                    'steps' => $lane['steps'],
                    'time' => $lane['seconds'] > 0 ? $translator->quantities->seconds($lane['seconds']) : '',
                ],
                $lanes,
            ),
        );
    }

    /** @return array{key: string, text: string} the stretch of the whole job that a step belongs to */
    private function lane(JobStep $step, StripWords $words, Translator $translator): array
    {
        $bath = $step->about['bath'] ?? null;

        return match (true) {
            is_int($bath) => ['key' => "bath-{$bath}", 'text' => $words->solvent(Solvent::from((string) $step->about['solvent']))],
            in_array($step->code, ['prepare', 'dry', 'check', 'brake'], true) => [
                'key' => $step->code,
                'text' => $translator->say("strip.lane.{$step->code}"),
            ],
            $step->code === 'blow_dry' => ['key' => 'dry', 'text' => $translator->say('strip.lane.dry')],
            default => ['key' => $step->code, 'text' => $translator->say('strip.lane.between')],
        };
    }

    /** @return list<ResidueView> what each bath should leave, and what was seen where somebody looked */
    private function residues(GuidedJob $job, JobRun $run, Translator $translator): array
    {
        $q = $translator->quantities;
        $startG = $job->number('start_g');
        $residues = [
            [
                'name' => $translator->say('strip.residue.start'),
                'share' => 1.0,
                'text' => $q->mass($startG),
                'seen' => null,
                'done' => true,
            ],
        ];
        foreach (JobResidues::of($run, $startG, count($job->chains)) as $left) {
            $residues[] = [
                'name' => $translator->say($left->round === 1 ? 'strip.residue.bath' : 'strip.residue.again', [
                    'bath' => (string) $left->bath,
                ]),
                'share' => self::share($left->expectedG, $startG),
                'text' => $q->mass($left->expectedG),
                'seen' =>
                    $left->seen === null
                        ? null
                        : $translator->say('strip.residue.' . ($left->seen === JobEventKind::Again ? 'cloudy' : 'clear')),
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
}
