<?php

declare(strict_types=1);

namespace App\Weather;

use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Support\AppClock;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\WorkshopPlan;
use Dripel\Core\Weather\Rain;
use Dripel\Core\Weather\WetDay;
use Dripel\Core\Weather\WetterRide;

/** What the rain says of rides and of days to come. Nothing, unless somebody turned it on. */
final readonly class ReadWeather
{
    /** Rain of hours that matter may lie before what it is asked for. */
    public const BEFORE_S = 86400;

    public function __construct(private ReadBook $readBook, private AppClock $clock) {}

    public function kind(Workshop $workshop): ?WeatherKind
    {
        return WeatherKind::tryFrom($this->readBook->settings($workshop)->text(SettingKey::Weather, 0));
    }

    /** @return list<WetterRide> the newest first */
    public function wetterRides(Workshop $workshop): array
    {
        $nowS = $this->clock->unixS();
        $rain = $this->rain($workshop, $nowS - 86400 * WetterRide::DAYS - self::BEFORE_S, $nowS);

        return $rain === null ? [] : WetterRide::of(($this->readBook)($workshop), $rain, $nowS);
    }

    /** @return list<WetDay> day by day */
    public function wetDays(Workshop $workshop, WorkshopPlan $plan): array
    {
        $nowS = $this->clock->unixS();
        $rain = $this->rain($workshop, $nowS - self::BEFORE_S, $nowS + 86400 * (WetDay::DAYS + 1));

        return $rain === null ? [] : WetDay::of(($this->readBook)($workshop), $plan, $rain, $nowS);
    }

    /** Null: off. */
    public function rain(Workshop $workshop, int $fromS, int $untilS): ?Rain
    {
        return $this->kind($workshop)?->source()->rain($workshop, $fromS, $untilS);
    }
}
