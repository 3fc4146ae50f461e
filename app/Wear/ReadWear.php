<?php

declare(strict_types=1);

namespace App\Wear;

use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\CacheMemo;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Wear\WorkshopWear;

/** The wear of all chains of a workshop, with what was worked out before. */
final readonly class ReadWear
{
    public function __construct(private ReadBook $readBook, private AppClock $clock, private CacheMemo $memo) {}

    public function __invoke(Workshop $workshop, ?int $atS = null): WorkshopWear
    {
        return $this->of(($this->readBook)($workshop), $atS ?? $this->clock->unixS());
    }

    public function of(Book $book, int $nowS): WorkshopWear
    {
        return new WorkshopWear($book, $nowS, $this->memo);
    }
}
