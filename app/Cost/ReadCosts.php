<?php

declare(strict_types=1);

namespace App\Cost;

use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Pot\ReadBaths;
use App\Strip\ReadJars;
use App\Support\AppClock;
use Dripel\Core\Bath\DipPickup;
use Dripel\Core\Cost\WorkshopCosts;

/** Loads what a workshop used up and put on, each at the price of its day. */
final readonly class ReadCosts
{
    public function __construct(
        private ReadBook $readBook,
        private ReadPrices $readPrices,
        private ReadBaths $readBaths,
        private ReadJars $readJars,
        private AppClock $clock,
    ) {}

    public function __invoke(Workshop $workshop): WorkshopCosts
    {
        $book = ($this->readBook)($workshop);

        return WorkshopCosts::of(
            $book,
            ($this->readPrices)($workshop),
            DipPickup::of(($this->readBaths)($workshop), $book->dips()),
            $this->readJars->bought($workshop),
            $this->clock->unixS(),
        );
    }
}
