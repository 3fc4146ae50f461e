<?php

declare(strict_types=1);

namespace App\Http\Controllers\History;

use App\Actions\History\DeleteEntry;
use App\Actions\History\MoveEntry;
use App\Http\Controllers\Controller;
use App\Http\Requests\History\DeleteRequest;
use App\Http\Requests\History\MoveRequest;
use App\Logbook\EntryType;
use App\Models\Entry;
use App\Models\Workshop;
use Illuminate\Http\RedirectResponse;

/** One entry of the logbook, of any kind: moved in time or deleted. */
final class EntryController extends Controller
{
    public function update(MoveRequest $request, string $type, int $entry, MoveEntry $moveEntry): RedirectResponse
    {
        return $this->done($moveEntry($request->context(), $this->entry($request->workshop(), $type, $entry), $request->moment()));
    }

    public function destroy(DeleteRequest $request, string $type, int $entry, DeleteEntry $deleteEntry): RedirectResponse
    {
        return $this->done($deleteEntry($request->context(), $this->entry($request->workshop(), $type, $entry)));
    }

    private function entry(Workshop $workshop, string $type, int $id): Entry
    {
        $type = EntryType::tryFrom($type);
        abort_unless($type !== null && $type->isEvent(), 404);

        return $type->eventModel()::query()->in($workshop)->findOrFail($id);
    }
}
