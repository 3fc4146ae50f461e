<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\ChainHistory;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Logbook\WaxState;

/** What a chain wants before it is dripped, by what happened to it. Source: common practice. */
final readonly class DripNeeds
{
    /** A bare chain that is new to drip wax has a second coat before its first ride; hot wax is a first one. */
    public const COATS_NEW = 2;

    private function __construct(
        /** The dirtiest ride since it last had wax, if that is more than a dry cloth takes off. */
        public ?Condition $wash,
        /** Whether it is bare and never had drip wax before. */
        public bool $new,
    ) {}

    public static function of(ChainHistory $history, WaxState $wax): self
    {
        $waxed = null;
        foreach ($history->events as $event) {
            if ($event instanceof Dip || $event instanceof TopUp || $event instanceof Opening) {
                $waxed = $event;
            }
        }
        $rides = $waxed === null ? $history->rides : $history->ridesAfter($waxed);
        $dirty = array_filter(
            array_map(fn(Ride $ride) => $ride->condition, $rides->all()),
            fn(Condition $condition) => $condition->wantsRinse(),
        );
        usort($dirty, fn(Condition $a, Condition $b) => $b->dirt() <=> $a->dirt());

        return new self($dirty[0] ?? null, $wax->life === null && $history->last(TopUp::class) === null);
    }

    public function choices(DripPlace $place, ExcessSchool $excess): DripChoices
    {
        return new DripChoices($place, $this->wash !== null, true, $this->new ? self::COATS_NEW : 1, $excess);
    }
}
