<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;

/** The wax in a pot since it was filled, while its book is read through; only BathLedger changes one. */
final class BathBatch
{
    /** House rules: a rinsed chain brings in less, and grit counts against this much wax. */
    private const RINSED = 0.3;

    private const GRIT_WAX_G = 500.0;

    private const KM_PER_GRIT = 1000.0;

    public float $oilG;

    public float $massG;

    public int $dips = 0;

    public float $grit = 0.0;

    public int $filterings = 0;

    public float $heaviestG = 0.0;

    public ?float $maxC = null;

    /** @var list<float> */
    private array $weighedG = [];

    public function __construct(BathEvent $fill)
    {
        [$this->oilG, $this->massG] = [$fill->oilG, $fill->waxG + $fill->oilG];
    }

    public function topUp(BathEvent $event): void
    {
        $before = $this->massG;
        $this->massG += $event->waxG + $event->oilG;
        $this->oilG += $event->oilG;
        $this->grit *= $before / $this->massG;
    }

    public function dip(BathEvent $event, float $pickupDefaultG): void
    {
        $beforeG = $this->massG;
        foreach ($event->chains as $i => $chain) {
            $this->take($chain->pickupG ?? ($chain->usualG ?? $this->meanPickupG($pickupDefaultG)), "chains.{$i}.pickup_g");
            $chain->pickupG === null || ($this->weighedG[] = $chain->pickupG);
            $this->dips++;
            $this->heaviestG = max($this->heaviestG, $chain->massG);
            $this->grit +=
                $beforeG <= 0.0
                    ? 0.0
                    : (($chain->effectiveKm / self::KM_PER_GRIT) * ($chain->rinsed ? self::RINSED : 1.0) * self::GRIT_WAX_G) / $beforeG;
        }
    }

    /** What leaves, leaves in proportion. */
    public function take(float $grams, string $field): void
    {
        if ($grams > $this->massG + Check::EPSILON) {
            throw new InvalidInput($field, sprintf('takes %.1f g of the %.1f g that are in the pot', $grams, $this->massG));
        }
        $left = max(0.0, $this->massG - $grams);
        $this->oilG = $this->massG > 0.0 ? ($this->oilG * $left) / $this->massG : 0.0;
        $this->massG = $left;
    }

    public function filter(BathEvent $event): void
    {
        $this->grit *= 1.0 - $event->removedFraction;
        $this->filterings++;
    }

    public function weighed(): bool
    {
        return array_sum($this->weighedG) > 0.0;
    }

    /** The mean of what was weighed in this batch so far, else the house rule. */
    public function meanPickupG(float $defaultG): float
    {
        $sumG = array_sum($this->weighedG);

        return $sumG > 0.0 ? $sumG / count($this->weighedG) : $defaultG;
    }
}
