<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use DateTimeZone;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\Settings;

/**
 * The short path after a wet or muddy ride: wiped and dried the same day, for wax hardly keeps rust off; then, before the next ride,
 * another chain, the pot, or drip wax where the pot is days away. Source: common practice; until which hour is a house rule.
 */
final readonly class WetPath
{
    /** Until this hour of the evening of the ride; after a later one, within so many hours. House rules. */
    private const EVENING_HOUR = 21;

    private const LATE_HOURS = 1;

    /** @param list<WetOption> $options the best first */
    private function __construct(
        public ChainState $chain,
        /** Null where only its day is known. */
        public ?int $rideEndS,
        public int $dryByS,
        /** Null: nobody has dried it yet. */
        public ?int $driedS,
        /** The start of the next day that is usually ridden; null: none is usual. */
        public ?int $nextRideS,
        public array $options,
    ) {}

    /**
     * @param int|null $potDoneS when a pot day that is planned with this chain will be over; null: none is
     *
     * @return self|null null for a chain that is not wet
     */
    public static function of(
        ChainState $chain,
        Rail $rail,
        WorkshopPlan $plan,
        Settings $settings,
        ?int $potDoneS,
        DateTimeZone $zone,
    ): ?self {
        $ride = $chain->dryness->wetRide;
        if ($ride === null || $chain->retired()) {
            return null;
        }
        $endS = $ride->moment->precision === Precision::Day ? null : $ride->moment->unixS + (int) round(3600 * ($ride->hours ?? 0.0));
        $evening = LocalDay::of($ride->moment->unixS, $zone)->atHour(self::EVENING_HOUR);
        $nextRideS = $plan->nextRideS($rail->bikeId);
        $inTime = fn(?int $readyS): bool => $readyS !== null && ($nextRideS === null || $readyS <= $nextRideS);
        $options = [];
        $planned = $plan->wayOf($rail->bikeId, $chain->chainId);
        $best = $rail->fitted?->chainId === $chain->chainId ? self::swapTo($rail, $planned, $plan, $nextRideS) : null;
        if ($best !== null) {
            $options[] = new WetOption(WetWay::Swap, $best->leftKm(), $best->readyAtS ?? $chain->nowS, true, $best);
        }
        if (!$chain->terms->dripOnly) {
            $readyS = $potDoneS === null ? null : $settings->readySchool()->readyS($potDoneS, $zone);
            $options[] = new WetOption(WetWay::Dip, $chain->terms->intervalKm, $readyS, $inTime($readyS));
        }
        if ($chain->mayTopUp() && $chain->wax->life !== null) {
            $readyS = $chain->nowS + (int) round(3600 * $settings->dripDryHours());
            $options[] = new WetOption(WetWay::TopUp, $chain->leftAfterTopUp(), $readyS, $inTime($readyS));
        }
        // What the plan does comes first. Else in time before too late, then as the ways stand; a pot that nobody has planned comes after
        // the bottle.
        usort(
            $options,
            fn(WetOption $a, WetOption $b) => ($b->way === $planned) <=> ($a->way === $planned) ?:
            $b->inTime <=> $a->inTime ?:
            ($a->readyAtS === null) <=> ($b->readyAtS === null) ?:
            self::rank($a) <=> self::rank($b),
        );

        return new self(
            $chain,
            $endS,
            max($evening, ($endS ?? 0) + 3600 * self::LATE_HOURS),
            $chain->dryness->driedS,
            $nextRideS,
            $options,
        );
    }

    public function late(): bool
    {
        return $this->driedS === null && $this->chain->nowS > $this->dryByS;
    }

    /** That of the plan, if it can be ridden as it is; else the best that hangs ready. */
    private static function swapTo(Rail $rail, ?WetWay $planned, WorkshopPlan $plan, ?int $nextRideS): ?ChainState
    {
        $next = $planned === WetWay::Swap ? array_column($rail->hanging, null, 'chainId')[$plan->nextOn($rail->bikeId)] ?? null : null;

        return $next?->rideable() === true ? $next : $rail->bestHanging($nextRideS ?? PHP_INT_MAX);
    }

    private static function rank(WetOption $option): int
    {
        return (int) array_search($option->way, WetWay::cases(), true);
    }
}
