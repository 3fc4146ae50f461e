<?php

declare(strict_types=1);

namespace App\Http\Requests\Ride;

use App\Actions\Ride\RideFacts;
use App\Exceptions\NotPossible;
use App\Http\Requests\ActionRequest;
use App\Models\Ride;
use App\Ride\AtPace;
use App\Text\Duration;
use Closure;
use Dripel\Core\Interval\Condition;
use Illuminate\Validation\Rule;

/** A ride as it is typed: a day, perhaps a time; a distance in the workshop's unit, hours, or both. */
final class RideRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            // Null: nobody says yet which one it was.
            'bike_id' => ['present', 'nullable', 'integer'],
            'date' => ['required', 'date_format:Y-m-d'],
            'time' => ['nullable', 'date_format:H:i'],
            'distance' => ['required_without:hours', 'nullable', 'numeric', 'gt:0'],
            'hours' => [
                'nullable',
                'string',
                function (string $attribute, mixed $value, Closure $fail): void {
                    Duration::hours((string) $value) ?? $fail('validation.duration')->translate();
                },
            ],
            'condition' => ['required', Rule::enum(Condition::class)],
            'loud' => ['boolean'],
        ];
    }

    /** @param Ride|null $seen that is put right */
    public function facts(?Ride $seen = null): RideFacts
    {
        $bike = $this->bikeIfNamed();
        $hours = $this->hoursIfNamed('hours', $seen?->hours);

        return new RideFacts(
            $bike,
            $this->moment(),
            $this->kmIfNamed('distance', $seen?->km, 2) ??
                (app(AtPace::class)->km($bike, (float) $hours) ?? throw new NotPossible('distance', 'no_pace')),
            $hours,
            Condition::from($this->string('condition')->toString()),
        );
    }
}
