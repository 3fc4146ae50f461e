<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Chain\Joint;
use Dripel\Core\Interval\DueBecause;

/** What speaks against putting a chain on a bike, or is worth a word before it is done. */
enum FitNote: string
{
    /** Its speeds are not the bike's: a chain of another width shifts badly and may jam or part. */
    case WrongSpeed = 'wrong_speed';
    /** Its quick link was closed as often as its maker allows. */
    case LinkSpent = 'link_spent';
    /** Its quick link may be closed this once more. */
    case LastClosing = 'last_closing';
    /** The chain that comes off is joined with a pin. */
    case PinOff = 'pin_off';
    /** The chain that goes on is joined with a pin. */
    case PinOn = 'pin_on';
    /** It was dipped or topped up, and may not be ridden yet. */
    case NotReady = 'not_ready';
    /** It is kept for an event that is still to come. */
    case Kept = 'kept';
    /** It is new, and the cassette has outlived its chains or was ridden with a worn one: it may skip under load. */
    case MaySkip = 'may_skip';
    /** It is worn past its limit. */
    case Worn = 'worn';
    /** Nobody knows how much wax it has left. */
    case WaxUnknown = 'wax_unknown';
    /** It was stripped and not waxed since. */
    case BareSteel = 'bare_steel';
    /** It was never waxed, or its wax is used up. */
    case NoWax = 'no_wax';
    /** Some wax is left on it, but it was ridden in the wet. */
    case WasWet = 'was_wet';
    /** Some wax is left on it by the distance, but its hours are up. */
    case HoursUp = 'hours_up';

    /** What was ridden less was not ridden in: house rule, km. */
    private const NEW_KM = 50.0;

    /** @phpstan-assert-if-true self::WrongSpeed|self::LinkSpent $this */
    public function forbids(): bool
    {
        return $this === self::WrongSpeed || $this === self::LinkSpent;
    }

    /**
     * All that is to be said, what forbids it first. Common practice: quick links are single
     * use or allow a stated number of closings; a chain must suit the number of sprockets.
     *
     * @return list<self>
     */
    public static function all(Book $book, ChainState $chain, int $bikeId): array
    {
        [$chainId, $nowS] = [$chain->chainId, $chain->nowS];
        $link = $book->inventory()->linkOf($chainId, $nowS);
        $off = $book->fittings()->componentOn($bikeId, $nowS);
        $waxless = !$chain->rideable() && !$chain->wear->pastLimit && $chain->wax->known;
        $due = $chain->leftKm() > 0.0 ? $chain->wax->life?->because : null;
        $left = $link?->part->closingsAllowed === null ? null : $link->part->closingsAllowed - $link->closings;

        return array_map(
            self::from(...),
            array_keys(
                array_filter([
                    self::WrongSpeed->value => !Drivetrain::takes($book->settings, $bikeId, $chainId),
                    self::LinkSpent->value => $left !== null && $left <= 0,
                    self::LastClosing->value => $left === 1,
                    self::PinOff->value => $off !== null && $off !== $chainId && self::pinned($book, $off),
                    self::PinOn->value => self::pinned($book, $chainId),
                    self::NotReady->value => $chain->readyAtS !== null,
                    self::Kept->value => $chain->keptFor?->waits($nowS, $book->settings) === true,
                    self::MaySkip->value => $chain->km->whole && $chain->km->km < self::NEW_KM && self::wornCassette($book, $bikeId, $nowS),
                    self::Worn->value => $chain->wear->pastLimit,
                    self::WaxUnknown->value => !$chain->wax->known && !$chain->wear->pastLimit,
                    self::BareSteel->value => $waxless && $chain->dryness->bare !== null,
                    self::NoWax->value => $waxless && $chain->dryness->bare === null && $due === null,
                    self::WasWet->value => $waxless && $due === DueBecause::Wet,
                    self::HoursUp->value => $waxless && $due === DueBecause::Hours,
                ]),
            ),
        );
    }

    private static function wornCassette(Book $book, int $bikeId, int $nowS): bool
    {
        $cassette = $book->inventory()->partOn(Slot::Cassette, $bikeId, $nowS);

        return $cassette !== null && PartWear::of($cassette, $book, $nowS)->mayMakeSkip();
    }

    /** Common practice: every removal of a pin widens its hole, and each closing wants a new pin. */
    public static function pinned(Book $book, int $chainId): bool
    {
        return $book->settings->text(SettingKey::ChainJoint, $chainId) === Joint::Pin->value;
    }
}
