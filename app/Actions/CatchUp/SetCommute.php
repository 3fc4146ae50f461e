<?php

declare(strict_types=1);

namespace App\Actions\CatchUp;

use App\Exceptions\VersionMoved;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Commute;
use Dripel\Core\Logbook\Moment;

/** The weekly commute of a bike is set, changed or brought to an end. */
final readonly class SetCommute
{
    public function __construct(private Ledger $ledger) {}

    /**
     * Refused with VersionMoved if somebody changed it since.
     *
     * @param Commute|null $seen null: a new one
     * @param array<string, mixed> $values the columns that are new
     */
    public function __invoke(ActionContext $by, ?Commute $seen, array $values, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::SetCommute, function (Draft $draft) use ($seen, $values, $at): About {
            $seen?->refresh();
            $seen?->voided_by === null || throw VersionMoved::of($seen, $values);
            $row = $seen === null ? $draft->enter(Commute::class, $at, $values) : $draft->replace($seen, $values);

            return new About(bike: $row->bike_id, km: $row->km, weekdays: $row->weekdays, from: $row->from_date, until: $row->until_date);
        });
    }
}
