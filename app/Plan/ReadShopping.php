<?php

declare(strict_types=1);

namespace App\Plan;

use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Pot\ReadBaths;
use App\Strip\Protocols;
use App\Strip\ReadJars;
use App\Support\AppClock;
use App\Wear\ReadWear;
use Dripel\Core\Drip\BottleState;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\Shopping;
use Dripel\Core\Plan\ShoppingItem;
use Dripel\Core\Plan\WorkshopPlan;

/** What a workshop must buy for the weeks of its plan. */
final readonly class ReadShopping
{
    public function __construct(
        private ReadBook $readBook,
        private ReadWear $readWear,
        private ReadBaths $readBaths,
        private Protocols $protocols,
        private ReadJars $readJars,
        private AppClock $clock,
    ) {}

    /** @return list<ShoppingItem> the soonest first */
    public function __invoke(Workshop $workshop, WorkshopPlan $plan): array
    {
        $book = ($this->readBook)($workshop);
        $nowS = $this->clock->unixS();
        $rails = $plan->rails;
        $wear = ($this->readWear)($workshop);
        $forecasts = $rails === [] ? [] : array_replace(...array_map(fn(Rail $rail) => $wear->results($rail->chains()), $rails));

        return Shopping::of(
            $book,
            $plan,
            $rails,
            $forecasts,
            ($this->readBaths)($workshop),
            BottleState::all($book, $nowS),
            $this->protocols->find($workshop, Protocols::DEFAULT),
            ($this->readJars)($workshop),
            LocalDay::of($nowS, $book->settings->zone()),
        );
    }
}
