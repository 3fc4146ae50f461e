<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Cost\ReadCosts;
use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Text\Speaker;
use App\Text\WearWords;
use Dripel\Core\Cost\ChainLife;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Retirement;
use Dripel\Core\Plan\ChainSupply;
use Dripel\Core\Plan\Rail;

/**
 * The life of a chain in figures, and what would be left of its rail without it.
 *
 * @phpstan-type Retiring array{life: list<array{name: string, value: string}>, on: string|null, left: string|null, few: bool, bike: int|null}
 */
final readonly class RetireProps
{
    public function __construct(private ReadBook $readBook, private ReadCosts $readCosts, private Speaker $speaker) {}

    /** @return Retiring */
    public function of(Workshop $workshop, int $chainId): array
    {
        $book = ($this->readBook)($workshop);
        $voice = $this->speaker->voice();
        $bikeId = $book->bikeOfChain($chainId, $voice->nowS);
        $rail = array_column(Rail::all($book, $voice->nowS, $voice->zone()), null, 'bikeId')[$bikeId ?? 0] ?? null;
        $left = array_map(fn(ChainState $one) => $voice->names->chain($one->chainId), $rail?->leftWithout($chainId) ?? []);
        $few = $bikeId !== null && count($left) < ChainSupply::wanted($book, $bikeId, $voice->nowS);

        return [
            'life' => $this->life($workshop, $chainId),
            'on' => $book->fittings->bikeOf($chainId, $voice->nowS) !== null ? $voice->say('wear.retire.on', ['bike' => $voice->names->bike($bikeId)]) : null,
            'left' => $bikeId === null ? null : trans_choice($few ? 'wear.retire.few' : 'wear.retire.left', count($left), ['bike' => $voice->names->bike($bikeId), 'chains' => $voice->names->list($left)]),
            'few' => $few,
            'bike' => $bikeId,
        ];
    }

    /** @return list<array{name: string, value: string}> the life of a retired chain; empty before */
    public function story(Workshop $workshop, int $chainId): array
    {
        return ($this->readBook)($workshop)->chain($chainId, $this->speaker->voice()->nowS)->retired() ? $this->life($workshop, $chainId) : [];
    }

    /** @return list<array{name: string, value: string}> */
    private function life(Workshop $workshop, int $chainId): array
    {
        $book = ($this->readBook)($workshop);
        $voice = $this->speaker->voice();
        $chain = $book->chain($chainId, $voice->nowS);
        $life = ChainLife::of($book, $chain, ($this->readCosts)($workshop));

        return (new WearWords($voice))->life($life, $chain, $book->history($chainId)->last(Retirement::class)?->moment->unixS);
    }
}
