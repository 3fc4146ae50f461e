<?php

declare(strict_types=1);

namespace App\Plan;

use App\Cost\ReadPrices;
use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Pot\ReadBaths;
use App\Strip\Protocols;
use App\Support\AppClock;
use App\Wear\ReadWear;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Bath\DipPickup;
use Dripel\Core\Plan\WorkshopYears;
use Dripel\Core\Pot\PotFacts;

/** Loads what the coming years of a workshop are computed from. */
final readonly class ReadYears
{
    public function __construct(
        private ReadBook $readBook,
        private ReadWear $readWear,
        private ReadBaths $readBaths,
        private ReadPrices $readPrices,
        private Protocols $protocols,
        private AppClock $clock,
    ) {}

    /** @param float|null $hourMinor what an hour of work is worth, in minor units; null: what the workshop says */
    public function __invoke(Workshop $workshop, ?float $hourMinor = null): WorkshopYears
    {
        $book = ($this->readBook)($workshop);
        $baths = ($this->readBaths)($workshop);
        $known = array_filter($baths, fn(BathState $bath) => $bath->ledger !== null);
        $potId = array_key_first($known);

        return WorkshopYears::of(
            $book,
            ($this->readWear)($workshop),
            $potId === null ? null : PotFacts::of($book->settings, $potId)->vessel(),
            $potId === null ? null : $known[$potId]->ledger?->waxG,
            DipPickup::of($baths)->usual(),
            ($this->readPrices)($workshop),
            $this->protocols->find($workshop, Protocols::DEFAULT)?->freshMl() ?? [],
            $hourMinor ?? $book->settings->hourMinor(),
            $this->clock->unixS(),
            $potId === null ? null : PotFacts::of($book->settings, $potId)->atOnce,
        );
    }
}
