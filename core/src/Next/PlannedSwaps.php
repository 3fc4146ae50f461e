<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Plan\LaneDay;

/** The next swap of each bike: today’s now, a later one at the bench before its ride. */
final readonly class PlannedSwaps implements NextSource
{
    /** House rule: what lies further ahead than this is no news yet, in days. */
    private const DAYS = 7;

    public function items(NextInput $in): array
    {
        $items = [];
        foreach ($in->plan->walk()->lanes as $bikeId => $days) {
            $dipped = [];
            foreach (array_slice($days, 0, self::DAYS + 1) as $day) {
                $dipped = [...$dipped, ...$day->dipped];
                if ($day->offId !== null) {
                    $off = $in->book->chain($day->offId, $in->nowS);
                    // What is wet is dried first; that path leads to the swap too.
                    if (!$off->dryness->wet()) {
                        $items[] = $this->swap($in, $bikeId, $day, $off, in_array($day->chainId, $dipped, true), $days[0]->rideKm > 0.0);
                    }
                    break;
                }
            }
        }

        return $items;
    }

    private function swap(NextInput $in, int $bikeId, LaneDay $day, ChainState $off, bool $fresh, bool $riddenToday): NextItem
    {
        $date = $in->plan->days->date($day->day);
        $evening = $day->day === 0 ? null : max($in->today->date, $in->plan->days->potOn($day->day));

        return new NextItem(
            self::kind($off),
            $bikeId,
            [$off],
            $date,
            Verb::Swap,
            swapTo: $in->book->chain($day->chainId, $in->nowS),
            about: new SwapOfPlan($day, $date, $fresh, $in->plan, $riddenToday && $evening === $in->today->date),
            evening: $evening,
            minutes: $in->plan->terms->swapMinutes,
        );
    }

    private static function kind(ChainState $off): NextKind
    {
        return match (true) {
            $off->wax->life !== null && $off->wax->life->due() => NextKind::Overdue,
            $off->status === ChainStatus::Unsure => NextKind::Unsure,
            default => NextKind::Outrun,
        };
    }
}
