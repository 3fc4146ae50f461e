<?php

declare(strict_types=1);

namespace Dripel\Core\Weather;

use Dripel\Core\Input\Check;

/** Rain where somebody rides, hour by hour, as it fell or is expected. mm. What no hour is known of is not taken to be dry. */
final readonly class Rain
{
    public const HOUR_S = 3600;

    /** @param array<int, float> $mm by the beginning of the hour, Unix seconds */
    public function __construct(private array $mm)
    {
        foreach ($mm as $hourS => $one) {
            Check::between('hour', $hourS % self::HOUR_S, 0, 0);
            Check::notNegative('mm', $one);
        }
    }

    /** mm between two instants, of an hour that is cut its part; null where an hour of it is not known. */
    public function between(int $fromS, int $untilS): ?float
    {
        $sum = 0.0;
        for ($hourS = $fromS - ($fromS % self::HOUR_S); $hourS < $untilS; $hourS += self::HOUR_S) {
            if (!isset($this->mm[$hourS])) {
                return null;
            }
            $share = (min($untilS, $hourS + self::HOUR_S) - max($fromS, $hourS)) / self::HOUR_S;
            $sum += $this->mm[$hourS] * $share;
        }

        return $sum;
    }
}
