<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Workshop;
use App\Text\Speaker;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** Who did what, in sentences, the newest first. */
final readonly class HistoryProps
{
    private const PAGE = 40;

    public function __construct(private Speaker $speaker, private ReadBook $readBook) {}

    /** @return array<string, mixed> */
    public function all(Workshop $workshop, ?int $bikeId, ?int $chainId, int $page): array
    {
        $query = Action::query()->in($workshop)
            ->when($bikeId !== null, fn(Builder $q) => $q->where('about->bike', $bikeId))
            ->when($chainId !== null, fn(Builder $q) => $q->where(fn(Builder $any) => $any
                ->where('about->chain', $chainId)->orWhere('about->off', $chainId)->orWhereJsonContains('about->chains', $chainId)));
        $count = $query->count();
        $book = ($this->readBook)($workshop);
        $names = $this->speaker->voice()->names;

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
     * @param list<Action> $inTheWay
     *
     * @return array<string, mixed>
     */
    public function undo(Action $action, array $inTheWay): array
    {
        return [
            'action' => $this->lines(new Collection([$action->load('user', 'workshop')]))[0],
            'also' => $this->lines(new Collection(array_map(fn(Action $a) => $a->load('user', 'workshop'), $inTheWay))),
        ];
    }

    /**
     * @param Collection<int, Action> $actions
     *
     * @return list<array<string, mixed>>
     */
    private function lines(Collection $actions): array
    {
        $words = $this->speaker->history();
        $q = $this->speaker->voice()->quantities;

        return array_values($actions->map(fn(Action $action) => [
            'id' => $action->id,
            'sentence' => $words->sentence($action),
            'who' => $action->who(),
            'when' => $q->date($action->recorded_at, 'EEE d MMM y, HH:mm'),
            'undone' => $action->reverted_by !== null,
        ])->all());
    }
}
