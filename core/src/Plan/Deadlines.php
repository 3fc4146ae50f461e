<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;

/** The deadlines of a workshop: bare chains, chains kept for events, and pot days that were accepted. */
final readonly class Deadlines
{
    /**
     * @param list<Rail> $rails
     * @param list<BookedPot> $booked
     *
     * @return list<Deadline> one for each chain: the earliest
     */
    public static function of(Book $book, array $rails, array $booked, PlanDays $days, PlanTerms $terms, int $nowS): array
    {
        $found = [];
        $ask = function (DeadlineKind $kind, int $bikeId, int $chainId, string $by, ?int $byS, int $from, int $until) use (
            &$found,
            $days,
            $terms,
        ): void {
            $fits = array_filter(
                $days->allowed,
                fn(bool $allowed, int $day) => $allowed &&
                    $day >= $from &&
                    $day <= $until &&
                    !in_array($days->potOn($day), $terms->notOn[$chainId] ?? [], true),
                ARRAY_FILTER_USE_BOTH,
            );
            $one = new Deadline($kind, $bikeId, $chainId, $by, $byS, $from, $until, $fits === []);
            if (!isset($found[$chainId]) || $one->until < $found[$chainId]->until) {
                $found[$chainId] = $one;
            }
        };
        $inHand = array_merge(...array_map(fn(BookedPot $pot) => $pot->begun ? $pot->chainIds : [], $booked));
        foreach ($rails as $rail) {
            foreach ($rail->chains() as $chain) {
                if ($chain->wear->pastLimit || in_array($chain->chainId, $inHand, true)) {
                    continue;
                }
                // One that lives on drip wax is saved by the bottle, not by the pot.
                if ($chain->dryness->bare !== null && !$chain->terms->dripOnly) {
                    $byS = $nowS + (int) round(3600 * $chain->dryness->bare->hoursLeft);
                    $ask(DeadlineKind::Rust, $rail->bikeId, $chain->chainId, $days->dateOf($byS), $byS, 0, $days->lastBefore($byS));
                }
                $event = self::event($chain, $book, $days);
                $event === null || $ask(DeadlineKind::Event, $rail->bikeId, $chain->chainId, $event[0], null, $event[1], $event[2]);
            }
        }
        foreach ($booked as $pot) {
            $day = $days->ofPot($days->dateOf($pot->startS));
            if ($pot->begun || $day === null) {
                continue;
            }
            foreach ($pot->chainIds as $chainId) {
                $bikeId = $book->bikeOfChain($chainId, $nowS) ?? 0;
                $ask(DeadlineKind::Booked, $bikeId, $chainId, $days->dateOf($pot->startS), $pot->startS, $day, $day);
            }
        }

        return array_values($found);
    }

    /** @return array{string, int, int}|null its day, and the first and the last day of the plan that serve it */
    private static function event(ChainState $chain, Book $book, PlanDays $days): ?array
    {
        $kept = $chain->keptFor;
        $until = $kept === null ? null : $days->ofDate($kept->on);
        if ($kept === null || $until === null || $kept->dippedAfter === null) {
            return null;
        }
        $dipped = $chain->wax->dip === null ? null : $days->dateOf($chain->wax->dip->moment->unixS);
        if ($dipped !== null && $dipped > $kept->dippedAfter) {
            return null;
        }
        for ($from = 0; $from <= $until && $days->potOn($from) <= $kept->dippedAfter; $from++);

        return [$kept->on, $from, $until];
    }
}
