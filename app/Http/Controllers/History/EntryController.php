<?php

declare(strict_types=1);

namespace App\Http\Controllers\History;

use App\Actions\History\DeleteEntry;
use App\Actions\History\MoveEntry;
use App\Http\Controllers\Controller;
use App\Http\Requests\History\DeleteRequest;
use App\Http\Requests\History\MoveRequest;
use App\Support\Find;
use Illuminate\Http\RedirectResponse;

/** One entry of the logbook, of any kind: moved in time or deleted. */
final class EntryController extends Controller
{
    public function update(MoveRequest $request, string $type, int $entry, MoveEntry $moveEntry, Find $find): RedirectResponse
    {
        return $this->done($moveEntry($request->context(), $find->entry($type, $entry), $request->moment()));
    }

    public function destroy(DeleteRequest $request, string $type, int $entry, DeleteEntry $deleteEntry, Find $find): RedirectResponse
    {
        return $this->done($deleteEntry($request->context(), $find->entry($type, $entry)));
    }
}
