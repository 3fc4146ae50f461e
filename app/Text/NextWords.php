<?php

declare(strict_types=1);

namespace App\Text;

use App\Guided\GuidedKind;
use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Plan\NextItem;
use Dripel\Core\Plan\NextKind;
use Dripel\Core\Plan\Verb;

/** The Next list in sentences: what to do and why, with figures. */
final readonly class NextWords
{
    public function __construct(private Voice $voice, private ChainWords $chainWords) {}

    /** @return array{string, string} the title and the reason */
    public function sentences(NextItem $item): array
    {
        $parameters = $this->parameters($item);

        return [
            $this->voice->say($this->titleCode($item), $parameters),
            trans_choice($this->reasonCode($item), $this->count($item), $parameters),
        ];
    }

    /** What the reason counts. */
    private function count(NextItem $item): int
    {
        return match (true) {
            $item->supply !== null => $item->supply->inUse,
            $item->kind === NextKind::Wipe => $item->chains[0]->ridesSinceCare,
            $item->kind === NextKind::RidesIn => $item->files,
            default => max(1, count($item->rides)),
        };
    }

    private function titleCode(NextItem $item): string
    {
        $code = match (true) {
            $item->kind === NextKind::NoneWaxed && $item->verb === null => 'none_waxed_strip',
            $item->kind === NextKind::Job => match (true) {
                $item->job?->kind === GuidedKind::Drip->value => 'job_drip',
                $item->job?->kind !== GuidedKind::PotDay->value => 'job',
                default => $item->job->planned ? 'job_planned' : 'job_pot_day',
            },
            $item->kind === NextKind::Bath => 'bath_'.($item->bath?->ledger?->next->value ?? 'ok'),
            $item->kind === NextKind::WetDried => 'wet_dried'.($item->wet === null || $item->wet->options === [] ? '' : "_{$item->wet->options[0]->way->value}"),
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
        $code = match ($item->kind) {
            NextKind::Overdue => 'overdue_'.($chain?->life?->because->value ?? 'distance'),
            NextKind::Outrun => $item->goodUntil?->shortKm === null ? 'outrun_average' : 'outrun',
            NextKind::Measure => $chain?->reading === null ? 'measure_first' : 'measure',
            NextKind::Buy => match (true) {
                $item->supply?->tooFew() === true => 'buy_now',
                ($item->supply->inUse ?? 0) === 1 => 'buy_one',
                default => 'buy',
            },
            NextKind::Bare => $item->late ? 'bare_late' : ($item->urgent ? 'bare_soon' : 'bare'),
            NextKind::WetDried => $item->swapTo === null ? 'wet_dried' : 'wet_dried_swap',
            NextKind::Bath => 'bath_'.($item->bath?->ledger?->next->value ?? 'ok'),
            NextKind::Job => $item->job?->planned === true ? ($item->byS === null ? 'job_planned_now' : 'job_planned') : ($item->byS === null ? 'job' : 'job_rest'),
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
        $q = $this->voice->quantities;

        return [
            $item->date === null ? $this->voice->say('next.any_day') : ucfirst($this->voice->dayWord($item->date)),
            match (true) {
                $item->late => $this->voice->say('next.late'),
                $item->byS !== null => $this->voice->say('next.by', ['time' => $q->time($item->byS)]),
                $item->goodUntil?->rideKm !== null && $item->kind === NextKind::Outrun => $this->voice->say('next.before', ['km' => $q->distance($item->goodUntil->rideKm)]),
                default => '',
            },
        ];
    }

    /** @return array<string, string|int|float> */
    private function parameters(NextItem $item): array
    {
        $q = $this->voice->quantities;
        $names = $this->voice->names;
        $chain = $item->chains[0] ?? null;
        $ids = array_map(fn(ChainState $c) => $c->chainId, $item->chains);

        return [
            'bike' => $names->bike($item->bikeId),
            'chain' => $chain === null ? '' : $names->chain($chain->chainId),
            'full' => $chain === null ? '' : $names->fullChain($chain->chainId),
            'chains' => $names->chains($item->kind === NextKind::NoneWaxed ? array_slice($ids, 1) : $ids),
            'count' => $item->supply === null && $item->kind !== NextKind::Wipe && $item->kind !== NextKind::RidesIn ? count($item->chains) : $this->count($item),
            'topups' => $chain === null ? '' : trans_choice('words.times', $chain->topUps),
            'swap' => $item->swapTo === null ? '' : $names->chain($item->swapTo->chainId),
            'swap_left' => $item->swapTo === null ? '' : $q->left($item->swapTo->leftKm()),
            'left' => $chain === null ? '' : $q->left($chain->leftKm()),
            'ridden' => $chain === null ? '' : $q->ridden($chain->cycleKm()),
            'interval' => $chain === null ? '' : $q->distance($chain->terms->intervalKm),
            'hours' => $chain?->terms->intervalHours === null ? '' : $q->hours($chain->terms->intervalHours),
            'wear' => $chain === null ? '' : $this->chainWords->elongation($chain->wear),
            'limit' => $chain === null ? '' : $q->mark($chain->terms->limitPct),
            'bare' => $chain?->bareSinceS === null ? '' : $q->hours(($chain->nowS - $chain->bareSinceS) / 3600),
            'time' => $item->byS === null ? '' : $q->time($item->byS),
            'wet_day' => $chain?->wetRide === null ? '' : $q->day($chain->wetRide->moment->unixS),
            'wet_km' => $chain?->wetRide === null ? '' : $q->distance($chain->wetRide->km),
            'ride' => $item->goodUntil?->rideKm === null ? '' : $q->distance($item->goodUntil->rideKm),
            'weekly' => $item->goodUntil === null ? '' : $q->distance($item->goodUntil->weeklyKm),
            'day' => $item->goodUntil === null ? '' : $this->voice->dayWord($item->goodUntil->date),
            'rides' => count($item->rides),
            'ride_day' => $item->rides === [] ? '' : $q->day($item->rides[0]->moment->unixS),
            'event' => $chain->keptFor->event ?? '',
            'event_day' => $chain?->keptFor === null ? '' : $this->voice->dayWord($chain->keptFor->on),
            'dipped_after' => $chain?->keptFor?->dippedAfter === null ? '' : $this->voice->dayWord($chain->keptFor->dippedAfter),
            'left_bare' => $chain?->bare === null ? '' : $q->hours(max(0.0, $chain->bare->hoursLeft)),
            'step' => $item->job === null ? '' : (new JobWords($this->voice))->title($item->job),
            'jar' => $names->jar($item->jar?->jarId),
            'pot' => $names->pot($item->bath?->potId),
            'wax' => $item->bath?->ledger === null ? '' : $q->mass($item->bath->ledger->waxG),
            'grit' => $item->bath?->ledger === null ? '' : $q->number($item->bath->ledger->grit, 1),
            'grit_limit' => $q->number(BathLedgerInput::GRIT_LIMIT),
            'now' => $item->wear === null ? '' : $q->number(max(0.0, $item->wear->nowMean), 2),
            'low' => $item->wear === null ? '' : $q->number(max(0.0, $item->wear->nowP10), 2),
            'high' => $item->wear === null ? '' : $q->number(max(0.0, $item->wear->nowP90), 2),
            'measured' => $chain?->reading === null ? '' : $q->day($chain->reading->moment->unixS),
            'pot_time' => $item->pot === null || $item->plan === null ? '' : (new AheadWords($this->voice, $item->plan))->minutes((new AheadWords($this->voice, $item->plan))->potMinutes($item->pot)),
            'plan_end' => $item->plan === null ? '' : $this->voice->dayWord($item->plan->date($item->plan->terms->days - 1)),
            'drip_day' => $item->plan === null || $item->drip === null ? '' : $this->voice->dayWord($item->plan->date($item->drip->day)),
            'short' => $item->supply?->shortOn === null ? '' : $this->voice->dayWord($item->supply->shortOn),
            'wanted' => $item->supply === null ? '' : trans_choice('wear.supply.wanted', $item->supply->wanted),
            'cleanings' => $item->jar === null ? '' : (string) $item->jar->cleanings,
            'ride_km' => $q->distance(array_sum(array_map(fn(Ride $ride) => $ride->km, $item->rides))),
        ];
    }
}
