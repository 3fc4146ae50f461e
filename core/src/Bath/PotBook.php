<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

use Closure;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Pot\PotFacts;

/** What a logbook says of the wax in each pot: since its last fill, with the chains that were dipped in it. g, km. */
final readonly class PotBook
{
    /** @var array<int, ChainPickup> what each chain takes along as a rule, where it was weighed often enough */
    private array $usual;

    /** @param list<PotEntry> $entries of all pots, in order of time */
    public function __construct(private Book $book, private array $entries)
    {
        $this->usual = ChainPickup::ofDips($book->dips());
    }

    public function state(int $potId): BathState
    {
        $facts = PotFacts::of($this->book->settings, $potId);
        [$limitC, $heightMm] = [$facts->limitC, $facts->heightMm];
        $entries = array_filter($this->entries, fn(PotEntry $entry) => $entry->potId === $potId);
        $fill = null;
        foreach ($entries as $entry) {
            $entry->kind === BathEventKind::Fill && ($fill === null || self::place($entry) >= self::place($fill)) && ($fill = $entry);
        }
        if ($fill === null) {
            return new BathState($potId, null, $limitC, $heightMm, null);
        }
        $filledS = $fill->moment->unixS;
        $since = fn(PotEntry|Dip $one): bool => self::place($one) >= self::place($fill);
        $dips = array_filter($this->book->dips(), fn(Dip $dip) => $dip->potId === $potId && $since($dip));
        // What a chain brings into the bath follows from the logbook: what it was ridden since the dip before.
        $km = fn(Dip $dip): float => $this->book->chain($dip->chainId, $dip->moment->unixS - 1)->wax->life->effectiveKm ?? 0.0;
        try {
            $in = new BathLedgerInput(
                $facts->vessel(),
                self::events(array_filter($entries, $since), $dips, $this->usual, $this->book->settings, $km),
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
     * @param array<int, PotEntry> $entries of one pot
     * @param array<int, Dip> $dips in it
     * @param array<int, ChainPickup> $usual by chain
     * @param Closure(Dip): float $km effective, that the chain of a dip was ridden since the one before
     *
     * @return list<BathEvent> in order; the chains of one action are one dip
     *
     * @throws InvalidInput at what cannot be
     */
    public static function events(array $entries, array $dips, array $usual, Settings $settings, Closure $km): array
    {
        $events = array_map(fn(PotEntry $entry) => [self::place($entry), $entry->event()], array_values($entries));
        $together = [];
        foreach ($dips as $dip) {
            $together[implode(' ', self::place($dip))][] = $dip;
        }
        foreach ($together as $all) {
            $chains = array_map(
                fn(Dip $dip) => new BathDip(
                    $settings->number(SettingKey::ChainMassG, $dip->chainId) ?? BathDip::CHAIN_G,
                    $dip->pickupG,
                    $km($dip),
                    $dip->rinsed,
                    $usual[$dip->chainId]->meanG ?? null,
                ),
                $all,
            );
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
}
