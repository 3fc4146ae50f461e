<?php

declare(strict_types=1);

namespace App\Http\Requests\Pot;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Logbook\SettingKey;

/** How strong a pot is, read from its plate while a pot day is planned. */
final class PowerRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'low' => ['nullable', 'numeric', 'between:1,3000'],
            'high' => ['nullable', 'numeric', 'between:1,3000', 'required_without:low'],
        ];
    }

    /** @return array<string, float> by SettingKey: those that were typed */
    public function settings(): array
    {
        return array_map(
            fn(string $field) => $this->float($field),
            array_filter(
                [SettingKey::PotLowW->value => 'low', SettingKey::PotHighW->value => 'high'],
                fn(string $field) => $this->filled($field),
            ),
        );
    }
}
