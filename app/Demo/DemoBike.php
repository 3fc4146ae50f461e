<?php

declare(strict_types=1);

namespace App\Demo;

/** One bike of the demo and how it is ridden. */
final readonly class DemoBike
{
    /**
     * @param list<string> $inTurn letters of the chains that rotate
     * @param list<string> $asOld letters of further chains
     * @param array<int, float> $week km by weekday, 1 Monday to 7 Sunday
     * @param list<int> $months in which it is ridden
     */
    public function __construct(
        public string $name,
        public string $kind,
        public int $speeds,
        public float $intervalKm,
        public ?float $intervalHours,
        public string $school,
        public int $pitches,
        public array $inTurn,
        public array $asOld,
        public array $week,
        public string $startsAt,
        public float $kmh,
        public array $months,
        public float $wearPctPer1000Km,
    ) {}

    public function indoor(): bool
    {
        return $this->kind === 'indoor';
    }
}
