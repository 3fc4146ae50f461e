<?php

declare(strict_types=1);

namespace App\Http\Requests\Bike;

use App\Http\Requests\ActionRequest;

/** How a drivetrain is to be cleaned. */
final class CareRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['deep' => ['boolean'], 'painted' => ['boolean']];
    }
}
