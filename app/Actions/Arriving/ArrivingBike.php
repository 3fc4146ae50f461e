<?php

declare(strict_types=1);

namespace App\Actions\Arriving;

use App\Models\Bike;

/** A bike that comes in with its parts, or the one in the workshop that they are for. */
final readonly class ArrivingBike
{
    /**
     * @param Bike|array<string, string|int|float|list<mixed>|null> $bike settings by SettingKey for a new one
     * @param list<ArrivingPart> $parts
     */
    public function __construct(public Bike|array $bike, public array $parts) {}
}
