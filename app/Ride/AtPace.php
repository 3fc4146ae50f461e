<?php

declare(strict_types=1);

namespace App\Ride;

use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Support\CurrentWorkshop;

/** How far a ride went of which only the time is known: as far as its bike usually gets in it. */
final readonly class AtPace
{
    public function __construct(private ReadBook $readBook, private CurrentWorkshop $current) {}

    /** @return float|null in km as ridden, to the tenth; null where nobody knows the bike, or none of its rides was timed */
    public function km(?Bike $bike, float $hours): ?float
    {
        $pace = $bike === null ? null : ($this->readBook)($this->current->workshop())->hoursPerKm($bike->id);

        return $pace === null ? null : max(0.1, round($hours / $pace, 1));
    }
}
