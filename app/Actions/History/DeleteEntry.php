<?php

declare(strict_types=1);

namespace App\Actions\History;

use App\Exceptions\VersionMoved;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Entry;

/** An entry never happened: it no longer counts, and stays in the history. */
final readonly class DeleteEntry
{
    public function __construct(private Ledger $ledger) {}

    /** Refused with VersionMoved if somebody changed it since. */
    public function __invoke(ActionContext $by, Entry $seen): Action
    {
        return $this->ledger->record($by, ActionKind::DeleteEntry, function (Draft $draft) use ($seen): About {
            $row = $seen->refresh();
            $row->voided_by === null || throw VersionMoved::of($row, ['deleted' => true]);
            $draft->void($row);

            return EntryAbout::of($row);
        });
    }
}
