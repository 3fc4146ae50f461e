<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Models\Action;
use App\Models\GuidedJob;
use App\Text\DripWords;
use App\Text\Translator;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;

/** A guided top-up: its steps in words, and what was recorded. */
final readonly class DripPresenter implements JobPresenter
{
    /** The stretches of the whole job, by their steps. */
    private const LANES = [
        'prepare' => [
            'protect',
            'protect_single',
            'take_off',
            'dry_cloth',
            'brush_water',
            'blow_dry',
            'warm_bottle',
            'shake_bottle',
            'cross_chain',
        ],
        'drip' => ['cover_again', 'drops', 'line', 'flex', 'gears', 'cover', 'shake_box', 'lift_slowly', 'pour_back', 'how_much'],
        'dry' => ['leave'],
        'after' => ['wipe_excess', 'leave_excess', 'brush_in', 'brush_board', 'put_on', 'put_on_single', 'sweep_up', 'uncover'],
    ];

    public function title(GuidedJob $job, Translator $translator): string
    {
        return $translator->say("drip.title.{$job->title}");
    }

    public function step(GuidedJob $job, JobStep $step, Translator $translator): array
    {
        $words = new DripWords($translator);

        return $words->step($step) + [
            'again' => null,
            'question' => null,
            'cautions' => $words->cautions($step),
            'subject' => $translator->names->fullChain($job->chains[0]),
        ];
    }

    public function page(GuidedJob $job, JobRun $run, Translator $translator): array
    {
        $lanes = [];
        foreach ($run->steps as $i => $step) {
            // The bottle is shaken again for a second coat.
            $key =
                isset($step->about['coat']) && $step->code === 'shake_bottle'
                    ? 'drip'
                    : array_keys(array_filter(self::LANES, fn(array $codes) => in_array($step->code, $codes, true)))[0] ?? 'prepare';
            $key .= '-' . ($step->about['coat'] ?? 0);
            $lanes[$key] ??= [
                'key' => $key,
                'text' => $translator->say('ui.drip.lane.' . strtok($key, '-')),
                'seconds' => 0,
                'steps' => [],
            ];
            $lanes[$key]['seconds'] += $step->seconds ?? 0;
            $lanes[$key]['steps'][] = $i;
        }

        return [
            'dripOnly' => true,
            'alsoNeeds' => [
                $translator->say($job->terms['bottle'] === null ? 'layout.no_bottle' : 'layout.bottle', [
                    'bottle' => $job->terms['bottle'] === null ? '' : $translator->names->bottle((int) $job->number('bottle')),
                    'ml' => $translator->quantities->volume(self::ml($job, $run), 1),
                ]),
            ],
            'stretches' => array_values(
                array_map(
                    fn(array $lane) => ['time' => $lane['seconds'] > 0 ? $translator->quantities->seconds($lane['seconds']) : ''] + $lane,
                    $lanes,
                ),
            ),
        ];
    }

    /** What is poured where it is poured, else what it takes. */
    private static function ml(GuidedJob $job, JobRun $run): float
    {
        $covers = array_filter(array_map(fn(JobStep $step) => $step->about['box_ml'] ?? null, $run->steps), is_numeric(...));

        return $covers === [] ? $job->number('ml') : (float) max($covers);
    }

    public function live(GuidedJob $job, JobRun $run, Translator $translator): array
    {
        return ['residues' => null];
    }

    public function record(Action $action, Translator $translator): string
    {
        $atS = (int) $action->about->at;

        return $translator->say('drip.record', [
            'time' => $translator->quantities->time($atS),
            'km' => $translator->quantities->distance((float) $action->about->km),
            'ready' => (new DripWords($translator))->at($atS + (int) round(3600 * $translator->settings->dripDryHours())),
        ]);
    }
}
