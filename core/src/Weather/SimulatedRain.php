<?php

declare(strict_types=1);

namespace Dripel\Core\Weather;

/**
 * The stand-in for a weather service: showers that come and go over an invented lowland, the same for the same seed whenever they are asked
 * for. About one hour of eight is wet, for some hours on end. It foretells nothing real.
 */
final readonly class SimulatedRain
{
    private const SPELL_HOURS = 6;

    /** Of spells, and of the hours within a wet one. */
    private const WET_SPELLS = 0.2;

    private const WET_HOURS = 0.65;

    private const MOST_MM = 4.0;

    public function __construct(private int $seed) {}

    public function between(int $fromS, int $untilS): Rain
    {
        $mm = [];
        for ($hourS = $fromS - ($fromS % Rain::HOUR_S); $hourS < $untilS; $hourS += Rain::HOUR_S) {
            $hour = intdiv($hourS, Rain::HOUR_S);
            $wet =
                $this->dice('spell', intdiv($hour, self::SPELL_HOURS)) < self::WET_SPELLS && $this->dice('hour', $hour) < self::WET_HOURS;
            $mm[$hourS] = $wet ? round(0.2 + self::MOST_MM * $this->dice('mm', $hour) ** 2, 1) : 0.0;
        }

        return new Rain($mm);
    }

    /** From 0 to 1. */
    private function dice(string $of, int $n): float
    {
        return hexdec(substr(hash('sha256', "{$this->seed} {$of} {$n}"), 0, 8)) / 0xffffffff;
    }
}
