<?php

declare(strict_types=1);

namespace App\Archive;

use App\Logbook\About;
use App\Logbook\ActionKind;
use App\Logbook\EntryType;
use App\Logbook\IsEvent;
use BackedEnum;
use Closure;
use Dripel\Core\Bath\BathEventKind;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Slot;
use Dripel\Core\Logbook\WaxThen;
use Dripel\Core\Logbook\WipeDownKind;
use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\Protocol;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Wear\WearReading;
use TypeError;
use ValueError;

/**
 * What the rows of a workshop file may hold: the rules of the forms that write them, asked of the whole file before anything is written,
 * so that it is said which value of which row cannot be.
 */
final class FileRules
{
    private const CHAIN = 'chain';

    /** What a column names by id has to be: kinds of components. */
    private const KINDS = [
        'pot_id' => ['pot'],
        'bottle_id' => ['bottle'],
        'instrument_id' => ['instrument'],
        'into_id' => ['jar'],
    ];

    /** Of `component_id`, by table; a fitting's goes by its slot. */
    private const COMPONENTS = [
        'strips' => [self::CHAIN],
        'dips' => [self::CHAIN],
        'topups' => [self::CHAIN],
        'oilings' => [self::CHAIN],
        'cares' => [self::CHAIN],
        'readings' => [self::CHAIN],
        'jar_entries' => ['jar'],
        'baths' => ['jar'],
        'bath_entries' => ['pot'],
    ];

    /** @var array<string, array<string, Closure(mixed): bool>> by table and column */
    private array $rules = [];

    /** @var array<int|string, string> the kind of each component */
    private array $kinds = [];

    /** @param array<string, list<array<string, mixed>>> $tables with all their columns */
    public function __construct(private readonly array $tables)
    {
        foreach ($tables[EntryType::Component->value] as $row) {
            if ((is_int($row['id']) || is_string($row['id'])) && is_string($row['kind'])) {
                $this->kinds[$row['id']] = $row['kind'];
            }
        }
    }

    /** @throws NotRestored that names the first row and the column of it that cannot be */
    public function check(): void
    {
        foreach ($this->tables as $table => $rows) {
            $seen = [];
            foreach ($rows as $i => $row) {
                foreach ($row as $column => $value) {
                    $this->rule($table, $column)($value) || throw self::fault($table, $i, $column);
                }
                !isset($seen[$row['id']]) || throw self::fault($table, $i, 'id');
                $seen[$row['id']] = true;
                $column = $this->together($table, $row);
                $column === null || throw self::fault($table, $i, $column);
            }
        }
    }

    private static function fault(string $table, int $i, string $column): NotRestored
    {
        return new NotRestored('value', ['table' => $table, 'row' => $i + 1, 'column' => $column]);
    }

    /** @param array<string, mixed> $row each value of which is good by itself */
    private function together(string $table, array $row): ?string
    {
        foreach (self::KINDS as $column => $kinds) {
            if (isset($row[$column]) && !in_array($this->kinds[$row[$column]] ?? null, $kinds, true)) {
                return $column;
            }
        }
        $kinds = $table === 'fittings' ? [self::slotKind((string) $row['slot'])] : self::COMPONENTS[$table] ?? null;
        if ($kinds !== null && isset($row['component_id']) && !in_array($this->kinds[$row['component_id']] ?? null, $kinds, true)) {
            return 'component_id';
        }
        if ($table === EntryType::Setting->value) {
            return SettingRules::fits(SettingKey::from((string) $row['key']), $row['value']) ? null : 'value';
        }
        if ($table === WorkshopFile::ACTIONS) {
            return self::aboutFits((array) $row['about']) ? null : 'about';
        }

        return $this->coreRefuses($table, $row);
    }

    private static function slotKind(string $slot): string
    {
        return $slot === Slot::Trainer->value ? PartKind::Cassette->value : $slot;
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return string|null the column that the core would not take
     */
    private function coreRefuses(string $table, array $row): ?string
    {
        $type = EntryType::from($table);
        try {
            if ($type === EntryType::Protocol) {
                Protocol::from(Fields::fromJson((string) json_encode(['code' => 'own', 'steps' => $row['steps']])));
            }
            if ($type === EntryType::Reading) {
                WearReading::input(Fields::fromJson((string) json_encode($row['input'])));
            }
            $model = $type->model();
            if (is_subclass_of($model, IsEvent::class)) {
                $values = array_map(
                    fn(string $column) => in_array($column, WorkshopFile::JSON, true) ? json_encode($row[$column]) : $row[$column],
                    $model::columns(),
                );
                $model::event(1, new Moment((int) $row['at'], Precision::from((string) $row['precision']), 0), $values);
            }
        } catch (InvalidInput $e) {
            $column = strtok($e->path, '.[') ?: '';

            return array_key_exists($column, $row)
                ? $column
                : ($table === 'protocols'
                    ? 'steps'
                    : ($table === 'readings'
                        ? 'input'
                        : 'at'));
        } catch (ValueError | TypeError) {
            return 'at';
        }

        return null;
    }

    /** @param array<mixed> $about of an action */
    private static function aboutFits(array $about): bool
    {
        if (strlen((string) json_encode($about)) > 1_000_000) {
            return false;
        }
        try {
            $read = About::from($about);
        } catch (TypeError) {
            return false;
        }
        $whole = Fits::list(Fits::whole(), 0, 100_000);
        return $whole($read->bikes) &&
            $whole($read->chains ?? []) &&
            $whole($read->weekdays) &&
            Fits::list(Fits::day())($read->potDays) &&
            Fits::list(Fits::actionId(), 0, 100_000)($read->undid) &&
            self::among(Precision::class, $read->day) &&
            self::among(EntryType::class, $read->type) &&
            self::among(Condition::class, $read->condition) &&
            self::among(WipeDownKind::class, $read->care) &&
            self::among(Supply::class, $read->supply) &&
            self::among(Solvent::class, $read->solvent) &&
            array_filter([$read->from, $read->until], fn(?string $day) => $day !== null && !Fits::day()($day)) === [] &&
            self::wasFits($read->was) &&
            self::changedFits($read->changed ?? []);
    }

    /** @param class-string<BackedEnum> $enum */
    private static function among(string $enum, ?string $value): bool
    {
        return $value === null || Fits::one($enum)($value);
    }

    /** @param array<mixed>|null $was */
    private static function wasFits(?array $was): bool
    {
        return $was === null ||
            (array_diff(array_keys($was), ['km', 'bike', 'condition']) === [] &&
                Fits::orNull(Fits::figure())($was['km'] ?? null) &&
                Fits::orNull(Fits::whole())($was['bike'] ?? null) &&
                Fits::orNull(Fits::one(Condition::class))($was['condition'] ?? null));
    }

    /** @param array<mixed> $changed */
    private static function changedFits(array $changed): bool
    {
        foreach ($changed as $key => $values) {
            $setting = SettingKey::tryFrom((string) $key);
            if ($setting === null || !is_array($values) || !array_is_list($values) || count($values) !== 2) {
                return false;
            }
            foreach ($values as $value) {
                if (!SettingRules::fits($setting, $value)) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @return Closure(mixed): bool */
    private function rule(string $table, string $column): Closure
    {
        return $this->rules[$table][$column] ??= self::own($table, $column) ?? self::common($column);
    }

    /** @return Closure(mixed): bool|null null: as in every table */
    private static function own(string $table, string $column): ?Closure
    {
        $orNull = Fits::orNull(...);

        return match ("{$table}.{$column}") {
            'actions.id' => Fits::actionId(),
            'actions.kind' => Fits::one(ActionKind::class),
            'actions.revision' => Fits::whole(),
            'actions.about', 'actions.effects', 'readings.input' => is_array(...),
            'actions.by' => $orNull(is_array(...)),
            'components.kind' => Fits::one([
                self::CHAIN,
                ...array_column(PartKind::cases(), 'value'),
                'jar',
                'pot',
                'bottle',
                'instrument',
            ]),
            'settings.key' => Fits::one(SettingKey::class),
            // Goes by its key.
            'settings.value' => fn(): bool => true,
            'openings.km' => $orNull(Fits::figure()),
            'openings.wax' => Fits::one(WaxThen::class),
            'fittings.slot' => Fits::one(Slot::class),
            'planned_rides.km', 'topups.km' => Fits::figure(0, 1e5),
            'planned_rides.condition' => $orNull(Fits::one(Condition::class)),
            'planned_rides.bike_id', 'rides.bike_id', 'settings.bike_id' => $orNull(Fits::whole(1)),
            'fittings.component_id', 'settings.component_id', 'baths.component_id' => $orNull(Fits::whole(1)),
            'planned_rides.name', 'jar_entries.note' => $orNull(Fits::text()),
            'planned_rides.until_date' => Fits::day(),
            'jar_entries.act' => Fits::one(JarAct::class),
            'jar_entries.solvent' => $orNull(Fits::one(Solvent::class)),
            'jar_entries.volume_ml' => $orNull(Fits::figure()),
            'baths.volume_ml' => Fits::figure(),
            'baths.chains' => Fits::whole(1, 1000),
            'bath_entries.kind' => Fits::one(BathEventKind::class),
            'protocols.name' => Fits::text(120, 1),
            default => null,
        };
    }

    /** @return Closure(mixed): bool */
    private static function common(string $column): Closure
    {
        $orNull = Fits::orNull(...);

        return match ($column) {
            'id', 'bike_id', 'component_id' => Fits::whole(1),
            'replaces_id', 'pot_id', 'instrument_id', 'bottle_id', 'into_id' => $orNull(Fits::whole(1)),
            'action_id' => Fits::actionId(),
            'voided_by', 'reverted_by' => $orNull(Fits::actionId()),
            'sequence' => Fits::whole(),
            'at', 'from_at', 'recorded_at' => Fits::instant(),
            'precision' => Fits::one(Precision::class),
            'km' => Fits::figure(0, 1e6),
            'hours', 'since_wax_km', 'odometer_km', 'ml', 'pickup_g', 'wax_g', 'oil_g' => $orNull(Fits::figure()),
            'temp_c', 'flash_c', 'boiling_c' => $orNull(Fits::figure(-100, 1000)),
            'removed_fraction' => $orNull(Fits::figure(0, 1)),
            'start_g' => Fits::figure(),
            'closings', 'soak_s', 'track_from', 'track_to' => $orNull(Fits::whole()),
            'rinsed', 'powder', 'partly', 'link_in', 'drip_only' => Fits::flag(),
            'condition' => Fits::one(Condition::class),
            'care' => Fits::one(WipeDownKind::class),
            'solvent' => Fits::one(Solvent::class),
            'supply' => Fits::one(Supply::class),
            'amount_minor' => Fits::whole(),
            'quantity' => Fits::positive(),
            'look' => $orNull(Fits::one(['clear', 'cloudy'])),
            'track_fingerprint' => $orNull(Fits::text(200)),
            'weekdays' => Fits::list(Fits::whole(1, 7), 1, 7),
            'time' => Fits::time(),
            'from_date', 'to_date', 'date' => Fits::day(),
            'until_date' => $orNull(Fits::day()),
            'steps' => Fits::list(is_array(...), 1, 100),
            // A new column has to say what it may be.
            default => fn(): bool => false,
        };
    }
}
