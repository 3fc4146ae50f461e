<?php

declare(strict_types=1);

namespace App\Text;

use App\Guided\GuidedKind;
use Dripel\Core\Guided\JobStep;

/** A job at a bike in sentences. Each step has words of its own: which steps there are is chosen by what the bike is like. */
final readonly class BikeJobWords
{
    public function __construct(private Translator $translator, private GuidedKind $kind) {}

    /** @return array{title: string, text: string} */
    public function step(JobStep $step): array
    {
        $parameters = array_map(strval(...), array_intersect_key($step->about, ['pitches' => 0, 'cut_to' => 0]));

        return [
            'title' => $this->title($step->code),
            'text' => $this->translator->say("{$this->kind->value}.step.{$step->code}.text", $parameters),
        ];
    }

    public function title(string $code): string
    {
        return $this->translator->say("{$this->kind->value}.step.{$code}.title");
    }

    /** @return list<string> */
    public function cautions(JobStep $step): array
    {
        $codes = match ($step->code) {
            'open_link', 'push_pin', 'cut_link', 'cut_pin' => ['fingers'],
            'load_test', 'gears', 'tension', 'first_km' => ['do_not_ride', 'fingers'],
            'close_link', 'close_pin' => ['single_use', 'do_not_ride'],
            'flex', 'flex_link', 'clean_first' => ['brakes'],
            'degrease', 'wipe_degreaser' => ['sheet', 'no_jets', 'brakes', 'waste'],
            'sprockets', 'sprocket_single', 'rings', 'ring_single', 'jockey_wheels', 'cage', 'pick_wax' => ['fingers', 'no_jets'],
            'teeth', 'look_teeth' => ['together'],
            'paint' => ['hot', 'brakes'],
            'cover_brake', 'uncover' => ['brakes', 'do_not_ride'],
            default => ['fingers'],
        };

        return array_map(fn(string $code) => $this->translator->say("care.caution.{$code}"), $codes);
    }
}
