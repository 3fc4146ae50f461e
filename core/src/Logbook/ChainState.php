<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Interval\DueBecause;
use Dripel\Core\Interval\WaxTopUp;

/**
 * What follows from the logbook for one chain at one instant: the one answer that Shed, Next and every planner ask for.
 * Distances in km as ridden unless called effective; instants in Unix seconds.
 */
final readonly class ChainState
{
    private function __construct(
        public int $chainId,
        public int $nowS,
        public ChainStatus $status,
        public Terms $terms,
        public Distance $km,
        public float $hours,
        /** Whether every ride has its hours; if not, hours are a least value. */
        public bool $hoursComplete,
        public ?Opening $opening,
        public WaxState $wax,
        public Dryness $dryness,
        public WearState $wear,
        /** How often it was ridden since wax or a cloth was last on it. */
        public int $ridesSinceCare,
        /** When it may be ridden, if that is still to come. */
        public ?int $readyAtS,
        public int $dips,
        private int $topUpsMost,
        /** The event that it is kept for. */
        public ?KeptFor $keptFor,
    ) {}

    public static function derive(ChainHistory $history, Terms $terms, Settings $settings, int $nowS): self
    {
        $history = $history->until($nowS);
        $wax = WaxState::derive($history, $terms, $settings);
        $dryness = Dryness::derive($history, $wax, $settings, $nowS);
        $wax = $dryness->riddenOnS === null ? $wax : $wax->afterTheWet();
        $cloth = $history->last(WipeDown::class);
        $seenTo = $cloth !== null && ($wax->last === null || Entry::compare($cloth, $wax->last) > 0) ? $cloth : $wax->last;
        $opening = $history->last(Opening::class);

        return new self(
            chainId: $history->chainId,
            nowS: $nowS,
            status: self::status($history, $wax, $dryness),
            terms: $terms,
            km: $history->km(),
            hours: $history->rides->sum(RideSum::Hours),
            hoursComplete: $opening === null && $history->rides->sum(RideSum::Untimed) <= 0.0,
            opening: $opening,
            wax: $wax,
            dryness: $dryness,
            wear: WearState::derive($history, $terms),
            ridesSinceCare: count($seenTo === null ? $history->rides : $history->ridesAfter($seenTo)),
            readyAtS: self::readyAt($wax, $settings, $nowS),
            dips: count(array_filter($history->events, fn(Entry $e) => $e instanceof Dip)),
            topUpsMost: $settings->topUpsMost(),
            keptFor: KeptFor::of($settings, $history->chainId, $nowS),
        );
    }

    /** The same at another instant with no entry in between: only what a clock or the calendar says differs. */
    public function at(int $nowS, Settings $settings): self
    {
        if ($nowS === $this->nowS) {
            return $this;
        }

        return new self(
            chainId: $this->chainId,
            nowS: $nowS,
            status: $this->status,
            terms: $this->terms,
            km: $this->km,
            hours: $this->hours,
            hoursComplete: $this->hoursComplete,
            opening: $this->opening,
            wax: $this->wax,
            dryness: $this->dryness->at($nowS),
            wear: $this->wear,
            ridesSinceCare: $this->ridesSinceCare,
            readyAtS: self::readyAt($this->wax, $settings, $nowS),
            dips: $this->dips,
            topUpsMost: $this->topUpsMost,
            keptFor: KeptFor::of($settings, $this->chainId, $nowS),
        );
    }

    /** Effective km of wax that can be counted on: none where its start is unknown; by hours alone, as far as they go. */
    public function leftKm(): float
    {
        return $this->wax->known ? $this->wax->life->leftKm ?? $this->coat() * $this->terms->intervalKm : 0.0;
    }

    public function left(): WaxLeft
    {
        return WaxLeft::of(
            $this->terms,
            $this->wax->life !== null,
            $this->wax->known,
            $this->coat(),
            $this->leftKm(),
            $this->wax->life?->leftHours,
        );
    }

    /**
     * What a ride of the cycle left, by what its bike asks now.
     *
     * @param int $index of the rides since the dip
     */
    public function leftAfterRide(int $index): WaxLeft
    {
        $life = $this->wax->life;
        $km = $this->terms->hoursAlone ? null : $life->rideLeftKm[$index] ?? null;
        $hours = $life->rideLeftHours[$index] ?? null;
        $coat = min($km === null ? 1.0 : $km / $this->terms->intervalKm, $hours === null ? 1.0 : $hours / $this->terms->intervalHours);

        return WaxLeft::of($this->terms, $life !== null, $this->wax->known, $coat, $km ?? $coat * $this->terms->intervalKm, $hours);
    }

    /** How much of the chain the coat covers: 0 bare, spent or unknown, 1 fresh. */
    public function coat(): float
    {
        return $this->wax->coat();
    }

    /** Whether drip wax may still bridge to the next dip; where there is no pot, always. */
    public function mayTopUp(): bool
    {
        return $this->terms->dripOnly || $this->wax->topUps < $this->topUpsMost;
    }

    /** km of wax that a coat of drip wax would leave it with: it gives no hours back; without a pot each coat starts the interval anew. */
    public function leftAfterTopUp(float $km = WaxTopUp::KM): float
    {
        return match (true) {
            $this->terms->dripOnly => $this->terms->intervalKm,
            $this->terms->hoursAlone => $this->leftKm(),
            default => min($this->terms->intervalKm, $this->leftKm() + $km),
        };
    }

    /** Whether the pot is the next place for it; one past its limit is not worth the wax. */
    public function wantsPot(): bool
    {
        return $this->status->wantsDip() && !$this->wear->pastLimit && !$this->terms->dripOnly;
    }

    /** Whether it was ridden or measured: a new one has no wear of its own to show. */
    public function wears(): bool
    {
        return $this->wear->reading !== null || $this->km->km > 0.0 || !$this->km->whole;
    }

    public function retired(): bool
    {
        return $this->status === ChainStatus::Retired;
    }

    /** Whether it can go on a bike and be ridden with wax on it. */
    public function rideable(): bool
    {
        return !$this->retired() && $this->wax->life !== null && $this->wax->known && !$this->wax->life->due() && !$this->wear->pastLimit;
    }

    private static function status(ChainHistory $history, WaxState $wax, Dryness $dryness): ChainStatus
    {
        return match (true) {
            $history->last(Retirement::class) !== null => ChainStatus::Retired,
            $dryness->bare !== null => ChainStatus::Bare,
            $wax->oiled => ChainStatus::Oiled,
            $wax->life === null => ChainStatus::Unwaxed,
            $wax->life->because === DueBecause::Noise => ChainStatus::Loud,
            $wax->life->because === DueBecause::Distance => ChainStatus::Spent,
            $wax->life->because === DueBecause::Hours => ChainStatus::Overtime,
            $wax->life->because === DueBecause::Wet => ChainStatus::Wet,
            !$wax->known => ChainStatus::Unsure,
            $wax->rides === [] => ChainStatus::Waxed,
            default => ChainStatus::Ridden,
        };
    }

    private static function readyAt(WaxState $wax, Settings $settings, int $nowS): ?int
    {
        $readyAtS = max(
            $wax->dip === null ? 0 : $settings->readySchool()->readyS($wax->dip->moment->unixS, $settings->zone()),
            $wax->last instanceof TopUp ? $wax->last->moment->unixS + (int) round(3600 * $settings->dripDryHours()) : 0,
        );

        return $readyAtS > $nowS ? $readyAtS : null;
    }
}
