<?php

declare(strict_types=1);

namespace App\Pot;

use App\Logbook\CoreRows;
use App\Logbook\ReadBook;
use App\Models\Pot;
use App\Models\Workshop;
use Dripel\Core\Bath\BathDip;
use Dripel\Core\Bath\BathEvent;
use Dripel\Core\Bath\BathEventKind;
use Dripel\Core\Bath\BathLedger;
use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Bath\ChainPickup;
use Dripel\Core\Bath\PotEntry;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Pot\PotFacts;
use WeakMap;

/** Loads what was done with the wax in the pots of a workshop, and which chains were dipped in it, into the core's ledger. */
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
        $usual = ChainPickup::ofDips($book->dips());
        $states = [];
        foreach ($this->readBook->components($workshop, Pot::KIND) as $potId) {
            $book->settings->whole(SettingKey::PotGone, $potId) === 1 ||
                ($states[$potId] = self::state(
                    $book,
                    $potId,
                    array_filter($entries, fn(PotEntry $entry) => $entry->potId === $potId),
                    array_filter($book->dips(), fn(Dip $dip) => $dip->potId === $potId),
                    $usual,
                ));
        }

        return $states;
    }

    /**
     * @param array<int, PotEntry> $entries of this pot
     * @param array<int, Dip> $dips of this pot
     * @param array<int, ChainPickup> $usual by chain
     */
    private static function state(Book $book, int $potId, array $entries, array $dips, array $usual): BathState
    {
        $facts = PotFacts::of($book->settings, $potId);
        [$limitC, $heightMm] = [$facts->limitC, $facts->heightMm];
        $fill = null;
        foreach ($entries as $entry) {
            $entry->kind === BathEventKind::Fill && ($fill === null || self::place($entry) >= self::place($fill)) && ($fill = $entry);
        }
        if ($fill === null) {
            return new BathState($potId, null, $limitC, $heightMm, null);
        }
        $since = fn(PotEntry|Dip $one): bool => self::place($one) >= self::place($fill);
        $filledS = $fill->moment->unixS;
        try {
            $in = new BathLedgerInput(
                $facts->vessel(),
                self::events($book, array_filter($entries, $since), array_filter($dips, $since), $usual),
                $limitC,
                $facts->lay->coversMm(),
            );
            $ledger = (new BathLedger())($in);
        } catch (InvalidInput $e) {
            return new BathState($potId, null, $limitC, $heightMm, $filledS, $e->path);
        }

        return new BathState($potId, $ledger, $limitC, $heightMm, $filledS, null, (new BathLedger())->history($in));
    }

    /**
     * @param array<int, PotEntry> $entries
     * @param array<int, Dip> $dips
     * @param array<int, ChainPickup> $usual by chain
     *
     * @return list<BathEvent> in order; the chains of one action are one dip
     */
    private static function events(Book $book, array $entries, array $dips, array $usual): array
    {
        $events = array_map(fn(PotEntry $entry) => [self::place($entry), $entry->event()], array_values($entries));
        $together = [];
        foreach ($dips as $dip) {
            $together[implode(' ', self::place($dip))][] = $dip;
        }
        foreach ($together as $all) {
            $chains = array_map(fn(Dip $dip) => self::dip($book, $dip, $usual), $all);
            $events[] = [self::place($all[0]), BathEvent::dip($all[0]->moment->unixS, $chains)];
        }
        usort($events, fn(array $a, array $b) => $a[0] <=> $b[0]);

        return array_column($events, 1);
    }

    /** @return array{int, int} where it stands in the book of its pot: whatever was entered together, and changed since, stands together */
    private static function place(PotEntry|Dip $one): array
    {
        return [$one->moment->unixS, $one->moment->sequence];
    }

    /**
     * What a chain brought into the bath follows from the logbook: what it was ridden since the dip before.
     *
     * @param array<int, ChainPickup> $usual by chain
     */
    private static function dip(Book $book, Dip $dip, array $usual): BathDip
    {
        $massG = $book->settings->at(SettingKey::ChainMassG, $dip->chainId, PHP_INT_MAX);

        return new BathDip(
            is_numeric($massG) ? (float) $massG : BathDip::CHAIN_G,
            $dip->pickupG,
            $book->chain($dip->chainId, $dip->moment->unixS - 1)->wax->life->effectiveKm ?? 0.0,
            $dip->rinsed,
            $usual[$dip->chainId]->meanG ?? null,
        );
    }
}
