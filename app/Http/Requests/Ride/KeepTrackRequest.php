<?php

declare(strict_types=1);

namespace App\Http\Requests\Ride;

use App\Actions\Ride\RideFacts;
use App\Http\Requests\ActionRequest;
use App\Logbook\Moments;
use App\Models\Track;
use Dripel\Core\Interval\Condition;
use Illuminate\Validation\Rule;

/** What a track does not say itself: the bike, the condition, and the day if it has no times. */
final class KeepTrackRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            // Null: nobody says yet which one it was.
            'bike_id' => ['present', 'nullable', 'integer'],
            'condition' => ['required', Rule::enum(Condition::class)],
            'date' => ['nullable', 'date_format:Y-m-d'],
            'time' => ['nullable', 'date_format:H:i'],
            'loud' => ['boolean'],
        ];
    }

    public function facts(Track $track): RideFacts
    {
        return new RideFacts(
            $this->bikeIfNamed(),
            $track->start === null ? $this->moment() : app(Moments::class)->notAhead($track->start, 'file'),
            $track->km,
            $track->moving_hours === null || $track->moving_hours <= 0 ? null : $track->moving_hours,
            Condition::from($this->string('condition')->toString()),
        );
    }
}
