<?php

declare(strict_types=1);

namespace App\Http\Requests\Pot;

use App\Exceptions\NotPossible;
use App\Http\Requests\ActionRequest;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Pot\PotKind;
use Dripel\Core\Pot\PotLay;
use Dripel\Core\Pot\WaxKind;
use Illuminate\Validation\Rule;

/** A pot: its kind, its inside, its power, and what wax is in it. */
final class PotRequest extends ActionRequest
{
    /** What somebody may come with, and is refused with the reason. */
    public const STOVE = 'stove';

    protected function fields(): array
    {
        return [
            'name' => ['required', 'string', 'max:40'],
            'kind' => ['required', Rule::in([...array_column(PotKind::cases(), 'value'), self::STOVE])],
            'diameter' => ['required', 'numeric', 'between:40,500'],
            'height' => ['required', 'numeric', 'between:20,500'],
            'low' => ['nullable', 'numeric', 'between:1,3000'],
            'high' => ['nullable', 'numeric', 'between:1,3000'],
            'wax' => ['required', Rule::enum(WaxKind::class)],
            'lay' => ['nullable', Rule::enum(PotLay::class)],
            'at_once' => ['nullable', 'integer', 'between:1,12'],
            'for_races' => ['boolean'],
            'gone' => ['boolean'],
            'flash' => ['nullable', 'numeric', 'between:30,400'],
        ];
    }

    /** @return array<string, string|int|float|null> by SettingKey; refused with NotPossible at `kind` for a bare stove */
    public function settings(): array
    {
        $this->input('kind') !== self::STOVE || throw new NotPossible('kind', 'pot_stove');
        $number = fn(string $field): ?float => $this->filled($field) ? $this->float($field) : null;

        return [
            SettingKey::PotName->value => $this->string('name')->trim()->toString(),
            SettingKey::PotKind->value => $this->string('kind')->toString(),
            SettingKey::PotDiameterMm->value => $number('diameter'),
            SettingKey::PotHeightMm->value => $number('height'),
            SettingKey::PotLowW->value => $number('low'),
            SettingKey::PotHighW->value => $number('high'),
            SettingKey::PotLay->value => $this->filled('lay') ? $this->string('lay')->toString() : PotLay::Coiled->value,
            SettingKey::PotAtOnce->value => $this->filled('at_once') ? $this->integer('at_once') : null,
            SettingKey::PotForRaces->value => (int) $this->boolean('for_races'),
            SettingKey::PotGone->value => (int) $this->boolean('gone'),
            SettingKey::PotWax->value => $this->string('wax')->toString(),
            SettingKey::PotFlashC->value => $this->filled('flash')
                ? $this->translator()->quantities->units->toCelsius($this->float('flash'))
                : null,
        ];
    }
}
