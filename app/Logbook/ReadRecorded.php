<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Chain;
use App\Models\Workshop;
use App\Support\LeanRows;
use Closure;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\Recorded;
use Dripel\Core\Logbook\RecordedBook;

/**
 * Loads all that was ever written down of a workshop, with when it was recorded, and when it was changed or taken back. What was taken back
 * and brought back again counts as known all along.
 */
final readonly class ReadRecorded
{
    public function __invoke(Workshop $workshop): RecordedBook
    {
        $components = self::rows($workshop, 'components', ['kind'], fn(array $row) => [$row[0], $row[1]]);

        return new RecordedBook(
            self::rows($workshop, 'bikes', [], fn(array $row) => $row[0]),
            self::ids($components),
            self::entries($workshop, 'settings', CoreRows::SETTING, CoreRows::setting(...)),
            self::entries($workshop, 'fittings', CoreRows::FITTING, CoreRows::fitting(...)),
            self::entries($workshop, 'rides', CoreRows::RIDE, CoreRows::ride(...)),
            array_merge(
                ...array_map(
                    fn(EntryType $type) => self::entries(
                        $workshop,
                        $type->value,
                        $type->event()::columns(),
                        fn(array $row) => CoreRows::event($type->event(), $row),
                    ),
                    EntryType::events(),
                ),
            ),
            self::parts($components),
            self::entries($workshop, 'estimates', CoreRows::ESTIMATE, CoreRows::estimate(...)),
            self::entries($workshop, 'commutes', CoreRows::COMMUTE, CoreRows::commute(...)),
            self::entries($workshop, 'rest_days', CoreRows::REST_DAY, CoreRows::restDay(...)),
            self::entries($workshop, 'planned_rides', CoreRows::PLANNED_RIDE, CoreRows::plannedRide(...)),
            self::entries($workshop, 'bath_entries', CoreRows::POT_ENTRY, CoreRows::potEntry(...)),
        );
    }

    /**
     * @param list<Recorded<array{int, string}>> $components
     *
     * @return list<Recorded<int>>
     */
    private static function ids(array $components): array
    {
        $chains = array_filter($components, fn(Recorded $one) => $one->what[1] === Chain::KIND);

        return array_values(array_map(fn(Recorded $one) => new Recorded($one->what[0], $one->fromS, $one->untilS), $chains));
    }

    /**
     * @param list<Recorded<array{int, string}>> $components
     *
     * @return list<Recorded<array{int, PartKind}>>
     */
    private static function parts(array $components): array
    {
        $parts = [];
        foreach ($components as $one) {
            $kind = PartKind::tryFrom($one->what[1]);
            $kind === null || ($parts[] = new Recorded([$one->what[0], $kind], $one->fromS, $one->untilS));
        }

        return $parts;
    }

    /**
     * @template T
     *
     * @param array<int, string> $columns
     * @param Closure(array<int, mixed>): T $make
     *
     * @return list<Recorded<T>> in order of time
     */
    private static function entries(Workshop $workshop, string $table, array $columns, Closure $make): array
    {
        return self::rows($workshop, $table, ['at', 'precision', 'sequence', ...$columns], $make, 'e.at, e.id');
    }

    /**
     * @template T
     *
     * @param array<int, string> $columns
     * @param Closure(array<int, mixed>): T $make of the id and these columns
     *
     * @return list<Recorded<T>>
     */
    private static function rows(Workshop $workshop, string $table, array $columns, Closure $make, string $order = 'e.id'): array
    {
        $names = implode(', ', array_map(fn(string $column) => "e.\"{$column}\"", ['id', ...$columns]));
        $all = LeanRows::each(
            "select {$names}, done.recorded_at, undone.recorded_at from \"{$table}\" e join actions done on done.id = e.action_id " .
                "left join actions undone on undone.id = e.voided_by where e.workshop_id = ? order by {$order}",
            [$workshop->id],
        );
        $last = count($columns) + 1;
        $recorded = [];
        foreach ($all as $row) {
            $recorded[] = new Recorded($make($row), (int) $row[$last], $row[$last + 1] === null ? null : (int) $row[$last + 1]);
        }

        return $recorded;
    }
}
