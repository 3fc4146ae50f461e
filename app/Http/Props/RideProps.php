<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Models\Workshop;
use App\Ride\RideSearch;
use App\Support\ListSearch;
use App\Text\ChainWords;
use App\Text\Translator;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Riders\Whose;
use Dripel\Core\Weather\WetterRide;

/**
 * The strip of days and the rides, the newest first, each with the chain it went to and what that left.
 *
 * @phpstan-import-type DeviceView from DeviceProps
 * @phpstan-import-type FormDefaults from FormProps
 * @phpstan-import-type SearchView from ListSearch
 *
 * @phpstan-type EstimateValues array{distance: string, from: string, to: string, condition: string}
 * @phpstan-type RideView array{
 *     id: int,
 *     day: string,
 *     date: string,
 *     time: string|null,
 *     clock: string,
 *     bike: int|null,
 *     bikeName: string,
 *     estimated: bool,
 *     guess: array{values: EstimateValues|null, estimate: int|null, commute: int|null, date: string}|null,
 *     km: string,
 *     distance: string,
 *     hours: string|null,
 *     hoursText: string,
 *     condition: value-of<Condition>,
 *     conditionName: string,
 *     soaked: bool,
 *     chain: array{id: int, name: string}|null,
 *     left: string|null,
 * }
 * @phpstan-type StripDay array{
 *     date: string,
 *     weekday: string,
 *     number: string,
 *     name: string,
 *     weekend: bool,
 *     total: string|null,
 *     bars: list<array{share: float, soaked: bool, estimated: bool, text: string}>,
 * }
 * @phpstan-type WetterRideView array{id: int, text: string, condition: value-of<Condition>, verb: string}
 * @phpstan-type RidePage array{
 *     strip: list<StripDay>,
 *     rides: list<RideView>,
 *     found: string,
 *     months: list<array{value: string, title: string}>,
 *     chains: list<array{value: int, title: string}>,
 *     search: SearchView,
 *     page: int,
 *     pages: int,
 *     bike: int|null,
 *     uploadMegabytes: int,
 *     waiting: string,
 *     inbox: array{folder: string, devices: list<DeviceView>},
 *     wetter: list<WetterRideView>,
 *     forms: FormDefaults,
 * }
 */
final readonly class RideProps
{
    private const STRIP_DAYS = 28;

    private const PAGE = 40;

    public function __construct(private Book $book, private Translator $translator) {}

    /**
     * @param list<WetterRide> $wetter
     *
     * @return RidePage
     */
    public function all(Workshop $workshop, ListSearch $search, Whose $whose, array $wetter): array
    {
        // The newest of all is what most come for: it follows from the logbook alone, and none of the others is read for it.
        $newest = !$search->looking() && $search->sort === '' && $search->page === 1;
        $found = $newest
            ? $this->book->kept("newest rides {$whose->rider}", fn() => $this->page($search, $whose))
            : $this->page($search, $whose);
        $today = LocalDay::of($this->translator->nowS, $this->translator->zone());

        return [
            'strip' => $this->book->kept(
                "strip of {$search->bikeId} {$whose->rider} to {$today->date}",
                fn() => $this->strip($today, $search->bikeId, $whose),
            ),
            'rides' => $found['rides'],
            'found' => $found['said'],
            'months' => $this->book->kept(
                'months of rides',
                fn() => $this->translator->months(array_reverse($this->book->rides()->instants())),
            ),
            'chains' => array_map(
                fn(int $id) => ['value' => $id, 'title' => $this->translator->names->fullChain($id)],
                $this->book->chainIds,
            ),
            'page' => $search->page,
            'pages' => max(1, (int) ceil($found['count'] / self::PAGE)),
            'search' => $search->view(),
            'bike' => $search->bikeId,
            'uploadMegabytes' => config()->integer('dripel.upload_megabytes'),
            'waiting' => TracksProps::waiting($workshop),
            'inbox' => TracksProps::inbox($workshop, $this->translator),
            'wetter' => array_values(
                array_map($this->wetter(...), array_filter($wetter, fn(WetterRide $one) => $whose->bike($one->ride->bikeId))),
            ),
            'forms' => (new FormProps($this->book, $this->translator))->all(),
        ];
    }

    /** @return array{count: int, rides: list<RideView>, said: string} how many were found, those of the page, the newest first, and what is said */
    private function page(ListSearch $search, Whose $whose): array
    {
        $found = (new RideSearch($this->book, $this->translator, $whose))($search);
        $page = $found->slice(
            max(0, count($found) - $search->page * self::PAGE),
            max(0, min(self::PAGE, count($found) - ($search->page - 1) * self::PAGE)),
        );

        return [
            'count' => count($found),
            'rides' => array_map($this->ride(...), array_reverse($page->all())),
            'said' => $this->found($found, $search),
        ];
    }

    /** How many were found and how far they went; empty while nothing is looked for. */
    private function found(Rides $rides, ListSearch $search): string
    {
        if (!$search->looking()) {
            return '';
        }

        return trans_choice('history.found_rides', count($rides), [
            'km' => $this->translator->quantities->distance($rides->km()),
        ]);
    }

    /** @return WetterRideView */
    private function wetter(WetterRide $one): array
    {
        $q = $this->translator->quantities;
        $name = fn(Condition $condition): string => $this->translator->say("chain.condition.{$condition->value}");

        return [
            'id' => $one->ride->id,
            'text' => $this->translator->say($one->guess->onTheWay() ? 'ui.weather.riding' : 'ui.weather.before', [
                'day' => $q->dayAndTime($one->ride->moment->unixS),
                'bike' =>
                    $one->ride->bikeId === null
                        ? $this->translator->say('ui.rides.no_bike')
                        : $this->translator->names->bike($one->ride->bikeId),
                'km' => $q->distance($one->ride->km),
                'written' => $name($one->ride->condition),
                'mm' => $q->number($one->guess->mm(), 1),
            ]),
            'condition' => $one->guess->condition->value,
            'verb' => $this->translator->say('ui.weather.take', ['condition' => $name($one->guess->condition)]),
        ];
    }

    /** @return RideView */
    public function ride(Ride $ride): array
    {
        $q = $this->translator->quantities;
        $chainId = $this->book->chainOfRide($ride);
        $left = $this->book->leftAfter($ride, $this->translator->nowS);
        $km = $q->units->fromKm($ride->km);

        return [
            'id' => $ride->id,
            'day' => $q->date($ride->moment->unixS, 'EEE d MMM'),
            'date' => $q->date($ride->moment->unixS, 'yyyy-MM-dd'),
            'time' => $ride->moment->precision === Precision::Day ? null : $q->time($ride->moment->unixS),
            'clock' => $ride->moment->precision === Precision::Day ? '' : $q->date($ride->moment->unixS, 'HH:mm'),
            'bike' => $ride->bikeId,
            'bikeName' =>
                $ride->bikeId === null ? $this->translator->say('ui.rides.no_bike') : $this->translator->names->bike($ride->bikeId),
            'estimated' => $ride->guess !== null,
            'guess' =>
                $ride->guess === null
                    ? null
                    : [
                        'values' => $this->estimate($ride->guess->estimateId),
                        'estimate' => $ride->guess->estimateId,
                        'commute' => $ride->guess->commuteId,
                        'date' => $ride->guess->date,
                    ],
            'km' => $q->distance($ride->km, 1),
            'distance' => (string) round($km, 2),
            'hours' => $ride->hours === null ? null : $q->hours($ride->hours),
            'hoursText' =>
                $ride->hours === null
                    ? ''
                    : sprintf('%d:%02d', intdiv((int) round(60 * $ride->hours), 60), (int) round(60 * $ride->hours) % 60),
            'condition' => $ride->condition->value,
            'conditionName' => $this->translator->say("chain.condition.{$ride->condition->value}"),
            'soaked' => $ride->condition->soaks(),
            'chain' => $chainId === null ? null : ['id' => $chainId, 'name' => $this->translator->names->fullChain($chainId)],
            'left' => $left === null ? null : (new ChainWords($this->translator))->leftAfter($left),
        ];
    }

    /** @return EstimateValues|null what a form to change it starts from; what the odometer showed is not changed that way */
    private function estimate(?int $id): ?array
    {
        $estimate = $id === null ? null : $this->book->fillIn?->estimate($id);

        return $estimate === null || $estimate->odometerKm !== null
            ? null
            : [
                'distance' => (string) round($this->translator->quantities->units->fromKm($estimate->km), 2),
                'from' => $estimate->fromDate,
                'to' => $estimate->toDate,
                'condition' => $estimate->condition->value,
            ];
    }

    /** @return list<StripDay> the days up to today, the oldest first */
    private function strip(LocalDay $today, ?int $bikeId, Whose $whose): array
    {
        $q = $this->translator->quantities;
        $rides = $bikeId === null ? $whose->rides($this->book->rides()) : $this->book->ridesOf($bikeId);
        $byDay = [];
        foreach ($rides->between($today->plus(1 - self::STRIP_DAYS)->startS(), null)->all() as $ride) {
            $byDay[$q->date($ride->moment->unixS, 'yyyy-MM-dd')][] = $ride;
        }
        $longest = max([1.0, ...array_map(fn(array $day) => array_sum(array_map(fn(Ride $ride) => $ride->km, $day)), $byDay)]);
        $days = [];
        for ($i = 1 - self::STRIP_DAYS; $i <= 0; $i++) {
            $day = $today->plus($i);
            $ofDay = $byDay[$day->date] ?? [];
            $days[] = [
                'date' => $day->date,
                'weekday' => $q->date($day->startS(), 'EEEEE'),
                'number' => $q->date($day->startS(), 'd'),
                'name' => $q->date($day->startS(), 'EEEE d MMMM'),
                'weekend' => $day->weekday() >= 6,
                'total' => $ofDay === [] ? null : $q->distance(array_sum(array_map(fn(Ride $ride) => $ride->km, $ofDay))),
                'bars' => array_map(
                    fn(Ride $ride) => [
                        'share' => $ride->km / $longest,
                        'soaked' => $ride->condition->soaks(),
                        'estimated' => $ride->guess !== null,
                        'text' =>
                            ($ride->guess === null ? '' : $this->translator->say('ui.rides.estimated') . ': ') .
                            $this->translator->names->bike($ride->bikeId) .
                            ', ' .
                            $q->distance($ride->km) .
                            ', ' .
                            $this->translator->say("chain.condition.{$ride->condition->value}"),
                    ],
                    $ofDay,
                ),
            ];
        }

        return $days;
    }
}
