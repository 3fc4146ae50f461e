<?php

declare(strict_types=1);

namespace App\Http\Requests\Drip;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Logbook\SettingKey;

/** A bottle of drip wax, and what somebody sees to be left in it. */
final class BottleRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'name' => ['required', 'string', 'max:40'],
            'volume' => ['required', 'numeric', 'gt:0', 'lte:5000'],
            'left' => ['nullable', 'numeric', 'gte:0', 'lte:5000'],
            'opened' => ['nullable', 'date_format:Y-m-d'],
            'price' => ['nullable', 'numeric', 'between:0,100000'],
            'gone' => ['boolean'],
        ];
    }

    /** @return array<string, string|int|float|null> by SettingKey */
    public function settings(): array
    {
        return [
            SettingKey::BottleName->value => $this->string('name')->trim()->toString(),
            SettingKey::BottleVolumeMl->value => $this->float('volume'),
            SettingKey::BottleOpenedOn->value => $this->filled('opened') ? $this->string('opened')->toString() : null,
            SettingKey::BottlePrice->value => $this->filled('price')
                ? $this->translator()->quantities->toMinor($this->float('price'))
                : null,
            SettingKey::BottleGone->value => (int) $this->boolean('gone'),
        ];
    }

    /** Null: nobody looked. */
    public function leftMl(): ?float
    {
        return $this->filled('left') ? $this->float('left') : null;
    }
}
