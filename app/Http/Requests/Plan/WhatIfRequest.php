<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\ActionRequest;
use App\Text\Units;
use Dripel\Core\Plan\Rotation;
use Dripel\Core\Plan\SimulatedPolicy;
use Dripel\Core\Wear\LimitSchool;
use Illuminate\Validation\Rule;

/** Up to four policies, side by side. */
final class WhatIfRequest extends ActionRequest
{
    public const MOST = 4;

    protected function fields(): array
    {
        return [
            'years' => ['required', 'integer', 'between:1,5'],
            'bike_id' => ['nullable', 'integer'],
            'policies' => ['required', 'array', 'min:1', 'max:' . self::MOST],
            'policies.*.interval' => ['required', 'numeric', 'gte:20', 'lte:2000'],
            'policies.*.chains' => ['nullable', 'integer', 'between:1,12'],
            'policies.*.rotation' => ['required', Rule::enum(Rotation::class)],
            'policies.*.limit' => ['nullable', Rule::enum(LimitSchool::class)],
            'policies.*.drip_only' => ['boolean'],
        ];
    }

    /** @return list<SimulatedPolicy> */
    public function policies(): array
    {
        $units = Units::of($this->translator()->settings);

        return array_map(
            fn(array $one) => new SimulatedPolicy(
                $units->toKm((float) $one['interval']),
                Rotation::from((string) $one['rotation']),
                isset($one['chains']) && is_numeric($one['chains']) ? (int) $one['chains'] : null,
                dripOnly: (bool) ($one['drip_only'] ?? false),
            ),
            array_values($this->array('policies')),
        );
    }

    /** @return list<LimitSchool|null> of each policy; null: each bike's own */
    public function schools(): array
    {
        return array_map(fn(array $one) => LimitSchool::tryFrom((string) ($one['limit'] ?? '')), array_values($this->array('policies')));
    }
}
