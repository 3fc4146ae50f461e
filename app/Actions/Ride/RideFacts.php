<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Exceptions\NotPossible;
use App\Logbook\About;
use App\Models\Bike;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Ride\RideRow;

/** What is known about a ride: km and hours (null: unknown) as ridden. */
final readonly class RideFacts
{
    /** More in one go is a slip of the finger or two files in one. */
    public const MAX_KM = RideRow::MOST_KM;

    /** @throws NotPossible at `distance` unless above 0 and at most 2000 km */
    public function __construct(
        /** Null: nobody says yet which one it was. */
        public ?Bike $bike,
        public Moment $at,
        public float $km,
        public ?float $hours,
        public Condition $condition,
    ) {
        if ($km <= 0 || $km > self::MAX_KM) {
            throw new NotPossible('distance', 'km_range');
        }
    }

    /** @return array<string, mixed> the columns of its row */
    public function columns(): array
    {
        return [
            'bike_id' => $this->bike?->id,
            'at' => $this->at->unixS,
            'precision' => $this->at->precision,
            'km' => $this->km,
            'hours' => $this->hours,
            'condition' => $this->condition,
        ];
    }

    /** @param array{km?: float, bike?: int|null, condition?: string}|null $was */
    public function about(?int $ride = null, bool $loud = false, bool $early = false, ?array $was = null): About
    {
        return new About(
            bike: $this->bike?->id,
            ride: $ride,
            was: $was,
            at: $this->at->unixS,
            day: $this->at->precision->value,
            km: $this->km,
            condition: $this->condition->value,
            loud: $loud,
            early: $early,
        );
    }
}
