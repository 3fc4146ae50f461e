<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Riders\Whose;

/** The minutes that a logbook took: its pot days, dips, swaps, top-ups and strips, each by what the plan takes it to take. House rules. */
final readonly class WorkDone
{
    private function __construct(public float $minutes) {}

    /** @param Whose|null $whose chains and bikes; of a pot day with others their part of it, as PotSplit has it */
    public static function of(Book $book, PlanTerms $terms, int $nowS, ?Whose $whose = null): self
    {
        $whose ??= Whose::all();
        [$minutes, $dips, $ownDips] = [0.0, [], []];
        foreach ($book->dips() as $dip) {
            if ($dip->moment->unixS <= $nowS) {
                $date = LocalDay::of($dip->moment->unixS, $book->settings->zone())->date;
                $dips[$date] = ($dips[$date] ?? 0) + 1;
                $ownDips[$date] = ($ownDips[$date] ?? 0) + (int) $whose->chain($dip->chainId, $dip->moment->unixS);
            }
        }
        foreach ($dips as $date => $count) {
            $minutes += ($terms->potDayMinutes($count) * $ownDips[$date]) / $count;
        }
        foreach ($book->topUps() as $topUp) {
            if ($topUp->moment->unixS <= $nowS && $whose->chain($topUp->chainId, $topUp->moment->unixS)) {
                $minutes += PlanTerms::TOPUP_WORK_MINUTES;
            }
        }
        // Those whose last bath was over at one moment went through the jars together.
        $together = [];
        foreach ($book->strips() as $strip) {
            $atS = $strip->moment->unixS;
            $atS <= $nowS && ($together[$atS][] = (int) $whose->chain($strip->chainId, $atS));
        }
        foreach ($together as $own) {
            $minutes += ($terms->stripMinutes * array_sum($own)) / count($own);
        }
        foreach ($whose->bikes($book->bikeIds) as $bikeId) {
            // Of each bike the first chain was fitted, the others were swapped.
            $minutes += $terms->swapMinutes * max(0, $book->fittings()->timesFitted($bikeId, $nowS) - 1);
        }

        return new self($minutes);
    }
}
