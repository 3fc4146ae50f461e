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
final class ReadWear
{
    /** The last that was asked for: several parts of a page go by the same. */
    private ?WorkshopWear $wear = null;

    private ?Book $book = null;

    private int $atS = 0;

    public function __construct(private readonly ReadBook $readBook, private readonly AppClock $clock, private readonly CacheMemo $memo) {}

    public function __invoke(Workshop $workshop, ?int $atS = null): WorkshopWear
    {
        $this->memo->in($workshop);

        return $this->of(($this->readBook)($workshop), $atS ?? $this->clock->unixS());
    }

    public function of(Book $book, int $nowS): WorkshopWear
    {
        if ($this->wear === null || $this->book !== $book || $this->atS !== $nowS) {
            [$this->book, $this->atS, $this->wear] = [$book, $nowS, new WorkshopWear($book, $nowS, $this->memo)];
        }

        return $this->wear;
    }
}
