<?php

declare(strict_types=1);

namespace App\Http\Requests\Ride;

use Dripel\Core\Interval\Condition;
use Illuminate\Validation\Rule;

/** Rides that were of another kind. */
final class ConditionRequest extends ManyRidesRequest
{
    protected function fields(): array
    {
        return ['condition' => ['required', Rule::enum(Condition::class)]] + parent::fields();
    }

    public function condition(): Condition
    {
        return Condition::from($this->string('condition')->toString());
    }
}
