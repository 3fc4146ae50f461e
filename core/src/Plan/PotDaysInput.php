<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** The days ahead, on which of them the pot may be heated, what everything takes in minutes, and the bikes. */
final readonly class PotDaysInput
{
    public const MOST_CAPACITY = 1000;

    /** A year and a bit. */
    public const MOST_DAYS = 400;

    /** Of a pot that takes any number, where a dip's share of a batch is asked for: house rule. */
    private const USUAL_CAPACITY = 4;

    /** What a chain without wax at the end of the days will cost: its dip and its share of a batch, where nobody says otherwise. */
    public float $endMinutesPerChain;

    /**
     * @param list<bool> $allowedDays one for each day
     * @param int|null $potCapacity chains in one batch; null: any number
     * @param list<PlannedBike> $bikes
     *
     * @throws InvalidInput at the field
     */
    public function __construct(
        public int $days,
        public array $allowedDays,
        public float $fixedMinutes,
        public float $perDipMinutes,
        public float $batchMinutes,
        public ?int $potCapacity,
        public float $swapMinutes,
        public ?PlannedTopUp $topUp,
        public array $bikes,
        /** @var list<int> days on which the pot is heated whatever it costs */
        public array $pinned = [],
        /** @var list<int> days that are taken only where nothing else will do, and as few of them as will */
        public array $reluctant = [],
        public DipRule $dips = DipRule::Used,
        ?float $endMinutesPerChain = null,
    ) {
        Check::between('days', $days, 1, self::MOST_DAYS);
        count($allowedDays) === $days || throw new InvalidInput('allowed_days', "must be one for each of the {$days} days");
        foreach (
            [
                'fixed_minutes' => $fixedMinutes,
                'per_dip_minutes' => $perDipMinutes,
                'batch_minutes' => $batchMinutes,
                'swap_minutes' => $swapMinutes,
            ]
            as $field => $minutes
        ) {
            Check::notNegative($field, $minutes);
        }
        $potCapacity === null || Check::between('pot_capacity', $potCapacity, 1, self::MOST_CAPACITY);
        $this->endMinutesPerChain =
            $endMinutesPerChain === null
                ? $perDipMinutes + $batchMinutes / ($potCapacity ?? self::USUAL_CAPACITY)
                : Check::notNegative('end_minutes_per_chain', $endMinutesPerChain);
        foreach ($bikes as $n => $bike) {
            foreach ($bike->chains as $m => $chain) {
                $chain->dipBy === null ||
                    $chain->dipBy < $days ||
                    throw new InvalidInput("bikes.{$n}.chains.{$m}.dip_by", "must be one of the {$days} days, the first is 0");
            }
            count($bike->dailyKm) === $days || throw new InvalidInput("bikes.{$n}.daily_km", "must be one for each of the {$days} days");
        }
        count(array_unique(array_map(fn(PlannedBike $bike) => $bike->id, $bikes))) === count($bikes) ||
            throw new InvalidInput('bikes', 'must each have an id of its own');
    }

    /** What a pot day with so many dips takes. */
    public function potMinutes(int $dips): float
    {
        return $this->fixedMinutes + $dips * $this->perDipMinutes + $this->batches($dips) * $this->batchMinutes;
    }

    public function batches(int $dips): int
    {
        return $dips === 0 ? 0 : ($this->potCapacity === null ? 1 : (int) ceil($dips / $this->potCapacity));
    }

    /** The same with or without the bottle. */
    public function withTopUp(?PlannedTopUp $topUp): self
    {
        return $this->with(['topUp' => $topUp]);
    }

    /** The same on any day, but on those that were not allowed only where nothing else will do. */
    public function reluctantly(): self
    {
        return $this->with(['allowedDays' => array_fill(0, $this->days, true), 'reluctant' => array_keys($this->allowedDays, false, true)]);
    }

    /** @param list<PlannedBike> $bikes */
    public function riding(array $bikes): self
    {
        return $this->with(['bikes' => $bikes]);
    }

    public static function from(Fields $in): self
    {
        $in->only(
            'days',
            'allowed_days',
            'fixed_minutes',
            'per_dip_minutes',
            'batch_minutes',
            'pot_capacity',
            'swap_minutes',
            'topup',
            'bikes',
            'dips',
            'end_minutes_per_chain',
        );

        return new self(
            $in->whole('days'),
            $in->yesOrNos('allowed_days'),
            $in->number('fixed_minutes'),
            $in->number('per_dip_minutes'),
            $in->number('batch_minutes', 0.0),
            $in->wholeOrNull('pot_capacity'),
            $in->number('swap_minutes', 0.0),
            $in->has('topup') ? $in->nestedOrNull('topup', PlannedTopUp::from(...)) : null,
            $in->list('bikes', PlannedBike::from(...)),
            dips: $in->has('dips') ? $in->choice('dips', DipRule::class) : DipRule::Used,
            endMinutesPerChain: $in->has('end_minutes_per_chain') ? $in->numberOrNull('end_minutes_per_chain') : null,
        );
    }

    /** @param array<string, mixed> $changes by the name of the field */
    private function with(array $changes): self
    {
        /** @phpstan-ignore argument.type (the fields are its own) */
        return new self(...[...get_object_vars($this), ...$changes]);
    }
}
