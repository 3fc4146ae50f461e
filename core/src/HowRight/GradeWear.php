<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\RecordedBook;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Maths\Memo;
use Dripel\Core\Wear\ForecastReading;
use Dripel\Core\Wear\ReadingBand;
use Dripel\Core\Wear\WearForecast;
use Dripel\Core\Wear\WearReading;
use Dripel\Core\Wear\WorkshopWear;

/** Readings against what was foretold of them when the chain was last measured, or first waxed. */
final readonly class GradeWear
{
    /** Sooner nothing is foretold, it is measured again: house rule. */
    private const LEAST_KM = 100.0;

    /** @return list<GradedPromise> in the order in which they were made */
    public static function of(RecordedBook $recorded, Book $book, int $fromS, int $nowS, Memo $memo): array
    {
        $promises = [];
        foreach ($book->chainIds as $chainId) {
            $history = $book->history($chainId)->until($nowS);
            /** @var Entry|null $since */
            $since = null;
            foreach ($history->events as $event) {
                if ($event instanceof Reading && $since !== null && $event->moment->unixS >= $fromS) {
                    [$before, $now] = [$history->kmBefore($since), $history->kmBefore($event)];
                    if ($before->whole && $now->whole && $now->km - $before->km >= self::LEAST_KM) {
                        $promises[] = self::grade(
                            $recorded,
                            $book,
                            $event,
                            $since->moment->unixS + 1,
                            $now->km,
                            $now->km - $before->km,
                            $memo,
                        );
                    }
                }
                if ($event instanceof Reading || ($since === null && ($event instanceof Dip || $event instanceof TopUp))) {
                    $since = $event;
                }
            }
        }
        $promises = array_values(array_filter($promises));
        usort($promises, fn(GradedPromise $a, GradedPromise $b) => $a->madeS <=> $b->madeS);

        return $promises;
    }

    /** @param float $km its km when it was read */
    private static function grade(
        RecordedBook $recorded,
        Book $book,
        Reading $reading,
        int $madeS,
        float $km,
        float $sinceKm,
        Memo $memo,
    ): ?GradedPromise {
        $then = $recorded->asKnown($madeS);
        if (!in_array($reading->chainId, $then->chainIds, true)) {
            return null;
        }
        $readings = (new WorkshopWear($then, $madeS, $memo))->readings($then->chain($reading->chainId, $madeS));
        if ($readings === null) {
            return null;
        }
        $said = ForecastReading::of($km, (new WearReading())($reading->input()));
        $band = ReadingBand::of(WearForecast::belief($readings->input()), $said, 0.9);

        return new GradedPromise(
            PromiseKind::Wear,
            $madeS,
            $book->bikeOfChain($reading->chainId, $reading->moment->unixS),
            $reading->chainId,
            $band->holds($said),
            $band->meanPct,
            $said->valuePct,
            0.8,
            $band->lowPct,
            $band->highPct,
            $sinceKm,
            $band->outsidePct($said) / max(0.01, $band->highPct - $band->lowPct),
        );
    }
}
