<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Care;
use Dripel\Core\Logbook\ChainHistory;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\TopUp;

/** What a chain wants before it is dripped, by what happened to it. Source: common practice. */
final readonly class DripNeeds
{
    private function __construct(
        /** The dirtiest ride since it was last seen to, if that is more than a dry cloth takes off. */
        public ?Condition $wash,
        /** Whether it never had drip wax before. */
        public bool $new,
    ) {}

    public static function of(ChainHistory $history): self
    {
        $seenTo = null;
        foreach ($history->events as $event) {
            if ($event instanceof Dip || $event instanceof TopUp || $event instanceof Care || $event instanceof Opening) {
                $seenTo = $event;
            }
        }
        $rides = $seenTo === null ? $history->rides : $history->ridesAfter($seenTo);
        $dirty = array_filter(array_map(fn(Ride $ride) => $ride->condition, $rides), fn(Condition $condition) => $condition->wantsRinse());
        usort($dirty, fn(Condition $a, Condition $b) => $b->dirt() <=> $a->dirt());

        return new self($dirty[0] ?? null, $history->last(TopUp::class) === null);
    }

    public function wish(DripPlace $place, ExcessSchool $excess): DripWish
    {
        return new DripWish($place, $this->wash !== null, true, $this->new ? 2 : 1, $excess);
    }
}
