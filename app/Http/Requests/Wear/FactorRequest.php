<?php

declare(strict_types=1);

namespace App\Http\Requests\Wear;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Interval\Condition;
use Illuminate\Validation\Rule;

/** Whether what was learned of a condition is taken, and for the past as well. */
final class FactorRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['condition' => ['required', Rule::enum(Condition::class)], 'accept' => ['required', 'boolean'], 'past' => ['boolean']];
    }

    public function condition(): Condition
    {
        return $this->enum('condition', Condition::class) ?? Condition::Dry;
    }
}
