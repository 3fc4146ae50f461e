<?php

declare(strict_types=1);

namespace App\Text;

use App\Guided\GuidedKind;
use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Care\Conversion;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Next\DripOfPlan;
use Dripel\Core\Next\NextItem;
use Dripel\Core\Next\NextKind;
use Dripel\Core\Next\NextPart;
use Dripel\Core\Next\OpenJob;
use Dripel\Core\Next\PotOfPlan;
use Dripel\Core\Next\RideOfPlan;
use Dripel\Core\Next\SwapOfPlan;
use Dripel\Core\Next\Verb;
use Dripel\Core\Next\WaitingFiles;
use Dripel\Core\Next\WayOut;
use Dripel\Core\Plan\ChainSupply;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Wear\WearForecastResult;

/** The Next list in sentences: what to do and why, with figures. */
final readonly class NextWords
{
    public function __construct(private Translator $translator, private ChainWords $chainWords) {}

    /** @return array{string, string} the title and the reason */
    public function sentences(NextItem $item): array
    {
        if ($item->steps !== []) {
            return match ($item->kind) {
                NextKind::Evening => $this->evening($item),
                NextKind::Chores => $this->chores($item),
                default => $this->alike($item),
            };
        }
        $parameters = $this->parameters($item);

        return [
            $this->translator->say($this->titleCode($item), $parameters),
            trans_choice($this->reasonCode($item), $this->count($item), $parameters),
        ];
    }

    /** @return array{string, string} an evening's work in the order in which it is done, and why the bench at all */
    private function evening(NextItem $item): array
    {
        $work = [];
        foreach ($item->steps as $step) {
            $work[$this->work($step)][] = $step;
        }
        $phrases = array_map(
            fn(string $code, array $steps) => $this->translator->say("next.work.{$code}", [
                'chains' => $this->translator->names->chains(self::chainIds($steps)),
                'bikes' => $this->translator->names->list(
                    array_map(
                        fn(NextItem $step) => $this->translator->say('next.work.onto', [
                            'bike' => $this->translator->names->bike($step->bikeId),
                            'chain' => $step->swapTo === null ? '' : $this->translator->names->chain($step->swapTo->chainId),
                        ]),
                        $steps,
                    ),
                ),
            ]),
            array_keys($work),
            $work,
        );
        $because = array_values(
            array_filter(
                $item->steps,
                fn(NextItem $step) => !in_array($step->kind, [NextKind::Measure, NextKind::Wipe, NextKind::Worn], true),
            ),
        );

        return [ucfirst(implode(', ', $phrases)), $this->sentences($because[0] ?? $item->steps[0])[1]];
    }

    private function work(NextItem $step): string
    {
        return match ($step->kind) {
            NextKind::Measure => 'measure',
            NextKind::Wipe => 'wipe',
            NextKind::Worn => 'retire',
            NextKind::PlannedPot => 'pot',
            NextKind::Job => match ($step->about instanceof OpenJob ? $step->about->kind : null) {
                OpenJob::POT_DAY => 'pot',
                GuidedKind::Drip->value => 'drip',
                GuidedKind::Fit->value, GuidedKind::Care->value => 'at_bike',
                default => 'strip',
            },
            NextKind::PlannedDrip => 'drip',
            default => 'swap',
        };
    }

    /** @return array{string, string} how many small things, and the first of them */
    private function chores(NextItem $item): array
    {
        $titles = array_map(fn(NextItem $step) => lcfirst($this->sentences($step)[0]), $item->steps);

        return [
            trans_choice('next.chores', count($titles)),
            $this->translator->say('next.chores_first', ['first' => ucfirst($titles[0]), 'second' => $titles[1]]),
        ];
    }

    /** @return array{string, string} several of a kind, and why the first */
    private function alike(NextItem $item): array
    {
        $names = $this->translator->names;
        $all = array_values(
            array_unique(
                array_map(
                    fn(NextItem $step) => match (true) {
                        $step->about instanceof JarState => $names->jar($step->about->jarId),
                        $step->about instanceof BathState => $names->pot($step->about->potId),
                        in_array(
                            $step->kind,
                            [NextKind::Convert, NextKind::Buy, NextKind::NoChain, NextKind::Commute, NextKind::Unmet],
                            true,
                        ),
                        $step->swapTo !== null
                            => $names->bike($step->bikeId),
                        $step->chains === [] => '',
                        default => $names->fullChain($step->chains[0]->chainId),
                    },
                    $item->steps,
                ),
            ),
        );

        return [
            // @phpstan-ignore dripel.text (what has an evening is grouped by it, and files that wait are one thing)
            $this->translator->say("next.group.{$item->kind->value}", [
                'all' => $names->list($all),
                'count' => (string) count($item->steps),
            ]),
            $this->sentences($item->steps[0])[1],
        ];
    }

    /**
     * @param list<NextItem> $steps
     *
     * @return list<int>
     */
    private static function chainIds(array $steps): array
    {
        return array_map(fn(ChainState $chain) => $chain->chainId, array_merge(...array_map(fn(NextItem $step) => $step->chains, $steps)));
    }

    /** What the reason counts. */
    private function count(NextItem $item): int
    {
        return match (true) {
            $item->about instanceof ChainSupply => $item->about->inUse,
            $item->kind === NextKind::Wipe => $item->chains[0]->ridesSinceCare,
            $item->about instanceof WaitingFiles => $item->about->count,
            default => max(1, count($item->rides)),
        };
    }

    private function titleCode(NextItem $item): string
    {
        $code = match (true) {
            $item->about instanceof OpenJob => match ($item->about->kind) {
                GuidedKind::Drip->value => 'job_drip',
                GuidedKind::Fit->value => 'job_fit',
                GuidedKind::Care->value => 'job_care',
                GuidedKind::PotDay->value => $item->about->planned ? 'job_planned' : 'job_pot_day',
                default => 'job',
            },
            $item->about instanceof BathState => 'bath_' . ($item->about->ledger?->next->value ?? 'ok'),
            $item->kind === NextKind::Overdue && $item->verb === Verb::TopUp => 'overdue_drip',
            $item->kind === NextKind::Bare && $item->verb === Verb::TopUp => 'bare_drip',
            $item->kind === NextKind::NoChain && $item->verb === Verb::Add => 'no_chain_add',
            in_array($item->kind, [NextKind::Overdue, NextKind::Unsure], true) && $item->swapTo === null => "{$item->kind->value}_dip",
            default => $item->kind->value,
        };

        return "next.title.{$code}";
    }

    private function reasonCode(NextItem $item): string
    {
        $chain = $item->chains[0] ?? null;
        $about = $item->about;
        $code = match ($item->kind) {
            NextKind::Overdue => 'overdue_' . ($chain?->wax->life?->because->value ?? 'distance'),
            NextKind::Outrun => ($about instanceof SwapOfPlan && $about->fresh ? 'outrun_fresh' : 'outrun') . $this->wax($about),
            NextKind::Unmet => match (true) {
                !($about instanceof RideOfPlan && $about->day->due()) => 'unmet' . $this->wax($about),
                $chain?->wax->known === false => 'unmet_unsure',
                default => 'unmet_due',
            },
            NextKind::PlannedPot => $about instanceof PotOfPlan && !$about->plan->whole() ? 'planned_pot_broken' : 'planned_pot',
            NextKind::Convert => 'convert_' . ($about instanceof Conversion ? $about->current()->value : ''),
            NextKind::Strip => $chain?->wax->oiled === true ? 'strip_oiled' : 'strip',
            NextKind::Measure => $chain?->wear->reading === null ? 'measure_first' : 'measure',
            NextKind::Buy => match (true) {
                $about instanceof ChainSupply && $about->tooFew() => 'buy_now',
                $about instanceof ChainSupply && $about->inUse === 1 => 'buy_one',
                default => 'buy',
            },
            NextKind::Bare => $item->late ? 'bare_late' : ($item->urgent ? 'bare_soon' : 'bare'),
            NextKind::Bath => 'bath_' . ($about instanceof BathState ? $about->ledger->next->value ?? 'ok' : 'ok'),
            NextKind::Job => $about instanceof OpenJob && $about->planned
                ? ($item->byS === null
                    ? 'job_planned_now'
                    : 'job_planned')
                : ($item->byS === null
                    ? 'job'
                    : 'job_rest'),
            default => $item->kind->value,
        };

        return "next.reason.{$code}";
    }

    /** Its own words where a ride takes other wax than its km, or hours of it. */
    private function wax(mixed $about): string
    {
        return ($about instanceof SwapOfPlan || $about instanceof RideOfPlan) &&
            !(new PlanWords($this->translator, $about->plan))->takesAsMuch($about->day)
            ? '_wax'
            : '';
    }

    /**
     * The day it should be done by, in a word, and the hour where that matters.
     *
     * @return array{string, string}
     */
    public function when(NextItem $item): array
    {
        $q = $this->translator->quantities;

        return [
            match (true) {
                $item->evening !== null => ucfirst($this->translator->dayWord($item->evening)),
                $item->part() === NextPart::AnyDay => $this->translator->say('next.any_day'),
                default => ucfirst($this->translator->dayWord((string) $item->date)),
            },
            match (true) {
                $item->late => $this->translator->say('next.late'),
                $item->about instanceof SwapOfPlan && $item->about->afterRide => $this->translator->say('next.after_ride'),
                $item->byS !== null => $this->translator->say('next.by', ['time' => $q->time($item->byS)]),
                $item->minutes > 0.0 => $q->hours($item->minutes / 60.0),
                default => '',
            },
        ];
    }

    /** @return array<string, string|int|float> */
    private function parameters(NextItem $item): array
    {
        $q = $this->translator->quantities;
        $names = $this->translator->names;
        $chain = $item->chains[0] ?? null;
        $ids = array_map(fn(ChainState $c) => $c->chainId, $item->chains);
        $counts = $item->about instanceof ChainSupply || $item->about instanceof WaitingFiles || $item->kind === NextKind::Wipe;

        return $this->details($item) + [
            'bike' => $names->bike($item->bikeId),
            'chain' => $chain === null ? '' : $names->chainOn($item->bikeId, $chain->chainId),
            'full' => $chain === null ? '' : $names->fullChain($chain->chainId),
            'chains' => $names->chains($ids),
            'count' => $counts ? $this->count($item) : count($item->chains),
            'topups' => $chain === null ? '' : trans_choice('words.times', $chain->wax->topUps),
            'swap' => $item->swapTo === null ? '' : $names->chain($item->swapTo->chainId),
            'ridden' => $chain === null ? '' : $q->ridden($chain->wax->cycleKm()),
            'interval' => $chain === null ? '' : $this->translator->wax->interval($chain->terms),
            'hours' => $chain?->terms->intervalHours === null ? '' : $q->hours($chain->terms->intervalHours),
            'wear' => $chain === null ? '' : $this->chainWords->elongation($chain->wear->result),
            'limit' => $chain === null ? '' : $q->mark($chain->terms->limitPct),
            'bare' => $chain?->dryness->bareSinceS === null ? '' : $q->hours(($chain->nowS - $chain->dryness->bareSinceS) / 3600),
            'way' => '',
            'time' => $item->byS === null ? '' : $q->time($item->byS),
            'wet_day' => $chain?->dryness->wetRide === null ? '' : $q->day($chain->dryness->wetRide->moment->unixS),
            'wet_km' => $chain?->dryness->wetRide === null ? '' : $q->distance($chain->dryness->wetRide->km),
            'rides' => count($item->rides),
            'ride_day' => $item->rides === [] ? '' : $q->day($item->rides[0]->moment->unixS),
            'event' => $chain->keptFor->event ?? '',
            'event_day' => $chain?->keptFor === null ? '' : $this->translator->dayWord($chain->keptFor->on),
            'dipped_after' => $chain?->keptFor?->dippedAfter === null ? '' : $this->translator->dayWord($chain->keptFor->dippedAfter),
            'left_bare' => $chain?->dryness->bare === null ? '' : $q->hours(max(0.0, $chain->dryness->bare->hoursLeft)),
            'measured' => $chain?->wear->reading === null ? '' : $q->day($chain->wear->reading->moment->unixS),
            'ride_km' => $q->distance(array_sum(array_map(fn(Ride $ride) => $ride->km, $item->rides))),
        ];
    }

    /** @return array<string, string> what only its kind knows; the rest of what a sentence may ask for is empty */
    private function details(NextItem $item): array
    {
        $q = $this->translator->quantities;
        $names = $this->translator->names;
        $about = $item->about;

        return match (true) {
            $about instanceof SwapOfPlan, $about instanceof RideOfPlan => [
                'ride' => $q->distance($about->day->riddenKm),
                'day' => $this->translator->dayWord($about->date),
                'has' => $this->translator->wax->has($about->day->beforeKm, $about->day->beforeHours),
                'off_has' => $this->translator->wax->has($about->day->offKm, $about->day->offHours),
                'takes' => (new PlanWords($this->translator, $about->plan))->takes($about->day),
            ],
            $about instanceof OpenJob => ['step' => (new JobWords($this->translator))->title($about)],
            $about instanceof JarState => ['jar' => $names->jar($about->jarId), 'cleanings' => (string) $about->cleanings],
            $about instanceof BathState => [
                'pot' => $names->pot($about->potId),
                'wax' => $about->ledger === null ? '' : $q->mass($about->ledger->waxG),
                'grit' => $about->ledger === null ? '' : $q->number($about->ledger->grit, 1),
                'grit_limit' => $q->number(BathLedgerInput::GRIT_LIMIT),
            ],
            $about instanceof WearForecastResult => [
                'now' => $q->number(max(0.0, $about->nowMean), 2),
                'low' => $q->number(max(0.0, $about->nowP10), 2),
                'high' => $q->number(max(0.0, $about->nowP90), 2),
            ],
            $about instanceof PotOfPlan => [
                'pot_time' => ($words = new PlanWords($this->translator, $about->plan))->minutes($words->potMinutes($about->pot)),
                'plan_end' => $this->translator->dayWord($about->plan->days->date($about->plan->terms->days - 1)),
                'first' => $words->first($about->pot),
            ],
            $about instanceof WayOut => [
                'way' =>
                    ($words = new PlanWords($this->translator, $about->plan))->remedy($about->remedy) .
                    ': ' .
                    $words->remedyDoes($about->remedy) .
                    '.',
            ],
            $about instanceof DripOfPlan => ['drip_day' => $this->translator->dayWord($about->rideOn)],
            $about instanceof ChainSupply => [
                'short' => $about->shortOn === null ? '' : $this->translator->dayWord($about->shortOn),
                'wanted' => trans_choice('wear.supply.wanted', $about->wanted),
            ],
            default => [],
        };
    }
}
