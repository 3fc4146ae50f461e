<?php

declare(strict_types=1);

namespace App\Http\Requests\Drip;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Logbook\CareKind;
use Illuminate\Validation\Rule;

/** What was done to a chain with a cloth, and when. */
final class CareRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['care' => ['required', Rule::enum(CareKind::class)], ...self::dayAndTime()];
    }

    public function care(): CareKind
    {
        return CareKind::from($this->string('care')->toString());
    }
}
