<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Guided\GuidedKind;
use App\Models\Workshop;
use App\Strip\Protocols;
use App\Text\LayoutWords;
use App\Text\StripWords;
use App\Text\Translators;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Strip\BathSource;
use Dripel\Core\Strip\MoveKind;
use Dripel\Core\Strip\Protocol;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Strip\StepKind;
use Dripel\Core\Strip\StripPlan;
use Dripel\Core\Strip\StripRinseInput;

/**
 * A protocol by itself: on paper for the bench, and as a form to make one's own from it.
 *
 * @phpstan-import-type Choice from FormProps
 *
 * @phpstan-type ProtocolCardPage array{
 *     name: string,
 *     takes: string,
 *     before: list<string>,
 *     lines: list<string>,
 *     after: list<string>,
 *     layout: list<string>,
 *     left: string,
 *     hazards: list<array{solvent: string, text: string}>,
 *     cautions: list<string>,
 *     notAdvised: string|null,
 * }
 * @phpstan-type ProtocolPage array{
 *     code: string,
 *     own: int|null,
 *     name: string,
 *     steps: list<array{
 *         kind: string,
 *         solvent?: string,
 *         volume_ml?: float,
 *         moves?: list<array{kind: string, seconds: int}>,
 *         until_clear?: bool,
 *         seconds?: int,
 *         water_parts?: float,
 *     }>,
 *     dripOnly: bool,
 *     kinds: list<value-of<StepKind>>,
 *     bathKinds: list<value-of<StepKind>>,
 *     moveKinds: list<value-of<MoveKind>>,
 *     solvents: list<Choice>,
 * }
 */
final readonly class ProtocolProps
{
    public function __construct(private Translators $translators) {}

    /** @return ProtocolCardPage */
    public function card(Workshop $workshop, Protocol $protocol): array
    {
        $translator = $this->translators->current();
        $words = new StripWords($translator);
        $plan = StripPlan::of($protocol, array_map(fn() => BathSource::fresh(), $protocol->baths()), 1, StripRinseInput::START_G);
        $ticks = fn(JobStep $step): array => array_map(fn(string $tick) => $translator->say("strip.tick.{$tick}"), $step->ticks);

        return [
            'name' => $words->school(Protocols::nameOf($workshop, $protocol->code) ?? $protocol->code),
            'takes' => $words->takes($protocol),
            'before' => $ticks($plan->steps[0]),
            'lines' => $words->lines($protocol),
            'layout' => (new LayoutWords($translator))->of(GuidedKind::Strip, $plan->steps),
            'after' => $ticks($plan->steps[count($plan->steps) - 1]),
            'left' => $translator->say('strip.plan.residue', [
                'start' => $translator->quantities->mass(StripRinseInput::START_G),
                'left' => $translator->quantities->mass($plan->residuesG[count($plan->residuesG) - 1]),
            ]),
            'hazards' => array_values(
                array_map(
                    fn(Solvent $solvent) => [
                        'solvent' => ucfirst($words->solvent($solvent)),
                        'text' => $words->hazard($solvent, $solvent->hazard()),
                    ],
                    array_filter($protocol->solvents(), fn(Solvent $solvent) => $solvent->isStocked()),
                ),
            ),
            'cautions' => array_map(fn(string $code) => $translator->say("strip.caution.{$code}"), [
                'sheet',
                'air',
                'vent',
                'no_heat',
                'waste',
                'bare',
            ]),
            'notAdvised' => $protocol->advised() ? null : $translator->say('strip.not_advised'),
        ];
    }

    /** @return ProtocolPage */
    public function edit(Workshop $workshop, Protocol $protocol): array
    {
        $words = new StripWords($this->translators->current());

        return [
            'code' => $protocol->code,
            'own' => Protocols::rowId($protocol->code),
            'name' => $words->school(Protocols::nameOf($workshop, $protocol->code) ?? $protocol->code),
            'steps' => $protocol->toArray()['steps'],
            'dripOnly' => $protocol->dripOnly,
            'kinds' => array_column(StepKind::cases(), 'value'),
            'bathKinds' => array_map(
                fn(StepKind $kind) => $kind->value,
                array_filter(StepKind::cases(), fn(StepKind $kind) => $kind->isBath()),
            ),
            'moveKinds' => array_column(MoveKind::cases(), 'value'),
            'solvents' => array_map(
                fn(Solvent $solvent) => ['value' => $solvent->value, 'title' => $words->solvent($solvent)],
                Solvent::cases(),
            ),
        ];
    }
}
