<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Dip;

/** A pot day that the plan of the day before asked for and nobody held: what it was for is planned anew. */
final readonly class PassedPot
{
    /** @param list<int> $chainIds that should have been dipped */
    private function __construct(public string $date, public array $chainIds) {}

    /** When the pot of the day before a local day should have been heated. */
    public static function asOfS(LocalDay $today, PlanTerms $terms): int
    {
        return $today->plus(-1)->atHour(PlanHours::pot($terms));
    }

    /**
     * @param WorkshopPlan $then the plan as it was at that instant
     *
     * @return self|null null where none was planned for that day, or any chain was dipped since it began
     */
    public static function of(Book $book, WorkshopPlan $then): ?self
    {
        $day = $then->days->today;
        foreach ($then->result()->potDays as $pot) {
            if ($pot->dips !== [] && $then->days->potOn($pot->day) === $day->date) {
                foreach ($book->chainIds as $chainId) {
                    $dip = $book->history($chainId)->last(Dip::class);
                    if ($dip !== null && $dip->moment->unixS >= $day->startS()) {
                        return null;
                    }
                }

                return new self($day->date, array_map(intval(...), $pot->dips));
            }
        }

        return null;
    }
}
