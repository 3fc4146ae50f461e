<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Distance;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Plan\LocalDay;

/**
 * The life of a chain in figures, and what it cost by the costs of its workshop: itself (nothing where it came used: paid before), its
 * quick links, the wax of its dips and what was dripped on it. Minor units of money, km.
 */
final readonly class ChainLife
{
    private const KM = 1000.0;

    private function __construct(
        public Distance $km,
        public int $rides,
        public int $dips,
        public int $topUps,
        public ?int $firstS,
        public bool $cameUsed,
        public ?int $chainMinor,
        public ?int $linksMinor,
        public ?int $waxMinor,
        public ?int $dripMinor,
    ) {}

    public static function of(Book $book, ChainState $chain, WorkshopCosts $costs): self
    {
        $history = $book->history($chain->chainId)->until($chain->nowS);
        $count = fn(string $kind): int => count(array_filter($history->events, fn(Entry $entry) => $entry instanceof $kind));

        return new self(
            $chain->km,
            count($history->rides),
            $count(Dip::class),
            $count(TopUp::class),
            self::firstS($book, $chain->chainId, $chain->nowS),
            WorkshopCosts::cameUsed($history),
            $costs->ofChain($chain->chainId, [Supply::Chain]),
            $costs->ofChain($chain->chainId, [Supply::QuickLink]),
            $costs->ofChain($chain->chainId, [Supply::Wax]),
            $costs->ofChain($chain->chainId, [Supply::DripWax]),
        );
    }

    /** When it was bought, where somebody said so, else when it is first heard of; null: never yet. */
    public static function firstS(Book $book, int $chainId, int $nowS): ?int
    {
        $bought = $book->settings->text(SettingKey::ChainBoughtOn, $chainId);
        if ($bought !== '') {
            return LocalDay::named($bought, $book->settings->zone())->startS();
        }
        $history = $book->history($chainId)->until($nowS);
        // Both are in order.
        $seen = array_map(fn(Entry $entry) => $entry->moment->unixS, [
            ...array_slice($history->events, 0, 1),
            ...$history->rides->slice(0, 1)->all(),
        ]);

        return $seen === [] ? null : min($seen);
    }

    /** Null unless every price is known. */
    public function totalMinor(): ?int
    {
        return $this->chainMinor === null || $this->linksMinor === null || $this->waxMinor === null || $this->dripMinor === null
            ? null
            : $this->chainMinor + $this->linksMinor + $this->waxMinor + $this->dripMinor;
    }

    /**
     * For 1000 km; the most it can be where some of its km are unknown. Null without a price, before it was ridden, and where it
     * came used: what it cost before is not known.
     */
    public function per1000KmMinor(): ?float
    {
        return $this->cameUsed || $this->totalMinor() === null || $this->km->km <= 0.0
            ? null
            : (self::KM * $this->totalMinor()) / $this->km->km;
    }
}
