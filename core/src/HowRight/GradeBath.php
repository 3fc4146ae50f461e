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
 * next chains were weighed to take along. Never held more closely than by one dip. House rule. Where too few of the next were
 * weighed nobody knows what came.
 */
final readonly class GradeBath
{
    private const LEAST_DIPS = 1.0;

    private const WEIGHED = 3;

    /** @return list<GradedPromise> in the order in which they were made; dips */
    public static function of(RecordedBook $recorded, Settings $settings, int $fromS, int $nowS): array
    {
        [$promises, $heardS, $came] = [[], [], []];
        foreach (Mondays::between($fromS, $nowS, $settings->zone()) as $madeS) {
            $known = $recorded->settingsAt($madeS);
            foreach ($recorded->potIds($madeS) as $potId) {
                $events = self::events($recorded, $potId, $madeS, $known);
                $newest = array_last($events)?->atS;
                // Where nothing was done to the pot since, the promise is the one of that Monday.
                if ($newest === null || $newest <= ($heardS[$potId] ?? -INF)) {
                    continue;
                }
                $heardS[$potId] = $newest;
                $then = self::ledger($events, PotFacts::of($known, $potId));
                $came[$potId] ??= self::events($recorded, $potId, $nowS, $settings);
                $weighedG = $then === null ? [] : self::weighedAfter($came[$potId], $madeS, $then->dipsLeft);
                if ($then === null || count($weighedG) < self::WEIGHED || array_sum($weighedG) <= 0.0) {
                    continue;
                }
                $promises[] = GradedPromise::about(
                    PromiseKind::Bath,
                    $madeS,
                    (float) $then->dipsLeft,
                    floor((($then->waxG - $then->neededG) * count($weighedG)) / array_sum($weighedG)),
                    self::LEAST_DIPS,
                    potId: $potId,
                );
            }
        }

        return $promises;
    }

    /** @return list<BathEvent> none too where what was written down cannot be */
    private static function events(RecordedBook $recorded, int $potId, int $atS, Settings $settings): array
    {
        try {
            return $recorded->bath($potId, $atS, $settings);
        } catch (InvalidInput) {
            return [];
        }
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
