<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Plan\Deadline;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Strip\BareState;

/** Stripped chains that would rust before the plan's next pot, or that wait for the bottle. */
final readonly class BareChains implements NextSource
{
    public function items(NextInput $in): array
    {
        $items = [];
        $missed = array_map(fn(Deadline $deadline) => $deadline->chainId, $in->plan->missed());
        $remedy = $missed === [] ? null : $in->plan->otherDay();
        $way = $remedy?->helps() === true ? new WayOut($remedy, $in->plan) : null;
        foreach ($in->rails as $rail) {
            foreach ([...$rail->hanging, ...$rail->fitted === null ? [] : [$rail->fitted]] as $chain) {
                $drips = $chain->terms->dripOnly;
                if ($chain->dryness->bare !== null && ($drips || in_array($chain->chainId, $missed, true)) && !$in->inJob($chain)) {
                    $byS = $chain->nowS + (int) round(3600 * $chain->dryness->bare->hoursLeft);
                    $day = max(LocalDay::of($byS, $in->zone)->date, LocalDay::of($chain->nowS, $in->zone)->date);
                    $items[] = new NextItem(
                        NextKind::Bare,
                        $rail->bikeId,
                        [$chain],
                        $day,
                        $drips ? Verb::TopUp : Verb::PotDay,
                        $chain->dryness->bare->state === BareState::Late,
                        self::presses($chain),
                        $byS,
                        about: $drips ? null : $way,
                    );
                }
            }
        }

        return $items;
    }

    /** Whether bare steel can wait no longer. */
    public static function presses(ChainState $chain): bool
    {
        return $chain->dryness->bare !== null && $chain->dryness->bare->state !== BareState::Ok;
    }
}
