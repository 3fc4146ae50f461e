<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

/** What the spread of several spots round a chain says. House rule: spots further apart than one instrument would ever read them. */
enum SpotsAgree: string
{
    /** One spot only: nothing to compare. */
    case One = 'one';
    case Even = 'even';
    /** Some links are worn or stiff beyond the rest. */
    case Uneven = 'uneven';

    /** Two readings of the same length differ by more than this many standard uncertainties of one in three of a thousand cases: 3·√2. */
    private const APART = 4.243;

    public static function of(WearReadingInput $reading): self
    {
        if (!($reading instanceof SpotsReading) || count($reading->spots) < 2) {
            return self::One;
        }
        $results = array_map(fn(WearReadingInput $spot) => $spot->result(), $reading->spots);
        $worst = $reading->result();
        if ($worst->spreadPct !== null) {
            return $worst->spreadPct > self::APART * max(array_map(fn(WearReadingResult $spot) => (float) $spot->sigmaPct, $results))
                ? self::Uneven
                : self::Even;
        }
        $lower = max(array_map(fn(WearReadingResult $spot) => $spot->lowerPct ?? -INF, $results));
        $upper = min(array_map(fn(WearReadingResult $spot) => $spot->upperPct ?? INF, $results));

        // No one elongation would let the gauge sit as it sat at every spot.
        return $lower >= $upper ? self::Uneven : self::Even;
    }
}
