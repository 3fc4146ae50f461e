<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Actions\Ride\RideFacts;
use App\Http\Requests\ActionRequest;
use App\Text\Units;
use Dripel\Core\Interval\Condition;
use Illuminate\Validation\Rule;

/** A ride that is meant, or a holiday. */
final class PlannedRideRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'bike_id' => [Rule::requiredIf(!$this->boolean('holiday')), 'nullable', 'integer'],
            'holiday' => ['boolean'],
            'from' => ['required', 'date_format:Y-m-d'],
            'until' => ['nullable', 'date_format:Y-m-d', 'after_or_equal:from'],
            'distance' => [Rule::requiredIf(!$this->boolean('holiday')), 'nullable', 'numeric', 'gt:0', 'lte:' . RideFacts::MAX_KM],
            'condition' => ['nullable', Rule::enum(Condition::class)],
            'name' => ['nullable', 'string', 'max:60'],
        ];
    }

    public function plannedKm(): float
    {
        return $this->boolean('holiday') ? 0.0 : Units::of($this->translator()->settings)->toKm($this->float('distance'));
    }

    public function condition(): ?Condition
    {
        return Condition::tryFrom($this->string('condition')->toString());
    }
}
