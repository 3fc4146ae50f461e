<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

/** What cold chains do to a bath: °C and grams; how long until they are warm and the bath is back. Seconds and minutes. */
final readonly class PotDipResult
{
    public function __construct(
        public float $mixedC,
        public float $frozenG,
        public float $chainSeconds,
        public ?float $recoverMinutes,
        public float $soakMinutes,
        public bool $bathStaysLiquid,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'mixed_c' => $this->mixedC,
            'frozen_g' => $this->frozenG,
            'chain_seconds' => $this->chainSeconds,
            'recover_minutes' => $this->recoverMinutes,
            'soak_minutes' => $this->soakMinutes,
            'bath_stays_liquid' => $this->bathStaysLiquid,
        ];
    }
}
