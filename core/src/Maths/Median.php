<?php

declare(strict_types=1);

namespace Dripel\Core\Maths;

/** The middle one; of an even number the mean of the two in the middle. */
final readonly class Median
{
    /** @param non-empty-array<float> $of in any order */
    public static function of(array $of): float
    {
        sort($of);
        $half = intdiv(count($of), 2);

        return count($of) % 2 === 1 ? $of[$half] : ($of[$half - 1] + $of[$half]) / 2;
    }
}
