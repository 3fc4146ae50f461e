<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** The readings of one chain, where it is now, its limit, and what was known before. km, %. */
final readonly class WearForecastInput
{
    public const HORIZON_KM = 100_000.0;

    /**
     * @param list<ForecastReading> $readings
     *
     * @throws InvalidInput at `limit_pct` or `horizon_km` unless above 0, at `now_km` below 0 or below a reading, at `readings` if
     *                      empty without a prior
     */
    public function __construct(
        public float $limitPct,
        public array $readings,
        public ?WearPrior $prior,
        public float $nowKm,
        public float $horizonKm = self::HORIZON_KM,
    ) {
        Check::positive('limit_pct', $limitPct);
        Check::notNegative('now_km', $nowKm);
        Check::positive('horizon_km', $horizonKm);
        $prior === null && Check::notEmpty('readings', $readings);
        foreach ($readings as $i => $reading) {
            $reading->km <= $nowKm + Check::EPSILON || throw new InvalidInput('now_km', "must not be below the km of readings.{$i}");
        }
    }

    public function with(ForecastReading $reading): self
    {
        return new self($this->limitPct, [...$this->readings, $reading], $this->prior, $this->nowKm, $this->horizonKm);
    }

    public function expecting(WearPrior $prior): self
    {
        return new self($this->limitPct, $this->readings, $prior, $this->nowKm, $this->horizonKm);
    }

    public static function from(Fields $in): self
    {
        $in->only('limit_pct', 'readings', 'prior', 'now_km', 'horizon_km');
        $prior = $in->nestedOrNull('prior', WearPrior::from(...));

        return new self(
            $in->number('limit_pct'),
            $in->list('readings', ForecastReading::from(...)),
            $prior,
            $in->number('now_km'),
            $in->number('horizon_km', self::HORIZON_KM),
        );
    }
}
