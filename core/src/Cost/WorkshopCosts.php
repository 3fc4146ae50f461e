<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

use DateTimeZone;
use Dripel\Core\Bath\DipPickup;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainHistory;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\Rides;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Riders\Riders;
use Dripel\Core\Riders\Whose;
use Dripel\Core\Strip\SolventBought;

/**
 * What a workshop used up and put on, each at the price of its day: chains, quick links, cassettes, rings and jockey wheels, wax, drip
 * wax, solvents. What came used was paid before and is left out; what has no price is named, not guessed. Minor units of money, km.
 */
final readonly class WorkshopCosts
{
    /** @var array<int, int> by year the instant that it begins at: the calendar is asked once a year, not once a ride */
    private array $yearStarts;

    /** @var array<int, array<string, list<Expense>>> by chain and supply */
    private array $byChain;

    /**
     * @param list<Expense> $expenses in order of time
     * @param array<int, Rides> $rides by bike; 0: of none yet
     */
    private function __construct(public array $expenses, private array $rides, private DateTimeZone $zone)
    {
        $at = array_map(fn(Expense $one) => $one->atS, $expenses);
        foreach ($rides as $ofBike) {
            foreach (array_filter([$ofBike->first(), $ofBike->last()]) as $ride) {
                $at[] = $ride->moment->unixS;
            }
        }
        $year = fn(int $atS): int => (int) substr(LocalDay::of($atS, $zone)->date, 0, 4);
        $starts = [];
        foreach ($at === [] ? [] : range($year(min($at)), $year(max($at)) + 1) as $one) {
            $starts[$one] = LocalDay::named("{$one}-01-01", $zone)->startS();
        }
        $this->yearStarts = $starts;
        $byChain = [];
        foreach ($expenses as $one) {
            $one->chainId === null || ($byChain[$one->chainId][$one->supply->value][] = $one);
        }
        $this->byChain = $byChain;
    }

    /** @param list<SolventBought> $solvents */
    public static function of(Book $book, PriceList $prices, DipPickup $pickup, array $solvents, int $nowS): self
    {
        $settings = $book->settings;
        $expenses = [];
        foreach ($book->chainIds as $chainId) {
            $history = $book->history($chainId)->until($nowS);
            $atS = ChainLife::firstS($book, $chainId, $nowS);
            if ($atS !== null && !self::cameUsed($history)) {
                $expenses[] = Expense::of(
                    $atS,
                    Supply::Chain,
                    $settings->number(SettingKey::ChainPrice, $chainId) ?? $prices->costMinor(Supply::Chain, 1, $atS),
                    $book->bikeOfChain($chainId, $nowS),
                    $chainId,
                );
            }
            foreach ($history->events as $event) {
                $at = $event->moment->unixS;
                if ($event instanceof Dip) {
                    $expenses[] = Expense::of(
                        $at,
                        Supply::Wax,
                        $prices->costMinor(Supply::Wax, $pickup->ofDip($event), $at),
                        $book->bikeOfChain($chainId, $at),
                        $chainId,
                    );
                } elseif ($event instanceof TopUp) {
                    $expenses[] = Expense::of(
                        $at,
                        Supply::DripWax,
                        $prices->costMinor(Supply::DripWax, $event->ml ?? DripDoseInput::USUAL_ML, $at),
                        $book->bikeOfChain($chainId, $at),
                        $chainId,
                    );
                }
            }
        }
        foreach ($book->parts as $part) {
            $opening = $book->history($part->id)->last(Opening::class);
            if ($opening !== null && $opening->moment->unixS <= $nowS && $opening->km === 0.0) {
                $supply = Supply::from($part->kind->value);
                $expenses[] = Expense::of(
                    $opening->moment->unixS,
                    $supply,
                    $settings->number($part->kind === PartKind::QuickLink ? SettingKey::LinkPrice : SettingKey::PartPrice, $part->id) ??
                        $prices->costMinor($supply, 1, $opening->moment->unixS),
                    $part->chainId === null
                        ? $book->inventory()->part($part->id, $nowS)->bikeId
                        : $book->bikeOfChain($part->chainId, $nowS),
                    $part->chainId,
                );
            }
        }
        foreach ($solvents as $bought) {
            $supply = Supply::ofSolvent($bought->solvent);
            $supply === null ||
                $bought->atS > $nowS ||
                ($expenses[] = Expense::of($bought->atS, $supply, $prices->costMinor($supply, $bought->ml, $bought->atS)));
        }
        usort($expenses, fn(Expense $a, Expense $b) => $a->atS <=> $b->atS);

        return new self($expenses, array_map(fn(Rides $ofBike) => $ofBike->through($nowS), $book->ridesByBike()), $settings->zone());
    }

    /** All of it. */
    public function sum(): CostSum
    {
        return self::sumOf($this->expenses, (float) array_sum(array_map(fn(Rides $ofBike) => $ofBike->km(), $this->rides)));
    }

    /** @return array<int, CostSum> by year, the last first: those in which something was used up or ridden */
    public function byYear(): array
    {
        $km = [];
        foreach ($this->yearStarts as $year => $startS) {
            foreach ($this->rides as $ofBike) {
                $in = $ofBike->between($startS, $this->yearStarts[$year + 1] ?? null);
                count($in) > 0 && ($km[$year] = ($km[$year] ?? 0.0) + $in->km());
            }
        }
        $years = self::grouped($this->expenses, fn(Expense $one): int => $this->yearOf($one->atS), $km);
        krsort($years);

        return $years;
    }

    /**
     * @param list<int> $bikeIds
     *
     * @return array<int, CostSum> by bike; 0: what is for none of these
     */
    public function byBike(array $bikeIds): array
    {
        $known = array_fill_keys($bikeIds, true);
        $km = [];
        foreach ($this->rides as $bikeId => $ofBike) {
            $of = isset($known[$bikeId]) ? $bikeId : 0;
            count($ofBike) > 0 && ($km[$of] = ($km[$of] ?? 0.0) + $ofBike->km());
        }

        return self::grouped($this->expenses, fn(Expense $one): int => isset($known[(int) $one->bikeId]) ? (int) $one->bikeId : 0, $km);
    }

    /** @return list<array{string|null, CostSum}> by rider, in the order of their bikes; last, under no name, what is everybody's */
    public function byRider(Riders $riders): array
    {
        return array_map(
            fn(?string $rider) => [
                $rider,
                self::sumOf(
                    array_filter($this->expenses, fn(Expense $one) => $riders->ofBike($one->bikeId) === $rider),
                    (float) array_sum(
                        array_map(
                            fn(Rides $ofBike, int $bikeId) => $riders->ofBike($bikeId) === $rider ? $ofBike->km() : 0.0,
                            $this->rides,
                            array_keys($this->rides),
                        ),
                    ),
                ),
            ],
            [...$riders->names(), null],
        );
    }

    /** The same of some bikes alone. What was bought for all of them together is in no one's. */
    public function only(Whose $whose): self
    {
        $own = fn(?int $bikeId): bool => (int) $bikeId !== 0 && $whose->bike($bikeId);

        return $whose->rider === null
            ? $this
            : new self(
                array_values(array_filter($this->expenses, fn(Expense $one) => $own($one->bikeId))),
                array_filter($this->rides, $own, ARRAY_FILTER_USE_KEY),
                $this->zone,
            );
    }

    /** What was put on one chain. */
    public function forChain(int $chainId): CostSum
    {
        return self::sumOf(array_merge(...array_values($this->byChain[$chainId] ?? [])), 0.0);
    }

    /** What was put on none. */
    public function besideChains(): CostSum
    {
        return self::sumOf(array_filter($this->expenses, fn(Expense $one) => $one->chainId === null), 0.0);
    }

    /**
     * @param list<Expense> $expenses
     * @param callable(Expense): int $key
     * @param array<int, float> $km by group
     *
     * @return array<int, CostSum>
     */
    private static function grouped(array $expenses, callable $key, array $km): array
    {
        $paid = [];
        foreach ($expenses as $one) {
            $paid[$key($one)][] = $one;
        }
        $sums = [];
        foreach (array_keys($paid + $km) as $group) {
            $sums[$group] = self::sumOf($paid[$group] ?? [], $km[$group] ?? 0.0);
        }

        return $sums;
    }

    /** @param array<Expense> $expenses */
    private static function sumOf(array $expenses, float $km): CostSum
    {
        $minor = [];
        foreach ($expenses as $one) {
            $minor[$one->supply->value] = ($minor[$one->supply->value] ?? 0) + ($one->minor ?? 0);
        }

        return new CostSum($minor, $km);
    }

    /**
     * What one chain cost by supply; null where no price is known for something of it.
     *
     * @param list<Supply> $supplies
     */
    public function ofChain(int $chainId, array $supplies): ?int
    {
        $found = array_merge(...array_map(fn(Supply $supply) => $this->byChain[$chainId][$supply->value] ?? [], $supplies));

        return array_filter($found, fn(Expense $one) => $one->minor === null) !== []
            ? null
            : array_sum(array_map(fn(Expense $one) => (int) $one->minor, $found));
    }

    /** @return array<string, int> minor units by month, YYYY-MM, from the first that something was paid in to the last; none left out */
    public function months(): array
    {
        $paid = [];
        foreach ($this->expenses as $one) {
            $month = substr(LocalDay::of($one->atS, $this->zone)->date, 0, 7);
            $paid[$month] = ($paid[$month] ?? 0) + (int) $one->minor;
        }
        $months = [];
        if ($paid !== []) {
            [$year, $month] = array_map(intval(...), explode('-', (string) array_key_first($paid)));
            for ($name = (string) array_key_first($paid); $name <= (string) array_key_last($paid); ) {
                $months[$name] = $paid[$name] ?? 0;
                [$year, $month] = $month === 12 ? [$year + 1, 1] : [$year, $month + 1];
                $name = sprintf('%04d-%02d', $year, $month);
            }
        }

        return $months;
    }

    /** Of what was ridden or paid for: the last of the years begins after all of it. */
    private function yearOf(int $atS): int
    {
        $year = (int) array_key_last($this->yearStarts);
        while ($this->yearStarts[$year] > $atS) {
            $year--;
        }

        return $year;
    }

    /**
     * @param list<Supply> $also without a price
     *
     * @return list<Supply> of which something was used at no known price, and those
     */
    public function unpriced(array $also = []): array
    {
        $found = array_column($also, null, 'value');
        foreach ($this->expenses as $one) {
            $one->minor === null && ($found[$one->supply->value] = $one->supply);
        }

        return array_values($found);
    }

    /**
     * How it added up, beside the same km on plain drip; waxing is its own money, plain drip one chain for each bike that was ridden.
     *
     * @return list<CostPoint> at equal steps of time from the first ride
     */
    public function against(PlainDrip $plain, int $steps): array
    {
        $rides = array_filter($this->rides, fn(Rides $ofBike) => count($ofBike) > 0);
        if ($rides === []) {
            return [];
        }
        $fromS = min(array_map(fn(Rides $ofBike) => $ofBike[0]->moment->unixS, $rides));
        $untilS = max(
            $fromS + 1,
            array_last($this->expenses)->atS ?? 0,
            ...array_map(fn(Rides $ofBike) => $ofBike[count($ofBike) - 1]->moment->unixS, $rides),
        );
        unset($rides[0]);
        [$points, $minor, $expense] = [[], 0, 0];
        for ($i = 0; $i <= $steps; $i++) {
            $atS = $fromS + (int) round((($untilS - $fromS) * $i) / $steps);
            $ridden = array_filter(array_map(fn(Rides $ofBike) => $ofBike->through($atS), $rides), fn(Rides $past) => count($past) > 0);
            $km = array_map(fn(Rides $past) => $past->km(), $ridden);
            for (; isset($this->expenses[$expense]) && $this->expenses[$expense]->atS <= $atS; $expense++) {
                $minor += $this->expenses[$expense]->minor ?? 0;
            }
            $points[] = new CostPoint(
                $atS,
                (float) array_sum($km),
                $minor,
                (float) array_sum(array_map($plain->costMinor(...), $km, array_keys($km))),
            );
        }

        return $points;
    }

    /** Whether a chain was paid before it came into the book. */
    public static function cameUsed(ChainHistory $history): bool
    {
        $opening = $history->last(Opening::class);

        return $opening !== null && $opening->km !== 0.0;
    }
}
