<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\WaxLife;
use Dripel\Core\Interval\WaxLifeInput;
use Dripel\Core\Interval\WaxLifeResult;
use Dripel\Core\Interval\WaxRide;
use Dripel\Core\Interval\WaxTopUp;

/**
 * The wax on a chain: its cycle since the last dip, or since the wax that it came with. Distances in km as ridden unless called effective.
 */
final readonly class WaxState
{
    /**
     * @param WaxLifeResult|null $life of the cycle; null if there is no wax to speak of
     * @param bool $known whether the whole cycle is known; if not, what `life` leaves is the most there can be
     * @param list<Ride> $rides since the last dip; the first may be what the chain came with
     * @param int $topUps since the dip
     * @param Dip|Opening|TopUp|null $start what the cycle starts with
     * @param Dip|Opening|TopUp|null $last when wax was last put on
     */
    private function __construct(
        public ?WaxLifeResult $life,
        public bool $known,
        public ?WaxLifeInput $cycle,
        public array $rides,
        public int $topUps,
        public ?Dip $dip,
        public Dip|Opening|TopUp|null $start,
        public Dip|Opening|TopUp|null $last,
        /** Whether oil got on it since it was last stripped: no wax holds. */
        public bool $oiled = false,
    ) {}

    public static function derive(ChainHistory $history, Terms $terms, Settings $settings): self
    {
        $dip = $history->last(Dip::class);
        $strip = $history->last(Strip::class);
        if ($dip !== null && $strip !== null && Entry::compare($strip, $dip) > 0) {
            $dip = null;
        }
        $start = self::waxed($dip, $history->last(Opening::class), $strip);
        $drip = $terms->dripOnly ? $history->last(TopUp::class) : null;
        if ($drip !== null && ($strip === null || Entry::compare($drip, $strip) > 0)) {
            // Where no pot is heated, drip wax is the wax.
            $start = $start === null || Entry::compare($drip, $start) > 0 ? $drip : $start;
        }
        $oil = $history->last(Oiling::class);
        $oiled = $oil !== null && ($strip === null || Entry::compare($oil, $strip) > 0);
        if ($start === null || $oiled) {
            return new self(null, true, null, [], 0, $oiled ? null : $dip, null, null, $oiled);
        }
        $topUps = $history->topUpsAfter($start);
        $rides = self::cycleRides($history, $start, $terms);
        $cycle = self::cycle($rides, $topUps, $terms, $settings);
        $last = $topUps === [] ? $start : $topUps[count($topUps) - 1];
        $noise = $history->last(Noise::class);
        $life = (new WaxLife())($cycle);
        $life = $noise !== null && Entry::compare($noise, $last) > 0 ? $life->silencedByNoise() : $life;

        return new self(
            $life,
            !($start instanceof Opening) || $start->wax === WaxThen::Known,
            $cycle,
            $rides,
            count($topUps),
            $dip,
            $start,
            $last,
        );
    }

    /** Once it was ridden on after the wet it goes by the wax that is left. */
    public function afterTheWet(): self
    {
        return new self(
            $this->life?->afterTheWet(),
            $this->known,
            $this->cycle,
            $this->rides,
            $this->topUps,
            $this->dip,
            $this->start,
            $this->last,
        );
    }

    /** How much of the chain the coat covers: 0 bare, spent or unknown, 1 fresh. */
    public function coat(): float
    {
        return $this->known ? $this->life->leftFraction ?? 0.0 : 0.0;
    }

    /** The dirtiest condition since the dip, null if it was not ridden. */
    public function worstCondition(): ?Condition
    {
        $conditions = array_map(fn(Ride $ride) => $ride->condition, $this->rides);
        usort($conditions, fn(Condition $a, Condition $b) => $b->dirt() <=> $a->dirt());

        return $conditions[0] ?? null;
    }

    /** Where a ride stands among those since the dip; null: it was on another coat. */
    public function placeOf(Ride $ride): ?int
    {
        return array_find_key($this->rides, fn(Ride $one) => $one->id === $ride->id && $one->moment->unixS === $ride->moment->unixS);
    }

    /** km as ridden since the dip. */
    public function cycleKm(): Distance
    {
        return new Distance(array_sum(array_map(fn(Ride $ride) => $ride->km, $this->rides)), $this->known);
    }

    /**
     * @param list<Ride> $rides
     * @param list<TopUp> $topUps
     */
    private static function cycle(array $rides, array $topUps, Terms $terms, Settings $settings): WaxLifeInput
    {
        return new WaxLifeInput(
            $terms->limitKm(),
            $terms->intervalHours,
            array_map(
                fn(Ride $ride) => new WaxRide(
                    $ride->km,
                    $ride->hours,
                    $ride->condition,
                    $settings->factor($ride->condition, $ride->moment->unixS),
                ),
                $rides,
            ),
            array_map(
                fn(TopUp $topUp) => new WaxTopUp(
                    count(array_filter($rides, fn(Ride $ride) => Entry::compare($ride, $topUp) < 0)) - 1,
                    $topUp->km,
                ),
                $topUps,
            ),
            $terms->hoursPerKm,
        );
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

        return [...$before === null ? [] : [$before], ...$history->ridesAfter($waxed)->all()];
    }
}
