<?php

declare(strict_types=1);

namespace App\Weather;

use App\Models\Workshop;
use Dripel\Core\Weather\Rain;

/** Where the rain of a workshop is known from. Nothing outside the machine is asked. */
interface WeatherSource
{
    /** As far as it is known: of what is not, the rain says so. */
    public function rain(Workshop $workshop, int $fromS, int $untilS): Rain;
}
