<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Exceptions\VersionMoved;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Ride;
use Dripel\Core\Interval\Condition;

/** Rides were of another kind than was thought: all of them at once, one undo. */
final readonly class SetCondition
{
    public function __construct(private Ledger $ledger) {}

    /**
     * Refused with VersionMoved if somebody changed one of them since.
     *
     * @param non-empty-list<Ride> $seen
     */
    public function __invoke(ActionContext $by, array $seen, Condition $condition): Action
    {
        return $this->ledger->record($by, ActionKind::SetCondition, function (Draft $draft) use ($seen, $condition): About {
            foreach ($seen as $ride) {
                $ride->refresh();
                $ride->voided_by === null || throw VersionMoved::of($ride, ['condition' => $condition->value]);
                $ride->condition === $condition || $draft->replace($ride, ['condition' => $condition]);
            }

            return new About(
                condition: $condition->value,
                rides: count($seen),
                km: array_sum(array_map(fn(Ride $ride) => $ride->km, $seen)),
                at: $seen[0]->at,
                day: $seen[0]->precision->value,
            );
        });
    }
}
