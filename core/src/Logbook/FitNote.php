<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** What speaks against putting a chain on a bike, or is worth a word before it is done. */
enum FitNote: string
{
    /** Its speeds are not the bike's: a chain of another width shifts badly and may jam or part. */
    case WrongSpeed = 'wrong_speed';
    /** Its quick link was closed as often as its maker allows. */
    case LinkSpent = 'link_spent';
    /** Its quick link may be closed this once more. */
    case LastClosing = 'last_closing';

    public function forbids(): bool
    {
        return $this !== self::LastClosing;
    }

    /**
     * The first that forbids it, else the first worth a word, null if nothing is. Common practice: quick links are single
     * use or allow a stated number of closings; a chain must suit the number of sprockets.
     */
    public static function of(Book $book, int $chainId, int $bikeId, int $nowS): ?self
    {
        $chainSpeeds = $book->settings->whole(SettingKey::ChainSpeeds, $chainId);
        $bikeSpeeds = $book->settings->whole(SettingKey::BikeSpeeds, $bikeId);
        $link = $book->linkOf($chainId, $nowS);
        $left = $link?->part->closingsAllowed === null ? null : $link->part->closingsAllowed - $link->closings;

        return match (true) {
            $chainSpeeds > 0 && $bikeSpeeds > 0 && $chainSpeeds !== $bikeSpeeds => self::WrongSpeed,
            $left !== null && $left <= 0 => self::LinkSpent,
            $left === 1 => self::LastClosing,
            default => null,
        };
    }
}
