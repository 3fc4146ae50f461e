<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlanTerms;

/** The minutes that a logbook took: its pot days, dips, swaps and top-ups, each by what the plan takes it to take. House rules. */
final readonly class WorkDone
{
    private function __construct(public float $minutes) {}

    public static function of(Book $book, PlanTerms $terms, int $nowS): self
    {
        [$minutes, $potDays] = [0.0, []];
        foreach ($book->dips() as $dip) {
            if ($dip->moment->unixS <= $nowS) {
                $potDays[LocalDay::of($dip->moment->unixS, $book->settings->zone())->date] = true;
                $minutes += $terms->dipMinutes;
            }
        }
        $minutes += count($potDays) * ($terms->fixedMinutes + $terms->batchMinutes);
        $minutes +=
            PlanTerms::TOPUP_WORK_MINUTES * count(array_filter($book->topUps(), fn(TopUp $topUp) => $topUp->moment->unixS <= $nowS));
        foreach ($book->bikeIds as $bikeId) {
            // Of each bike the first chain was fitted, the others were swapped.
            $minutes += $terms->swapMinutes * max(0, $book->fittings->timesFitted($bikeId, $nowS) - 1);
        }

        return new self($minutes);
    }
}
