<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Text\ChainWords;
use App\Text\NextWords;
use App\Text\Translator;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Next\NextItem;
use Dripel\Core\Plan\PlannedDrip;
use Dripel\Core\Plan\PlannedPotDay;
use Dripel\Core\Plan\PlannedSwap;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Wear\WorkshopWear;

/**
 * What a display in the garage or a script may read: figures with their units in their names, unrounded; sentences where the app has them.
 * docs/api/openapi.json says what each field is.
 *
 * @phpstan-type DisplayBike array{id: int, name: string, fitted: int|null, hanging: list<int>, weekly_km: float}
 * @phpstan-type DisplayChain array{
 *     id: int,
 *     name: string,
 *     bike: int|null,
 *     fitted: bool,
 *     status: string,
 *     km: float,
 *     km_whole: bool,
 *     wax_left_effective_km: float,
 *     coat: float,
 *     wear_pct: array{mean: float, p10: float, p90: float}|null,
 *     limit_pct: float,
 * }
 * @phpstan-type DisplayItem array{
 *     kind: string,
 *     title: string,
 *     text: string,
 *     bike: int|null,
 *     chains: list<int>,
 *     by: string|null,
 *     urgent: bool,
 *     minutes: float,
 * }
 * @phpstan-type DisplayShed array{as_of: string, bikes: list<DisplayBike>}
 * @phpstan-type DisplayChains array{as_of: string, chains: list<DisplayChain>}
 * @phpstan-type DisplayNext array{as_of: string, items: list<DisplayItem>}
 * @phpstan-type DisplayOutlook array{
 *     as_of: string,
 *     feasible: bool,
 *     all_waxed_probability: float|null,
 *     pot_days: list<array{date: string, chains: list<int>}>,
 *     swaps: list<array{date: string, bike: int, off: int, on: int}>,
 *     top_ups: list<array{date: string, chain: int}>,
 * }
 */
final readonly class DisplayProps
{
    public function __construct(private Book $book, private Translator $translator, private ShedProps $shed, private WorkshopWear $wear) {}

    /** @return DisplayShed */
    public function shed(): array
    {
        return [
            'as_of' => $this->asOf(),
            'bikes' => array_map(
                fn(Rail $rail) => [
                    'id' => $rail->bikeId,
                    'name' => $this->translator->names->bike($rail->bikeId),
                    'fitted' => $rail->fitted?->chainId,
                    'hanging' => array_map(fn(ChainState $chain) => $chain->chainId, $rail->hanging),
                    'weekly_km' => $rail->habit->weeklyRiddenKm,
                ],
                $this->shed->plan->rails,
            ),
        ];
    }

    /** @return DisplayChains */
    public function chains(): array
    {
        return [
            'as_of' => $this->asOf(),
            'chains' => array_map($this->chain(...), $this->book->chainIds),
        ];
    }

    /** @return DisplayNext */
    public function next(): array
    {
        $words = new NextWords($this->translator, new ChainWords($this->translator));

        return [
            'as_of' => $this->asOf(),
            'items' => array_map(function (NextItem $item) use ($words): array {
                [$title, $text] = $words->sentences($item);

                return [
                    'kind' => $item->kind->value,
                    'title' => $title,
                    'text' => $text,
                    'bike' => $item->bikeId,
                    'chains' => array_map(fn(ChainState $chain) => $chain->chainId, $item->chains),
                    'by' => $item->date,
                    'urgent' => $item->urgent,
                    'minutes' => $item->minutes,
                ];
            }, $this->shed->items()),
        ];
    }

    /** @return DisplayOutlook */
    public function outlook(): array
    {
        $result = $this->shed->plan->result();
        $day = $this->shed->plan->days->date(...);

        return [
            'as_of' => $this->asOf(),
            'feasible' => $result->feasible,
            'all_waxed_probability' => $result->feasible && $this->shed->plan->rails !== [] ? $this->shed->plan->risk()->allWaxed : null,
            'pot_days' => array_map(
                fn(PlannedPotDay $pot) => [
                    'date' => $this->shed->plan->days->potOn($pot->day),
                    'chains' => array_map(intval(...), $pot->dips),
                ],
                $result->potDays,
            ),
            'swaps' => array_map(
                fn(PlannedSwap $swap) => [
                    'date' => $day($swap->day),
                    'bike' => (int) $swap->bike,
                    'off' => (int) $swap->from,
                    'on' => (int) $swap->to,
                ],
                $result->swaps,
            ),
            'top_ups' => array_map(fn(PlannedDrip $drip) => ['date' => $day($drip->day), 'chain' => (int) $drip->chain], $result->topUps),
        ];
    }

    /** @return DisplayChain */
    private function chain(int $chainId): array
    {
        $chain = $this->book->chain($chainId, $this->translator->nowS);
        $forecast = $this->wear->of($chain)?->result;

        return [
            'id' => $chainId,
            'name' => $this->translator->names->fullChain($chainId),
            'bike' => $this->book->bikeOfChain($chainId, $this->translator->nowS),
            'fitted' => $this->book->fittings()->bikeOf($chainId, $this->translator->nowS) !== null,
            'status' => $chain->status->value,
            'km' => $chain->km->km,
            'km_whole' => $chain->km->whole,
            'wax_left_effective_km' => $chain->leftKm(),
            'coat' => $chain->coat(),
            'wear_pct' =>
                $forecast === null ? null : ['mean' => $forecast->nowMean, 'p10' => $forecast->nowP10, 'p90' => $forecast->nowP90],
            'limit_pct' => $chain->terms->limitPct,
        ];
    }

    private function asOf(): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', $this->translator->nowS);
    }
}
