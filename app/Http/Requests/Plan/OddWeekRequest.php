<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\ActionRequest;
use App\Models\Bike;
use Closure;
use Dripel\Core\Logbook\SettingKey;

/** A week of a bike that says nothing of how it is usually ridden, or does again. */
final class OddWeekRequest extends ActionRequest
{
    /** So many are kept; no habit looks back further. */
    private const MOST = 60;

    protected function fields(): array
    {
        return [
            'monday' => [
                'required',
                'date_format:Y-m-d',
                fn(string $field, mixed $value, Closure $fail) => gmdate('N', (int) strtotime("{$value} UTC")) === '1' ||
                    $fail((string) __('errors.monday')),
            ],
            'out' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, list<string>|null> by SettingKey */
    public function settings(Bike $bike): array
    {
        $monday = $this->string('monday')->toString();
        $weeks = array_filter($this->translator()->settings->oddWeeks($bike->id), fn(string $other) => $other !== $monday);
        $this->boolean('out') && ($weeks[] = $monday);
        sort($weeks);

        return [SettingKey::BikeOddWeeks->value => array_slice($weeks, -self::MOST) ?: null];
    }
}
