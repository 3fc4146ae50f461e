<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Interval\CycleEnd;
use Dripel\Core\Interval\IntervalLearnInput;
use Dripel\Core\Interval\LearnedByEar;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\RecordedBook;

/**
 * Coats against the interval that had been learned by ear when each was begun: four of five stay quiet for as long. One that was waxed anew
 * sooner, and quiet, says nothing.
 */
final readonly class GradeEar
{
    /** @return list<GradedPromise> in the order in which they were made */
    public static function of(RecordedBook $recorded, Book $book, int $fromS, int $nowS): array
    {
        $promises = [];
        foreach ($book->bikeIds as $bikeId) {
            foreach (LearnedByEar::cyclesOf($book, $bikeId, $nowS) as $coat) {
                if ($coat->fromS < $fromS) {
                    continue;
                }
                $learned = LearnedByEar::of($recorded->asKnown($coat->fromS), $bikeId, $coat->fromS)?->result;
                if ($learned === null) {
                    continue;
                }
                $kept = $coat->cycle->km >= $learned->intervalKm;
                if (!$kept && $coat->cycle->ended !== CycleEnd::Noise) {
                    continue;
                }
                $promises[] = new GradedPromise(
                    PromiseKind::Ear,
                    $coat->fromS,
                    $bikeId,
                    $coat->chainId,
                    $kept,
                    $learned->intervalKm,
                    $coat->cycle->ended === CycleEnd::Noise ? $coat->cycle->km : null,
                    1.0 - IntervalLearnInput::QUANTILE,
                    $learned->intervalP10Km,
                    $learned->intervalP90Km,
                    off: $kept ? 0.0 : 1.0 - $coat->cycle->km / $learned->intervalKm,
                );
            }
        }
        usort($promises, fn(GradedPromise $a, GradedPromise $b) => $a->madeS <=> $b->madeS);

        return $promises;
    }
}
