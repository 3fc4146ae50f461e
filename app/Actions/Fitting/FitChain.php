<?php

declare(strict_types=1);

namespace App\Actions\Fitting;

use App\Actions\Chain\CheckReading;
use App\Exceptions\NotPossible;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\Fitting;
use App\Models\Opening;
use App\Models\Part;
use App\Models\Reading;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\FitNote;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Opening as CoreOpening;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\WaxThen;
use Dripel\Core\Wear\WearReadingResult;

/** A chain goes onto a bike in place of the one that was there; without a chain the bike is left bare. */
final readonly class FitChain
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook, private CheckReading $check) {}

    /**
     * Refused with NotPossible at `chain_id` if it is on the bike already, at `note` if its speeds are not the bike's and
     * nobody says why it goes on all the same, at `new_link` if its quick link is spent and no new one is opened, at
     * `link_id` if the spare is of another speed count or in use, at `opening_holds` if rides would lie between it and what the chain
     * came with and nobody says whether those figures hold them, at `reading.…` as CheckReading says.
     */
    public function __invoke(ActionContext $by, Bike $bike, ?Chain $chain, Moment $at, FitTerms $terms = new FitTerms()): Action
    {
        return $this->ledger->record($by, ActionKind::FitChain, function (Draft $draft) use ($by, $bike, $chain, $at, $terms): About {
            $book = $this->readBook->withoutRides($by->workshop);
            $off = $book->fittings()->componentOn($bike->id, $at->unixS);
            if ($off === $chain?->id) {
                throw new NotPossible('chain_id', $chain === null ? 'no_chain_on' : 'already_on');
            }
            $measured =
                $terms->measured === null || $off === null
                    ? null
                    : $this->measured($by, Chain::query()->findOrFail($off), $terms->measured, $at);
            $chain === null || $this->expectFitting($book, $bike, $chain, $at, $terms);
            $chain !== null && $terms->newLink && $this->openLink($draft, $book, $chain, $at, $terms);
            $draft->enter(Fitting::class, $at, ['bike_id' => $bike->id, 'component_id' => $chain?->id]);
            $chain === null || $this->settleOpening($draft, $by, $bike, $chain, $at, $terms);
            $measured === null ||
                $draft->enter(Reading::class, $at, [
                    'component_id' => $off,
                    'input' => $terms->measured->input,
                    'instrument_id' => $terms->measured->instrumentId,
                ]);

            $about = new About(
                bike: $bike->id,
                chain: $chain?->id,
                off: $off,
                at: $at->unixS,
                note: $terms->note,
                newLink: $terms->newLink,
            );

            return $measured === null ? $about : $about->measuring($measured);
        });
    }

    private function measured(ActionContext $by, Chain $off, MeasuredOff $measured, Moment $at): WearReadingResult
    {
        try {
            return ($this->check)($by->workshop, $off, $measured->input, $at, $measured->ask);
        } catch (NotPossible $e) {
            throw $e->field === 'date' ? $e : new NotPossible("reading.{$e->field}", $e->reason, $e->parameters);
        } catch (InvalidInput $e) {
            throw $e->within('reading');
        }
    }

    private function expectFitting(Book $book, Bike $bike, Chain $chain, Moment $at, FitTerms $terms): void
    {
        $notes = FitNote::all($book, $book->chain($chain->id, $at->unixS), $bike->id);
        if (in_array(FitNote::WrongSpeed, $notes, true) && $terms->note === null) {
            throw new NotPossible('note', 'wrong_speed', [
                'chain' => $book->settings->whole(SettingKey::ChainSpeeds, $chain->id),
                'bike' => $book->settings->whole(SettingKey::BikeSpeeds, $bike->id),
            ]);
        }
        if (in_array(FitNote::LinkSpent, $notes, true) && !$terms->newLink) {
            throw new NotPossible('new_link', 'link_spent');
        }
    }

    /** Rides before the day of what a chain came with count only if its figures are those of the day it was fitted. */
    private function settleOpening(Draft $draft, ActionContext $by, Bike $bike, Chain $chain, Moment $at, FitTerms $terms): void
    {
        $book = ($this->readBook)($by->workshop);
        $opening = $book->history($chain->id)->last(CoreOpening::class);
        if ($opening === null || $opening->moment->unixS <= $at->unixS) {
            return;
        }
        $untilS = min($opening->moment->unixS, $book->fittings()->nextS($bike->id, $at->unixS) ?? PHP_INT_MAX);
        $between = $book->ridesOf($bike->id)->between($at->unixS, $untilS);
        if (count($between) === 0) {
            return;
        }
        $terms->openingHolds !== null || throw new NotPossible('opening_holds', 'opening_holds', ['rides' => count($between)]);
        $terms->openingHolds ||
            $draft->replace(Opening::query()->findOrFail($opening->id), ['at' => $at->unixS, 'precision' => $at->precision]);
    }

    /** Closed for the first time by this very fitting. */
    private function openLink(Draft $draft, Book $book, Chain $chain, Moment $at, FitTerms $terms): void
    {
        $link = $terms->spare ?? $draft->create(Part::class, ['kind' => PartKind::QuickLink->value]);
        if ($terms->spare === null) {
            $draft->set(SettingKey::LinkClosings, $terms->closingsAllowed, 0, chainId: $link->id);
        } else {
            $spare =
                array_column($book->inventory()->spareLinks(), null, 'id')[$link->id] ?? throw new NotPossible('link_id', 'link_taken');
            $speeds = $book->settings->whole(SettingKey::ChainSpeeds, $chain->id);
            $spare->closes($speeds) ||
                throw new NotPossible('link_id', 'link_wrong_speed', ['link' => (int) $spare->speeds, 'chain' => $speeds]);
        }
        $draft->set(SettingKey::LinkChain, $chain->id, 0, chainId: $link->id);
        $draft->enter(Opening::class, $at, ['component_id' => $link->id, 'km' => 0.0, 'wax' => WaxThen::None, 'closings' => 1]);
    }
}
