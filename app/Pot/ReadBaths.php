<?php

declare(strict_types=1);

namespace App\Pot;

use App\Logbook\ReadBook;
use App\Models\BathEntry;
use App\Models\Dip;
use App\Models\Pot;
use App\Models\Workshop;
use Dripel\Core\Bath\BathDip;
use Dripel\Core\Bath\BathEvent;
use Dripel\Core\Bath\BathEventKind;
use Dripel\Core\Bath\BathLedger;
use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Bath\ChainPickup;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Book;
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
        [$states, $usual] = [[], ChainPickup::ofDips($book->dips())];
        foreach (Pot::query()->in($workshop)->live()->orderBy('id')->get() as $pot) {
            $book->settings->whole(SettingKey::PotGone, $pot->id) === 1 ||
                ($states[$pot->id] = $this->state($workshop, $book, $pot, $usual));
        }

        return $states;
    }

    /** @param array<int, ChainPickup> $usual by chain */
    private function state(Workshop $workshop, Book $book, Pot $pot, array $usual): BathState
    {
        $facts = PotFacts::of($book->settings, $pot->id);
        [$limitC, $heightMm] = [$facts->limitC, $facts->heightMm];
        $fill = BathEntry::query()
            ->in($workshop)
            ->live()
            ->where('component_id', $pot->id)
            ->where('kind', BathEventKind::Fill)
            ->orderByDesc('at')
            ->orderByDesc('sequence')
            ->first();
        if ($fill === null) {
            return new BathState($pot->id, null, $limitC, $heightMm, null);
        }
        try {
            $in = new BathLedgerInput(
                $facts->vessel(),
                $this->events($workshop, $book, $pot, $fill, $usual),
                $limitC,
                $facts->lay->coversMm(),
            );
            $ledger = (new BathLedger())($in);
        } catch (InvalidInput $e) {
            return new BathState($pot->id, null, $limitC, $heightMm, $fill->at, $e->path);
        }

        return new BathState($pot->id, $ledger, $limitC, $heightMm, $fill->at, null, (new BathLedger())->history($in));
    }

    /**
     * @param array<int, ChainPickup> $usual by chain
     *
     * @return list<BathEvent> from the last fill on; the chains of one action are one dip
     */
    private function events(Workshop $workshop, Book $book, Pot $pot, BathEntry $fill, array $usual): array
    {
        $events = [];
        $rows = BathEntry::query()
            ->in($workshop)
            ->live()
            ->where('component_id', $pot->id)
            ->where('at', '>=', $fill->at)
            ->orderBy('id')
            ->get();
        foreach ($rows as $row) {
            if ($row->at > $fill->at || $row->sequence >= $fill->sequence) {
                $events[] = [
                    $row->at,
                    $row->sequence,
                    BathEvent::recorded($row->kind, $row->at, $row->wax_g, $row->oil_g, $row->removed_fraction, $row->temp_c),
                ];
            }
        }
        $dips = Dip::query()
            ->in($workshop)
            ->live()
            ->where('pot_id', $pot->id)
            ->where('at', '>=', $fill->at)
            ->orderBy('id')
            ->get()
            ->groupBy(fn(Dip $dip) => "{$dip->at} {$dip->action_id}");
        foreach ($dips as $together) {
            $first = $together->firstOrFail();
            $events[] = [
                $first->at,
                $first->sequence,
                BathEvent::dip($first->at, array_values($together->map(fn(Dip $dip) => $this->dip($book, $dip, $usual))->all())),
            ];
        }
        usort($events, fn(array $a, array $b) => [$a[0], $a[1]] <=> [$b[0], $b[1]]);

        return array_column($events, 2);
    }

    /**
     * What a chain brought into the bath follows from the logbook: what it was ridden since the dip before.
     *
     * @param array<int, ChainPickup> $usual by chain
     */
    private function dip(Book $book, Dip $dip, array $usual): BathDip
    {
        $massG = $book->settings->at(SettingKey::ChainMassG, $dip->component_id, PHP_INT_MAX);

        return new BathDip(
            is_numeric($massG) ? (float) $massG : BathDip::CHAIN_G,
            $dip->pickup_g,
            $book->chain($dip->component_id, $dip->at - 1)->wax->life->effectiveKm ?? 0.0,
            $dip->rinsed,
            $usual[$dip->component_id]->meanG ?? null,
        );
    }
}
