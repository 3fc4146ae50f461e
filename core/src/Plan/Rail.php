<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use DateTimeZone;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Drivetrain;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\PotDay\PotRefusal;
use Dripel\Core\Wear\WearForecastResult;
use Dripel\Core\Wear\WorkshopWear;

/** One bike as the Shed shows it: the chain on it, the chains on its rail, and how long the wax will do. */
final readonly class Rail
{
    /**
     * @param list<ChainState> $hanging in the order of the workshop's chains
     * @param list<ChainState> $lent its own that are on another bike
     */
    private function __construct(
        public int $bikeId,
        public ?ChainState $fitted,
        public array $hanging,
        public array $lent,
        public RidingHabit $habit,
        /** Null: nobody looked ahead, or its wax outlasts all that was looked at. */
        public ?GoodUntil $goodUntil,
        private Settings $settings,
        private ?WorkshopWear $wear,
    ) {}

    /**
     * @param WorkshopWear|null $wear what says which chain is the least worn; null: the one that was ridden least is taken for it
     *
     * @return list<self> in the order of the workshop's bikes; retired chains hang nowhere
     */
    public static function all(Book $book, int $nowS, DateTimeZone $zone, ?WorkshopWear $wear = null): array
    {
        $homes = self::homes($book, $nowS);

        return array_map(fn(int $bikeId) => self::of($book, $bikeId, $homes[$bikeId] ?? [], $nowS, $zone, $wear), $book->bikeIds);
    }

    /**
     * That of one bike with how long its wax will do, as in the plan: nothing else of the plan is worked out for it.
     *
     * @param list<PlannedRide> $planned
     */
    public static function ahead(Book $book, int $bikeId, array $planned, int $nowS, DateTimeZone $zone, ?WorkshopWear $wear = null): self
    {
        $rail = self::of($book, $bikeId, self::homes($book, $nowS)[$bikeId] ?? [], $nowS, $zone, $wear);
        $days = GoodUntil::days(PlanTerms::daysOf($book->settings));

        return $rail->along(RidingPlan::of($book, $rail, $planned, $days, $nowS, $zone), LocalDay::of($nowS, $zone));
    }

    /** @param list<int> $own the chains that are at home with it */
    private static function of(Book $book, int $bikeId, array $own, int $nowS, DateTimeZone $zone, ?WorkshopWear $wear): self
    {
        $chainId = $book->fittings()->componentOn($bikeId, $nowS);
        [$hanging, $lent] = [[], []];
        foreach ($own as $id) {
            $on = $book->fittings()->bikeOf($id, $nowS);
            match ($on) {
                null => ($hanging[] = $book->chain($id, $nowS)),
                $bikeId => null,
                default => ($lent[] = $book->chain($id, $nowS)),
            };
        }
        $inUse = fn(ChainState $chain): bool => !$chain->retired();

        return new self(
            $bikeId,
            $chainId === null ? null : $book->chain($chainId, $nowS),
            array_values(array_filter($hanging, $inUse)),
            array_values(array_filter($lent, $inUse)),
            RidingHabit::ofBike($book, $bikeId, $nowS, $zone),
            null,
            $book->settings,
            $wear,
        );
    }

    /** @return array<int, list<int>> chains by the bike that they hang with */
    private static function homes(Book $book, int $nowS): array
    {
        $homes = [];
        foreach ($book->chainIds as $chainId) {
            $bikeId = $book->settings->home($chainId, $nowS);
            $bikeId === null || ($homes[$bikeId][] = $chainId);
        }

        return $homes;
    }

    /** The same rail with its wax worked out along what it will be ridden. */
    public function along(RidingPlan $plan, LocalDay $today): self
    {
        return new self(
            $this->bikeId,
            $this->fitted,
            $this->hanging,
            $this->lent,
            $this->habit,
            $this->fitted === null ? null : GoodUntil::of($this->fitted, $plan, $today),
            $this->settings,
            $this->wear,
        );
    }

    /**
     * The chain to swap to: of those that can be ridden and serve its everyday rides the one with the most wax, then the one whose turn
     * it is.
     *
     * @param int|null $byS when it has to be set and dry; null: now
     */
    public function bestHanging(?int $byS = null): ?ChainState
    {
        $ready = array_filter(
            $this->inTurn(),
            fn(ChainState $chain) => $chain->rideable() &&
                ($chain->readyAtS === null || ($byS !== null && $chain->readyAtS <= $byS)) &&
                $this->serves($chain),
        );
        usort($ready, fn(ChainState $a, ChainState $b) => $b->leftKm() <=> $a->leftKm());

        return $ready[0] ?? null;
    }

    /**
     * The hanging chains in the order in which they are taken where their wax makes no difference, so that all wear evenly: the least worn
     * first, of those of which nobody knows it the one that was ridden least. Bare steel comes last: it may be in the jars still.
     *
     * @return list<ChainState>
     */
    public function inTurn(): array
    {
        $worn = array_map(fn(WearForecastResult $result) => $result->nowMean, $this->wear?->results($this->hanging) ?? []);
        $chains = $this->hanging;
        usort(
            $chains,
            fn(ChainState $a, ChainState $b) => ($a->dryness->bare !== null) <=> ($b->dryness->bare !== null) ?:
            ($worn[$a->chainId] ?? INF) <=> ($worn[$b->chainId] ?? INF) ?:
            $a->km->km <=> $b->km->km,
        );

        return $chains;
    }

    /** Kept for an event that is still to come. */
    public function kept(ChainState $chain): bool
    {
        return $chain->keptFor !== null && $chain->keptFor->waits($chain->nowS, $this->settings);
    }

    /** Whether it goes on the bike without a word said against it: its sprockets are for it, or it is on already. */
    public function suits(ChainState $chain): bool
    {
        return $chain === $this->fitted || Drivetrain::takes($this->settings, $this->bikeId, $chain->chainId);
    }

    /** Whether it is one for everyday rides: it suits the bike and is not kept for an event. */
    public function serves(ChainState $chain): bool
    {
        return $this->suits($chain) && !$this->kept($chain);
    }

    /** Whether it has to be stripped before any wax holds on it. */
    public function greasy(ChainState $chain): bool
    {
        return PotRefusal::greasy($chain, $this->settings) !== null;
    }

    /** @return list<ChainState> what it can count on: its own, wherever they are, and not what another bike lent it */
    public function own(): array
    {
        $home = $this->fitted === null ? null : $this->settings->home($this->fitted->chainId, $this->fitted->nowS) ?? $this->bikeId;

        return [...$this->fitted !== null && $home === $this->bikeId ? [$this->fitted] : [], ...$this->hanging, ...$this->lent];
    }

    /** @return list<ChainState> all that are in use, the one on the bike first */
    public function chains(): array
    {
        return [...$this->fitted === null ? [] : [$this->fitted], ...$this->hanging];
    }

    /** @return list<ChainState> those within their limit that would be left without one of them */
    public function leftWithout(int $chainId): array
    {
        return array_values(
            array_filter(
                $this->own(),
                fn(ChainState $chain) => $chain->chainId !== $chainId && !$chain->wear->pastLimit && $this->suits($chain),
            ),
        );
    }

    /** @return list<ChainState> the hanging chains whose next place is the pot */
    public function forThePot(): array
    {
        return array_values(array_filter($this->hanging, fn(ChainState $chain) => $chain->wantsPot() && $this->suits($chain)));
    }
}
