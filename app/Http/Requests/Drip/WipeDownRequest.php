<?php

declare(strict_types=1);

namespace App\Http\Requests\Drip;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Logbook\WipeDownKind;
use Illuminate\Validation\Rule;

/** What was done to a chain with a cloth, and when. */
final class WipeDownRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['care' => ['required', Rule::enum(WipeDownKind::class)], ...self::dayAndTime()];
    }

    public function care(): WipeDownKind
    {
        return WipeDownKind::from($this->string('care')->toString());
    }
}
