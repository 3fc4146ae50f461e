<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Riders\Riders;
use Dripel\Core\Riders\Whose;

/** What the costs of somebody's bikes come to, every way that they are looked at. Minor units of money, km. */
final readonly class CostFigures
{
    /**
     * @param array<int, CostSum> $years the last first
     * @param array<int, CostSum> $bikes 0: what is for none of them
     * @param list<array{string|null, CostSum}> $riders null: what is everybody's
     * @param array<string, int> $months paid in each, YYYY-MM
     * @param list<CostPoint> $against as it added up, beside plain drip
     * @param list<Supply> $unpriced of which something was used at no known price
     * @param array<int, ChainLife> $lives by chain
     * @param array<int, int> $chainMinor what was put on each, likewise
     */
    private function __construct(
        public CostSum $all,
        public array $years,
        public array $bikes,
        public array $riders,
        public CostSum $besideChains,
        public array $months,
        public array $against,
        public array $unpriced,
        public array $lives,
        public array $chainMinor,
    ) {}

    /** @param int $steps into which the time is cut to show how it added up */
    public static function of(
        WorkshopCosts $workshop,
        Book $book,
        Whose $whose,
        Riders $riders,
        PlainDrip $plain,
        int $steps,
        int $nowS,
    ): self {
        $costs = $workshop->only($whose);
        $against = $costs->against($plain, $steps);
        [$lives, $minor] = [[], []];
        foreach ($book->chainIds as $id) {
            if ($whose->chain($id, $nowS)) {
                $lives[$id] = ChainLife::of($book, $book->chain($id, $nowS), $costs);
                $minor[$id] = $costs->forChain($id)->minor();
            }
        }

        return new self(
            $costs->sum(),
            $costs->byYear(),
            $costs->byBike($whose->bikes($book->bikeIds)),
            $costs->byRider($riders),
            $costs->besideChains(),
            $costs->months(),
            $against,
            $costs->unpriced($against === [] ? [] : $plain->unpriced),
            $lives,
            $minor,
        );
    }
}
