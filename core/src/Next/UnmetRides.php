<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** Rides that no chain can take, whatever is done: the first of each bike. */
final readonly class UnmetRides implements NextSource
{
    /** House rule: what lies further ahead than this is no news yet, in days. */
    private const DAYS = 14;

    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->plan->walk()->lanes as $bikeId => $days) {
            foreach (array_slice($days, 0, self::DAYS + 1) as $day) {
                if ($day->broken) {
                    $date = $in->plan->days->date($day->day);
                    $items[] = new NextItem(
                        NextKind::Unmet,
                        $bikeId,
                        [$in->book->chain($day->chainId, $in->nowS)],
                        $date,
                        Verb::Ahead,
                        about: new RideOfPlan($day, $date, $in->plan),
                    );
                    break;
                }
            }
        }

        return $items;
    }
}
