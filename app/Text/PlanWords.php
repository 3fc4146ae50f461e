<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Plan\LaneDay;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlanHours;
use Dripel\Core\Plan\PlannedDrip;
use Dripel\Core\Plan\PlannedPotDay;
use Dripel\Core\Plan\PotDaysResult;
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
        return $this->day($this->plan->date($day));
    }

    public function minutes(float $minutes): string
    {
        return $this->translator->quantities->hours($minutes / 60.0);
    }

    public function headline(PotDaysResult $result): string
    {
        $end = ['day' => $this->dayOf($this->plan->terms->days - 1)];

        return match (true) {
            $this->plan->bikes === [] && $this->plan->dripBikes === [] => $this->translator->say('ahead.head.nothing'),
            $result->blocked !== null => $this->translator->say(
                $this->plan->best()->feasible ? 'ahead.head.broken' : 'ahead.head.blocked',
                [
                    'day' => $this->dayOf($result->blocked->day),
                ],
            ),
            $result->potDays === [] => $this->translator->say('ahead.head.none', $end),
            default => ucfirst(trans_choice('ahead.head.days', count($result->potDays), $end)),
        };
    }

    public function about(PotDaysResult $result): string
    {
        if ($result->totalMinutes === null || ($this->plan->bikes === [] && $this->plan->dripBikes === [])) {
            return '';
        }
        $pots = array_map(fn(PlannedPotDay $one) => $this->day($this->plan->potOn($one->day)), $result->potDays);

        return $this->translator->say('ahead.about', [
            'pots' => $pots === [] ? '' : $this->translator->names->list($pots) . ', ',
            'time' => $this->minutes($result->totalMinutes) . $this->worth($result->totalMinutes),
            'drips' => trans_choice('ahead.drips', count($result->topUps)),
        ]) .
            (($more = $this->plan->terms->minutesTooMany($result->totalMinutes)) > 0.5
                ? $this->translator->say('ahead.too_much', [
                    'more' => $this->minutes($more),
                    'hours' => $this->minutes(60.0 * (float) $this->plan->terms->hoursWeekly),
                ])
                : '');
    }

    /** What so much time is worth, where an hour has a price. */
    private function worth(float $minutes): string
    {
        $hourMinor = $this->translator->settings->hourMinor();

        return $hourMinor > 0.0
            ? $this->translator->say('ahead.worth', ['money' => $this->translator->quantities->money(($minutes / 60.0) * $hourMinor)])
            : '';
    }

    public function potMinutes(PlannedPotDay $pot): float
    {
        return $this->plan->input->potMinutes(count($pot->dips));
    }

    public function pot(PlannedPotDay $pot): string
    {
        return $this->translator->say($pot->dips === [] ? 'ahead.pot_none' : 'ahead.pot', [
            'day' => $this->day($this->plan->potOn($pot->day)),
            'chains' => $this->chains($pot),
            'time' => $this->minutes($this->potMinutes($pot)),
        ]);
    }

    public function chains(PlannedPotDay $pot): string
    {
        return $this->translator->names->chains(array_map(intval(...), $pot->dips));
    }

    /** What a ride takes of the wax, in every measure that its bike goes by. */
    public function needs(float $km, ?float $hours): string
    {
        return $this->measures('ahead.km_and_hours', $km, $hours);
    }

    /** So much wax as is left: where the bike goes by hours too, by what comes first. */
    public function wax(float $km, ?float $hours): string
    {
        return $this->measures('ahead.km_or_hours', $km, $hours);
    }

    private function measures(string $both, float $km, ?float $hours): string
    {
        $q = $this->translator->quantities;

        return $hours === null
            ? $q->distance($km)
            : $this->translator->say($both, ['km' => $q->distance($km), 'hours' => $q->hours($hours)]);
    }

    /**
     * What happens on a day of a lane, for whoever points at it.
     *
     * @param list<string> $measure chains that are due to be measured
     */
    public function laneDay(LaneDay $day, RidingPlan $riding, array $measure = []): string
    {
        $q = $this->translator->quantities;
        $names = $this->translator->names;
        $parameters = [
            'day' => $this->dayOf($day->day),
            'km' => $q->distance($day->riddenKm),
            'needs' => $this->needs($day->rideKm, $day->rideHours),
            'chain' => $names->chain($day->chainId),
            'left' => $day->broken ? $this->wax($day->beforeKm, $day->beforeHours) : $this->wax($day->afterKm, $day->afterHours),
        ];

        $kept = $riding->kept[$day->day] ?? null;
        if ($kept !== null) {
            $parameters = ['chain' => $names->chain($kept->chainId), 'event' => $kept->keptFor->event ?? ''] + $parameters;
        }

        return implode(
            '; ',
            array_filter([
                $this->translator->say(
                    'ahead.day.' .
                        ($kept !== null
                            ? 'kept'
                            : ($day->broken
                                ? 'broken'
                                : ($day->rideKm > 0.0
                                    ? ($q->distance($day->rideKm) === $q->distance($day->riddenKm)
                                        ? 'ride'
                                        : 'ride_wax')
                                    : 'rest'))),
                    $parameters,
                ),
                $riding->names[$day->day] ?? '',
                $day->dipped !== [] ? $this->translator->say('ahead.day.pot') : '',
                $day->offId === null
                    ? ''
                    : $this->translator->say('ahead.day.swap', [
                        'chain' => $names->chain($day->chainId),
                        'off' => $names->chain($day->offId),
                    ]),
                $measure === [] ? '' : $this->translator->say('ahead.day.measure', ['chains' => $this->translator->names->list($measure)]),
                $day->dripped === []
                    ? ''
                    : $this->translator->say('ahead.day.drip', [
                        'chains' => implode(', ', array_map($names->chain(...), array_unique($day->dripped))),
                        'time' => $q->time(
                            LocalDay::named($this->plan->date($day->day), $this->translator->zone())
                                ->plus(-1)
                                ->atHour(PlanHours::DRIP) + (int) round(3600 * $this->translator->settings->dripDryHours()),
                        ),
                    ]),
            ]),
        );
    }

    /** @param list<PlannedDrip> $drips */
    public function drips(array $drips): string
    {
        return $this->translator->names->chains(array_values(array_unique(array_map(fn(PlannedDrip $one) => (int) $one->chain, $drips))));
    }
}
