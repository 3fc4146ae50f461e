<?php

declare(strict_types=1);

namespace App\Http\Controllers\History;

use App\Actions\History\UndoActions;
use App\Http\Controllers\Controller;
use App\Http\Props\HistoryProps;
use App\Http\Requests\History\UndoRequest;
use App\Logbook\ActionContext;
use App\Logbook\DryRun;
use App\Models\Action;
use App\Support\CurrentWorkshop;
use App\Support\Find;
use App\Support\ListSearch;
use App\Text\ChangeWords;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Inertia\Inertia;
use Inertia\Response;

final class HistoryController extends Controller
{
    public function index(Request $request, CurrentWorkshop $current, HistoryProps $props, Find $find): Response
    {
        return Inertia::render('History/History', $props->all($current->workshop(), ListSearch::of($request, $find)));
    }

    /** What would have to go with an action, before it is taken back. */
    public function confirm(
        Action $action,
        CurrentWorkshop $current,
        HistoryProps $props,
        UndoActions $undoActions,
        DryRun $dryRun,
        ChangeWords $words,
    ): Response {
        $by = new ActionContext($current->workshop(), $current->user(), (string) Str::uuid());

        $undoable = $action->reverted_by === null && !$action->about->opensWorkshop();
        $also = $undoable ? $undoActions->plan($by, $action) : [];
        $changes = $undoable ? $dryRun->changes($by->workshop, fn() => $undoActions($by, $action, $also)) : [];

        return Inertia::render('History/Undo', $props->undo($action->refresh(), $also, $words->of($changes)));
    }

    public function undo(UndoRequest $request, Action $action, Find $find, UndoActions $undoActions): RedirectResponse
    {
        return $this->done(
            $undoActions($request->context(), $action, $find->actions($request->array('also'))),
            $request->boolean('to_shed') ? route('shed') : null,
        );
    }
}
