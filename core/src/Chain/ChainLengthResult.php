<?php

declare(strict_types=1);

namespace Dripel\Core\Chain;

/** Pitches by geometry and by the handbook, and the even count to cut to. */
final readonly class ChainLengthResult
{
    public function __construct(public float $exactPitches, public float $handbookPitches, public int $pitches) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['exact_pitches' => $this->exactPitches, 'handbook_pitches' => $this->handbookPitches, 'pitches' => $this->pitches];
    }
}
