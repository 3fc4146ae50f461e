<?php

declare(strict_types=1);

namespace Dripel\Core\Fit;

use Dripel\Core\Care\CareDue;
use Dripel\Core\Chain\Joint;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\Drivetrain;
use Dripel\Core\Logbook\FitNote;
use Dripel\Core\Logbook\SettingKey;

/** What is known of a swap before the hands begin: the bike, the chain that comes off and the one that goes on. */
final readonly class FitFacts
{
    public function __construct(
        /** With joint and direction of the chain that goes on. */
        public Drivetrain $bike,
        /** How the chain that comes off is closed; null: none is on. */
        public ?Joint $off = null,
        /** Whether a chain goes on; else the bike is left bare. */
        public bool $on = true,
        /** Pitches as it is ridden, its quick link counted, where it is still to be cut; null: it fits as it is. */
        public ?int $cutTo = null,
        /** Fresh from the pot: stiff, with wax on its end links. */
        public bool $freshlyDipped = false,
        /** The first waxed chain on a drivetrain that nobody cleaned for it. */
        public bool $cleanFirst = false,
        /** A new chain goes on, or the old one is retired: teeth are looked at. */
        public bool $lookAtTeeth = false,
    ) {}

    /** @param int|null $chainId the chain that goes on; null: the bike is left bare */
    public static function of(Book $book, int $bikeId, ?int $chainId, int $nowS): self
    {
        $settings = $book->settings;
        $offId = $book->fittings()->componentOn($bikeId, $nowS);
        $off = $offId === null ? null : (FitNote::pinned($book, $offId) ? Joint::Pin : Joint::QuickLink);
        if ($chainId === null) {
            return new self(Drivetrain::of($settings, $bikeId, $offId ?? 0), $off, false);
        }
        $chain = $book->chain($chainId, $nowS);
        $pitches = $settings->whole(SettingKey::ChainPitches, $chainId);
        $new = $chain->km->whole && $chain->km->km <= 0.0 && $book->fittings()->spansOf($chainId) === [];
        $waxed = $chain->status === ChainStatus::Waxed;

        return new self(
            Drivetrain::of($settings, $bikeId, $chainId),
            $off,
            // It is cut before it is stripped: common practice.
            cutTo: $new && !$waxed && $chain->status !== ChainStatus::Bare && $pitches > 0 ? $pitches : null,
            freshlyDipped: $waxed && $chain->dips > 0,
            cleanFirst: $waxed && CareDue::of($book, $bikeId, $nowS)->beforeFirstWax,
            lookAtTeeth: $new,
        );
    }
}
