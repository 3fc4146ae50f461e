<?php

declare(strict_types=1);

namespace App\Text;

use App\Guided\GuidedKind;
use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Next\DripOfPlan;
use Dripel\Core\Next\NextItem;
use Dripel\Core\Next\NextKind;
use Dripel\Core\Next\OpenJob;
use Dripel\Core\Next\PotOfPlan;
use Dripel\Core\Next\Verb;
use Dripel\Core\Next\WaitingFiles;
use Dripel\Core\Plan\ChainSupply;
use Dripel\Core\Plan\GoodUntil;
use Dripel\Core\Plan\WetPath;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Wear\WearForecastResult;

/** The Next list in sentences: what to do and why, with figures. */
final readonly class NextWords
{
    public function __construct(private Translator $translator, private ChainWords $chainWords) {}

    /** @return array{string, string} the title and the reason */
    public function sentences(NextItem $item): array
    {
        $parameters = $this->parameters($item);

        return [
            $this->translator->say($this->titleCode($item), $parameters),
            trans_choice($this->reasonCode($item), $this->count($item), $parameters),
        ];
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
            $item->kind === NextKind::NoneWaxed && $item->verb === null => 'none_waxed_strip',
            $item->about instanceof OpenJob => match ($item->about->kind) {
                GuidedKind::Drip->value => 'job_drip',
                GuidedKind::PotDay->value => $item->about->planned ? 'job_planned' : 'job_pot_day',
                default => 'job',
            },
            $item->about instanceof BathState => 'bath_' . ($item->about->ledger?->next->value ?? 'ok'),
            $item->kind === NextKind::WetDried && $item->about instanceof WetPath => 'wet_dried' .
                ($item->about->options === [] ? '' : "_{$item->about->options[0]->way->value}"),
            $item->kind === NextKind::ToppedUp && $item->swapTo !== null => 'topped_up_swap',
            $item->kind === NextKind::Overdue && $item->verb === Verb::TopUp => 'overdue_drip',
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
            NextKind::Outrun => $about instanceof GoodUntil && $about->shortKm !== null ? 'outrun' : 'outrun_average',
            NextKind::Measure => $chain?->wear->reading === null ? 'measure_first' : 'measure',
            NextKind::Buy => match (true) {
                $about instanceof ChainSupply && $about->tooFew() => 'buy_now',
                $about instanceof ChainSupply && $about->inUse === 1 => 'buy_one',
                default => 'buy',
            },
            NextKind::Bare => $item->late ? 'bare_late' : ($item->urgent ? 'bare_soon' : 'bare'),
            NextKind::WetDried => $item->swapTo === null ? 'wet_dried' : 'wet_dried_swap',
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

    /**
     * The day it should be done by, in a word, and the hour where that matters.
     *
     * @return array{string, string}
     */
    public function when(NextItem $item): array
    {
        $q = $this->translator->quantities;

        return [
            $item->date === null ? $this->translator->say('next.any_day') : ucfirst($this->translator->dayWord($item->date)),
            match (true) {
                $item->late => $this->translator->say('next.late'),
                $item->byS !== null => $this->translator->say('next.by', ['time' => $q->time($item->byS)]),
                $item->kind === NextKind::Outrun && $item->about instanceof GoodUntil && $item->about->rideKm !== null
                    => $this->translator->say('next.before', ['km' => $q->distance($item->about->rideKm)]),
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
            'chain' => $chain === null ? '' : $names->chain($chain->chainId),
            'full' => $chain === null ? '' : $names->fullChain($chain->chainId),
            'chains' => $names->chains($item->kind === NextKind::NoneWaxed ? array_slice($ids, 1) : $ids),
            'count' => $counts ? $this->count($item) : count($item->chains),
            'topups' => $chain === null ? '' : trans_choice('words.times', $chain->wax->topUps),
            'swap' => $item->swapTo === null ? '' : $names->chain($item->swapTo->chainId),
            'swap_left' => $item->swapTo === null ? '' : $q->left($item->swapTo->leftKm()),
            'left' => $chain === null ? '' : $q->left($chain->leftKm()),
            'ridden' => $chain === null ? '' : $q->ridden($chain->wax->cycleKm()),
            'interval' => $chain === null ? '' : $q->distance($chain->terms->intervalKm),
            'hours' => $chain?->terms->intervalHours === null ? '' : $q->hours($chain->terms->intervalHours),
            'wear' => $chain === null ? '' : $this->chainWords->elongation($chain->wear->result),
            'limit' => $chain === null ? '' : $q->mark($chain->terms->limitPct),
            'bare' => $chain?->dryness->bareSinceS === null ? '' : $q->hours(($chain->nowS - $chain->dryness->bareSinceS) / 3600),
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
            $about instanceof GoodUntil => [
                'ride' => $about->rideKm === null ? '' : $q->distance($about->rideKm),
                'weekly' => $q->distance($about->weeklyKm),
                'day' => $this->translator->dayWord($about->date),
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
                'plan_end' => $this->translator->dayWord($about->plan->date($about->plan->terms->days - 1)),
            ],
            $about instanceof DripOfPlan => ['drip_day' => $this->translator->dayWord($about->plan->date($about->drip->day))],
            $about instanceof ChainSupply => [
                'short' => $about->shortOn === null ? '' : $this->translator->dayWord($about->shortOn),
                'wanted' => trans_choice('wear.supply.wanted', $about->wanted),
            ],
            default => [],
        };
    }
}
