<?php

declare(strict_types=1);

namespace App\Http\Requests\Chain;

use App\Http\Requests\ActionRequest;

/** Which chain has really been on since when. */
final class CorrectionRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['chain_id' => ['required', 'integer'], 'exchange' => ['boolean'], ...self::dayAndTime()];
    }
}
