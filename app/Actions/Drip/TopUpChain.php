<?php

declare(strict_types=1);

namespace App\Actions\Drip;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\BeforeWax;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Chain;
use App\Models\TopUp;
use Dripel\Core\Logbook\Moment;

/** Drip wax has been put on a chain; it is good for so many km. */
final readonly class TopUpChain
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    /**
     * Refused with NotPossible at `stripped` for a chain, or a quick link opened since, with grease or oil on it.
     *
     * @param bool|null $stripped whether somebody says that it was stripped; null: it was looked at when the job began
     */
    public function __invoke(ActionContext $by, Chain $chain, DripFacts $facts, Moment $at, ?bool $stripped = false): Action
    {
        return $this->ledger->record($by, ActionKind::TopUpChain, function (Draft $draft) use ($by, $chain, $facts, $at, $stripped): About {
            $book = ($this->readBook)($by->workshop);
            $stripped === null || BeforeWax::expect($book, $draft, [$chain->id], $at, $stripped);
            BeforeWax::expectLink($book, $draft, $chain->id, $at, $stripped ?? true);
            $draft->enter(TopUp::class, $at, ['component_id' => $chain->id] + $facts->columns());

            $km = $book->terms()->ofChain($chain->id, $at->unixS)->topUpCounts() ? $facts->km : null;

            return new About(chain: $chain->id, km: $km, ml: $facts->ml, bottle: $facts->bottle?->id, at: $at->unixS);
        });
    }
}
