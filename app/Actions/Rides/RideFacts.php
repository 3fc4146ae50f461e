<?php

declare(strict_types=1);

namespace App\Actions\Rides;

use App\Models\Bike;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Moment;

/** What is known about a ride: km and hours (null: unknown) as ridden. */
final readonly class RideFacts
{
    public function __construct(
        public Bike $bike,
        public Moment $at,
        public float $km,
        public ?float $hours,
        public Condition $condition,
    ) {}

    /** @return array<string, mixed> the columns of its row */
    public function columns(): array
    {
        return [
            'bike_id' => $this->bike->id,
            'at' => $this->at->unixS,
            'precision' => $this->at->precision,
            'km' => $this->km,
            'hours' => $this->hours,
            'condition' => $this->condition,
        ];
    }

    /** @return array<string, mixed> for the history */
    public function about(): array
    {
        return [
            'bike' => $this->bike->id, 'km' => $this->km, 'condition' => $this->condition->value,
            'at' => $this->at->unixS, 'day' => $this->at->precision->value,
        ];
    }
}
