<?php

declare(strict_types=1);

namespace App\Actions\Fitting;

use App\Exceptions\NotPossible;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\EntryType;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\Fitting;
use Dripel\Core\Logbook\Moment;

/**
 * The tag says C, the logbook says B: another chain has been on the bike since a moment, until the next swap there. With
 * `exchange` the two tags were mixed up altogether: all that was done to either of the two from then on changes places.
 */
final readonly class CorrectFitting
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    /** Refused with NotPossible at `chain_id` if it was on then anyway. */
    public function __invoke(ActionContext $by, Bike $bike, Chain $really, Moment $since, bool $exchange): Action
    {
        return $this->ledger->record($by, ActionKind::CorrectFitting, function (Draft $draft) use (
            $by,
            $bike,
            $really,
            $since,
            $exchange,
        ): About {
            $fittings = $this->readBook->withoutRides($by->workshop)->fittings();
            // People name a swap by its minute; what is meant is the swap itself.
            $since = new Moment(max($since->unixS, $fittings->spanAt($bike->id, $since->unixS + 59)->fromS ?? 0));
            $span = $fittings->spanAt($bike->id, $since->unixS);
            $span?->componentId !== $really->id || throw new NotPossible('chain_id', 'already_on');
            if ($exchange && $span !== null) {
                $this->exchange($draft, $span->componentId, $really->id, $since->unixS);
            }
            if ($span !== null && $span->fromS === $since->unixS) {
                // An exchange has put this very fitting right already.
                $exchange || $draft->replace(Fitting::query()->findOrFail($span->fittingId), ['component_id' => $really->id]);
            } else {
                $draft->enter(Fitting::class, $since, ['bike_id' => $bike->id, 'component_id' => $really->id]);
            }

            return new About(
                bike: $bike->id,
                chain: $really->id,
                off: $span?->componentId,
                at: $since->unixS,
                exchange: $exchange && $span !== null,
            );
        });
    }

    private function exchange(Draft $draft, int $one, int $other, int $sinceS): void
    {
        foreach (array_filter(EntryType::cases(), fn(EntryType $type) => $type->followsChain()) as $type) {
            $rows = $type
                ->eventModel()
                ::query()
                ->in($draft->workshop)
                ->live()
                ->where('at', '>=', $sinceS)
                ->whereIn('component_id', [$one, $other])
                ->get();
            foreach ($rows as $row) {
                $draft->replace($row, ['component_id' => $row->getAttribute('component_id') === $one ? $other : $one]);
            }
        }
    }
}
