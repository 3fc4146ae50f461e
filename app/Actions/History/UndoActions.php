<?php

declare(strict_types=1);

namespace App\Actions\History;

use App\Exceptions\LogbookConflict;
use App\Exceptions\NotPossible;
use App\Exceptions\StandsInTheWay;
use App\Exceptions\UndoBlocked;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\EntryType;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Component;
use App\Models\LogbookRow;
use App\Models\Setting;
use App\Support\WriteTransaction;
use Dripel\Core\Logbook\Entry;
use Illuminate\Support\Facades\DB;

/**
 * Takes actions back, any of the history and in any order: the rows they wrote stop counting, the rows they voided
 * count again. Undo is an action too and can be undone. What builds on the action must be agreed to go as well.
 */
final readonly class UndoActions
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param list<Action> $also what may go too
     *
     * @throws UndoBlocked naming everything else that would have to go
     * @throws NotPossible at `action` if it was taken back already, or the workshop began with it
     */
    public function __invoke(ActionContext $by, Action $target, array $also = []): Action
    {
        $agreed = collect([$target, ...$also])->keyBy('id');
        $going = collect($agreed);
        while (true) {
            try {
                return WriteTransaction::run(function () use ($by, $target, $going, $agreed): Action {
                    $undo = $this->ledger->record(
                        $by,
                        ActionKind::Undo,
                        fn(Draft $draft) => $this->revert($draft, $going->sortByDesc('revision')->values()->all()),
                    );
                    $more = array_values($going->diffKeys($agreed)->sortByDesc('revision')->all());

                    return $more === [] ? $undo : throw new UndoBlocked($target, $more);
                });
            } catch (StandsInTheWay $e) {
                $next = $e->action;
            } catch (LogbookConflict $e) {
                $next = $this->behind($e, $by, array_values(array_map(strval(...), $going->keys()->all()))) ?? throw $e;
            }
            $going = collect($going)->put($next->id, $next);
        }
    }

    /** @return list<Action> what would have to go as well; nothing is written */
    public function plan(ActionContext $by, Action $target): array
    {
        try {
            WriteTransaction::takenBack(fn() => $this($by, $target));

            return [];
        } catch (UndoBlocked $e) {
            return $e->inTheWay;
        } finally {
            $by->workshop->refresh();
            $target->refresh();
        }
    }

    /**
     * @param array<int, Action> $actions the newest first
     *
     */
    private function revert(Draft $draft, array $actions): About
    {
        foreach ($actions as $action) {
            $action->refresh();
            $action->reverted_by === null || throw new NotPossible('action', 'already_undone');
            $action->about->opensWorkshop() && throw new NotPossible('action', 'workshop_stays');
            foreach ($this->rowsOf($action) as $row) {
                $this->expect($row, null, $draft);
                $this->dependants($row, $action);
                $draft->mark($row, $draft->actionId);
            }
            foreach (array_reverse($action->effects) as [$table, $id, $before, $after]) {
                $row = EntryType::from($table)->model()::query()->findOrFail($id);
                $this->expect($row, $after, $draft);
                $draft->mark($row, $before);
            }
            $this->putOutOfForce($action, $draft->actionId);
        }

        return About::undone(array_values($actions));
    }

    /** @return iterable<LogbookRow> */
    private function rowsOf(Action $action): iterable
    {
        foreach (EntryType::cases() as $type) {
            yield from $type->model()::query()->where('action_id', $action->id)->get();
        }
    }

    private function expect(LogbookRow $row, ?string $voidedBy, Draft $draft): void
    {
        if ($row->voided_by === $voidedBy) {
            return;
        }
        $later = Action::query()
            ->where('workshop_id', $row->workshop_id)
            ->whereNull('reverted_by')
            ->whereKeyNot($draft->actionId)
            ->where('effects', 'like', sprintf('%%["%s",%d,%%', $row->getTable(), $row->id))
            ->orderByDesc('revision')
            ->firstOrFail();
        throw new StandsInTheWay($later);
    }

    /** A bike or chain that other entries speak of cannot vanish under them. */
    private function dependants(LogbookRow $row, Action $action): void
    {
        $columns = match (true) {
            $row instanceof Bike => ['bike_id'],
            $row instanceof Component => ['component_id', 'into_id', 'pot_id'],
            default => [],
        };
        foreach ($columns as $column) {
            foreach (EntryType::cases() as $type) {
                $model = $type->model();
                if (
                    in_array($type, [EntryType::Bike, EntryType::Component], true) ||
                    !DB::getSchemaBuilder()->hasColumn($type->value, $column)
                ) {
                    continue;
                }
                $entry = $model
                    ::query()
                    ->live()
                    ->where($column, $row->id)
                    ->where('action_id', '!=', $action->id)
                    ->orderByDesc('sequence')
                    ->first();
                $entry === null || throw new StandsInTheWay(Action::query()->findOrFail($entry->action_id));
            }
        }
        if ($row instanceof Bike) {
            $home = Setting::query()
                ->live()
                ->where('workshop_id', $row->workshop_id)
                ->where('key', 'chain.home')
                // Compared as text, whatever a database has for JSON.
                ->where('value', 'like', (string) $row->id)
                ->where('action_id', '!=', $action->id)
                ->first();
            $home === null || throw new StandsInTheWay(Action::query()->findOrFail($home->action_id));
        }
    }

    /** An action that is taken back gives back what it had taken back itself, and the other way round. */
    private function putOutOfForce(Action $action, ?string $by): void
    {
        $action->update(['reverted_by' => $by]);
        if ($action->kind !== ActionKind::Undo) {
            return;
        }
        foreach (Action::query()->findMany($action->about->undid) as $undone) {
            $this->putOutOfForce($undone, $by === null ? $action->id : null);
        }
    }

    /** @param list<string> $going */
    private function behind(LogbookConflict $e, ActionContext $by, array $going): ?Action
    {
        $conflict = $e->conflicts[0];
        foreach ([$conflict->entry, $conflict->against] as $entry) {
            $actionId = $this->actionOf($entry, $by);
            if (!in_array($actionId, $going, true)) {
                return Action::query()->find($actionId);
            }
        }

        return null;
    }

    private function actionOf(Entry $entry, ActionContext $by): string
    {
        return EntryType::ofKind($entry->kind())
            ->model()
            ::query()
            ->where('workshop_id', $by->workshop->id)
            ->findOrFail($entry->id)->action_id;
    }
}
