<?php

declare(strict_types=1);

namespace App\Http\Controllers\Workshop;

use App\Actions\People\EnterWorkshop;
use App\Actions\Workshop\OpenFurtherWorkshop;
use App\Http\Controllers\Controller;
use App\Models\Workshop;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The workshops a person is in: which of them they are in now, what of it they look at, and further ones. */
final class WorkshopController extends Controller
{
    public function store(Request $request, CurrentWorkshop $current, Translators $translators, OpenFurtherWorkshop $open): RedirectResponse
    {
        $given = $request->validate(['workshop' => ['required', 'string', 'max:60']]);
        $open($current->user(), trim($given['workshop']), $translators->current()->zone()->getName());

        return redirect()->route('shed');
    }

    public function enter(Workshop $workshop, CurrentWorkshop $current, EnterWorkshop $enter): RedirectResponse
    {
        // One that they are not in is not found, as everything of it.
        abort_if($current->user()->membershipIn($workshop) === null, 404);
        $enter($current->user(), $workshop);

        return redirect()->route('shed');
    }

    /** Their own bikes alone, or everybody's. */
    public function look(Request $request, CurrentWorkshop $current): RedirectResponse
    {
        $given = $request->validate(['mine' => ['required', 'boolean']]);
        $current->membership()->update(['only_mine' => $given['mine']]);

        return back();
    }
}
