<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

/**
 * The power of a pot whose plate nobody read: as much as heats its wax in the minutes that it took the last time, or that such a pot
 * usually takes. Minutes, W.
 */
final readonly class UsualHeat
{
    /** Minutes until 500 g are hot, low and high: house rules. */
    private const MINUTES = ['slow_cooker' => [75.0, 45.0], 'rice_cooker' => [40.0, 25.0], 'pan' => [30.0, 15.0]];

    private const OF_G = 500.0;

    /** Above that no pot is meant. */
    private const MOST_W = 5000.0;

    /** As long as such a pot usually takes for so much wax, from cold to hot. */
    public static function minutes(PotKind $kind, bool $high, float $waxG): float
    {
        return (self::MINUTES[$kind->value][$high ? 1 : 0] * $waxG) / self::OF_G;
    }

    /** As long as it takes for so much wax, by how long it took for another amount the last time; in proportion, a house rule. */
    public static function minutesAsThen(int $seconds, float $thenG, float $nowG): float
    {
        return (($seconds / 60) * $nowG) / $thenG;
    }

    /**
     * So strong that its target is reached in so many minutes (pot.heat turned round, to a thousandth of a watt); 5000 W at most.
     *
     * @param PotHeatInput $pot its power is not looked at
     */
    public static function powerW(PotHeatInput $pot, float $minutes): float
    {
        [$low, $high] = [0.0, self::MOST_W];
        while ($high - $low > 1e-3) {
            $middle = ($low + $high) / 2;
            $taken = (new PotHeat())($pot->on($middle))->minutesToTarget;
            if ($taken !== null && $taken <= $minutes) {
                $high = $middle;
            } else {
                $low = $middle;
            }
        }

        return $high;
    }
}
