<?php

declare(strict_types=1);

namespace App\Cost;

use App\Logbook\ReadBook;
use App\Models\Price;
use App\Models\Workshop;
use Dripel\Core\Cost\Price as CorePrice;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Logbook\Book;
use WeakMap;

/** Loads the price list of a workshop into the core. */
final class ReadPrices
{
    /** @var WeakMap<Book, PriceList> a logbook that was read anew has prices that are */
    private WeakMap $read;

    public function __construct(private readonly ReadBook $readBook)
    {
        $this->read = new WeakMap();
    }

    public function __invoke(Workshop $workshop): PriceList
    {
        return $this->read[($this->readBook)($workshop)] ??= self::prices($workshop);
    }

    private static function prices(Workshop $workshop): PriceList
    {
        return new PriceList(
            array_values(
                Price::query()
                    ->in($workshop)
                    ->live()
                    ->orderBy('id')
                    ->get()
                    ->map(fn(Price $row) => new CorePrice($row->id, $row->supply, $row->at, $row->amount_minor, $row->quantity))
                    ->all(),
            ),
        );
    }
}
