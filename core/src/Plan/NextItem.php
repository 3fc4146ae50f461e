<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Bath\BathState;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Wear\WearForecastResult;

/** One line of Next: what, for which bike and chains, until when, and the action that settles it. Codes, no sentences. */
final readonly class NextItem
{
    /**
     * @param list<ChainState> $chains the chains concerned, the subject first
     * @param string|null $date local day YYYY-MM-DD it should be done by, null: whenever it suits
     * @param int|null $byS Unix seconds, where the hour matters
     */
    public function __construct(
        public NextKind $kind,
        public ?int $bikeId,
        public array $chains,
        public ?string $date,
        public ?int $byS,
        public bool $late,
        public ?Verb $verb,
        public ?ChainState $swapTo = null,
        public ?GoodUntil $goodUntil = null,
        /** @var list<Ride> the rides that wait for something */
        public array $rides = [],
        /** Goes before everything else, whatever its day. */
        public bool $urgent = false,
        public ?OpenJob $job = null,
        public ?JarState $jar = null,
        public ?BathState $bath = null,
        public ?ChainSupply $supply = null,
        public ?WearForecastResult $wear = null,
        public ?WetPath $wet = null,
        /** What is planned, with the plan that says so. */
        public ?PlannedPotDay $pot = null,
        public ?PlannedDrip $drip = null,
        public ?WorkshopPlan $plan = null,
        /** How many files wait. */
        public int $files = 0,
    ) {}

    /** Whether it is worth a word to somebody who is not looking: it is for today, or late, and waiting costs something. */
    public function reminds(string $today): bool
    {
        return in_array($this->kind, [NextKind::Bare, NextKind::Wet, NextKind::EventDip, NextKind::PlannedPot, NextKind::PlannedDrip], true) && ($this->date === null || $this->date <= $today);
    }
}
