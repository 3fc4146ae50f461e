<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Actions\Ride\RideFacts;
use App\Devices\RideFolder;
use App\Http\Requests\Ride\TakeInRequest;
use App\Logbook\Moments;
use App\Models\Device;
use App\Models\Ride;
use App\Models\RideImport;
use App\Models\Track;
use App\Models\Workshop;
use App\Ride\ImportState;
use App\Ride\TrackSource;
use App\Text\Translator;
use App\Weather\ReadWeather;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Ride\AlikeRide;
use Dripel\Core\Ride\BikeGuess;
use Dripel\Core\Ride\GuessBecause;
use Dripel\Core\Ride\LikelyCondition;
use Dripel\Core\Ride\WhichBike;
use Dripel\Core\Weather\Rain;
use Dripel\Core\Weather\RoadGuess;
use Illuminate\Database\Eloquent\Builder;

/**
 * The ride files that wait to be taken in: what each says, which bike it probably was, and what stands against it.
 *
 * @phpstan-import-type Choice from FormProps
 *
 * @phpstan-import-type DeviceView from DeviceProps
 *
 * @phpstan-type RideImportView array{
 *     id: string,
 *     name: string,
 *     state: value-of<ImportState>,
 *     done: int,
 *     total: int,
 *     text: string,
 *     failures: list<string>,
 * }
 * @phpstan-type WaitingTrack array{
 *     id: string,
 *     name: string,
 *     start: string,
 *     km: string,
 *     moving: string,
 *     bike: int|null,
 *     because: string,
 *     condition: value-of<Condition>|null,
 *     likely: array{value: value-of<Condition>, text: string}|null,
 *     alike: string|null,
 *     inbox: bool,
 *     byItself: bool,
 *     against: string|null,
 * }
 * @phpstan-type TracksPage array{
 *     tracks: list<WaitingTrack>,
 *     count: int,
 *     imports: list<RideImportView>,
 *     most: int,
 *     bikes: list<array{value: int, title: string}>,
 *     conditions: list<Choice>,
 * }
 */
final readonly class TracksProps
{
    /** So many are there at once; a thousand come after the page. */
    private const FIRST = 100;

    /** So old rides nobody asks the rain about. */
    private const RAIN_DAYS = 400;

    public function __construct(private Book $book, private Translator $translator, private ReadWeather $readWeather) {}

    /** @return TracksPage */
    public function all(Workshop $workshop): array
    {
        $names = $this->names();

        return [
            'tracks' => $this->rows($workshop, 0, self::FIRST),
            'count' => Track::query()->in($workshop)->count(),
            'imports' => self::imports($workshop),
            'most' => TakeInRequest::MOST,
            'bikes' => array_map(fn(int $id) => ['value' => $id, 'title' => $names[$id]], $this->book->bikeIds),
            'conditions' => array_map(
                fn(Condition $condition) => [
                    'value' => $condition->value,
                    'title' => ucfirst($this->translator->say("chain.condition.{$condition->value}")),
                ],
                Condition::cases(),
            ),
        ];
    }

    /** @return list<WaitingTrack> those that are not there at once */
    public function rest(Workshop $workshop): array
    {
        return $this->rows($workshop, self::FIRST, null);
    }

    /** @return array<int, string> of the bikes */
    private function names(): array
    {
        return array_combine($this->book->bikeIds, array_map($this->translator->names->bike(...), $this->book->bikeIds));
    }

    /** @return list<WaitingTrack> */
    private function rows(Workshop $workshop, int $from, ?int $count): array
    {
        $which = new WhichBike($this->book, $this->names());
        $likely = new LikelyCondition($this->book);
        $alike = new AlikeRide($this->book->rides(), $this->translator->zone());
        // Of two alike the one that came first goes before its copy: ids rise with time.
        $tracks = Track::query()
            ->in($workshop)
            ->orderBy('start')
            ->orderBy('id')
            ->when($count !== null, fn(Builder $query) => $query->limit($from + (int) $count))
            ->get();
        /** @var array<string, int|null> $logged */
        $logged = Ride::query()
            ->in($workshop)
            ->live()
            ->whereIn('track_fingerprint', $tracks->pluck('fingerprint'))
            ->pluck('bike_id', 'track_fingerprint')
            ->all();
        $seen = array_fill_keys(array_map(fn(Track $track) => $track->fingerprint, $tracks->take($from)->all()), true);
        $rain = $this->rain($workshop, $tracks->max('start'));
        $rows = [];
        foreach ($tracks->skip($from) as $track) {
            $rows[] = $this->row($rain, $track, $which, $likely, $alike, $logged, $seen);
            $seen[$track->fingerprint] = true;
        }

        return $rows;
    }

    /** How many files wait to be taken in, in words; empty: none. */
    public static function waiting(Workshop $workshop): string
    {
        $count = Track::query()->in($workshop)->count() + RideImport::query()->in($workshop)->count();

        return $count === 0 ? '' : trans_choice('ui.tracks.waiting', $count);
    }

    /** @return array{folder: string, devices: list<DeviceView>} where rides come in by themselves */
    public static function inbox(Workshop $workshop, Translator $translator): array
    {
        return [
            'folder' => RideFolder::path($workshop),
            'devices' => (new DeviceProps($translator))->all($workshop, Device::BIKE_COMPUTER),
        ];
    }

    /** @return list<RideImportView> archives and tables, how far they are */
    public static function imports(Workshop $workshop): array
    {
        return array_values(
            RideImport::query()
                ->in($workshop)
                ->orderBy('started_at')
                ->get()
                ->map(
                    fn(RideImport $import) => [
                        'id' => $import->id,
                        'name' => $import->name,
                        'state' => $import->state->value,
                        'done' => $import->done,
                        'total' => $import->total,
                        'text' => trans_choice("ui.tracks.import.{$import->state->value}", $import->read, [
                            'done' => $import->done,
                            'total' => $import->total,
                        ]),
                        'failures' => array_map(
                            fn(array $one) => (string) __('ui.tracks.failed', ['name' => $one['name'], 'why' => $one['why']]),
                            $import->failures,
                        ),
                    ],
                )
                ->all(),
        );
    }

    /** Read once for all. */
    private function rain(Workshop $workshop, mixed $lastS): ?Rain
    {
        $nowS = $this->translator->nowS;

        return is_int($lastS) && $lastS > $nowS - 86400 * self::RAIN_DAYS
            ? $this->readWeather->rain($workshop, $nowS - 86400 * self::RAIN_DAYS, $nowS)
            : null;
    }

    /** @return array{value: value-of<Condition>, text: string}|null what the rain says of it; null: dry, off, or not known */
    private function byRain(?Rain $rain, Track $track, ?int $bikeId): ?array
    {
        if ($rain === null || $track->start === null || $track->precision === Precision::Day || $track->moving_hours === null) {
            return null;
        }
        $rides = $bikeId === null ? Rides::of([]) : $this->book->ridesOf($bikeId);
        $road = RoadGuess::ofBike($rain, $rides, $track->start, $track->moving_hours);

        return $road === null || $road->condition === Condition::Dry
            ? null
            : [
                'value' => $road->condition->value,
                'text' => $this->translator->say($road->onTheWay() ? 'ui.weather.track_riding' : 'ui.weather.track_before', [
                    'condition' => $this->translator->say("chain.condition.{$road->condition->value}"),
                    'mm' => $this->translator->quantities->number($road->mm(), 1),
                ]),
            ];
    }

    /**
     * @param array<string, int|null> $logged bike by fingerprint
     * @param array<string, true> $seen fingerprints of the rows before
     *
     * @return WaitingTrack
     */
    private function row(
        ?Rain $rain,
        Track $track,
        WhichBike $which,
        LikelyCondition $likely,
        AlikeRide $alike,
        array $logged,
        array $seen,
    ): array {
        $q = $this->translator->quantities;
        $guess =
            $track->bike_id !== null && in_array($track->bike_id, $this->book->bikeIds, true)
                ? new BikeGuess($track->bike_id, GuessBecause::Said)
                : $which->of($track->name, $track->start, $track->km, $track->moving_hours);
        $condition = $track->start === null ? null : $likely->of($guess->bikeId, $track->start);
        $against = match (true) {
            array_key_exists($track->fingerprint, $logged) => 'logged',
            isset($seen[$track->fingerprint]) => 'twice',
            $track->start === null => 'no_time',
            $track->start - ($track->precision === Precision::Day ? 86399 : 0) > $this->translator->nowS + Moments::SLACK_S => 'future',
            $track->km <= 0 || $track->km > RideFacts::MAX_KM => 'km',
            default => null,
        };
        $same = $against !== null ? null : $alike->of($track->start, $track->precision === Precision::Minute, $track->km);

        return [
            'id' => $track->id,
            'name' => $track->name,
            'start' =>
                $track->start === null
                    ? '—'
                    : ($track->precision === Precision::Minute
                        ? $q->dayAndTime($track->start)
                        : $q->date($track->start, 'EEE d MMM y')),
            'km' => $q->distance($track->km, 1),
            'moving' => $track->moving_hours === null ? '' : $q->hours($track->moving_hours),
            'bike' => $guess->bikeId,
            'because' => $this->translator->say("ui.tracks.because.{$guess->because->value}"),
            'condition' => $track->condition?->value,
            'likely' =>
                $track->condition !== null
                    ? null
                    : $this->byRain($rain, $track, $guess->bikeId) ??
                        ($condition === null
                            ? null
                            : [
                                'value' => $condition->condition->value,
                                'text' => $this->translator->say($condition->late ? 'ui.tracks.likely.late' : 'ui.tracks.likely.season', [
                                    'condition' => $this->translator->say("chain.condition.{$condition->condition->value}"),
                                    'count' => (string) $condition->count,
                                    'of' => (string) $condition->of,
                                    'month' => $q->date((int) $track->start, 'MMMM'),
                                ]),
                            ]),
            'alike' =>
                $same === null
                    ? null
                    : $this->translator->say('ui.tracks.alike', [
                        'km' => $q->distance($same->km, 1),
                        'bike' =>
                            $same->bikeId === null
                                ? $this->translator->say('ui.rides.no_bike')
                                : $this->translator->names->bike($same->bikeId),
                    ]),
            'inbox' => $track->source === TrackSource::Inbox,
            'byItself' => $against === 'no_time',
            'against' =>
                $against === null
                    ? null
                    : $this->translator->say("ui.tracks.against.{$against}", [
                        'bike' => $this->translator->names->bike($logged[$track->fingerprint] ?? null),
                    ]),
        ];
    }
}
