<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/**
 * A bike as it is when a simulation begins: its week (km as ridden, from Monday), how much wax a km takes, its chains, and where it goes by
 * hours too the hours of a coat and of a km.
 */
final readonly class SimulatedBike
{
    /** What the ids of the chains begin with that are bought on the way. */
    public const BOUGHT = 'new ';

    /**
     * @param list<float> $weekKm seven of them
     * @param non-empty-list<array{id: string|int, wear_pct: float, used_km: float, km?: float, used_hours?: float}> $chains used_km, used_hours:
     *        since the dip, km effective; km: ridden in all
     * @param float $ratePctPer1000Km wear at the interval `rateIntervalKm`
     *
     * @throws InvalidInput at the field
     */
    public function __construct(
        public string|int $id,
        public array $weekKm,
        public float $factor,
        public float $limitPct,
        public float $ratePctPer1000Km,
        public float $rateIntervalKm,
        public array $chains,
        public string|int $onBike,
        public ?float $intervalHours = null,
        public float $hoursPerKm = 0.0,
    ) {
        $intervalHours === null || Check::positive('interval_hours', $intervalHours);
        Check::notNegative('hours_per_km', $hoursPerKm);
        count($weekKm) === 7 || throw new InvalidInput('week_km', 'must be seven distances, from Monday');
        foreach ($weekKm as $day => $km) {
            Check::notNegative("week_km.{$day}", $km);
        }
        foreach (
            [
                'factor' => $factor,
                'limit_pct' => $limitPct,
                'rate_pct_per_1000km' => $ratePctPer1000Km,
                'rate_interval_km' => $rateIntervalKm,
            ]
            as $field => $value
        ) {
            Check::positive($field, $value);
        }
        $seen = [];
        foreach ($chains as $n => $chain) {
            $id = (string) $chain['id'];
            !isset($seen[$id]) || throw new InvalidInput("chains.{$n}.id", 'must be its own: another chain has it');
            preg_match('/^' . self::BOUGHT . '\d+$/', $id) !== 1 ||
                throw new InvalidInput(
                    "chains.{$n}.id",
                    'must not be “' . self::BOUGHT . '” and a number: so are the chains called that are bought on the way',
                );
            $seen[$id] = true;
        }
        in_array($onBike, array_column($chains, 'id'), true) || throw new InvalidInput('on_bike', 'must be one of its chains');
    }

    /** The same with its chains retired at another limit. */
    public function upTo(float $limitPct): self
    {
        return new self(
            $this->id,
            $this->weekKm,
            $this->factor,
            $limitPct,
            $this->ratePctPer1000Km,
            $this->rateIntervalKm,
            $this->chains,
            $this->onBike,
            $this->intervalHours,
            $this->hoursPerKm,
        );
    }

    public static function from(Fields $in): self
    {
        $in->only(
            'id',
            'week_km',
            'factor',
            'limit_pct',
            'rate_pct_per_1000km',
            'rate_interval_km',
            'chains',
            'on_bike',
            'interval_hours',
            'hours_per_km',
        );

        return new self(
            $in->id('id'),
            $in->numbers('week_km'),
            $in->number('factor', 1.0),
            $in->number('limit_pct'),
            $in->number('rate_pct_per_1000km'),
            $in->number('rate_interval_km'),
            Check::notEmpty(
                'chains',
                $in->list('chains', function (Fields $chain): array {
                    $chain->only('id', 'wear_pct', 'used_km', 'km', 'used_hours');

                    return [
                        'id' => $chain->id('id'),
                        'wear_pct' => Check::notNegative('wear_pct', $chain->number('wear_pct')),
                        'used_km' => Check::notNegative('used_km', $chain->number('used_km')),
                        'km' => Check::notNegative('km', $chain->number('km', 0.0)),
                        'used_hours' => Check::notNegative('used_hours', $chain->number('used_hours', 0.0)),
                    ];
                }),
            ),
            $in->id('on_bike'),
            $in->has('interval_hours') ? $in->numberOrNull('interval_hours') : null,
            $in->number('hours_per_km', 0.0),
        );
    }
}
