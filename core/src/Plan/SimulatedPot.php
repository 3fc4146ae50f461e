<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Bath\Vessel;
use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** The pot of a simulation: on which weekdays (from Monday), what everything takes in minutes, the vessel and what wax is in it (g). */
final readonly class SimulatedPot
{
    /**
     * @param list<bool> $weekdays seven of them
     *
     * @throws InvalidInput at the field
     */
    public function __construct(
        public array $weekdays,
        public float $fixedMinutes,
        public float $perDipMinutes,
        public float $batchMinutes,
        public ?int $capacity,
        public float $swapMinutes,
        public ?PlannedTopUp $topUp,
        public Vessel $vessel,
        public float $waxG,
        public float $pickupG = BathLedgerInput::PICKUP_G,
        public float $topUpWorkMinutes = PlanTerms::TOPUP_WORK_MINUTES,
        /** Whether chains are rinsed before they go in. */
        public bool $rinsed = true,
        /** Where dips are chosen: what a chain without wax is priced at when the plan of a fortnight ends; null: as plan.pot_days does. */
        public ?float $endMinutesPerChain = null,
    ) {
        count($weekdays) === 7 || throw new InvalidInput('weekdays', 'must be seven, from Monday');
        foreach (
            [
                'fixed_minutes' => $fixedMinutes,
                'per_dip_minutes' => $perDipMinutes,
                'batch_minutes' => $batchMinutes,
                'swap_minutes' => $swapMinutes,
                'topup_work_minutes' => $topUpWorkMinutes,
            ]
            as $field => $minutes
        ) {
            Check::notNegative($field, $minutes);
        }
        $endMinutesPerChain === null || Check::notNegative('end_minutes_per_chain', $endMinutesPerChain);
        $capacity === null || Check::between('capacity', $capacity, 1, PotDaysInput::MOST_CAPACITY);
        Check::positive('wax_g', $waxG);
        Check::positive('pickup_g', $pickupG);
    }

    /** The same where a chain without wax is priced at its share of a pot day of so many: house rule, those of a bike go in together. */
    public function shared(float $chains): self
    {
        $each = $this->perDipMinutes + $this->batchMinutes / max(1, $this->capacity ?? 1) + $this->fixedMinutes / max(1.0, $chains);

        /** @phpstan-ignore argument.type (the fields are its own) */
        return new self(...['endMinutesPerChain' => $each] + get_object_vars($this));
    }

    /** The same with so much wax in it, if there is less. */
    public function withAtLeast(float $waxG): self
    {
        /** @phpstan-ignore argument.type (the fields are its own) */
        return new self(...['waxG' => max($this->waxG, $waxG)] + get_object_vars($this));
    }

    public static function from(Fields $in): self
    {
        $in->only(
            'weekdays',
            'fixed_minutes',
            'per_dip_minutes',
            'batch_minutes',
            'capacity',
            'swap_minutes',
            'topup',
            'vessel',
            'wax_g',
            'pickup_g',
            'topup_work_minutes',
            'rinsed',
            'end_minutes_per_chain',
        );

        return new self(
            $in->yesOrNos('weekdays'),
            $in->number('fixed_minutes'),
            $in->number('per_dip_minutes'),
            $in->number('batch_minutes', 0.0),
            $in->wholeOrNull('capacity'),
            $in->number('swap_minutes', 0.0),
            $in->has('topup') ? $in->nestedOrNull('topup', PlannedTopUp::from(...)) : null,
            $in->nested('vessel', Vessel::from(...)),
            $in->number('wax_g'),
            $in->number('pickup_g', BathLedgerInput::PICKUP_G),
            $in->number('topup_work_minutes', PlanTerms::TOPUP_WORK_MINUTES),
            !$in->has('rinsed') || $in->yesOrNo('rinsed'),
            $in->has('end_minutes_per_chain') ? $in->numberOrNull('end_minutes_per_chain') : null,
        );
    }
}
