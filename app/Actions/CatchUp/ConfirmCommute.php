<?php

declare(strict_types=1);

namespace App\Actions\CatchUp;

use App\Exceptions\NotPossible;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Bike;
use App\Models\RestDay;
use App\Models\Ride;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Ride as CoreRide;

/** Days that filled themselves in were ridden, or were not. */
final readonly class ConfirmCommute
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    /**
     * Refused with NotPossible at `dates` if none of them is filled in (any more).
     *
     * @param list<string> $dates local days, YYYY-MM-DD
     */
    public function __invoke(ActionContext $by, Bike $bike, array $dates, bool $ridden): Action
    {
        return $this->ledger->record($by, $ridden ? ActionKind::ConfirmCommute : ActionKind::NotRidden, function (Draft $draft) use (
            $by,
            $bike,
            $dates,
            $ridden,
        ): About {
            $filled = array_values(
                array_filter(
                    ($this->readBook)($by->workshop)->ridesOf($bike->id)->all(),
                    fn(CoreRide $ride) => $ride->guess !== null && in_array($ride->guess->date, $dates, true),
                ),
            );
            $filled === [] && throw new NotPossible('dates', 'nothing_filled_in');
            foreach ($filled as $ride) {
                $at = new Moment($ride->moment->unixS, $ride->moment->precision);
                $ridden
                    ? $draft->enter(Ride::class, $at, [
                        'bike_id' => $bike->id,
                        'km' => $ride->km,
                        'hours' => $ride->hours,
                        'condition' => $ride->condition,
                    ])
                    : $draft->enter(RestDay::class, $at, ['bike_id' => $bike->id, 'date' => $ride->guess?->date]);
            }

            return new About(
                bike: $bike->id,
                days: count($filled),
                km: array_sum(array_map(fn(CoreRide $ride) => $ride->km, $filled)),
                at: $filled[0]->moment->unixS,
                day: 'day',
            );
        });
    }
}
