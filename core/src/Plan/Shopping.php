<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Bath\BathNext;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Chain\Joint;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Drip\BottleState;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Input\Check;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Strip\FreshSolvent;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Protocol;
use Dripel\Core\Wear\WearForecastResult;

/**
 * What must be bought in the weeks of a plan, and by when: chains by their forecasts (ChainSupply), quick links for them and for spent
 * ones, wax by the dips of the plan and what is left in the pot (bath.ledger), drip wax by its pace or the planned top-ups, solvents for
 * the new chains where the jars do them no more. What lies on the shelf is taken first.
 */
final readonly class Shopping
{
    /**
     * @param list<Rail> $rails
     * @param array<int, WearForecastResult> $forecasts by chain
     * @param array<BathState> $baths
     * @param list<BottleState> $bottles
     * @param Protocol|null $strip the school that the workshop goes by
     * @param array<int, JarState> $jars
     *
     * @return list<ShoppingItem> the soonest first
     */
    public static function of(
        Book $book,
        WorkshopPlan $plan,
        array $rails,
        array $forecasts,
        array $baths,
        array $bottles,
        ?Protocol $strip,
        array $jars,
        LocalDay $today,
    ): array {
        $until = $plan->days->date($plan->terms->days - 1);
        $chains = self::chains($book, $rails, $forecasts, $today);
        $items = [...$chains, ...self::links($book, $chains, $today), ...self::wax($plan, $baths), ...self::drip($plan, $bottles)];
        // All that are needed within these weeks are stripped together, by the first of them.
        $soon = array_values(array_filter($chains, fn(ShoppingItem $chain) => $chain->neededBy <= $until));
        usort($soon, fn(ShoppingItem $a, ShoppingItem $b) => $a->neededBy <=> $b->neededBy);
        $new = (int) array_sum(array_map(fn(ShoppingItem $chain) => $chain->quantity, $soon));
        foreach ($strip === null ? [] : FreshSolvent::of($strip, $jars, $new) as $supply => $ml) {
            $items[] = new ShoppingItem(
                Supply::from($supply),
                $ml,
                $soon[0]->neededBy,
                ShoppingBecause::Strip,
                count($soon) === 1 ? $soon[0]->bikeId : null,
            );
        }
        $items = array_values(array_filter($items, fn(ShoppingItem $item) => $item->neededBy <= $until));
        usort($items, fn(ShoppingItem $a, ShoppingItem $b) => $a->neededBy <=> $b->neededBy);

        return $items;
    }

    /**
     * @param list<Rail> $rails
     * @param array<int, WearForecastResult> $forecasts
     *
     * @return list<ShoppingItem>
     */
    private static function chains(Book $book, array $rails, array $forecasts, LocalDay $today): array
    {
        $items = [];
        foreach ($rails as $rail) {
            $supply = ChainSupply::of($book, $rail, $forecasts, $today);
            if ($supply !== null && $supply->buyBy !== null) {
                $items[] = new ShoppingItem(
                    Supply::Chain,
                    max(1, $supply->wanted - $supply->inUse),
                    $supply->buyBy,
                    $supply->tooFew() ? ShoppingBecause::Few : ShoppingBecause::Worn,
                    $rail->bikeId,
                );
            }
        }

        return $items;
    }

    /**
     * @param list<ShoppingItem> $chains
     *
     * @return list<ShoppingItem>
     */
    private static function links(Book $book, array $chains, LocalDay $today): array
    {
        $wants = [];
        foreach ($book->chainIds as $chainId) {
            if (!$book->isRetired($chainId) && $book->inventory()->linkOf($chainId, $today->endS())?->usedUp() === true) {
                $wants[] = new ShoppingItem(
                    Supply::QuickLink,
                    1,
                    $today->date,
                    ShoppingBecause::UsedUp,
                    $book->bikeOfChain($chainId, $today->endS()),
                );
            }
        }
        foreach ($chains as $chain) {
            $on = $book->fittings()->componentOn((int) $chain->bikeId, $today->endS()) ?? 0;
            if (Joint::tryFrom($book->settings->text(SettingKey::ChainJoint, $on)) === Joint::Pin) {
                continue; // It comes with its pin.
            }
            for ($i = 0; $i < $chain->quantity; $i++) {
                $wants[] = new ShoppingItem(Supply::QuickLink, 1, $chain->neededBy, ShoppingBecause::NewChain, $chain->bikeId);
            }
        }
        usort($wants, fn(ShoppingItem $a, ShoppingItem $b) => $a->neededBy <=> $b->neededBy);

        return array_slice($wants, count($book->inventory()->spareLinks()));
    }

    /**
     * @param array<BathState> $baths
     *
     * @return list<ShoppingItem>
     */
    private static function wax(WorkshopPlan $plan, array $baths): array
    {
        $pots = $plan->result()->potDays;
        foreach ($baths as $bath) {
            if ($bath->ledger === null || $pots === []) {
                continue;
            }
            if ($bath->ledger->next === BathNext::Replace) {
                return [new ShoppingItem(Supply::Wax, $bath->ledger->waxG, $plan->days->potOn($pots[0]->day), ShoppingBecause::BathSpent)];
            }
            $dips = 0;
            $short = null;
            foreach ($pots as $pot) {
                $dips += count($pot->dips);
                $short ??= $dips > $bath->ledger->dipsLeft ? $pot : null;
            }

            return $short === null
                ? []
                : [
                    new ShoppingItem(
                        Supply::Wax,
                        ($dips - $bath->ledger->dipsLeft) * $bath->ledger->pickupG,
                        $plan->days->potOn($short->day),
                        ShoppingBecause::BathLow,
                    ),
                ];
        }

        return [];
    }

    /**
     * @param list<BottleState> $bottles
     *
     * @return list<ShoppingItem>
     */
    private static function drip(WorkshopPlan $plan, array $bottles): array
    {
        $topUps = $plan->result()->topUps;
        if ($bottles === []) {
            return $topUps === []
                ? []
                : [
                    new ShoppingItem(
                        Supply::DripWax,
                        count($topUps) * DripDoseInput::USUAL_ML,
                        $plan->days->date(max(0, $topUps[0]->day - 1)),
                        ShoppingBecause::NoBottle,
                    ),
                ];
        }
        $leftMl = array_sum(array_map(fn(BottleState $bottle) => $bottle->leftMl, $bottles));
        // The planned doses, or the pace of late: whichever empties the shelf sooner.
        $given = (int) floor($leftMl / DripDoseInput::USUAL_ML + Check::EPSILON);
        $days = array_filter([
            isset($topUps[$given]) ? $plan->days->date(max(0, $topUps[$given]->day - 1)) : null,
            max(array_map(fn(BottleState $bottle) => $bottle->emptyOn, $bottles)),
        ]);

        return $days === []
            ? []
            : [
                new ShoppingItem(
                    Supply::DripWax,
                    max(array_map(fn(BottleState $bottle) => $bottle->volumeMl, $bottles)),
                    min($days),
                    ShoppingBecause::BottlesEmpty,
                ),
            ];
    }
}
