<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Interval\Condition;

/**
 * "240 km since Monday": what a bike was ridden over some days, as far as is known. It covers what began after `fromS`
 * (Unix seconds) and up to its moment. Days are local, YYYY-MM-DD, both included.
 */
final readonly class Estimate
{
    public function __construct(
        public int $id,
        public Moment $moment,
        public int $bikeId,
        public int $fromS,
        public string $fromDate,
        public string $toDate,
        public float $km,
        public Condition $condition,
        /** What the bike's odometer showed at the end, if that is how the km are known. */
        public ?float $odometerKm = null,
    ) {}

    /** The same at its place among what was recorded: what came before it is known, what came after replaces. */
    public function recordedAs(int $sequence): self
    {
        return new self(
            $this->id,
            new Moment($this->moment->unixS, $this->moment->precision, $sequence),
            $this->bikeId,
            $this->fromS,
            $this->fromDate,
            $this->toDate,
            $this->km,
            $this->condition,
            $this->odometerKm,
        );
    }
}
