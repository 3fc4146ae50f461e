<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

/** What the plan asks for in the coming days, in the place of what would be asked without it. */
final readonly class PlannedWork implements NextSource
{
    /** House rules: what lies further ahead than this is no news yet, in days. */
    private const POT_DAYS = 14;

    private const DRIP_DAYS = 7;

    public function items(NextInput $in): array
    {
        if ($in->plan === null) {
            return [];
        }
        $items = [];
        $pot = self::pot($in);
        if ($pot !== null) {
            $chains = array_map(fn(string|int $id) => $in->book->chain((int) $id, $in->nowS), $pot->pot->dips);
            $items[] = new NextItem(NextKind::PlannedPot, null, $chains, $in->plan->potOn($pot->pot->day), Verb::PotDay, about: $pot);
        }
        foreach ($in->plan->held()->topUps as $drip) {
            if ($drip->day <= self::DRIP_DAYS) {
                $chain = $in->book->chain((int) $drip->chain, $in->nowS);
                $items[] = new NextItem(
                    NextKind::PlannedDrip,
                    (int) $drip->bike,
                    [$chain],
                    $in->plan->date(max(0, $drip->day - 1)),
                    Verb::TopUp,
                    about: new DripOfPlan($drip, $in->plan),
                );
            }
        }

        return $items;
    }

    /** Whether the plan's pot day says already what an item would. */
    public static function replaces(NextInput $in, NextItem $item): bool
    {
        return in_array($item->kind, [NextKind::SpentWaiting, NextKind::NoneWaxed], true) && self::pot($in) !== null;
    }

    private static function pot(NextInput $in): ?PotOfPlan
    {
        $pot = $in->plan?->held()->potDays[0] ?? null;

        return $in->plan === null || $pot === null || $pot->dips === [] || $pot->day > self::POT_DAYS
            ? null
            : new PotOfPlan($pot, $in->plan);
    }
}
