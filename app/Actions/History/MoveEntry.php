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
use Dripel\Core\Logbook\Moment;

/** An entry happened at another time than was thought: a swap, a dip, a reading. */
final readonly class MoveEntry
{
    public function __construct(private Ledger $ledger) {}

    /** Refused with VersionMoved if somebody changed it since. */
    public function __invoke(ActionContext $by, Entry $seen, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::MoveEntry, function (Draft $draft) use ($seen, $at): About {
            $row = $seen->refresh();
            $row->voided_by === null || throw VersionMoved::of($row, ['at' => $at->unixS]);
            $draft->replace($row, ['at' => $at->unixS, 'precision' => $at->precision]);

            return EntryAbout::of($row, $at->unixS);
        });
    }
}
