<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Logbook\About;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Workshop;
use App\Support\ListSearch;
use App\Text\ChangeWords;
use App\Text\Translators;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Plan\LocalDay;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Facades\DB;

/**
 * Who did what, in sentences, the newest first.
 *
 * @phpstan-import-type ChangedChain from ChangeWords
 * @phpstan-import-type SearchView from ListSearch
 *
 * @phpstan-type HistoryLine array{id: string, sentence: string, who: string, when: string, undone: bool, stays: bool}
 * @phpstan-type HistoryPage array{
 *     actions: list<HistoryLine>,
 *     page: int,
 *     more: bool,
 *     months: list<array{value: string, title: string}>,
 *     search: SearchView,
 *     bikes: list<array{value: int, title: string}>,
 *     chains: list<array{value: int, title: string}>,
 * }
 * @phpstan-type UndoPage array{
 *     action: HistoryLine,
 *     also: list<HistoryLine>,
 *     changes: list<array{chain: string, lines: list<array{name: string, before: string, after: string}>}>,
 * }
 */
final readonly class HistoryProps
{
    private const PAGE = 40;

    public function __construct(private Translators $translators, private ReadBook $readBook) {}

    /** @return HistoryPage */
    public function all(Workshop $workshop, ListSearch $search): array
    {
        $book = ($this->readBook)($workshop);
        [$bikeId, $chainId] = [$search->bikeId, $search->chainId];
        $query = Action::query()
            ->in($workshop)
            ->when($bikeId !== null, fn(Builder $q) => $q->where(fn(Builder $any) => $this->concerning($any, 'bikes', (int) $bikeId)))
            ->when(
                $chainId !== null,
                fn(Builder $q) => $q->where(
                    fn(Builder $any) => $this->concerning($any, 'chains', (int) $chainId)->orWhereIn(
                        'id',
                        $this->ridesOn($book, (int) $chainId),
                    ),
                ),
            );
        $names = $this->translators->current()->names;
        /** @var iterable<int> $recorded */
        $recorded = $query->clone()->toBase()->orderByDesc('recorded_at')->pluck('recorded_at');
        $this->recordedWithin($query, $search);
        $query->with('user')->orderByDesc('revision');
        $actions =
            $search->text === ''
                ? $query
                    ->skip(($search->page - 1) * self::PAGE)
                    ->take(self::PAGE + 1)
                    ->get()
                : $this->said($query, $search);
        $shown = $actions->take(self::PAGE);
        // A sentence follows from the logbook alone: those that most come for are kept with it.
        $sentences =
            $search->looking() || $search->page > 1
                ? $this->sentences($shown)
                : $book->kept('newest sentences', fn() => $this->sentences($shown));

        return [
            'actions' => $this->lines($shown, $sentences),
            'page' => $search->page,
            'more' => $actions->count() > self::PAGE,
            'months' => $this->translators->current()->months($recorded),
            'search' => $search->view(),
            'bikes' => array_map(fn(int $id) => ['value' => $id, 'title' => $names->bike($id)], $book->bikeIds),
            'chains' => array_map(fn(int $id) => ['value' => $id, 'title' => $names->fullChain($id)], $book->chainIds),
        ];
    }

    /** @param Builder<Action> $query */
    private function recordedWithin(Builder $query, ListSearch $search): void
    {
        $zone = $this->translators->current()->zone();
        $search->from === null || $query->where('recorded_at', '>=', LocalDay::named($search->from, $zone)->startS());
        $search->to === null || $query->where('recorded_at', '<', LocalDay::named($search->to, $zone)->plus(1)->startS());
    }

    /**
     * Sentences are made when they are read, so they are looked through one after the other, the newest first.
     *
     * @param Builder<Action> $query
     *
     * @return Collection<int, Action> a page and one more, if there is more
     */
    private function said(Builder $query, ListSearch $search): Collection
    {
        $words = $this->translators->history();

        return new Collection(
            $query
                ->lazy(200)
                ->filter(fn(Action $action) => $search->found("{$words->sentence($action)} {$action->who()}"))
                ->skip(($search->page - 1) * self::PAGE)
                ->take(self::PAGE + 1)
                ->all(),
        );
    }

    /**
     * @param Builder<Action> $query
     *
     * @return Builder<Action>
     */
    private function concerning(Builder $query, string $kind, int $id): Builder
    {
        foreach ($kind === 'bikes' ? About::OF_BIKES : About::OF_CHAINS as $key) {
            $key === $kind ? $query->orWhereJsonContains("about->{$key}", $id) : $query->orWhere("about->{$key}", $id);
        }

        return $query;
    }

    /** The actions behind the rides that a chain counts: which chain a ride went to is derived, so it stands in no action. */
    private function ridesOn(Book $book, int $chainId): QueryBuilder
    {
        $ids = array_values(
            array_filter(array_map(fn(Ride $ride) => $ride->id, $book->history($chainId)->rides->all()), fn(int $id) => $id > 0),
        );

        return DB::table('rides')->select('action_id')->whereIntegerInRaw('id', $ids);
    }

    /**
     * @param list<Action> $inTheWay
     * @param list<ChangedChain> $changes
     *
     * @return UndoPage
     */
    public function undo(Action $action, array $inTheWay, array $changes): array
    {
        $all = (new Collection([$action, ...$inTheWay]))->load('user');
        $lines = $this->lines($all, $this->sentences($all));

        return [
            'action' => $lines[0],
            'also' => array_slice($lines, 1),
            'changes' => $changes,
        ];
    }

    /**
     * @param Collection<int, Action> $actions
     *
     * @return array<string, string> by action
     */
    private function sentences(Collection $actions): array
    {
        $words = $this->translators->history();

        return $actions->mapWithKeys(fn(Action $action) => [$action->id => $words->sentence($action)])->all();
    }

    /**
     * @param Collection<int, Action> $actions
     * @param array<string, string> $sentences by action
     *
     * @return list<HistoryLine>
     */
    private function lines(Collection $actions, array $sentences): array
    {
        $q = $this->translators->current()->quantities;

        return array_values(
            $actions
                ->map(
                    fn(Action $action) => [
                        'id' => $action->id,
                        // What was done since the logbook was looked at has none yet.
                        'sentence' => $sentences[$action->id] ?? $this->translators->history()->sentence($action),
                        'who' => $action->who(),
                        'when' => $q->dayAndTime($action->recorded_at),
                        'undone' => $action->reverted_by !== null,
                        // Without it there would be no workshop.
                        'stays' => $action->about->opensWorkshop(),
                    ],
                )
                ->all(),
        );
    }
}
