<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** What is on a quick link. It is greased like its chain, goes through each strip with it, and into the pot only once it is bare. */
enum LinkState: string
{
    case Greased = 'greased';
    case Bare = 'bare';
    case Waxed = 'waxed';

    /**
     * @param ChainHistory $history of the chain that it closes
     * @param Opening|null $opened of the link itself, where it is a later one than the chain came with
     * @param bool $cameWaxed whether the chain came with wax of the factory
     * @param int|null $cleanedS when it was washed alone; null: it never was
     */
    public static function of(ChainHistory $history, ?Opening $opened, bool $cameWaxed = false, ?int $cleanedS = null): self
    {
        $came = $history->last(Opening::class);
        $state = $opened === null && ($cameWaxed || ($came !== null && $came->waxed())) ? self::Waxed : self::Greased;
        foreach ($history->events as $event) {
            if ($opened !== null && Entry::compare($event, $opened) < 0) {
                continue;
            }
            if ($cleanedS !== null && $event->moment->unixS >= $cleanedS) {
                [$state, $cleanedS] = [self::Bare, null];
            }
            $state = match (true) {
                $event instanceof Strip => self::Bare,
                $event instanceof Dip && $event->linkIn && ($opened === null || $state !== self::Greased) => self::Waxed,
                // What goes into the pot was stripped, before its book began if not in it, and the link that it came with along with it.
                $event instanceof Dip && $opened === null && $state === self::Greased => self::Bare,
                $event instanceof Oiling => self::Greased,
                default => $state,
            };
        }

        return $cleanedS === null ? $state : self::Bare;
    }
}
