<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Models\RideImport;
use App\Models\Workshop;
use App\Ride\RideTable;
use App\Text\Translator;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Ride\RideColumn;
use Dripel\Core\Ride\RideColumns;
use Dripel\Core\Ride\RideRow;

/**
 * A table of rides before it is read: its columns, what they seem to be, and what comes of the first rows.
 *
 * @phpstan-import-type Choice from FormProps
 *
 * @phpstan-type RideTablePage array{
 *     import: array{id: string, name: string, rows: string},
 *     header: list<array{value: int, title: string}>,
 *     sample: list<list<string>>,
 *     columns: list<array{value: string, title: string, needed: bool}>,
 *     proposed: array{at: array<string, int>, distance: string, duration: string, day_first: bool, remembered: bool},
 *     units: array{
 *         distance: list<Choice>,
 *         duration: list<Choice>,
 *     },
 * }
 * @phpstan-type RideTablePreview array{rides: list<string>, count: string, faults: list<string>, faulty: string}
 */
final readonly class RideTableProps
{
    private const SHOWN = 8;

    public function __construct(private Translator $translator) {}

    /** @return RideTablePage */
    public function page(Workshop $workshop, RideImport $import): array
    {
        $table = RideTable::of($import);
        $proposed = $table->proposed($workshop);

        return [
            'import' => ['id' => $import->id, 'name' => $import->name, 'rows' => trans_choice('ui.ride_table.rows', $import->total)],
            'header' => array_map(
                fn(string $name, int $index) => [
                    'value' => $index,
                    'title' => $name === '' ? $this->translator->say('ui.ride_table.column', ['n' => (string) ($index + 1)]) : $name,
                ],
                $table->header(),
                array_keys($table->header()),
            ),
            'sample' => $table->sample(self::SHOWN),
            'columns' => array_map(
                fn(RideColumn $column) => [
                    'value' => $column->value,
                    'title' => $this->translator->say("ui.ride_table.columns.{$column->value}"),
                    'needed' => $column === RideColumn::Start || $column === RideColumn::Distance,
                ],
                RideColumn::cases(),
            ),
            'proposed' => [
                'at' => $proposed['at'],
                'distance' => $proposed['distance'],
                'duration' => $proposed['duration'],
                'day_first' => $proposed['dayFirst'],
                'remembered' => $proposed['remembered'],
            ],
            'units' => [
                'distance' => $this->choices('distance', array_keys(RideColumns::DISTANCES)),
                'duration' => $this->choices('duration', array_keys(RideColumns::DURATIONS)),
            ],
        ];
    }

    /**
     * @return RideTablePreview what the columns make of it
     *
     * @throws InvalidInput at `file`
     */
    public function preview(RideImport $import, RideColumns $columns): array
    {
        ['rides' => $rides, 'faults' => $faults] = RideTable::of($import)->read($columns, $this->translator->zone());
        $q = $this->translator->quantities;

        return [
            'rides' => array_map(
                fn(RideRow $ride) => implode(
                    ', ',
                    array_filter([
                        $ride->startS === null
                            ? $q->date((int) strtotime("{$ride->date} 12:00 UTC"), 'EEE d MMM y')
                            : $q->dayAndTime($ride->startS),
                        $q->distance($ride->km, 1),
                        $ride->hours === null ? '' : $q->hours($ride->hours),
                        $ride->bike,
                        $ride->condition === null ? '' : $this->translator->say("chain.condition.{$ride->condition->value}"),
                    ]),
                ),
                array_slice($rides, 0, self::SHOWN),
            ),
            'count' => trans_choice('ui.ride_table.count', count($rides)),
            'faults' => array_map(
                fn(array $fault) => $this->translator->say('ui.ride_table.fault', $fault),
                array_slice($faults, 0, self::SHOWN),
            ),
            'faulty' => count($faults) === 0 ? '' : trans_choice('ui.ride_table.faulty', count($faults)),
        ];
    }

    /**
     * @param list<string> $units
     *
     * @return list<array{value: string, title: string}>
     */
    private function choices(string $of, array $units): array
    {
        return array_map(
            fn(string $unit) => ['value' => $unit, 'title' => $this->translator->say("ui.ride_table.units.{$of}_{$unit}")],
            $units,
        );
    }
}
