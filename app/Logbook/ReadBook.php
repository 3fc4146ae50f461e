<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Chain;
use App\Models\Workshop;
use Dripel\Core\Input\Fields;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Noise;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\Retirement;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Wear\WearReading;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Loads the entries in force of a workshop into the core's logbook. Plain rows: there may be tens of thousands. */
final class ReadBook
{
    /** @var array<string, Book> */
    private array $read = [];

    public function __invoke(Workshop $workshop): Book
    {
        return $this->read["{$workshop->id} {$workshop->revision}"] ??= $this->read($workshop, $this->rides($workshop));
    }

    /** Enough to see contradictions, without the many rides. */
    public function withoutRides(Workshop $workshop): Book
    {
        return $this->read($workshop, []);
    }

    public function settings(Workshop $workshop): Settings
    {
        return new Settings(self::map(self::rows($workshop, 'settings'), fn(stdClass $row) => new DatedSetting(
            SettingKey::from($row->key),
            $row->bike_id ?? $row->component_id ?? 0,
            new Moment($row->at, Precision::Minute, $row->id),
            $row->value === null ? null : json_decode($row->value),
        )));
    }

    /** @param list<Ride> $rides */
    private function read(Workshop $workshop, array $rides): Book
    {
        return new Book(
            self::ids($workshop, DB::table('bikes')),
            self::ids($workshop, DB::table('components')->where('kind', Chain::KIND)),
            $this->settings($workshop),
            self::map(self::rows($workshop, 'fittings'), fn(stdClass $row) => new Fitting($row->id, self::moment($row), $row->bike_id, $row->component_id)),
            $rides,
            [
                ...self::map(self::rows($workshop, 'strips'), fn(stdClass $row) => new Strip($row->id, self::moment($row), $row->component_id)),
                ...self::map(self::rows($workshop, 'dips'), fn(stdClass $row) => new Dip($row->id, self::moment($row), $row->component_id)),
                ...self::map(self::rows($workshop, 'topups'), fn(stdClass $row) => new TopUp($row->id, self::moment($row), $row->component_id, (float) $row->km)),
                ...self::map(self::rows($workshop, 'noises'), fn(stdClass $row) => new Noise($row->id, self::moment($row), $row->bike_id)),
                ...self::map(self::rows($workshop, 'readings'), fn(stdClass $row) => new Reading($row->id, self::moment($row), $row->component_id, WearReading::input(Fields::fromJson($row->input)))),
                ...self::map(self::rows($workshop, 'retirements'), fn(stdClass $row) => new Retirement($row->id, self::moment($row), $row->component_id)),
            ],
        );
    }

    /** @return list<Ride> */
    private function rides(Workshop $workshop): array
    {
        return self::map(
            self::rows($workshop, 'rides', ['id', 'at', 'precision', 'sequence', 'bike_id', 'km', 'hours', 'condition']),
            fn(stdClass $row) => new Ride(
                $row->id,
                self::moment($row),
                $row->bike_id,
                (float) $row->km,
                $row->hours === null ? null : (float) $row->hours,
                Condition::from($row->condition),
            ),
        );
    }

    /** @return list<int> */
    private static function ids(Workshop $workshop, Builder $query): array
    {
        return array_values($query->where('workshop_id', $workshop->id)->whereNull('voided_by')->orderBy('id')->pluck('id')->all());
    }

    /**
     * @param list<string> $columns
     *
     * @return list<stdClass>
     */
    private static function rows(Workshop $workshop, string $table, array $columns = ['*']): array
    {
        return array_values(DB::table($table)->where('workshop_id', $workshop->id)->whereNull('voided_by')->orderBy('at')->orderBy('id')->get($columns)->all());
    }

    /**
     * @template T
     *
     * @param list<stdClass> $rows
     * @param callable(stdClass): T $make
     *
     * @return list<T>
     */
    private static function map(array $rows, callable $make): array
    {
        return array_map($make, $rows);
    }

    private static function moment(stdClass $row): Moment
    {
        return new Moment($row->at, $row->precision === 'day' ? Precision::Day : Precision::Minute, $row->sequence);
    }
}
