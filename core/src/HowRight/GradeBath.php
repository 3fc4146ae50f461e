<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Bath\BathEvent;
use Dripel\Core\Bath\BathEventKind;
use Dripel\Core\Bath\BathLedger;
use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Bath\BathLedgerResult;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\RecordedBook;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Pot\PotFacts;

/**
 * Pots against the dips that were said to be left in them: the wax above what has to cover a coil would have given so many, by what the
 * next chains were weighed to take along. Right within a fifth, and never closer than one dip. House rule. Where too few of the next were
 * weighed nobody knows what came.
 */
final readonly class GradeBath
{
    private const SHARE = 0.2;

    private const LEAST_DIPS = 1.0;

    private const WEIGHED = 3;

    /** @return list<GradedPromise> in the order in which they were made; dips */
    public static function of(RecordedBook $recorded, Settings $settings, int $fromS, int $nowS): array
    {
        $promises = [];
        foreach ($recorded->potIds($nowS) as $potId) {
            $came = $recorded->bath($potId, $nowS, $settings);
            $heardS = PHP_INT_MIN;
            foreach (Mondays::between($fromS, $nowS, $settings->zone()) as $madeS) {
                $known = $recorded->settingsAt($madeS);
                $events = $recorded->bath($potId, $madeS, $known);
                $newest = array_last($events)?->atS;
                // Where nothing was done to the pot since, the promise is the one of that Monday.
                if ($newest === null || $newest <= $heardS) {
                    continue;
                }
                $heardS = (int) $newest;
                $then = self::ledger($events, PotFacts::of($known, $potId));
                $weighedG = self::weighedAfter($came, $madeS, $then === null ? 0 : $then->dipsLeft);
                if ($then === null || count($weighedG) < self::WEIGHED || array_sum($weighedG) <= 0.0) {
                    continue;
                }
                $promises[] = self::promise($potId, $madeS, $then, array_sum($weighedG) / count($weighedG));
            }
        }
        usort($promises, fn(GradedPromise $a, GradedPromise $b) => $a->madeS <=> $b->madeS);

        return $promises;
    }

    private static function promise(int $potId, int $madeS, BathLedgerResult $then, float $pickupG): GradedPromise
    {
        $said = (float) $then->dipsLeft;
        $dips = floor(($then->waxG - $then->neededG) / $pickupG);
        $within = max(self::LEAST_DIPS, self::SHARE * $said);
        $kept = abs($dips - $said) <= $within;

        return new GradedPromise(
            PromiseKind::Bath,
            $madeS,
            null,
            null,
            $kept,
            $said,
            $dips,
            low: $said - $within,
            high: $said + $within,
            off: $kept ? 0.0 : abs($dips - $said) / max($within, $said),
            potId: $potId,
        );
    }

    /**
     * @param list<BathEvent> $events
     *
     * @return BathLedgerResult|null null: it was never filled, nobody measured the pot, or its book cannot be
     */
    private static function ledger(array $events, PotFacts $pot): ?BathLedgerResult
    {
        $fill = array_find_key(array_reverse($events, true), fn(BathEvent $event) => $event->kind === BathEventKind::Fill);
        try {
            return $fill === null
                ? null
                : (new BathLedger())(new BathLedgerInput($pot->vessel(), array_slice($events, $fill), $pot->limitC, $pot->lay->coversMm()));
        } catch (InvalidInput) {
            return null;
        }
    }

    /**
     * @param list<BathEvent> $events
     *
     * @return list<float> g of the next chains until it was filled anew, no more than a number of dips
     */
    private static function weighedAfter(array $events, int $afterS, int $dips): array
    {
        $weighedG = [];
        foreach ($events as $event) {
            if ($event->atS > $afterS && $event->kind === BathEventKind::Fill) {
                break;
            }
            foreach ($event->atS > $afterS ? $event->chains : [] as $chain) {
                if ($dips-- <= 0) {
                    return $weighedG;
                }
                $chain->pickupG === null || ($weighedG[] = $chain->pickupG);
            }
        }

        return $weighedG;
    }
}
