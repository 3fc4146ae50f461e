<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Pot\ReadBaths;
use App\Strip\ReadJars;
use App\Strip\ReadPrices;
use App\Text\Speaker;
use App\Text\StripWords;
use App\Text\Voice;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Cost\ChainLife;
use Dripel\Core\Cost\CostPoint;
use Dripel\Core\Cost\Expense;
use Dripel\Core\Cost\PlainDrip;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Cost\WorkshopCosts;
use Dripel\Core\Interval\IntervalEconomyInput;
use Dripel\Core\Logbook\Ride;

/** What it all costs: by year, by bike, by chain, and beside plain drip. */
final readonly class MoneyProps
{
    /** The chart is drawn through so many points. */
    private const STEPS = 48;

    /** The columns: what is bought, by what it is for. */
    private const KINDS = [
        'chains' => [Supply::Chain, Supply::QuickLink],
        'parts' => [Supply::Cassette, Supply::Ring, Supply::JockeyWheels],
        'wax' => [Supply::Wax],
        'drip' => [Supply::DripWax],
        'solvents' => [Supply::WhiteSpirit, Supply::MethylatedSpirit, Supply::IsopropylAlcohol, Supply::Acetone, Supply::Petrol, Supply::LampOil, Supply::Degreaser],
    ];

    public function __construct(private ReadBook $readBook, private ReadPrices $readPrices, private ReadBaths $readBaths, private ReadJars $readJars, private Speaker $speaker) {}

    /** @return array<string, mixed> */
    public function all(Workshop $workshop): array
    {
        $book = ($this->readBook)($workshop);
        $voice = $this->speaker->voice();
        $prices = ($this->readPrices)($workshop);
        $dipG = BathState::pickupG(($this->readBaths)($workshop));
        $costs = WorkshopCosts::of($book, $prices, $dipG, $this->readJars->bought($workshop), $voice->nowS);
        $plain = PlainDrip::of($book->settings, $prices, IntervalEconomyInput::CHAINS_PER_CASSETTE, $voice->nowS);
        $chart = $this->chart($voice, $costs, $plain);
        $year = fn(int $year): array => $this->row($voice, (string) $year, $costs, fn(Expense $one) => $costs->yearOf($one) === $year, fn(Ride $ride) => $costs->yearOf($ride) === $year);
        $bike = fn(int $id): array => $this->row($voice, $voice->names->bike($id), $costs, fn(Expense $one) => $one->bikeId === $id, fn(Ride $ride) => $ride->bikeId === $id);
        $chains = array_filter(array_map(fn(int $id) => $book->chain($id, $voice->nowS), $book->chainIds), fn($chain) => $chain->km->km > 0.0);
        usort($chains, fn($a, $b) => $b->km->km <=> $a->km->km);

        return [
            'kinds' => array_map(fn(string $kind) => $voice->say("ui.money.kind.{$kind}"), array_keys(self::KINDS)),
            'all' => $this->row($voice, $voice->say('ui.money.all'), $costs, fn() => true, fn() => true),
            'years' => array_map($year, $costs->years()),
            'bikes' => array_map($bike, $book->bikeIds),
            'chains' => array_map(function ($chain) use ($book, $voice, $prices, $dipG): array {
                $life = ChainLife::of($book, $chain, $prices, $dipG);

                return [
                    'id' => $chain->chainId, 'name' => $voice->names->fullChain($chain->chainId), 'km' => $voice->quantities->ridden($chain->km),
                    'total' => $this->money($voice, $life->totalMinor()), 'per' => $this->money($voice, $life->per1000KmMinor()),
                ];
            }, $chains),
            'unpriced' => (new StripWords($voice))->unpriced($costs->unpriced($chart === null ? [] : $plain->unpriced)),
            'chart' => $chart,
            'plain' => ['life' => (string) round($voice->quantities->units->fromKm($plain->lifeKm)), 'every' => (string) round($voice->quantities->units->fromKm($plain->everyKm))],
        ];
    }

    /**
     * @param callable(Expense): bool $which
     * @param callable(Ride): bool $ridden
     *
     * @return array{name: string, kinds: list<string>, total: string, km: string, per: string}
     */
    private function row(Voice $voice, string $name, WorkshopCosts $costs, callable $which, callable $ridden): array
    {
        $total = $costs->minor($which);
        $km = $costs->km($ridden);

        return [
            'name' => $name,
            'kinds' => array_map(function (array $supplies) use ($voice, $costs, $which): string {
                $minor = $costs->minor(fn(Expense $one) => in_array($one->supply, $supplies, true) && $which($one));

                return $minor > 0.0 ? $voice->quantities->money($minor) : '–';
            }, array_values(self::KINDS)),
            'total' => $voice->quantities->money($total),
            'km' => $voice->quantities->distance($km),
            'per' => $this->money($voice, WorkshopCosts::per1000Km($total, $km)),
        ];
    }

    /** @return array<string, mixed>|null */
    private function chart(Voice $voice, WorkshopCosts $costs, PlainDrip $plain): ?array
    {
        $points = $costs->against($plain, self::STEPS);
        if ($points === []) {
            return null;
        }
        $last = $points[self::STEPS];
        $most = max(1e-9, ...array_map(fn(CostPoint $point) => max($point->waxedMinor, $point->plainMinor), $points));
        $q = $voice->quantities;
        $line = fn(callable $of): array => array_map(fn(CostPoint $point, int $i) => ['x' => $i / self::STEPS, 'y' => $of($point) / $most], $points, array_keys($points));

        return [
            'waxed' => $line(fn(CostPoint $point) => $point->waxedMinor),
            'plain' => $line(fn(CostPoint $point) => $point->plainMinor),
            'waxedSum' => $q->money($last->waxedMinor),
            'plainSum' => $q->money($last->plainMinor),
            'from' => $q->date($points[0]->atS, 'MMM y'),
            'to' => $q->date($last->atS, 'MMM y'),
            'text' => $voice->say($last->waxedMinor <= $last->plainMinor ? 'ui.money.waxed_less' : 'ui.money.plain_less', [
                'km' => $q->distance($last->km), 'waxed' => $q->money($last->waxedMinor), 'plain' => $q->money($last->plainMinor), 'difference' => $q->money(abs($last->waxedMinor - $last->plainMinor)),
            ]),
        ];
    }

    private function money(Voice $voice, ?float $minor): string
    {
        return $minor === null ? '–' : $voice->quantities->money($minor);
    }
}
