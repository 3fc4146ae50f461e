<?php

declare(strict_types=1);

namespace App\Logbook;

use Dripel\Core\Bath\BathEventKind;
use Dripel\Core\Bath\PotEntry;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Commute;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Estimate;
use Dripel\Core\Logbook\Event;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\RestDay;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Slot;
use Dripel\Core\Plan\PlannedRide;
use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\JarBath;
use Dripel\Core\Strip\JarEntry;
use Dripel\Core\Strip\Solvent;

/**
 * What the rows of the logbook's tables are in the core: id, at, precision, sequence, then the columns of each. Plain rows: there may be
 * tens of thousands.
 */
final readonly class CoreRows
{
    public const SETTING = ['key', 'bike_id', 'component_id', 'value'];

    public const FITTING = ['bike_id', 'component_id', 'slot'];

    public const RIDE = ['bike_id', 'km', 'hours', 'condition'];

    public const ESTIMATE = ['bike_id', 'from_at', 'from_date', 'to_date', 'km', 'condition', 'odometer_km'];

    public const COMMUTE = ['bike_id', 'weekdays', 'time', 'km', 'hours', 'condition', 'from_date', 'until_date'];

    public const REST_DAY = ['bike_id', 'date'];

    public const PLANNED_RIDE = ['bike_id', 'from_date', 'until_date', 'km', 'condition', 'name'];

    public const POT_ENTRY = ['component_id', 'kind', 'wax_g', 'oil_g', 'removed_fraction', 'temp_c'];

    public const JAR_ENTRY = ['component_id', 'act', 'volume_ml', 'solvent', 'flash_c', 'boiling_c'];

    public const BATH = ['component_id', 'action_id', 'into_id', 'solvent', 'volume_ml', 'chains', 'start_g'];

    /** @param array<int, mixed> $row */
    public static function setting(array $row): DatedSetting
    {
        return new DatedSetting(
            SettingKey::from($row[4]),
            $row[5] ?? ($row[6] ?? 0),
            new Moment($row[1], Precision::Minute, $row[0]),
            $row[7] === null ? null : json_decode($row[7]),
        );
    }

    /** @param array<int, mixed> $row */
    public static function fitting(array $row): Fitting
    {
        return new Fitting($row[0], self::moment($row), $row[4], $row[5], Slot::from($row[6]));
    }

    /** @param array<int, mixed> $row */
    public static function ride(array $row): Ride
    {
        return new Ride($row[0], self::moment($row), $row[4], (float) $row[5], self::float($row[6]), Condition::from($row[7]));
    }

    /**
     * @param class-string<IsEvent> $model
     * @param list<array<int, mixed>> $rows
     *
     * @return list<Event>
     */
    public static function events(string $model, array $rows): array
    {
        $count = count($model::columns());

        return array_map(fn(array $row) => $model::event($row[0], self::moment($row), array_slice($row, 4, $count)), $rows);
    }

    /**
     * @param class-string<IsEvent> $model
     * @param array<int, mixed> $row
     */
    public static function event(string $model, array $row): Event
    {
        return self::events($model, [$row])[0];
    }

    /** @param array<int, mixed> $row */
    public static function estimate(array $row): Estimate
    {
        return new Estimate(
            $row[0],
            self::moment($row),
            $row[4],
            $row[5],
            $row[6],
            $row[7],
            (float) $row[8],
            Condition::from($row[9]),
            self::float($row[10]),
        );
    }

    /** @param array<int, mixed> $row */
    public static function commute(array $row): Commute
    {
        return new Commute(
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
        );
    }

    /** @param array<int, mixed> $row */
    public static function restDay(array $row): RestDay
    {
        return new RestDay($row[0], self::moment($row), $row[4], $row[5]);
    }

    /** @param array<int, mixed> $row */
    public static function plannedRide(array $row): PlannedRide
    {
        return new PlannedRide(
            $row[0],
            $row[5],
            $row[6],
            $row[4],
            (float) $row[7],
            $row[8] === null ? null : Condition::from($row[8]),
            (string) $row[9],
        );
    }

    private static function float(mixed $value): ?float
    {
        return is_numeric($value) ? (float) $value : null;
    }

    /** @param array<int, mixed> $row */
    public static function potEntry(array $row): PotEntry
    {
        return new PotEntry(
            $row[0],
            self::moment($row),
            $row[4],
            BathEventKind::from($row[5]),
            self::float($row[6]),
            self::float($row[7]),
            self::float($row[8]),
            self::float($row[9]),
        );
    }

    /** @param array<int, mixed> $row */
    public static function jarEntry(array $row): JarEntry
    {
        return new JarEntry(
            $row[1],
            JarAct::from($row[5]),
            self::float($row[6]),
            $row[7] === null ? null : Solvent::from($row[7]),
            self::float($row[8]),
            self::float($row[9]),
        );
    }

    /** @param array<int, mixed> $row */
    public static function bath(array $row): JarBath
    {
        return new JarBath($row[1], $row[5], $row[4], $row[6], Solvent::from($row[7]), (float) $row[8], $row[9], (float) $row[10]);
    }

    /** @param array<int, mixed> $row */
    private static function moment(array $row): Moment
    {
        return new Moment($row[1], $row[2] === 'day' ? Precision::Day : Precision::Minute, $row[3]);
    }
}
