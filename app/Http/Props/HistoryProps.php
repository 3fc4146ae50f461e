<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Logbook\About;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Workshop;
use App\Text\ChangeWords;
use App\Text\Translators;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Ride;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Facades\DB;

/**
 * Who did what, in sentences, the newest first.
 *
 * @phpstan-import-type ChangedChain from ChangeWords
 *
 * @phpstan-type HistoryLine array{id: string, sentence: string, who: string, when: string, undone: bool}
 * @phpstan-type HistoryPage array{
 *     actions: list<HistoryLine>,
 *     page: int,
 *     pages: int,
 *     bike: int|null,
 *     chain: int|null,
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
    public function all(Workshop $workshop, ?int $bikeId, ?int $chainId, int $page): array
    {
        $book = ($this->readBook)($workshop);
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
        $count = $query->count();
        $names = $this->translators->current()->names;

        return [
            'actions' => $this->lines($query->with('user', 'workshop')->orderByDesc('revision')->forPage($page, self::PAGE)->get()),
            'page' => $page,
            'pages' => max(1, (int) ceil($count / self::PAGE)),
            'bike' => $bikeId,
            'chain' => $chainId,
            'bikes' => array_map(fn(int $id) => ['value' => $id, 'title' => $names->bike($id)], $book->bikeIds),
            'chains' => array_map(fn(int $id) => ['value' => $id, 'title' => $names->fullChain($id)], $book->chainIds),
        ];
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
        $ids = array_values(array_filter(array_map(fn(Ride $ride) => $ride->id, $book->history($chainId)->rides), fn(int $id) => $id > 0));

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
        return [
            'action' => $this->lines(new Collection([$action->load('user', 'workshop')]))[0],
            'also' => $this->lines(new Collection(array_map(fn(Action $a) => $a->load('user', 'workshop'), $inTheWay))),
            'changes' => $changes,
        ];
    }

    /**
     * @param Collection<int, Action> $actions
     *
     * @return list<HistoryLine>
     */
    private function lines(Collection $actions): array
    {
        $words = $this->translators->history();
        $q = $this->translators->current()->quantities;

        return array_values(
            $actions
                ->map(
                    fn(Action $action) => [
                        'id' => $action->id,
                        'sentence' => $words->sentence($action),
                        'who' => $action->who(),
                        'when' => $q->date($action->recorded_at, 'EEE d MMM y, HH:mm'),
                        'undone' => $action->reverted_by !== null,
                    ],
                )
                ->all(),
        );
    }
}
