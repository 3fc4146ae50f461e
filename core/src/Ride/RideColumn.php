<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

/** What a column of a table of rides can hold. */
enum RideColumn: string
{
    /** The day, with or without the time of the start. */
    case Start = 'start';
    /** The time of the start, where the day stands alone. */
    case Time = 'time';
    case Distance = 'distance';
    /** How long it was ridden. */
    case Duration = 'duration';
    case Bike = 'bike';
    case Condition = 'condition';
    /** What the ride is called. */
    case Name = 'name';

    /** @return list<string> words by which its name is known, in small letters, the surest first */
    public function words(): array
    {
        return match ($this) {
            self::Start => ['start', 'date', 'day', 'datum'],
            self::Time => ['start time', 'time of day', 'uhrzeit'],
            self::Distance => ['distance', 'km', 'miles', 'distanz', 'strecke', 'afstand'],
            self::Duration => ['moving', 'duration', 'elapsed', 'hours', 'time', 'dauer', 'zeit'],
            self::Bike => ['bike', 'bicycle', 'gear', 'rad', 'fiets'],
            self::Condition => ['condition', 'weather', 'surface', 'wetter'],
            self::Name => ['name', 'title', 'activity', 'titel'],
        };
    }
}
