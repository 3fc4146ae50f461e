<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

/** When all is liquid and when the target is reached, in minutes (null: never), where it would end, and the way there. */
final readonly class PotHeatResult
{
    /** @param list<HeatPoint> $curve */
    public function __construct(
        public ?float $minutesToLiquid,
        public ?float $minutesToTarget,
        public ?float $equilibriumC,
        public array $curve,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'minutes_to_liquid' => $this->minutesToLiquid,
            'minutes_to_target' => $this->minutesToTarget,
            'equilibrium_c' => $this->equilibriumC,
            'curve' => array_map(fn(HeatPoint $point) => $point->toArray(), $this->curve),
        ];
    }
}
