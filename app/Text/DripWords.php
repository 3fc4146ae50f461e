<?php

declare(strict_types=1);

namespace App\Text;

use App\Actions\Drip\DripDraft;
use Dripel\Core\Drip\BottleState;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Drip\DripManner;
use Dripel\Core\Drip\DripNeeds;
use Dripel\Core\Drip\DripPlace;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Plan\LocalDay;

/** Drip wax in sentences: the steps of a top-up, what a bottle still does, what follows from a plan. */
final readonly class DripWords
{
    private const CAUTIONS = [
        'protect' => ['brake'],
        'protect_single' => ['brake'],
        'cover_again' => ['brake'],
        'uncover' => ['brake'],
        'take_off' => ['link'],
        'clean_link' => ['solvent', 'sheet', 'link'],
        'brush_water' => ['brake', 'fingers'],
        'blow_dry' => ['brake'],
        'warm_bottle' => ['hot_water', 'sheet'],
        'shake_bottle' => ['sheet'],
        'drops' => ['brake', 'fingers'],
        'flex' => ['fingers'],
        'gears' => ['brake', 'fingers'],
        'leave' => ['dry'],
        'brush_in' => ['brake', 'fingers'],
        'line' => ['brake', 'fingers'],
        'sweep_up' => ['brake', 'fingers'],
        'brush_board' => ['sheet'],
        'how_much' => ['sheet'],
        'put_on' => ['link', 'brake'],
        'put_on_single' => ['link', 'brake'],
    ];

    public function __construct(private Translator $translator) {}

    /** @return array{title: string, text: string} */
    public function step(JobStep $step): array
    {
        $boxMl = $step->about['box_ml'] ?? null;
        $parameters = [
            'drops' => (string) ($step->about['drops'] ?? ''),
            'coat' => (string) ($step->about['coat'] ?? ''),
            'time' => (string) ($step->about['time'] ?? ''),
            'ml' => is_numeric($boxMl)
                ? $this->translator->say('drip.box_ml', ['ml' => $this->translator->quantities->volume((float) $boxMl)])
                : '',
            'brake' => $this->translator->say('drip.brake.' . ($step->about['brakes'] ?? 'disc')),
            'start' => $this->translator->say('drip.start.' . ($step->about['joint'] ?? 'quick_link')),
            'open' => $this->translator->say('drip.open.' . ($step->about['joint'] ?? 'quick_link')),
            'close' => $this->translator->say('drip.close.' . ($step->about['joint'] ?? 'quick_link')),
        ];
        $again = in_array($step->code, ['drops', 'line'], true) && ($step->about['coat'] ?? 1) > 1;

        return [
            'title' => $this->translator->say("drip.step.{$step->code}." . ($again ? 'again_title' : 'title'), $parameters),
            'text' => $this->translator->say("drip.step.{$step->code}." . ($again ? 'again' : 'text'), $parameters),
        ];
    }

    /** What a step is called where there is no room for more. */
    public function title(string $code): string
    {
        return $this->translator->say($code === 'drops' ? 'drip.step.cross_chain.title' : "drip.step.{$code}.title");
    }

    /** @return list<string> */
    public function cautions(JobStep $step): array
    {
        return array_map(fn(string $code) => $this->translator->say("drip.caution.{$code}"), self::CAUTIONS[$step->code] ?? ['sheet']);
    }

    /** @return list<string> what follows from a plan, the dose first */
    public function lines(DripDraft $draft, DripNeeds $needs, ?int $nextRideS): array
    {
        $q = $this->translator->quantities;
        $chain = $draft->chain;
        $readyS = (int) $draft->dose->readyAtS;
        $say = fn(string $code, array $parameters = []): string => $this->translator->say("drip.plan.{$code}", $parameters);

        return array_values(
            array_filter([
                $this->dose($draft),
                $draft->counted || $draft->choices->place === DripPlace::InBox
                    ? ''
                    : $say('uncounted', ['pitches' => (string) DripDoseInput::USUAL_PITCHES]),
                $draft->bottle === null ? '' : $this->after($draft, $draft->bottle),
                $say('ready', ['ready' => $this->at($readyS)]),
                $nextRideS !== null && $nextRideS < $readyS
                    ? $say('too_late', ['day' => $this->translator->dayWord($q->date($nextRideS, 'yyyy-MM-dd'))])
                    : '',
                $chain->terms->dripOnly
                    ? $say('dry_only', ['interval' => $this->translator->wax->interval($chain->terms)])
                    : ($chain->terms->hoursAlone
                        ? ''
                        : $say('good_for', ['km' => $q->distance(WaxTopUp::KM), 'left' => $q->left($chain->leftAfterTopUp())])),
                $chain->terms->intervalHours === null || $chain->terms->dripOnly
                    ? ''
                    : $say('hours_stay', [
                        'left' => $q->hours($chain->wax->life->leftHours ?? 0.0),
                        'interval' => $q->hours($chain->terms->intervalHours),
                    ]),
                $chain->terms->dripOnly
                    ? ''
                    : ($chain->mayTopUp()
                        ? trans_choice('drip.plan.which', $chain->wax->topUps + 1, [
                            'most' => (string) $this->translator->settings->topUpsMost(),
                        ])
                        : $say('too_many', ['count' => (string) $chain->wax->topUps])),
                $needs->new ? $say('new') : '',
                $needs->wash === null
                    ? ''
                    : $say('washed', ['condition' => $this->translator->say("chain.condition.{$needs->wash->value}")]),
            ]),
        );
    }

    /** How much goes on, and how it is counted. */
    private function dose(DripDraft $draft): string
    {
        $q = $this->translator->quantities;
        $box = $draft->choices->box;
        $code = match (true) {
            $draft->choices->place === DripPlace::InBox => $box === null ? 'dose_box' : 'dose_in_box',
            $draft->choices->manner === DripManner::Line => 'dose_line',
            default => 'dose',
        };

        return trans_choice("drip.plan.{$code}", $draft->choices->coats, [
            'drops' => $q->number($draft->dose->drops),
            'ml' => $q->volume($draft->dose->ml, 1),
            'covers' => $box === null ? '' : $q->volume($box->coversMl($draft->chainG)),
        ]);
    }

    /** @return array{left: string, about: string} */
    public function bottle(BottleState $bottle): array
    {
        $q = $this->translator->quantities;

        return [
            'left' => $this->translator->say('drip.bottle.left', [
                'left' => $q->volume($bottle->leftMl),
                'volume' => $q->volume($bottle->volumeMl),
            ]),
            'about' => implode(
                ', ',
                array_filter([
                    $bottle->openedOn === null
                        ? $this->translator->say('drip.bottle.shut')
                        : $this->translator->say('drip.bottle.opened', ['day' => $this->longDay($bottle->openedOn)]),
                    trans_choice('drip.bottle.given', $bottle->given),
                    $bottle->emptyOn === null
                        ? ''
                        : $this->translator->say('drip.bottle.empty_on', ['day' => $this->translator->farDay($bottle->emptyOn)]),
                    $bottle->paceMl > 0.0 ? $this->translator->say('drip.bottle.pace', ['ml' => $q->volume(7 * $bottle->paceMl, 1)]) : '',
                ]),
            ),
        ];
    }

    /** A day in a word and the hour: "tomorrow, 07:40". */
    public function at(int $unixS): string
    {
        $q = $this->translator->quantities;

        return $this->translator->dayWord($q->date($unixS, 'yyyy-MM-dd')) . ', ' . $q->time($unixS);
    }

    /** A bottle lasts for years. */
    private function longDay(string $date): string
    {
        return $this->translator->quantities->date(LocalDay::named($date, $this->translator->zone())->startS(), 'd MMM y');
    }

    private function after(DripDraft $draft, BottleState $bottle): string
    {
        $q = $this->translator->quantities;
        $name = ['bottle' => $this->translator->names->bottle($bottle->bottleId)];

        return $bottle->does($draft->dose->ml)
            ? trans_choice('drip.plan.bottle', $draft->dose->applicationsLeft ?? 0, $name)
            : $this->translator->say(
                'drip.plan.short',
                $name + ['left' => $q->volume($bottle->leftMl, 1), 'ml' => $q->volume($draft->dose->ml, 1)],
            );
    }
}
