<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\Condition;

/**
 * What a used part brought with it when it came into the workshop: its km so far, what is known of its wax, closings
 * of a quick link. Null is unknown: then figures are least values, never guesses.
 */
final readonly class Opening extends Event
{
    /** @throws InvalidInput at `km`, `since_wax_km` or `closings` if below 0, at `since_wax_km` if above `km` */
    public function __construct(
        int $id,
        Moment $moment,
        public int $componentId,
        public ?float $km,
        public WaxThen $wax = WaxThen::None,
        /** km since the last dip, ridden in the dry as far as is known; null unless the wax is known. */
        public ?float $sinceWaxKm = null,
        public ?int $closings = null,
    ) {
        $km === null || Check::notNegative('km', $km);
        $closings === null || Check::notNegative('closings', $closings);
        if ($sinceWaxKm !== null && Check::notNegative('since_wax_km', $sinceWaxKm) > ($km ?? INF) + Check::EPSILON) {
            throw new InvalidInput('since_wax_km', 'is more than the chain has run in all');
        }
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Opening;
    }

    /** Whether it came with wax on it, so that a wax cycle was under way. */
    public function waxed(): bool
    {
        return $this->wax !== WaxThen::None;
    }

    /** What was ridden on its wax before it came, as a ride in the dry; null if nothing was or nobody knows. */
    public function rideBefore(): ?Ride
    {
        return $this->wax === WaxThen::Known && $this->sinceWaxKm > 0.0
            ? new Ride(0, $this->moment, null, $this->sinceWaxKm, null, Condition::Dry)
            : null;
    }

    public function component(Fittings $fittings): int
    {
        return $this->componentId;
    }
}
