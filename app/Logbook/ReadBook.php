<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Chain;
use App\Models\Workshop;
use App\Support\AppClock;
use Closure;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Events;
use Dripel\Core\Logbook\FillIn;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\RideRun;
use Dripel\Core\Logbook\Settings;
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

    /** @var array<string, list<int>> */
    private array $bikes = [];

    private bool $byRowsAlone = false;

    public function __construct(private readonly AppClock $clock, private readonly Snapshots $snapshots) {}

    public function __invoke(Workshop $workshop): Book
    {
        return $this->read["{$workshop->id} {$workshop->revision}"] ??= $this->read(
            $workshop,
            fn() => PastRides::runs($workshop, $this->byRowsAlone),
            !$this->byRowsAlone,
        );
    }

    /** Before anything is written: what was read and not yet looked at stays what it was. */
    public function settle(): void
    {
        array_walk($this->read, fn(Book $book) => $book->settle());
    }

    /** After anything was written, or tried: a revision may mean another logbook now. */
    public function forget(): void
    {
        [$this->read, $this->settings, $this->bikes] = [[], [], []];
    }

    /**
     * What something says where nothing is taken from what is kept packed or worked out.
     *
     * @template T
     *
     * @param Closure(): T $work
     *
     * @return T
     */
    public function byRowsAlone(Closure $work): mixed
    {
        $this->forget();
        $this->byRowsAlone = true;
        try {
            return $work();
        } finally {
            $this->byRowsAlone = false;
            $this->forget();
        }
    }

    /** Enough to see contradictions and coats, without the many rides. */
    public function withoutRides(Workshop $workshop): Book
    {
        return $this->read($workshop, fn() => []);
    }

    public function settings(Workshop $workshop): Settings
    {
        return $this->settings["{$workshop->id} {$workshop->revision}"] ??= new Settings(
            array_map(CoreRows::setting(...), self::rows($workshop, 'settings', ...CoreRows::SETTING)),
        );
    }

    /** @return list<int> */
    public function bikes(Workshop $workshop): array
    {
        return $this->bikes["{$workshop->id} {$workshop->revision}"] ??= self::ids($workshop, DB::table('bikes'));
    }

    /** @param Closure(): array<int, RideRun> $rides */
    private function read(Workshop $workshop, Closure $rides, bool $whole = false): Book
    {
        $fillIn = $this->fillIn($workshop);
        // Before anything else is read: what comes in meanwhile makes it a snapshot of the past, which nobody reads.
        $snapshot = $whole ? $this->snapshots->of($workshop, $fillIn) : null;

        return new Book(
            $this->bikes($workshop),
            self::ids($workshop, DB::table('components')->where('kind', Chain::KIND)),
            $this->settings($workshop),
            fn() => array_map(CoreRows::fitting(...), self::rows($workshop, 'fittings', ...CoreRows::FITTING)),
            $rides,
            self::events($workshop),
            $fillIn,
            $this->parts($workshop),
            $snapshot,
        );
    }

    private static function events(Workshop $workshop): Events
    {
        $sources = [];
        foreach (EntryType::events() as $type) {
            $model = $type->event();
            $ofComponent = in_array('component_id', $model::columns(), true);
            $sources[(string) $type->kind()?->value] = fn(?int $componentId) => CoreRows::events(
                $model,
                self::rowsOf($ofComponent ? $componentId : null, $workshop, $type->value, ...$model::columns()),
            );
        }

        return Events::from($sources);
    }

    private function fillIn(Workshop $workshop): FillIn
    {
        return new FillIn(
            array_map(CoreRows::estimate(...), self::rows($workshop, 'estimates', ...CoreRows::ESTIMATE)),
            array_map(CoreRows::commute(...), self::rows($workshop, 'commutes', ...CoreRows::COMMUTE)),
            array_map(CoreRows::restDay(...), self::rows($workshop, 'rest_days', ...CoreRows::REST_DAY)),
            $this->settings($workshop)->zone(),
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

        return array_values($rows->map(fn(object $row) => Part::of($row->id, PartKind::from($row->kind), $settings))->all());
    }

    /** @return list<int> */
    private static function ids(Workshop $workshop, Builder $query): array
    {
        return array_values($query->where('workshop_id', $workshop->id)->whereNull('voided_by')->orderBy('id')->pluck('id')->all());
    }

    /** @return list<array<int, mixed>> id, at, precision, sequence, then the columns asked for */
    private static function rows(Workshop $workshop, string $table, string ...$columns): array
    {
        return self::rowsOf(null, $workshop, $table, ...$columns);
    }

    /** @return list<array<int, mixed>> those of one component, or all */
    private static function rowsOf(?int $componentId, Workshop $workshop, string $table, string ...$columns): array
    {
        // Written out: a page asks for a dozen tables, and building each query costs as much as running it.
        $names = implode(', ', array_map(fn(string $column) => "\"{$column}\"", ['id', 'at', 'precision', 'sequence', ...$columns]));
        $statement = DB::connection()
            ->getPdo()
            ->prepare(
                "select {$names} from \"{$table}\" where \"workshop_id\" = ? and \"voided_by\" is null " .
                    ($componentId === null ? '' : 'and "component_id" = ? ') .
                    'order by "at", "id"',
            );
        $statement->execute([$workshop->id, ...$componentId === null ? [] : [$componentId]]);

        return array_values($statement->fetchAll(PDO::FETCH_NUM));
    }
}
