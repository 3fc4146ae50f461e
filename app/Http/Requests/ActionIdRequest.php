<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A form with nothing but the id of its action. */
final class ActionIdRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [];
    }
}
