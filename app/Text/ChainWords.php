<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Interval\DueBecause;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\WaxLeft;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Wear\WearReadingResult;

/** The state of a chain in words. */
final readonly class ChainWords
{
    public function __construct(private Translator $translator) {}

    /** The short word under a hanging chain: "waxed", "ridden 297 km", "bare 4 h 40". */
    public function status(ChainState $chain): string
    {
        $q = $this->translator->quantities;

        $ridden = $chain->status === ChainStatus::Ridden;
        $also = $ridden ? $this->alsoLeft($chain) : '';
        $code = match (true) {
            $ridden && $chain->terms->hoursAlone => 'chain.status.ridden_hours_alone',
            $also !== '' => 'chain.status.ridden_both',
            default => "chain.status.{$chain->status->value}",
        };

        return $this->translator->say($code, [
            'hours' => $ridden ? $this->hours($chain) : '',
            'also' => $also,
            'km' => $q->ridden($chain->wax->cycleKm()),
            'left' => $this->translator->wax->left($chain->left()),
            'bare' => $chain->dryness->bareSinceS === null ? '' : $q->hours(($chain->nowS - $chain->dryness->bareSinceS) / 3600),
        ]);
    }

    /** "4 h 12 of 10 h left", where its bike goes by hours and it has wax; else empty. */
    public function hours(ChainState $chain): string
    {
        $left = $chain->wax->life?->leftHours;
        $interval = $chain->terms->intervalHours;

        return $left === null || $interval === null || !$chain->wax->known
            ? ''
            : $this->translator->say('chain.left_of', [
                'left' => $this->translator->quantities->hours($left),
                'interval' => $this->translator->quantities->hours($interval),
            ]);
    }

    /** What is left in the measure that does not run out first, where its bike goes by both; else empty. */
    public function alsoLeft(ChainState $chain): string
    {
        $q = $this->translator->quantities;

        return match (true) {
            $chain->terms->hoursAlone || !$chain->wax->known => '',
            $chain->left()->byHours => $this->translator->say('chain.left_of', [
                'left' => $q->left($chain->leftKm()),
                'interval' => $q->distance($chain->terms->intervalKm),
            ]),
            default => $this->hours($chain),
        };
    }

    /** What a ride left on the chain: "140 km left"; null where it had no wax. */
    public function leftAfter(WaxLeft $left): ?string
    {
        return match (true) {
            !$left->waxed => null,
            !$left->known => $this->translator->say('chain.timeline.unknown_left'),
            default => $this->translator->say($left->coat > 0 ? 'chain.timeline.left' : 'chain.timeline.nothing_left', [
                'left' => $this->translator->wax->left($left),
            ]),
        };
    }

    /** The line below it: since when, or what it needs before the pot. */
    public function detail(ChainState $chain): string
    {
        $q = $this->translator->quantities;
        if ($chain->wear->pastLimit && !$chain->retired()) {
            return $this->translator->say('chain.detail.worn', ['limit' => $q->mark($chain->terms->limitPct)]);
        }
        if ($chain->readyAtS !== null) {
            $day = LocalDay::of($chain->readyAtS, $this->translator->zone())->date;

            return $day === LocalDay::of($chain->nowS, $this->translator->zone())->date
                ? $this->translator->say('chain.detail.not_ready', ['time' => $q->time($chain->readyAtS)])
                : $this->translator->say('chain.detail.not_ready_day', ['day' => $this->translator->dayWord($day)]);
        }
        if ($chain->keptFor?->waits($chain->nowS, $this->translator->settings) === true && $chain->status === ChainStatus::Waxed) {
            return $this->translator->say('chain.detail.kept', ['event' => $chain->keptFor->event]);
        }
        $worst = $chain->wax->worstCondition();

        return match ($chain->status) {
            ChainStatus::Waxed => $chain->wax->dip === null ? '' : $q->day($chain->wax->dip->moment->unixS),
            ChainStatus::Bare => $this->translator->say(
                $chain->dryness->bare !== null && $chain->dryness->bare->hoursLeft <= 0 ? 'chain.detail.rusting' : 'chain.detail.rusts',
                [
                    'time' => $q->time($chain->nowS + (int) round(3600 * ($chain->dryness->bare->hoursLeft ?? 0))),
                ],
            ),
            ChainStatus::Unwaxed, ChainStatus::Oiled => $this->translator->say('chain.detail.strip_first'),
            ChainStatus::Unsure => $this->translator->say('chain.detail.unsure', ['km' => $q->ridden($chain->wax->cycleKm())]),
            ChainStatus::Retired => '',
            default => $worst === null
                ? ''
                : $this->translator->say($worst->wantsRinse() ? 'chain.detail.rinse' : 'chain.detail.no_rinse', [
                    'condition' => $this->translator->say("chain.condition.{$worst->value}"),
                ]),
        };
    }

    /** The last reading and its day: "measured 0.21 % on 3 Oct". What is believed now is told apart from it. */
    public function measured(ChainState $chain): string
    {
        return $chain->wear->reading === null
            ? $this->translator->say('chain.wear.none')
            : $this->translator->say('chain.wear.measured', [
                'wear' => $this->elongation($chain->wear->result),
                'day' => $this->translator->quantities->date($chain->wear->reading->moment->unixS, 'd MMM'),
            ]);
    }

    /** Reading and distance: "measured 0.21 % on 3 Oct, 4,880 km". */
    public function wear(ChainState $chain): string
    {
        return $this->translator->say('chain.wear_line', [
            'wear' => $this->measured($chain),
            'km' => $this->translator->quantities->ridden($chain->km),
        ]);
    }

    /** The reading beside the limit: "measured 0.21 % on 3 Oct, limit 0.5 %". */
    public function wearAndLimit(ChainState $chain): string
    {
        return $this->translator->say('chain.wear.with_limit', [
            'limit' => $this->translator->quantities->mark($chain->terms->limitPct),
            'wear' => $this->measured($chain),
        ]);
    }

    /** A reading as it was made: a value, or between which marks. */
    public function elongation(?WearReadingResult $wear): string
    {
        $q = $this->translator->quantities;

        return match (true) {
            $wear === null => $this->translator->say('chain.wear.none'),
            $wear->valuePct !== null => $q->percent($wear->valuePct),
            $wear->lowerPct === null => $this->translator->say('chain.wear.below', ['upper' => $q->mark((float) $wear->upperPct)]),
            $wear->upperPct === null => $this->translator->say('chain.wear.above', ['lower' => $q->mark($wear->lowerPct)]),
            default => $this->translator->say('chain.wear.between', [
                'lower' => $q->number($wear->lowerPct, 2),
                'upper' => $q->mark($wear->upperPct),
            ]),
        };
    }

    /**
     * Why it is due, or how long its wax will do: three parts, the middle one stressed.
     *
     * @return array{string, string, string}
     */
    public function outlook(ChainState $chain, Rail $rail): array
    {
        $q = $this->translator->quantities;
        $until = $rail->goodUntil;
        $week = $q->distance($rail->habit->weeklyKm);
        $because = $chain->wax->life?->because;
        $waits = $chain->wax->topUps > 0 || $chain->terms->dripOnly ? 'drying' : 'setting';
        $plain = fn(string $code, string $km = '') => [$this->translator->say("chain.outlook.{$code}", ['km' => $km]), '', ''];

        return match (true) {
            $chain->status === ChainStatus::Oiled => $plain('oiled'),
            $chain->wax->life === null => $plain($chain->dryness->bare === null ? 'no_wax' : 'bare'),
            $chain->status === ChainStatus::Unsure => $plain('unsure', $q->ridden($chain->wax->cycleKm())),
            $because === DueBecause::Wet && $chain->dryness->driedS !== null => $plain('due_wet_dried'),
            $because !== null => $plain("due_{$because->value}"),
            $chain->readyAtS !== null => [
                $this->translator->say("chain.outlook.{$waits}"),
                (new DripWords($this->translator))->at($chain->readyAtS),
                $this->translator->say("chain.outlook.{$waits}_then"),
            ],
            $until === null && $rail->habit->weeklyKm <= 0.0 => $plain('no_rides'),
            $until === null => $plain('long', $week),
            $until->shortKm !== null => [
                $this->translator->say('chain.outlook.until'),
                $this->translator->dayWord($until->date),
                $this->translator->say('chain.outlook.short', [
                    'short' => $q->distance(max(1.0, $until->shortKm)),
                    'ride' => $q->distance($until->rideKm),
                ]),
            ],
            $until->shortHours !== null => [
                $this->translator->say('chain.outlook.until'),
                $this->translator->dayWord($until->date),
                $this->translator->say('chain.outlook.short', [
                    'short' => $q->hours(max(1 / 60, $until->shortHours)),
                    'ride' => $q->hours($until->rideHours),
                ]),
            ],
            default => [
                $this->translator->say('chain.outlook.until'),
                $this->translator->say('chain.outlook.about', ['day' => $this->translator->dayWord($until->date)]),
                $this->translator->say('chain.outlook.rate', ['km' => $week]),
            ],
        };
    }
}
