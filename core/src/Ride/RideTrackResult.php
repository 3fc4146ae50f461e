<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

/** What a recorded track says: start in Unix seconds (null without times), km, hours, and how much there was of it. */
final readonly class RideTrackResult
{
    public function __construct(
        public ?float $startS,
        public float $km,
        public ?float $movingHours,
        public ?float $elapsedHours,
        public int $points,
        public int $segments,
        /** The same track gives the same text, however its file is written: its shape and times, not its names. */
        public string $fingerprint,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'start' => $this->startS === null ? null : gmdate('Y-m-d\TH:i:s\Z', (int) floor($this->startS)),
            'km' => $this->km,
            'moving_hours' => $this->movingHours,
            'elapsed_hours' => $this->elapsedHours,
            'points' => $this->points,
            'segments' => $this->segments,
        ];
    }
}
