<?php

declare(strict_types=1);

namespace App\Actions\Arriving;

use App\Exceptions\NotPossible;
use App\Exceptions\VersionMoved;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Chain;
use App\Models\Opening;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Opening as CoreOpening;
use Dripel\Core\Logbook\Span;
use Dripel\Core\Logbook\WaxThen;

/** What a part brought with it becomes known, or was wrong. */
final readonly class CorrectOpening
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    /** Refused with VersionMoved if somebody changed it since. */
    public function __invoke(
        ActionContext $by,
        Opening $seen,
        ?float $km,
        WaxThen $wax,
        ?float $sinceWaxKm,
        ?int $closings,
        ?Moment $asOf = null,
    ): Action {
        return $this->ledger->record($by, ActionKind::CorrectOpening, function (Draft $draft) use (
            $seen,
            $km,
            $wax,
            $sinceWaxKm,
            $closings,
            $asOf,
        ): About {
            $row = $seen->refresh();
            $row->voided_by === null || throw VersionMoved::of($row, ['km' => $km]);
            new CoreOpening(0, $asOf ?? $row->moment(), $row->component_id, $km, $wax, $sinceWaxKm, $closings);
            $draft->replace(
                $row,
                ['km' => $km, 'wax' => $wax, 'since_wax_km' => $sinceWaxKm, 'closings' => $closings] +
                    ($asOf === null ? [] : ['at' => $asOf->unixS, 'precision' => $asOf->precision]),
            );

            $isChain = Chain::query()->whereKey($row->component_id)->exists();

            return new About(
                chain: $isChain ? $row->component_id : null,
                part: $isChain ? null : $row->component_id,
                at: $asOf->unixS ?? $row->at,
            );
        });
    }

    /** A chain was thought new and had been ridden: what it brought counts from before anything else that is known of it. */
    public function add(ActionContext $by, Chain $chain, ?float $km, WaxThen $wax, ?float $sinceWaxKm): Action
    {
        return $this->ledger->record($by, ActionKind::CorrectOpening, function (Draft $draft) use (
            $by,
            $chain,
            $km,
            $wax,
            $sinceWaxKm,
        ): About {
            $book = $this->readBook->withoutRides($by->workshop);
            $history = $book->history($chain->id);
            $history->last(CoreOpening::class) === null || throw new NotPossible('km', 'has_opening');
            $at = new Moment(
                min([
                    Action::query()->findOrFail($chain->action_id)->recorded_at,
                    ...array_map(fn(Entry $entry) => $entry->moment->unixS, $history->events),
                    ...array_map(fn(Span $span) => $span->fromS, $book->fittings()->spansOf($chain->id)),
                ]),
            );
            new CoreOpening(0, $at, $chain->id, $km, $wax, $sinceWaxKm);
            $draft->enter(Opening::class, $at, ['component_id' => $chain->id, 'km' => $km, 'wax' => $wax, 'since_wax_km' => $sinceWaxKm]);

            return new About(chain: $chain->id, at: $at->unixS);
        });
    }
}
