<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\LaneDay;

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
                    $chain = $in->book->chain($day->chainId, $in->nowS);
                    // What is wet is dried first, and that path leads on; what is mended this evening is asked for there.
                    if ($chain->dryness->wet() || ($day->day === 0 && self::mended($days[1] ?? null, $day->chainId))) {
                        break;
                    }
                    $date = $in->plan->days->date($day->day);
                    $items[] = new NextItem(
                        NextKind::Unmet,
                        $bikeId,
                        [$chain],
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

    private static function mended(?LaneDay $tomorrow, int $chainId): bool
    {
        return $tomorrow !== null &&
            ($tomorrow->offId === $chainId || in_array($chainId, [...$tomorrow->dripped, ...$tomorrow->dipped], true));
    }
}
