<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Wear\WearForecastResult;

/**
 * How long the chains of a bike will do, and when the next must be bought. Supposes that the coming weeks are like the last
 * eight and that the chains share them evenly; each counts until the earliest of ten cases in which it reaches its limit. km.
 */
final readonly class ChainSupply
{
    /** One on the bike and one on the hook: house rule. */
    public const WANTED = 2;

    /** To buy it, strip it and wax it: house rule. */
    private const LEAD_DAYS = 14;

    private const HORIZON_DAYS = 1826;

    private function __construct(
        public int $bikeId,
        /** Chains that are not past their limit. */
        public int $inUse,
        public int $wanted,
        /** Local day YYYY-MM-DD on which there will be fewer than wanted; null: not foreseen. */
        public ?string $shortOn,
        /** Local day by which to buy. */
        public ?string $buyBy,
        /** The chain that goes then, null if there are too few already. */
        public ?ChainState $goes,
    ) {}

    /**
     * Null of a bike that never had a chain.
     *
     * @param array<int, WearForecastResult> $forecasts by chain; one without is taken to last
     */
    public static function of(Book $book, Rail $rail, array $forecasts, LocalDay $today): ?self
    {
        $wanted = self::wanted($book, $rail->bikeId, $today->endS());
        if ($wanted === 0) {
            return null;
        }
        $chains = array_values(array_filter($rail->own(), fn(ChainState $chain) => !$chain->wear->pastLimit && $rail->suits($chain)));
        if (count($chains) < $wanted) {
            return new self($rail->bikeId, count($chains), $wanted, $today->date, $today->date, null);
        }
        $leftKm = [];
        foreach ($chains as $i => $chain) {
            $leftKm[$i] = isset($forecasts[$chain->chainId]) ? $forecasts[$chain->chainId]->kmToLimitP10 ?? INF : INF;
        }
        asort($leftKm);
        [$alive, $usedKm, $weeks] = [count($chains), 0.0, 0.0];
        foreach ($leftKm as $i => $km) {
            $weeks += $rail->habit->weeklyRiddenKm > 0.0 ? (($km - $usedKm) * $alive) / $rail->habit->weeklyRiddenKm : INF;
            if (7 * $weeks > self::HORIZON_DAYS) {
                break;
            }
            $usedKm = $km;
            if (--$alive < $wanted) {
                $days = 7 * $weeks;

                return new self(
                    $rail->bikeId,
                    count($chains),
                    $wanted,
                    $today->plus((int) floor($days))->date,
                    $today->plus(max(0, (int) floor($days) - self::LEAD_DAYS))->date,
                    $chains[$i],
                );
            }
        }

        return new self($rail->bikeId, count($chains), $wanted, null, null, null);
    }

    /** How many chains a bike wants: one that always made do with one is not told to have two; 0 if it never had any and nobody said. */
    public static function wanted(Book $book, int $bikeId, int $atS): int
    {
        return $book->settings->chainsWanted($bikeId) ??
            min(self::WANTED, count(array_filter($book->chainIds, fn(int $id) => $book->settings->home($id, $atS) === $bikeId)));
    }

    public function tooFew(): bool
    {
        return $this->inUse < $this->wanted;
    }
}
