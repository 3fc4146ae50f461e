<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Cost\ReadCosts;
use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Text\Translators;
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
    public function __construct(private ReadBook $readBook, private ReadCosts $readCosts, private Translators $translators) {}

    /** @return Retiring */
    public function of(Workshop $workshop, int $chainId): array
    {
        $book = ($this->readBook)($workshop);
        $translator = $this->translators->current();
        $bikeId = $book->bikeOfChain($chainId, $translator->nowS);
        $rail = array_column(Rail::all($book, $translator->nowS, $translator->zone()), null, 'bikeId')[$bikeId ?? 0] ?? null;
        $left = array_map(fn(ChainState $one) => $translator->names->chain($one->chainId), $rail?->leftWithout($chainId) ?? []);
        $few = $bikeId !== null && count($left) < ChainSupply::wanted($book, $bikeId, $translator->nowS);

        return [
            'life' => $this->life($workshop, $chainId),
            'on' =>
                $book->fittings()->bikeOf($chainId, $translator->nowS) !== null
                    ? $translator->say('wear.retire.on', ['bike' => $translator->names->bike($bikeId)])
                    : null,
            'left' =>
                $bikeId === null
                    ? null
                    : trans_choice($few ? 'wear.retire.few' : 'wear.retire.left', count($left), [
                        'bike' => $translator->names->bike($bikeId),
                        'chains' => $translator->names->list($left),
                    ]),
            'few' => $few,
            'bike' => $bikeId,
        ];
    }

    /** @return list<array{name: string, value: string}> the life of a retired chain; empty before */
    public function story(Workshop $workshop, int $chainId): array
    {
        return ($this->readBook)($workshop)
            ->chain($chainId, $this->translators->current()->nowS)
            ->retired()
            ? $this->life($workshop, $chainId)
            : [];
    }

    /** @return list<array{name: string, value: string}> */
    private function life(Workshop $workshop, int $chainId): array
    {
        $book = ($this->readBook)($workshop);
        $translator = $this->translators->current();
        $chain = $book->chain($chainId, $translator->nowS);
        $life = ChainLife::of($book, $chain, ($this->readCosts)($workshop));

        return (new WearWords($translator))->life($life, $chain, $book->history($chainId)->last(Retirement::class)?->moment->unixS);
    }
}
