<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Action;
use App\Models\Workshop;
use App\Support\AppClock;
use Dripel\Core\Interval\Condition;

/** Which chain a ride that was just logged has left wet. */
final readonly class WetChain
{
    public function __construct(private ReadBook $readBook, private AppClock $clock) {}

    /** Null where it was dry, or something was done about it since. */
    public function __invoke(Workshop $workshop, Action $action): ?int
    {
        $about = $action->about;
        if ($about->bike === null || $about->condition === null || $about->at === null || !Condition::from($about->condition)->soaks()) {
            return null;
        }
        $book = ($this->readBook)($workshop->refresh());
        $chainId = $book->fittings()->componentOn($about->bike, $about->at);
        $wet = $chainId === null ? null : $book->chain($chainId, $this->clock->unixS())->dryness->wetRide;

        return $wet !== null && $wet->id === $about->ride ? $chainId : null;
    }
}
