<?php

declare(strict_types=1);

namespace App\Actions\Arriving;

use App\Exceptions\VersionMoved;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Chain;
use App\Models\Opening;
use Dripel\Core\Logbook\Opening as CoreOpening;
use Dripel\Core\Logbook\WaxThen;

/** What a part brought with it becomes known, or was wrong. */
final readonly class CorrectOpening
{
    public function __construct(private Ledger $ledger) {}

    /** Refused with VersionMoved if somebody changed it since. */
    public function __invoke(ActionContext $by, Opening $seen, ?float $km, WaxThen $wax, ?float $sinceWaxKm, ?int $closings): Action
    {
        return $this->ledger->record($by, ActionKind::CorrectOpening, function (Draft $draft) use ($seen, $km, $wax, $sinceWaxKm, $closings): array {
            $row = $seen->refresh();
            $row->voided_by === null || throw VersionMoved::of($row, ['km' => $km]);
            new CoreOpening(0, $row->moment(), $row->component_id, $km, $wax, $sinceWaxKm, $closings);
            $draft->replace($row, ['km' => $km, 'wax' => $wax, 'since_wax_km' => $sinceWaxKm, 'closings' => $closings]);

            return [Chain::query()->whereKey($row->component_id)->exists() ? 'chain' : 'part' => $row->component_id, 'at' => $row->at];
        });
    }
}
