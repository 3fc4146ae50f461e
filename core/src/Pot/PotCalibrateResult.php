<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

/** What part of its power a pot gives to the wax, what it loses (W/K), and how well that fits (°C, root mean square). */
final readonly class PotCalibrateResult
{
    public function __construct(public float $efficiency, public float $lossWPerK, public float $rmsC) {}

    /** @return array<string, float> */
    public function toArray(): array
    {
        return ['efficiency' => $this->efficiency, 'loss_w_per_k' => $this->lossWPerK, 'rms_c' => $this->rmsC];
    }
}
