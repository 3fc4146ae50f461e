<?php

declare(strict_types=1);

namespace App\Http\Requests\Cost;

use App\Http\Requests\ActionRequest;

/** What an hour of one's own time is worth. */
final class HourRequest extends ActionRequest
{
    protected function fields(): array
    {
        return ['hour' => ['nullable', 'numeric', 'between:0,1000']];
    }

    /** Null: nothing. */
    public function hourMinor(): ?int
    {
        $minor = $this->filled('hour') ? $this->translator()->quantities->toMinor($this->float('hour')) : 0;

        return $minor > 0 ? $minor : null;
    }
}
