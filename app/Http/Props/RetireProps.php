<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Pot\ReadBaths;
use App\Strip\ReadPrices;
use App\Text\Speaker;
use App\Text\WearWords;
use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Cost\ChainLife;
use Dripel\Core\Logbook\Retirement;

/** The life of a chain in figures, and what would be left of its rail without it. */
final readonly class RetireProps
{
    public function __construct(private ReadBook $readBook, private ReadPrices $readPrices, private ReadBaths $readBaths, private Speaker $speaker) {}

    /** @return array<string, mixed> */
    public function of(Workshop $workshop, int $chainId): array
    {
        $book = ($this->readBook)($workshop);
        $voice = $this->speaker->voice();
        $chain = $book->chain($chainId, $voice->nowS);
        $pickups = array_filter(array_map(fn($bath) => $bath->ledger?->pickupG, ($this->readBaths)($workshop)));
        $life = ChainLife::of($book, $chain, ($this->readPrices)($workshop), $pickups === [] ? BathLedgerInput::PICKUP_G : array_sum($pickups) / count($pickups));
        $bikeId = $book->bikeOfChain($chainId, $voice->nowS);
        $left = array_values(array_filter($book->chainIds, fn(int $id) => $id !== $chainId && $bikeId !== null && $book->settings->home($id, $voice->nowS) === $bikeId
            && $book->history($id)->until($voice->nowS)->last(Retirement::class) === null && ! $book->chain($id, $voice->nowS)->pastLimit));

        return [
            'life' => (new WearWords($voice))->life($life, $chain, null),
            'on' => $book->fittings->bikeOf($chainId, $voice->nowS) !== null ? $voice->say('wear.retire.on', ['bike' => $voice->names->bike($bikeId)]) : null,
            'left' => $bikeId === null ? null : trans_choice('wear.retire.left', count($left), ['bike' => $voice->names->bike($bikeId), 'chains' => $voice->names->list(array_map($voice->names->chain(...), $left))]),
            'few' => $bikeId !== null && count($left) < 2,
            'bike' => $bikeId,
        ];
    }
}
