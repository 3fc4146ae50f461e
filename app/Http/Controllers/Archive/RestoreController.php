<?php

declare(strict_types=1);

namespace App\Http\Controllers\Archive;

use App\Archive\EmptyWorkshop;
use App\Archive\RestoreWorkshop;
use App\Exceptions\NotPossible;
use App\Http\Controllers\Controller;
use App\Http\Requests\UploadRequest;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A file comes back into an empty workshop; a workshop is emptied. Both are the owner's. */
final class RestoreController extends Controller
{
    public function store(UploadRequest $request, CurrentWorkshop $current, RestoreWorkshop $restore): RedirectResponse
    {
        // Forty years of a workshop, as arrays; RestoreWorkshop refuses what is larger.
        ini_set('memory_limit', '768M');
        $restore($current->workshop(), (string) file_get_contents($request->upload()->getPathname()));

        return redirect()
            ->route('shed')
            ->with('done', ['text' => (string) __('done.restored'), 'undo' => null, 'key' => (string) $current->workshop()->revision]);
    }

    /** The name is typed, so that nobody empties by a slip of the finger what cannot be undone. */
    public function destroy(Request $request, CurrentWorkshop $current, EmptyWorkshop $empty, Translators $translators): RedirectResponse
    {
        $name = $translators->current()->settings->text(SettingKey::WorkshopName, 0);
        trim($request->string('name')->toString()) === trim($name) ||
            throw new NotPossible('empty_name', 'name_differs', ['name' => $name]);
        $empty($current->workshop());

        return redirect()
            ->route('shed')
            ->with('done', ['text' => (string) __('done.emptied'), 'undo' => null, 'key' => (string) $current->workshop()->revision]);
    }
}
