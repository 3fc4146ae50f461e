<?php

declare(strict_types=1);

namespace Dripel\Core\Riders;

use Dripel\Core\Bath\DipPickup;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Plan\PlanTerms;

/**
 * A pot day that several riders' chains go through, split among them. Each chain bears the wax that it takes; the work, by what the plan
 * takes a pot day to take, is shared by the chains alike: an evening is as long for the first as for the last. House rule.
 */
final readonly class PotSplit
{
    /** @param list<RiderShare> $shares in the order in which they come; everybody's chains under no name */
    private function __construct(public array $shares) {}

    /** @param list<Dip> $dips of one pot day, done */
    public static function done(Riders $riders, array $dips, DipPickup $pickup, PriceList $prices, PlanTerms $terms): self
    {
        return self::of(
            $riders,
            array_map(fn(Dip $dip) => [$dip->chainId, $pickup->ofDip($dip), $dip->moment->unixS], $dips),
            $prices,
            $terms,
        );
    }

    /** @param list<int> $chainIds of one that is still to come, each dipped once */
    public static function ahead(
        Riders $riders,
        array $chainIds,
        int $potId,
        int $atS,
        DipPickup $pickup,
        PriceList $prices,
        PlanTerms $terms,
    ): self {
        return self::of($riders, array_map(fn(int $id) => [$id, $pickup->ofChain($id, $potId), $atS], $chainIds), $prices, $terms);
    }

    /** Whether there is anything to split. */
    public function several(): bool
    {
        return count($this->shares) > 1;
    }

    /** @param list<array{int, float, int}> $dips chain, g of wax, Unix seconds */
    private static function of(Riders $riders, array $dips, PriceList $prices, PlanTerms $terms): self
    {
        $minutes = $dips === [] ? 0.0 : $terms->potDayMinutes(count($dips));
        $byRider = [];
        foreach ($dips as $dip) {
            $byRider[$riders->ofChain($dip[0], $dip[2]) ?? ''][] = $dip;
        }
        $shares = [];
        foreach ($byRider as $rider => $own) {
            $minor = array_map(fn(array $dip) => $prices->costMinor(Supply::Wax, $dip[1], $dip[2]), $own);
            $shares[] = new RiderShare(
                $rider === '' ? null : (string) $rider,
                array_values(array_unique(array_column($own, 0))),
                (float) array_sum(array_column($own, 1)),
                ($minutes * count($own)) / count($dips),
                in_array(null, $minor, true) ? null : (float) array_sum($minor),
            );
        }

        return new self($shares);
    }
}
