<?php

declare(strict_types=1);

namespace App\Pot;

use App\Logbook\CoreRows;
use App\Logbook\ReadBook;
use App\Models\Pot;
use App\Models\Workshop;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Bath\PotBook;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;
use WeakMap;

/** Loads what was done with the wax in the pots of a workshop into the core. */
final class ReadBaths
{
    /** @var WeakMap<Book, array<int, BathState>> a logbook that was read anew has baths that are */
    private WeakMap $read;

    public function __construct(private readonly ReadBook $readBook)
    {
        $this->read = new WeakMap();
    }

    /** @return array<int, BathState> by pot, those in use */
    public function __invoke(Workshop $workshop): array
    {
        $book = ($this->readBook)($workshop);
        if (isset($this->read[$book])) {
            return $this->read[$book];
        }

        return $this->read[$book] = $book->kept('baths', fn() => $this->states($workshop, $book));
    }

    /** @return array<int, BathState> */
    private function states(Workshop $workshop, Book $book): array
    {
        $entries = array_map(CoreRows::potEntry(...), ReadBook::rows($workshop, 'bath_entries', ...CoreRows::POT_ENTRY));
        $inUse = array_filter(
            $this->readBook->components($workshop, Pot::KIND),
            fn(int $potId) => $book->settings->whole(SettingKey::PotGone, $potId) !== 1,
        );

        return array_combine($inUse, array_map((new PotBook($book, $entries))->state(...), $inUse));
    }
}
