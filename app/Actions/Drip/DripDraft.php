<?php

declare(strict_types=1);

namespace App\Actions\Drip;

use Dripel\Core\Drip\BottleState;
use Dripel\Core\Drip\DripChoices;
use Dripel\Core\Drip\DripDoseResult;
use Dripel\Core\Drip\DripPlan;
use Dripel\Core\Logbook\ChainState;

/** A top-up planned with the chain and the bottle as they are. */
final readonly class DripDraft
{
    public function __construct(
        public ChainState $chain,
        public DripChoices $choices,
        public DripDoseResult $dose,
        public DripPlan $plan,
        public ?BottleState $bottle,
        /** Whether somebody counted the pitches. */
        public bool $counted,
        /** What the chain weighs, in g. */
        public float $chainG,
    ) {}
}
