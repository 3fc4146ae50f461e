<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;

/** A chain before the days that are planned: what it has used of its wax, in effective km and in hours, and until when it wants the pot. */
final readonly class PlannedChain
{
    /**
     * @param bool $bare without wax: it takes no ride and no top-up before its first dip
     * @param int $topUps since its last dip
     * @param int|null $dipBy the day on which it must have been in the pot, whatever it has left; null: none
     * @param int $dipFrom from which day on the pot counts for that
     * @param list<int> $notOn days on which it is not dipped
     */
    public function __construct(
        public string|int $id,
        public float $usedKm,
        public float $usedHours = 0.0,
        public bool $bare = false,
        public int $topUps = 0,
        public ?int $dipBy = null,
        public int $dipFrom = 0,
        public array $notOn = [],
    ) {
        Check::notNegative('used_km', $usedKm);
        Check::notNegative('used_hours', $usedHours);
        Check::between('topups', $topUps, 0, PlannedTopUp::MOST);
        $dipBy === null || Check::between('dip_by', $dipBy, 0, PotDaysInput::MOST_DAYS - 1);
    }

    public static function from(Fields $in): self
    {
        $in->only('id', 'used_km', 'used_hours', 'bare', 'topups', 'dip_by');

        return new self(
            $in->id('id'),
            $in->number('used_km'),
            $in->number('used_hours', 0.0),
            $in->has('bare') && $in->yesOrNo('bare'),
            $in->has('topups') ? $in->whole('topups') : 0,
            $in->wholeOrNull('dip_by'),
        );
    }
}
