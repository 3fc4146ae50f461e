<?php

declare(strict_types=1);

namespace App\Http\Requests\Bike;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Care\ConversionWay;
use Illuminate\Validation\Rule;

/** With which chain a bike goes from oil to wax. */
final class ConversionRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['way' => ['required', Rule::enum(ConversionWay::class)]];
    }

    public function way(): ConversionWay
    {
        return ConversionWay::from($this->string('way')->toString());
    }
}
