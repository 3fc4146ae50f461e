<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

enum PartKind: string
{
    case Cassette = 'cassette';
    case Ring = 'ring';
    case JockeyWheels = 'jockey_wheels';
    case QuickLink = 'quick_link';

    /** Where it sits on a bike; null for what goes with a chain. */
    public function slot(): ?Slot
    {
        return match ($this) {
            self::Cassette => Slot::Cassette,
            self::Ring => Slot::Ring,
            self::JockeyWheels => Slot::JockeyWheels,
            self::QuickLink => null,
        };
    }
}
