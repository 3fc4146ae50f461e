<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

use DateTimeZone;
use Dripel\Core\Bath\DipPickup;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainHistory;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Strip\SolventBought;

/**
 * What a workshop used up and put on, each at the price of its day: chains, quick links, cassettes, rings and jockey wheels, wax, drip
 * wax, solvents. What came used was paid before and is left out; what has no price is named, not guessed. Minor units of money, km.
 */
final readonly class WorkshopCosts
{
    private const KM = 1000.0;

    /** @var array<int, int> by year the instant that it begins at: the calendar is asked once a year, not once a ride */
    private array $yearStarts;

    /**
     * @param list<Expense> $expenses in order of time
     * @param list<Ride> $rides in order of time, of any bike
     */
    private function __construct(public array $expenses, private array $rides, private DateTimeZone $zone)
    {
        $at = [...array_map(fn(Expense $one) => $one->atS, $expenses), ...array_map(fn(Ride $ride) => $ride->moment->unixS, $rides)];
        $year = fn(int $atS): int => (int) substr(LocalDay::of($atS, $zone)->date, 0, 4);
        $starts = [];
        foreach ($at === [] ? [] : range($year(min($at)), $year(max($at)) + 1) as $one) {
            $starts[$one] = LocalDay::named("{$one}-01-01", $zone)->startS();
        }
        $this->yearStarts = $starts;
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

        return new self(
            $expenses,
            array_values(array_filter($book->rides, fn(Ride $ride) => $ride->moment->unixS <= $nowS)),
            $settings->zone(),
        );
    }

    /** @param callable(Expense): bool $which */
    public function minor(?callable $which = null): int
    {
        return array_sum(
            array_map(fn(Expense $one) => $one->minor ?? 0, $which === null ? $this->expenses : array_filter($this->expenses, $which)),
        );
    }

    /**
     * What one chain cost by supply; null where no price is known for something of it.
     *
     * @param list<Supply> $supplies
     */
    public function ofChain(int $chainId, array $supplies): ?int
    {
        $found = array_filter($this->expenses, fn(Expense $one) => $one->chainId === $chainId && in_array($one->supply, $supplies, true));

        return array_filter($found, fn(Expense $one) => $one->minor === null) !== []
            ? null
            : array_sum(array_map(fn(Expense $one) => (int) $one->minor, $found));
    }

    /** @param callable(Ride): bool $which */
    public function km(?callable $which = null): float
    {
        return (float) array_sum(
            array_map(fn(Ride $ride) => $ride->km, $which === null ? $this->rides : array_filter($this->rides, $which)),
        );
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

    /** Null where nothing was ridden, or nothing was paid. */
    public static function per1000Km(int $minor, float $km): ?float
    {
        return $km > 0.0 && $minor > 0 ? (self::KM * $minor) / $km : null;
    }

    public function yearOf(Entry|Expense $one): int
    {
        $atS = $one instanceof Expense ? $one->atS : $one->moment->unixS;
        $year = (int) array_key_last($this->yearStarts);
        if ($this->yearStarts === [] || $atS >= $this->yearStarts[$year] || $atS < $this->yearStarts[array_key_first($this->yearStarts)]) {
            return (int) substr(LocalDay::of($atS, $this->zone)->date, 0, 4);
        }
        while ($this->yearStarts[$year] > $atS) {
            $year--;
        }

        return $year;
    }

    /** @return list<int> in which something was used up or ridden, the last first */
    public function years(): array
    {
        $years = array_unique(array_map($this->yearOf(...), [...$this->expenses, ...$this->rides]));
        rsort($years);

        return $years;
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
        if ($this->rides === []) {
            return [];
        }
        $fromS = $this->rides[0]->moment->unixS;
        $ends = [...array_slice($this->rides, -1), ...array_slice($this->expenses, -1)];
        $untilS = max($fromS + 1, ...array_map(fn(Ride|Expense $one) => $one instanceof Ride ? $one->moment->unixS : $one->atS, $ends));
        [$points, $km, $minor, $ride, $expense] = [[], [], 0, 0, 0];
        for ($i = 0; $i <= $steps; $i++) {
            $atS = $fromS + (int) round((($untilS - $fromS) * $i) / $steps);
            for (; isset($this->rides[$ride]) && $this->rides[$ride]->moment->unixS <= $atS; $ride++) {
                $bikeId = $this->rides[$ride]->bikeId;
                $bikeId === null || ($km[$bikeId] = ($km[$bikeId] ?? 0.0) + $this->rides[$ride]->km);
            }
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
