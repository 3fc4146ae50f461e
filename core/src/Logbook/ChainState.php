<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\DueBecause;
use Dripel\Core\Interval\WaxLife;
use Dripel\Core\Interval\WaxLifeInput;
use Dripel\Core\Interval\WaxLifeResult;
use Dripel\Core\Interval\WaxRide;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Strip\BareClock;
use Dripel\Core\Strip\BareClockInput;
use Dripel\Core\Strip\BareClockResult;
use Dripel\Core\Wear\WearReading;
use Dripel\Core\Wear\WearReadingResult;

/**
 * What follows from the logbook for one chain at one instant: the one answer that Shed, Next and every planner ask for.
 * Distances in km as ridden unless called effective; instants in Unix seconds.
 */
final readonly class ChainState
{
    /** @param list<Ride> $cycleRides the rides since the last dip; the first may be what the chain came with */
    private function __construct(
        public int $chainId,
        public int $nowS,
        public ChainStatus $status,
        public Terms $terms,
        public Distance $km,
        public float $hours,
        /** Whether every ride has its hours; if not, hours are a least value. */
        public bool $hoursComplete,
        /** The wax cycle since the last dip; null if there is no wax to speak of. */
        public ?WaxLifeResult $life,
        /** Whether the whole cycle is known; if not, what `life` leaves is the most there can be. */
        public bool $waxKnown,
        public ?WaxLifeInput $cycle,
        public array $cycleRides,
        public ?Opening $opening,
        public ?Dip $dip,
        public ?BareClockResult $bare,
        public ?int $bareSinceS,
        /** The ride that wetted it, if nothing was done since. */
        public ?Ride $wetRide,
        /** A wet ride after which it was ridden on another day, undried: the day for drying is past, look for rust. */
        public ?Ride $wetPast,
        /** When it was ridden on. */
        public ?int $wetPastS,
        /** When it was dried since. */
        public ?int $driedS,
        /** How often it was ridden since wax or a cloth was last on it. */
        public int $ridesSinceCare,
        /** When it may be ridden, if that is still to come. */
        public ?int $readyAtS,
        public ?WearReadingResult $wear,
        public ?Reading $reading,
        /** km on the chain at its last reading. */
        public ?Distance $readingKm,
        public bool $pastLimit,
        public int $dips,
        /** Since the dip. */
        public int $topUps,
        private int $topUpsMost,
        /** Whether it ever had drip wax. */
        public bool $drippedBefore,
        /** The event that it is kept for. */
        public ?KeptFor $keptFor = null,
    ) {}

    public static function derive(ChainHistory $history, Terms $terms, Settings $settings, int $nowS): self
    {
        $history = $history->until($nowS);
        $dip = $history->last(Dip::class);
        $strip = $history->last(Strip::class);
        if ($dip !== null && $strip !== null && Entry::compare($strip, $dip) > 0) {
            $dip = null;
        }
        $bare = $dip === null && $strip !== null
            ? (new BareClock)(new BareClockInput($strip->moment->unixS, $nowS))
            : null;
        $opening = $history->last(Opening::class);
        $waxed = self::waxed($dip, $opening, $strip);
        $drip = $terms->dripOnly ? $history->last(TopUp::class) : null;
        if ($drip !== null && ($strip === null || Entry::compare($drip, $strip) > 0)) {
            // Where no pot is heated, drip wax is the wax.
            $waxed = $waxed === null || Entry::compare($drip, $waxed) > 0 ? $drip : $waxed;
        }
        $waxKnown = ! $waxed instanceof Opening || $waxed->wax === WaxThen::Known;
        $bare = $waxed === null ? $bare : null;
        $topUps = $waxed === null ? [] : $history->topUpsAfter($waxed);
        $cycleRides = $waxed === null ? [] : self::cycleRides($history, $waxed, $terms);
        $cycle = $waxed === null ? null : self::cycle($cycleRides, $history->rides, $topUps, $terms, $settings);
        $life = $cycle === null ? null : (new WaxLife)($cycle);
        $lastCare = $topUps === [] ? $waxed : $topUps[count($topUps) - 1];
        $noise = $history->last(Noise::class);
        if ($life !== null && $noise !== null && Entry::compare($noise, $lastCare) > 0) {
            $life = $life->silencedByNoise();
        }
        $soaking = $lastCare === null ? null : self::lastSoaking($history->ridesAfter($lastCare));
        $riddenOn = $soaking === null ? null : self::nextDayRide($history, $soaking, $settings);
        $wetRide = $riddenOn === null ? $soaking : null;
        // From its next ride on it goes by the wax that is left.
        $life = $riddenOn === null ? $life : $life?->afterTheWet();
        $cloth = $history->last(Care::class);
        $seenTo = $cloth !== null && ($lastCare === null || Entry::compare($cloth, $lastCare) > 0) ? $cloth : $lastCare;
        $reading = $history->last(Reading::class);
        $wear = $reading === null ? null : (new WearReading)($reading->input());
        [$hours, $hoursComplete] = self::hours($history->rides);

        return new self(
            chainId: $history->chainId,
            nowS: $nowS,
            status: self::status($history, $life, $bare, $cycleRides, $waxKnown),
            terms: $terms,
            km: $history->km(),
            hours: $hours,
            hoursComplete: $hoursComplete && $opening === null,
            life: $life,
            waxKnown: $waxKnown,
            cycle: $cycle,
            cycleRides: $cycleRides,
            opening: $opening,
            dip: $dip,
            bare: $bare,
            bareSinceS: $bare === null ? null : $strip?->moment->unixS,
            wetRide: $wetRide,
            wetPast: $riddenOn === null || self::driedS($history, $soaking) !== null ? null : $soaking,
            wetPastS: $riddenOn?->moment->unixS,
            driedS: $wetRide === null ? null : self::driedS($history, $wetRide),
            ridesSinceCare: count($seenTo === null ? $history->rides : $history->ridesAfter($seenTo)),
            readyAtS: self::readyAt($dip, $lastCare, $settings, $nowS),
            wear: $wear,
            reading: $reading,
            readingKm: $reading === null ? null : $history->kmBefore($reading),
            pastLimit: $wear !== null && $wear->reaches($terms->limitPct),
            dips: count(array_filter($history->events, fn(Entry $e) => $e instanceof Dip)),
            topUps: count($topUps),
            topUpsMost: $settings->topUpsMost(),
            drippedBefore: $history->last(TopUp::class) !== null,
            keptFor: KeptFor::of($settings, $history->chainId, $nowS),
        );
    }

    /** km of wax that can be counted on: none where its start is unknown. */
    public function leftKm(): float
    {
        return $this->waxKnown ? $this->life->leftKm ?? 0.0 : 0.0;
    }

    /** How much of the chain the coat covers: 0 bare, spent or unknown, 1 fresh. */
    public function coat(): float
    {
        return $this->waxKnown ? $this->life->leftFraction ?? 0.0 : 0.0;
    }

    /** The dirtiest condition since the dip, null if it was not ridden. */
    public function worstCondition(): ?Condition
    {
        $conditions = array_map(fn(Ride $ride) => $ride->condition, $this->cycleRides);
        usort($conditions, fn(Condition $a, Condition $b) => $b->dirt() <=> $a->dirt());

        return $conditions[0] ?? null;
    }

    /** km as ridden since the dip. */
    public function cycleKm(): Distance
    {
        return new Distance(array_sum(array_map(fn(Ride $ride) => $ride->km, $this->cycleRides)), $this->waxKnown);
    }

    /** Whether drip wax may still bridge to the next dip; where there is no pot, always. */
    public function mayTopUp(): bool
    {
        return $this->terms->dripOnly || $this->topUps < $this->topUpsMost;
    }

    /** km of wax that a coat of drip wax would leave it with; without a pot each coat starts the interval anew. */
    public function leftAfterTopUp(float $km = WaxTopUp::KM): float
    {
        return $this->terms->dripOnly ? $this->terms->intervalKm : min($this->terms->intervalKm, $this->leftKm() + $km);
    }

    /** Whether the pot is the next place for it; one past its limit is not worth the wax. */
    public function wantsPot(): bool
    {
        return $this->status->wantsDip() && ! $this->pastLimit && ! $this->terms->dripOnly;
    }

    /** Whether it was ridden or measured: a new one has no wear of its own to show. */
    public function wears(): bool
    {
        return $this->reading !== null || $this->km->km > 0.0 || ! $this->km->whole;
    }

    public function retired(): bool
    {
        return $this->status === ChainStatus::Retired;
    }

    /** Whether it can go on a bike and be ridden with wax on it. */
    public function rideable(): bool
    {
        return ! $this->retired() && $this->life !== null && $this->waxKnown && ! $this->life->due() && ! $this->pastLimit;
    }

    /**
     * Hours by the km of the rides of which both are known; where none is, what nobody timed took none.
     *
     * @param list<Ride> $rides
     */
    private static function pace(array $rides): float
    {
        [$hours, $km] = [0.0, 0.0];
        foreach ($rides as $ride) {
            [$hours, $km] = $ride->hours === null ? [$hours, $km] : [$hours + $ride->hours, $km + $ride->km];
        }

        return $km > 0.0 ? $hours / $km : 0.0;
    }

    /**
     * @param list<Ride> $rides
     * @param list<Ride> $allRides of the chain
     * @param list<TopUp> $topUps
     */
    private static function cycle(array $rides, array $allRides, array $topUps, Terms $terms, Settings $settings): WaxLifeInput
    {
        return new WaxLifeInput(
            $terms->intervalKm,
            $terms->intervalHours,
            array_map(fn(Ride $ride) => new WaxRide(
                $ride->km,
                $ride->hours,
                $ride->condition,
                $settings->factor($ride->condition, $ride->moment->unixS),
            ), $rides),
            array_map(fn(TopUp $topUp) => new WaxTopUp(
                count(array_filter($rides, fn(Ride $ride) => Entry::compare($ride, $topUp) < 0)) - 1,
                $topUp->km,
            ), $topUps),
            self::pace($allRides),
        );
    }

    /** @param list<Ride> $cycleRides */
    private static function status(ChainHistory $history, ?WaxLifeResult $life, ?BareClockResult $bare, array $cycleRides, bool $waxKnown): ChainStatus
    {
        return match (true) {
            $history->last(Retirement::class) !== null => ChainStatus::Retired,
            $bare !== null => ChainStatus::Bare,
            $life === null => ChainStatus::Unwaxed,
            $life->because === DueBecause::Noise => ChainStatus::Loud,
            $life->because === DueBecause::Distance => ChainStatus::Spent,
            $life->because === DueBecause::Hours => ChainStatus::Overtime,
            $life->because === DueBecause::Wet => ChainStatus::Wet,
            ! $waxKnown => ChainStatus::Unsure,
            $cycleRides === [] => ChainStatus::Waxed,
            default => ChainStatus::Ridden,
        };
    }

    /** What its wax cycle starts with: the last dip, or the wax that it came with. Bare steel has none. */
    private static function waxed(?Dip $dip, ?Opening $opening, ?Strip $strip): Dip|Opening|null
    {
        $start = $opening !== null && ($dip === null || Entry::compare($dip, $opening) < 0) ? ($opening->waxed() ? $opening : null) : $dip;

        return $start !== null && $strip !== null && Entry::compare($strip, $start) > 0 ? null : $start;
    }

    /** @return list<Ride> */
    private static function cycleRides(ChainHistory $history, Dip|Opening|TopUp $waxed, Terms $terms): array
    {
        $before = match (true) {
            $waxed instanceof Opening => $waxed->rideBefore(),
            $waxed instanceof Dip => $waxed->rideBefore($terms->intervalKm),
            default => null,
        };

        return [...($before === null ? [] : [$before]), ...$history->ridesAfter($waxed)];
    }

    /**
     * @param list<Ride> $rides
     *
     * @return array{float, bool}
     */
    private static function hours(array $rides): array
    {
        [$hours, $complete] = [0.0, true];
        foreach ($rides as $ride) {
            $hours += $ride->hours ?? 0.0;
            $complete = $complete && $ride->hours !== null;
        }

        return [$hours, $complete];
    }

    /** @param list<Ride> $rides */
    private static function lastSoaking(array $rides): ?Ride
    {
        foreach (array_reverse($rides) as $ride) {
            if ($ride->condition->soaks()) {
                return $ride;
            }
        }

        return null;
    }

    /** The first ride after another on a later local day. */
    private static function nextDayRide(ChainHistory $history, Ride $ride, Settings $settings): ?Ride
    {
        $day = LocalDay::of($ride->moment->unixS, $settings->zone())->date;
        foreach ($history->ridesAfter($ride) as $later) {
            if (LocalDay::of($later->moment->unixS, $settings->zone())->date > $day) {
                return $later;
            }
        }

        return null;
    }

    private static function driedS(ChainHistory $history, Ride $wetRide): ?int
    {
        foreach (array_reverse($history->events) as $event) {
            if ($event instanceof Care && $event->care === CareKind::Dried && Entry::compare($event, $wetRide) > 0) {
                return $event->moment->unixS;
            }
        }

        return null;
    }

    private static function readyAt(?Dip $dip, Dip|Opening|TopUp|null $lastCare, Settings $settings, int $nowS): ?int
    {
        $readyAtS = max(
            $dip === null ? 0 : $settings->readySchool()->readyS($dip->moment->unixS, $settings->zone()),
            $lastCare instanceof TopUp ? $lastCare->moment->unixS + (int) round(3600 * $settings->dripDryHours()) : 0,
        );

        return $readyAtS > $nowS ? $readyAtS : null;
    }
}
