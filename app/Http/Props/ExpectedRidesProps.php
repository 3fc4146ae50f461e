<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Models\PlannedRide;
use App\Text\PlanWords;
use App\Text\Translator;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\OddWeek;
use Dripel\Core\Plan\RidingHabit;
use Dripel\Core\Plan\WorkshopPlan;
use Dripel\Core\Riders\Whose;
use Dripel\Core\Weather\WetDay;

/**
 * What is expected to be ridden: the rides and days off that somebody planned, the weeks that are unlike others, and rain on the way.
 *
 * @phpstan-type WetDayView array{bike: int, date: string, distance: string, condition: value-of<Condition>, name: string, text: string, verb: string}
 * @phpstan-type OddWeekView array{bike: int, monday: string, text: string, out: bool}
 * @phpstan-type PlannedRideView array{id: int, text: string, tag: string, first: int|null, last: int, off: bool}
 */
final readonly class ExpectedRidesProps
{
    private PlanWords $words;

    public function __construct(private Book $book, private Translator $translator, private WorkshopPlan $plan, private Whose $whose)
    {
        $this->words = new PlanWords($translator, $plan);
    }

    /**
     * @param list<PlannedRide> $rides
     *
     * @return list<PlannedRideView>
     */
    public function rides(array $rides): array
    {
        $q = $this->translator->quantities;

        return array_map(
            fn(PlannedRide $ride) => [
                'id' => $ride->id,
                'tag' => $ride->km > 0.0 ? $ride->name ?? $q->distance($ride->km) : $this->translator->say('ui.ahead.no_rides'),
                'first' => $this->plan->days->ofDate(max($ride->from_date, $this->plan->days->today->date)),
                'last' => $this->plan->days->ofDate($ride->until_date) ?? $this->plan->terms->days - 1,
                'off' => $ride->km <= 0.0,
                'text' => implode(
                    ', ',
                    array_filter([
                        $ride->from_date === $ride->until_date
                            ? $this->words->day($ride->from_date)
                            : $this->words->day($ride->from_date) . ' – ' . $this->words->day($ride->until_date),
                        $ride->bike_id === null
                            ? $this->translator->say('ui.ahead.all_bikes')
                            : $this->translator->names->bike($ride->bike_id),
                        $ride->km > 0.0 ? $q->distance($ride->km) : $this->translator->say('ui.ahead.no_rides'),
                        $ride->condition === null ? '' : $this->translator->say("chain.condition.{$ride->condition->value}"),
                        (string) $ride->name,
                    ]),
                ),
            ],
            $rides,
        );
    }

    /** @return list<OddWeekView> */
    public function oddWeeks(): array
    {
        return array_merge(...array_map($this->oddWeeksOf(...), $this->whose->bikes($this->book->bikeIds)));
    }

    /**
     * @param list<WetDay> $days
     *
     * @return list<WetDayView>
     */
    public function wetDays(array $days): array
    {
        return array_values(array_map($this->wetDay(...), array_filter($days, fn(WetDay $one) => $this->whose->bike($one->bikeId))));
    }

    /** @return WetDayView a day in rain, as the form of a planned ride sends it once it is accepted */
    private function wetDay(WetDay $one): array
    {
        $q = $this->translator->quantities;
        $condition = $this->translator->say("chain.condition.{$one->guess->condition->value}");

        return [
            'bike' => $one->bikeId,
            'date' => $this->plan->days->date($one->day),
            'distance' => (string) round($q->units->fromKm($one->km), 1),
            'condition' => $one->guess->condition->value,
            'name' => $this->translator->say('ui.weather.planned_name'),
            'text' => $this->translator->say($one->guess->onTheWay() ? 'ui.weather.day_riding' : 'ui.weather.day_before', [
                'day' => $this->words->dayOf($one->day),
                'bike' => $this->translator->names->bike($one->bikeId),
                'km' => $q->distance($one->km),
                'mm' => $q->number($one->guess->mm(), 1),
            ]),
            'verb' => $this->translator->say('ui.weather.plan', ['condition' => $condition]),
        ];
    }

    /** @return list<OddWeekView> weeks of a bike that are unlike the others, and those that were left out lately */
    private function oddWeeksOf(int $bikeId): array
    {
        $today = $this->plan->days->today;
        // Older ones no habit looks at any more, whether they count or not.
        $out = array_filter(
            $this->book->settings->oddWeeks($bikeId),
            fn(string $monday) => $monday >= $today->plus(-7 * (RidingHabit::WEEKS + 1))->date,
        );
        $week = fn(string $monday): array => [
            'bike' => $this->translator->names->bike($bikeId),
            'week' =>
                $this->words->day($monday) . ' – ' . $this->words->day(LocalDay::named($monday, $this->translator->zone())->plus(6)->date),
        ];
        $km = fn(float $km): string => $this->translator->quantities->distance($km);

        return [
            ...array_map(
                fn(OddWeek $odd) => [
                    'bike' => $bikeId,
                    'monday' => $odd->monday,
                    'text' => $this->translator->say(
                        $odd->km <= 0.0 ? 'ahead.odd.nothing' : 'ahead.odd.unlike',
                        $week($odd->monday) + ['km' => $km($odd->km), 'usual' => $km($odd->usualKm)],
                    ),
                    'out' => false,
                ],
                OddWeek::of($this->book, $bikeId, $today),
            ),
            ...array_map(
                fn(string $monday) => [
                    'bike' => $bikeId,
                    'monday' => $monday,
                    'text' => $this->translator->say('ahead.odd.out', $week($monday)),
                    'out' => true,
                ],
                array_reverse(array_values($out)),
            ),
        ];
    }
}
