<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\PlannedPotDay;
use Dripel\Core\Plan\PlanTerms;

/** The next pot day of the plan, and the next drip of each chain in the coming days. */
final readonly class PlannedWork implements NextSource
{
    /** House rules: what lies further ahead than this is no news yet, in days. */
    private const POT_DAYS = 14;

    private const DRIP_DAYS = 7;

    public function items(NextInput $in): array
    {
        $items = [];
        $pot = self::pot($in);
        if ($pot !== null) {
            $date = $in->plan->days->potOn($pot->day);
            $items[] = new NextItem(
                NextKind::PlannedPot,
                null,
                array_map(fn(string|int $id) => $in->book->chain((int) $id, $in->nowS), $pot->dips),
                $date,
                Verb::PotDay,
                about: new PotOfPlan($pot, $in->plan),
                evening: $date,
                minutes: $in->plan->input->potMinutes(count($pot->dips)),
            );
        }
        foreach ($in->plan->walk()->lanes as $bikeId => $days) {
            $asked = [];
            foreach (array_slice($days, 0, self::DRIP_DAYS + 1) as $day) {
                $on = max($in->today->date, $in->plan->days->date(max(0, $day->day - 1)));
                foreach (array_diff(array_unique($day->dripped), $asked) as $chainId) {
                    $asked[] = $chainId;
                    $chain = $in->book->chain($chainId, $in->nowS);
                    // What is wet is dried first, and that path leads to the drip too; what is being dripped is not asked for again.
                    if ($chain->dryness->wet() || $in->underWay($chain)) {
                        continue;
                    }
                    $items[] = new NextItem(
                        NextKind::PlannedDrip,
                        $bikeId,
                        [$chain],
                        $on,
                        Verb::TopUp,
                        about: new DripOfPlan($in->plan->days->date($day->day)),
                        evening: $on,
                        minutes: PlanTerms::TOPUP_WORK_MINUTES,
                    );
                }
            }
        }

        return $items;
    }

    /** The first that nobody accepted yet: an accepted one speaks for itself. */
    private static function pot(NextInput $in): ?PlannedPotDay
    {
        foreach ($in->plan->result()->potDays as $pot) {
            if ($pot->dips !== [] && !in_array($in->plan->days->potOn($pot->day), $in->accepted(), true)) {
                return $pot->day <= self::POT_DAYS ? $pot : null;
            }
        }

        return null;
    }
}
