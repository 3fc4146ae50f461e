<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Chain;
use App\Models\Workshop;
use App\Support\AppClock;
use Closure;
use DateTimeZone;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Commute;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Estimate;
use Dripel\Core\Logbook\Event;
use Dripel\Core\Logbook\FillIn;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\RestDay;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Slot;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PDO;

/** Loads the entries in force of a workshop into the core's logbook. Plain rows: there may be tens of thousands. */
final class ReadBook
{
    /** @var array<string, Book> */
    private array $read = [];

    /** @var array<string, Settings> */
    private array $settings = [];

    public function __construct(private readonly AppClock $clock) {}

    public function __invoke(Workshop $workshop): Book
    {
        return $this->read["{$workshop->id} {$workshop->revision}"] ??= $this->read($workshop, fn() => $this->rides($workshop));
    }

    /** Before anything is written: what was read and not yet looked at stays what it was. */
    public function settle(): void
    {
        array_walk($this->read, fn(Book $book) => $book->rides());
    }

    /** After anything was written, or tried: a revision may mean another logbook now. */
    public function forget(): void
    {
        [$this->read, $this->settings] = [[], []];
    }

    /** Enough to see contradictions, without the many rides. */
    public function withoutRides(Workshop $workshop): Book
    {
        return $this->read($workshop, []);
    }

    public function settings(Workshop $workshop): Settings
    {
        return $this->settings["{$workshop->id} {$workshop->revision}"] ??= new Settings(
            array_map(
                fn(array $row) => new DatedSetting(
                    SettingKey::from($row[4]),
                    $row[5] ?? ($row[6] ?? 0),
                    new Moment($row[1], Precision::Minute, $row[0]),
                    $row[7] === null ? null : json_decode($row[7]),
                ),
                self::rows($workshop, 'settings', 'key', 'bike_id', 'component_id', 'value'),
            ),
        );
    }

    /** @param list<Ride>|Closure(): list<Ride> $rides */
    private function read(Workshop $workshop, array|Closure $rides): Book
    {
        return new Book(
            self::ids($workshop, DB::table('bikes')),
            self::ids($workshop, DB::table('components')->where('kind', Chain::KIND)),
            $this->settings($workshop),
            array_map(
                fn(array $row) => new Fitting($row[0], self::moment($row), $row[4], $row[5], Slot::from($row[6])),
                self::rows($workshop, 'fittings', 'bike_id', 'component_id', 'slot'),
            ),
            $rides,
            array_merge(...array_map(fn(EntryType $type) => self::events($workshop, $type), EntryType::events())),
            $this->fillIn($workshop),
            $this->parts($workshop),
        );
    }

    /** @return list<Event> */
    private static function events(Workshop $workshop, EntryType $type): array
    {
        $model = $type->event();

        return array_map(
            fn(array $row) => $model::event($row[0], self::moment($row), array_slice($row, 4)),
            self::rows($workshop, $type->value, ...$model::columns()),
        );
    }

    private function fillIn(Workshop $workshop): FillIn
    {
        return new FillIn(
            array_map(
                fn(array $row) => new Estimate(
                    $row[0],
                    self::moment($row),
                    $row[4],
                    $row[5],
                    $row[6],
                    $row[7],
                    (float) $row[8],
                    Condition::from($row[9]),
                    self::float($row[10]),
                ),
                self::rows($workshop, 'estimates', 'bike_id', 'from_at', 'from_date', 'to_date', 'km', 'condition', 'odometer_km'),
            ),
            array_map(
                fn(array $row) => new Commute(
                    $row[0],
                    self::moment($row),
                    $row[4],
                    json_decode($row[5]),
                    $row[6],
                    (float) $row[7],
                    self::float($row[8]),
                    Condition::from($row[9]),
                    $row[10],
                    $row[11],
                ),
                self::rows($workshop, 'commutes', 'bike_id', 'weekdays', 'time', 'km', 'hours', 'condition', 'from_date', 'until_date'),
            ),
            array_map(
                fn(array $row) => new RestDay($row[0], self::moment($row), $row[4], $row[5]),
                self::rows($workshop, 'rest_days', 'bike_id', 'date'),
            ),
            new DateTimeZone($this->settings($workshop)->text(SettingKey::TimeZone, 0, 'UTC')),
            $this->clock->unixS(),
        );
    }

    /** @return list<Part> */
    private function parts(Workshop $workshop): array
    {
        $settings = $this->settings($workshop);
        $rows = DB::table('components')
            ->where('workshop_id', $workshop->id)
            ->whereNull('voided_by')
            ->whereIn('kind', array_column(PartKind::cases(), 'value'))
            ->orderBy('id')
            ->get(['id', 'kind']);

        return array_values(
            $rows
                ->map(
                    fn(object $row) => new Part(
                        $row->id,
                        PartKind::from($row->kind),
                        $settings->whole(SettingKey::LinkChain, $row->id) ?: null,
                        $settings->whole(SettingKey::LinkClosings, $row->id) ?: null,
                        $settings->whole(SettingKey::LinkSpeeds, $row->id) ?: null,
                        $settings->whole(SettingKey::OnTrainer, $row->id) === 1,
                    ),
                )
                ->all(),
        );
    }

    /** @return list<Ride> */
    private function rides(Workshop $workshop): array
    {
        $conditions = array_column(Condition::cases(), null, 'value');
        $rides = [];
        // As plain as can be: there are tens of thousands, and each call costs as much as making one.
        foreach (
            self::rows($workshop, 'rides', 'bike_id', 'km', 'hours', 'condition')
            as [$id, $at, $precision, $sequence, $bike, $km, $hours, $how]
        ) {
            $rides[] = new Ride(
                $id,
                new Moment($at, $precision === 'day' ? Precision::Day : Precision::Minute, $sequence),
                $bike,
                (float) $km,
                $hours === null ? null : (float) $hours,
                $conditions[$how],
            );
        }

        return $rides;
    }

    /** @return list<int> */
    private static function ids(Workshop $workshop, Builder $query): array
    {
        return array_values($query->where('workshop_id', $workshop->id)->whereNull('voided_by')->orderBy('id')->pluck('id')->all());
    }

    /** @return list<array<int, mixed>> id, at, precision, sequence, then the columns asked for */
    private static function rows(Workshop $workshop, string $table, string ...$columns): array
    {
        // Written out: a page asks for a dozen tables, and building each query costs as much as running it.
        $names = implode(', ', array_map(fn(string $column) => "\"{$column}\"", ['id', 'at', 'precision', 'sequence', ...$columns]));
        $statement = DB::connection()
            ->getPdo()
            ->prepare("select {$names} from \"{$table}\" where \"workshop_id\" = ? and \"voided_by\" is null order by \"at\", \"id\"");
        $statement->execute([$workshop->id]);

        return array_values($statement->fetchAll(PDO::FETCH_NUM));
    }

    private static function float(mixed $value): ?float
    {
        return is_numeric($value) ? (float) $value : null;
    }

    /** @param array<int, mixed> $row */
    private static function moment(array $row): Moment
    {
        return new Moment($row[1], $row[2] === 'day' ? Precision::Day : Precision::Minute, $row[3]);
    }
}
