<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Strip\BareClock;
use Dripel\Core\Strip\BareClockInput;
use Dripel\Core\Strip\BareClockResult;

/** What water can do to a chain: bare steel that rusts, and wet joints. Instants in Unix seconds. */
final readonly class Dryness
{
    private function __construct(
        public ?BareClockResult $bare,
        public ?int $bareSinceS,
        /** The ride that wetted it, if nothing was done since. */
        public ?Ride $wetRide,
        /** A wet ride after which it was ridden on another day, undried: the day for drying is past, look for rust. */
        public ?Ride $wetPast,
        /** When it was ridden on after the wet; null: it was not. */
        public ?int $riddenOnS,
        /** Whether somebody had it in a cloth since: rust would have been seen. */
        public bool $lookedAt,
        /** When it was dried since. */
        public ?int $driedS,
    ) {}

    /** Whether it is wet, and nobody has dried it yet. */
    public function wet(): bool
    {
        return $this->wetRide !== null && $this->driedS === null;
    }

    public static function derive(ChainHistory $history, WaxState $wax, Settings $settings, int $nowS): self
    {
        $strip = $wax->start === null && $wax->dip === null && !$wax->oiled ? $history->last(Strip::class) : null;
        $soaking = $wax->last === null ? null : self::lastSoaking($history->ridesAfter($wax->last));
        $riddenOn = $soaking === null ? null : self::nextDayRide($history, $soaking, $settings);
        $driedS = $soaking === null ? null : self::lastWipedS($history, $soaking, WipeDownKind::Dried);

        return new self(
            self::bareFor($strip?->moment->unixS, $nowS),
            $strip?->moment->unixS,
            $riddenOn === null ? $soaking : null,
            $riddenOn === null || $driedS !== null ? null : $soaking,
            $riddenOn?->moment->unixS,
            $riddenOn !== null && self::lastWipedS($history, $riddenOn) !== null,
            $riddenOn === null ? $driedS : null,
        );
    }

    /** The same at another instant with no entry in between. */
    public function at(int $nowS): self
    {
        return new self(
            self::bareFor($this->bareSinceS, $nowS),
            $this->bareSinceS,
            $this->wetRide,
            $this->wetPast,
            $this->riddenOnS,
            $this->lookedAt,
            $this->driedS,
        );
    }

    private static function bareFor(?int $sinceS, int $nowS): ?BareClockResult
    {
        return $sinceS === null ? null : (new BareClock())(new BareClockInput($sinceS, $nowS));
    }

    private static function lastSoaking(Rides $rides): ?Ride
    {
        foreach (array_reverse($rides->all()) as $ride) {
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

    /** When it was last wiped down after a ride; null: not since. */
    private static function lastWipedS(ChainHistory $history, Ride $ride, ?WipeDownKind $care = null): ?int
    {
        foreach (array_reverse($history->events) as $event) {
            if ($event instanceof WipeDown && ($care === null || $event->care === $care) && Entry::compare($event, $ride) > 0) {
                return $event->moment->unixS;
            }
        }

        return null;
    }
}
