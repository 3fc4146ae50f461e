<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Chain;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\LeanRows;
use Closure;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Events;
use Dripel\Core\Logbook\FillIn;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\RideRun;
use Dripel\Core\Logbook\Settings;

/** Loads the entries in force of a workshop into the core's logbook. Plain rows: there may be tens of thousands. */
final class ReadBook
{
    /** @var array<string, Book> */
    private array $read = [];

    /** @var array<string, Settings> */
    private array $settings = [];

    /** @var array<string, list<int>> */
    private array $bikes = [];

    /** @var array<string, array<int, string>> of components */
    private array $kinds = [];

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
        [$this->read, $this->settings, $this->bikes, $this->kinds] = [[], [], [], []];
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
        return $this->bikes["{$workshop->id} {$workshop->revision}"] ??= array_column(
            LeanRows::all('select "id" from "bikes" where "workshop_id" = ? and "voided_by" is null order by "id"', [$workshop->id]),
            0,
        );
    }

    /** @param Closure(): array<int, RideRun> $rides */
    private function read(Workshop $workshop, Closure $rides, bool $whole = false): Book
    {
        $fillIn = $this->fillIn($workshop);
        // Before anything else is read: what comes in meanwhile makes it a snapshot of the past, which nobody reads.
        $snapshot = $whole ? $this->snapshots->of($workshop, $fillIn) : null;
        $components = $this->kinds($workshop);

        return new Book(
            $this->bikes($workshop),
            array_keys($components, Chain::KIND, true),
            $this->settings($workshop),
            fn() => array_map(CoreRows::fitting(...), self::rows($workshop, 'fittings', ...CoreRows::FITTING)),
            $rides,
            self::events($workshop),
            $fillIn,
            $this->parts($workshop, $components),
            $snapshot,
        );
    }

    private static function events(Workshop $workshop): Events
    {
        [$all, $ofOne] = [[], []];
        foreach (EntryType::events() as $type) {
            $model = $type->event();
            $read = fn(?int $componentId) => CoreRows::events(
                $model,
                self::rowsOf($componentId, $workshop, $type->value, ...$model::columns()),
            );
            $kind = (string) $type->kind()?->value;
            $all[$kind] = fn() => $read(null);
            in_array('component_id', $model::columns(), true) && ($ofOne[$kind] = $read);
        }

        return Events::from($all, $ofOne);
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

    /**
     * @param array<int, string> $components
     *
     * @return list<Part>
     */
    private function parts(Workshop $workshop, array $components): array
    {
        $settings = $this->settings($workshop);
        $kinds = array_filter(array_map(PartKind::tryFrom(...), $components));

        return array_map(fn(int $id, PartKind $kind) => Part::of($id, $kind, $settings), array_keys($kinds), $kinds);
    }

    /** @return list<int> the components of one kind, in their order */
    public function components(Workshop $workshop, string $kind): array
    {
        return array_keys($this->kinds($workshop), $kind, true);
    }

    /** @return array<int, string> the kind of each, in their order */
    private function kinds(Workshop $workshop): array
    {
        return $this->kinds["{$workshop->id} {$workshop->revision}"] ??= array_column(
            LeanRows::all('select "id", "kind" from "components" where "workshop_id" = ? and "voided_by" is null order by "id"', [
                $workshop->id,
            ]),
            1,
            0,
        );
    }

    /** @return list<array<int, mixed>> id, at, precision, sequence, then the columns asked for */
    public static function rows(Workshop $workshop, string $table, string ...$columns): array
    {
        return self::rowsOf(null, $workshop, $table, ...$columns);
    }

    /** @return list<array<int, mixed>> those of one component, or all */
    private static function rowsOf(?int $componentId, Workshop $workshop, string $table, string ...$columns): array
    {
        $names = implode(', ', array_map(fn(string $column) => "\"{$column}\"", ['id', 'at', 'precision', 'sequence', ...$columns]));

        return LeanRows::all(
            "select {$names} from \"{$table}\" where \"workshop_id\" = ? and \"voided_by\" is null " .
                ($componentId === null ? '' : 'and "component_id" = ? ') .
                'order by "at", "id"',
            [$workshop->id, ...$componentId === null ? [] : [$componentId]],
        );
    }
}
