<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Bath\BathState;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Plan\ChainSupply;
use Dripel\Core\Plan\GoodUntil;
use Dripel\Core\Plan\WetPath;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Wear\WearForecastResult;

/** One line of Next: what, for which bike and chains, until when, and the action that settles it. Codes, no sentences. */
final readonly class NextItem
{
    /**
     * @param list<ChainState> $chains the chains concerned, the subject first
     * @param string|null $date local day YYYY-MM-DD it should be done by, null: whenever it suits
     * @param bool $urgent goes before everything else, whatever its day
     * @param int|null $byS Unix seconds, where the hour matters
     * @param list<Ride> $rides that wait for something
     * @param OpenJob|JarState|BathState|ChainSupply|WearForecastResult|WetPath|GoodUntil|PotOfPlan|DripOfPlan|WaitingFiles|null $about what
     * its kind knows beyond that
     */
    public function __construct(
        public NextKind $kind,
        public ?int $bikeId,
        public array $chains,
        public ?string $date,
        public ?Verb $verb,
        public bool $late = false,
        public bool $urgent = false,
        public ?int $byS = null,
        public ?ChainState $swapTo = null,
        public array $rides = [],
        public OpenJob|JarState|BathState|ChainSupply|WearForecastResult|WetPath|GoodUntil|PotOfPlan|DripOfPlan|WaitingFiles|null $about = null,
    ) {}

    /** Whether it is worth a word to somebody who is not looking: it is for today, or late, and waiting costs something. */
    public function reminds(string $today): bool
    {
        return in_array(
            $this->kind,
            [NextKind::Bare, NextKind::Wet, NextKind::EventDip, NextKind::PlannedPot, NextKind::PlannedDrip],
            true,
        ) &&
            ($this->date === null || $this->date <= $today);
    }
}
