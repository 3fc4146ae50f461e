<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Plan\Deadline;
use Dripel\Core\Plan\DipReason;
use Dripel\Core\Plan\DipWhy;
use Dripel\Core\Plan\LaneDay;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlanHours;
use Dripel\Core\Plan\PlannedPotDay;
use Dripel\Core\Plan\PlanRemedy;
use Dripel\Core\Plan\PlanRiskResult;
use Dripel\Core\Plan\RidingPlan;
use Dripel\Core\Plan\WorkshopPlan;

/** The weeks ahead in sentences. */
final readonly class PlanWords
{
    public function __construct(private Translator $translator, private WorkshopPlan $plan) {}

    /** "Sat 5 Dec" */
    public function day(string $date): string
    {
        return $this->translator->quantities->date((int) strtotime("{$date} 12:00 UTC"), 'EEE d MMM');
    }

    public function dayOf(int $day): string
    {
        return $this->day($this->plan->days->date($day));
    }

    public function minutes(float $minutes): string
    {
        return $this->translator->quantities->hours($minutes / 60.0);
    }

    public function headline(): string
    {
        $result = $this->plan->result();
        $end = ['day' => $this->dayOf($this->plan->terms->days - 1)];
        $broken = $this->brokenDays();

        return match (true) {
            $this->plan->bikes === [] && $this->plan->dripBikes === [] => $this->translator->say('ahead.head.nothing'),
            $this->plan->missed() !== [] => $this->missed($this->plan->missed()[0]),
            $broken !== [] => $this->translator->say('ahead.head.blocked', ['day' => $this->dayOf($broken[0])]),
            $this->plan->idle() => $this->translator->say('ahead.head.idle', $end),
            $result->potDays === [] => $this->translator->say('ahead.head.none', $end),
            default => ucfirst(trans_choice('ahead.head.days', count($result->potDays), $end)),
        };
    }

    /** What a ride takes of the wax in every measure of its bike: "136 km of wax". */
    public function takes(LaneDay $day): string
    {
        return $this->translator->say($this->plan->terms->marginPct > 0.0 ? 'ahead.takes_with_reserve' : 'ahead.takes', [
            'needs' => $this->translator->wax->needs($day->afterKm === null ? null : $day->rideKm, $day->rideHours),
        ]);
    }

    /** Whether that is its own km, and no hours: then they say it all. */
    public function takesAsMuch(LaneDay $day): bool
    {
        $q = $this->translator->quantities;

        return $day->rideHours === null && $q->distance($day->rideKm) === $q->distance($day->riddenKm);
    }

    /** @return list<int> days with a ride that no chain can take, the first first */
    private function brokenDays(): array
    {
        $days = array_merge(...array_map(array_keys(...), array_values($this->plan->leftOut())));
        sort($days);

        return $days;
    }

    /** "Heron D rusts from 19:40 on: no pot day is in time" */
    public function missed(Deadline $deadline): string
    {
        return $this->translator->say("ahead.missed.{$deadline->kind->value}", [
            'chain' => $this->translator->names->fullChain($deadline->chainId),
            'day' => $this->translator->dayWord($deadline->by),
            'time' => $deadline->byS === null ? '' : $this->translator->quantities->time($deadline->byS),
        ]);
    }

    public function about(): string
    {
        $result = $this->plan->result();
        if ($result->totalMinutes === null || ($this->plan->bikes === [] && $this->plan->dripBikes === [])) {
            return '';
        }
        if ($this->plan->idle()) {
            return $this->translator->say('ahead.about_idle');
        }
        $pots = array_map(fn(PlannedPotDay $one) => $this->day($this->plan->days->potOn($one->day)), $result->potDays);
        $minutes = $result->totalMinutes - ($result->endMinutes ?? 0.0);

        return $this->translator->say($this->plan->whole() ? 'ahead.about' : 'ahead.about_broken', [
            'pots' => $pots === [] ? '' : $this->translator->names->list($pots) . ', ',
            'time' => $this->minutes($minutes) . $this->worth($minutes),
            'drips' => trans_choice('ahead.drips', count($result->topUps)),
        ]) .
            (($more = $this->plan->terms->minutesTooMany($minutes)) > 0.5
                ? $this->translator->say('ahead.too_much', [
                    'more' => $this->minutes($more),
                    'hours' => $this->minutes(60.0 * (float) $this->plan->terms->hoursWeekly),
                ])
                : '');
    }

    /** "In 9 of 10 such months every ride is on wax; the weak spot is Badger in the week of 7 Dec" */
    public function sure(PlanRiskResult $risk): string
    {
        if ($this->plan->idle()) {
            return '';
        }
        $tenths = (int) floor(10.0 * $risk->allWaxed + 0.05);
        $weak = null;
        foreach ($risk->bikes as $bike) {
            $weak = is_int($bike->id) && $bike->waxed < ($weak->waxed ?? 1.0) ? $bike : $weak;
        }
        $parameters = ['weeks' => $this->translator->quantities->number(($this->plan->terms->days - 1) / 7), 'of' => (string) $tenths];
        if ($weak === null) {
            return $this->translator->say('ahead.sure.all', $parameters);
        }
        $byWeek = [];
        foreach ($weak->firstTrouble as $day => $share) {
            $date = LocalDay::named($this->plan->days->date($day), $this->translator->zone());
            $monday = $date->plus(1 - $date->weekday())->date;
            $byWeek[$monday] = ($byWeek[$monday] ?? 0.0) + $share;
        }
        $week = (string) array_search(max([0.0, ...$byWeek]), $byWeek, true);

        return $this->translator->say(
            $tenths >= 10 ? 'ahead.sure.nearly' : ($tenths === 0 ? 'ahead.sure.hardly' : 'ahead.sure.some'),
            [
                'bike' => $this->translator->names->bike((int) $weak->id),
                'week' => $this->translator->quantities->date((int) strtotime("{$week} 12:00 UTC"), 'd MMM'),
            ] + $parameters,
        );
    }

    /** "12 min more", "as long", "8 min less" */
    public function change(float $minutesMore): string
    {
        return match (true) {
            abs($minutesMore) < 0.5 => $this->translator->say('ahead.change.same'),
            default => $this->translator->say($minutesMore > 0.0 ? 'ahead.change.more' : 'ahead.change.less', [
                'time' => $this->minutes(abs($minutesMore)),
            ]),
        };
    }

    public function remedy(PlanRemedy $remedy): string
    {
        return $this->translator->say("ahead.remedy.{$remedy->kind->value}", [
            'bike' => $remedy->bikeId === null ? '' : $this->translator->names->bike($remedy->bikeId),
            'days' => $this->translator->names->list(array_map($this->translator->dayWord(...), $remedy->dates)),
        ]);
    }

    public function remedyDoes(PlanRemedy $remedy): string
    {
        return $this->translator->say(
            match (true) {
                $remedy->problems === 0 => 'ahead.remedy.does',
                $remedy->helps() => 'ahead.remedy.helps',
                default => 'ahead.remedy.not',
            },
            [
                'change' => $this->change($remedy->minutesMore),
                'left' => (string) $remedy->problems,
                'of' => (string) $remedy->problemsNow,
            ],
        );
    }

    /** Why a pot day dips a chain: "12 km left, ridden next on Sat 28 Nov" */
    public function why(DipReason $reason): string
    {
        return $this->translator->say(
            'ahead.why.' .
                match (true) {
                    $reason->why === DipWhy::Along => ($reason->due() ? 'along_due' : 'along') .
                        ($reason->riddenOn === null ? '_later' : ''),
                    $reason->why === DipWhy::Short && $reason->due() => 'due',
                    default => $reason->why->value,
                },
            [
                'left' => $this->translator->wax->has($reason->leftKm, $reason->leftHours),
                'day' => $reason->riddenOn === null ? '' : $this->dayOf($reason->riddenOn),
            ],
        );
    }

    /** What so much time is worth, where an hour has a price. */
    private function worth(float $minutes): string
    {
        $hourMinor = $this->translator->settings->hourMinor();

        return $hourMinor > 0.0
            ? $this->translator->say('ahead.worth', ['money' => $this->translator->quantities->money(($minutes / 60.0) * $hourMinor)])
            : '';
    }

    /** Its most pressing chain, in a sentence: "Badger A has 12 km left for Sat 28 Nov." */
    public function first(PlannedPotDay $pot): string
    {
        $reasons = $this->plan->walk()->reasons[$pot->day] ?? [];
        usort($reasons, DipReason::compare(...));

        return $reasons === [] ? '' : $this->translator->names->fullChain($reasons[0]->chainId) . ': ' . $this->why($reasons[0]) . '.';
    }

    public function potMinutes(PlannedPotDay $pot): float
    {
        return $this->plan->input->potMinutes(count($pot->dips));
    }

    public function pot(PlannedPotDay $pot): string
    {
        return $this->translator->say($pot->dips === [] ? 'ahead.pot_none' : 'ahead.pot', [
            'day' => $this->day($this->plan->days->potOn($pot->day)),
            'chains' => $this->chains($pot),
            'time' => $this->minutes($this->potMinutes($pot)),
        ]);
    }

    public function chains(PlannedPotDay $pot): string
    {
        return $this->translator->names->chains(array_map(intval(...), $pot->dips));
    }

    /**
     * What happens on a day of a lane, for whoever points at it.
     *
     * @param list<string> $measure chains that are due to be measured
     */
    public function laneDay(int $bikeId, LaneDay $day, RidingPlan $riding, array $measure = []): string
    {
        $q = $this->translator->quantities;
        $names = $this->translator->names;
        $name = fn(int $chainId): string => $names->chainOn($bikeId, $chainId);
        $parameters = [
            'day' => $this->dayOf($day->day),
            'km' => $q->distance($day->riddenKm),
            'takes' => $this->takes($day),
            'chain' => $name($day->chainId),
            'left' => $this->translator->wax->has($day->afterKm, $day->afterHours),
        ];

        $kept = $riding->kept[$day->day] ?? null;
        if ($kept !== null) {
            $parameters = ['chain' => $name($kept->chainId), 'event' => $kept->keptFor->event ?? ''] + $parameters;
        }

        return implode(
            '; ',
            array_filter([
                $this->translator->say(
                    'ahead.day.' .
                        match (true) {
                            $kept !== null => 'kept',
                            $day->broken => $day->due() ? 'broken_due' : 'broken',
                            $day->rideKm > 0.0 => $this->takesAsMuch($day) ? 'ride' : 'ride_wax',
                            default => $day->due() ? 'rest_due' : 'rest',
                        },
                    $parameters,
                ),
                $riding->names[$day->day] ?? '',
                $day->overKm > 0.5 ? $this->translator->say('ahead.day.over', ['over' => $q->distance($day->overKm)]) : '',
                $day->dipped !== []
                    ? $this->translator->say('ahead.day.pot', ['chains' => implode(', ', array_map($name, $day->dipped))])
                    : '',
                $day->offId === null
                    ? ''
                    : $this->translator->say('ahead.day.swap', [
                        'chain' => $name($day->chainId),
                        'off' => $name($day->offId),
                    ]),
                $measure === [] ? '' : $this->translator->say('ahead.day.measure', ['chains' => $this->translator->names->list($measure)]),
                $day->dripped === []
                    ? ''
                    : $this->translator->say('ahead.day.drip', [
                        'chains' => implode(', ', array_map($name, array_unique($day->dripped))),
                        'time' => $q->time(
                            LocalDay::named($this->plan->days->date($day->day), $this->translator->zone())
                                ->plus(-1)
                                ->atHour(PlanHours::DRIP) + (int) round(3600 * $this->translator->settings->dripDryHours()),
                        ),
                    ]),
            ]),
        );
    }
}
