<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Distance;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Plan\LocalDay;

/** The life of a chain in figures, and what it cost: itself, its quick links, the wax of its dips and what was dripped on it. Minor units of money, km. */
final readonly class ChainLife
{
    private const KM = 1000.0;

    private function __construct(
        public Distance $km,
        public int $rides,
        public int $dips,
        public int $topUps,
        public ?int $firstS,
        public ?float $chainMinor,
        public ?float $linksMinor,
        public ?float $waxMinor,
        public ?float $dripMinor,
    ) {}

    /** @param float $dipG what a dip takes out of the bath */
    public static function of(Book $book, ChainState $chain, PriceList $prices, float $dipG): self
    {
        $history = $book->history($chain->chainId)->until($chain->nowS);
        $settings = $book->settings;
        $firstS = self::firstS($book, $chain->chainId, $chain->nowS);
        $links = array_map(fn(Part $link): ?float => $settings->number(SettingKey::LinkPrice, $link->id) ?? $prices->costMinor(Supply::QuickLink, 1, $book->history($link->id)->last(Opening::class)->moment->unixS ?? $chain->nowS), $book->linksOf($chain->chainId));
        $dips = array_values(array_filter($history->events, fn(Entry $entry) => $entry instanceof Dip));
        $wax = array_map(fn(Dip $dip): ?float => $prices->costMinor(Supply::Wax, $dipG, $dip->moment->unixS), $dips);

        $topUps = array_values(array_filter($history->events, fn(Entry $entry) => $entry instanceof TopUp));
        $drips = array_map(fn(TopUp $topUp): ?float => $prices->costMinor(Supply::DripWax, $topUp->ml ?? DripDoseInput::USUAL_ML, $topUp->moment->unixS), $topUps);

        return new self(
            $chain->km,
            count($history->rides),
            count($dips),
            count($topUps),
            $firstS,
            $settings->number(SettingKey::ChainPrice, $chain->chainId) ?? $prices->costMinor(Supply::Chain, 1, $firstS ?? $chain->nowS),
            self::sum($links),
            self::sum($wax),
            self::sum($drips),
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
        $seen = array_map(fn(Entry $entry) => $entry->moment->unixS, [...$history->events, ...$history->rides]);

        return $seen === [] ? null : min($seen);
    }

    /** Null unless every price is known. */
    public function totalMinor(): ?float
    {
        return $this->chainMinor === null || $this->linksMinor === null || $this->waxMinor === null || $this->dripMinor === null ? null : $this->chainMinor + $this->linksMinor + $this->waxMinor + $this->dripMinor;
    }

    /** For 1000 km; the most it can be where some of its km are unknown. Null without a price, and before it was ridden. */
    public function per1000KmMinor(): ?float
    {
        return $this->totalMinor() === null || $this->km->km <= 0.0 ? null : self::KM * $this->totalMinor() / $this->km->km;
    }

    /** @param list<float|null> $parts */
    private static function sum(array $parts): ?float
    {
        return in_array(null, $parts, true) ? null : array_sum($parts);
    }
}
