<?php

declare(strict_types=1);

namespace App\Http\Requests\PotDay;

use App\Http\Requests\ActionRequest;
use App\Logbook\Moments;

/** The record of a pot day as somebody puts it right; what is left empty is unknown. */
final class RecordRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'dips' => ['required', 'array', 'min:1', 'max:20'],
            'dips.*.id' => ['required', 'integer', 'distinct'],
            'dips.*.date' => ['required', 'date_format:Y-m-d'],
            'dips.*.time' => ['required', 'date_format:H:i'],
            'dips.*.soak' => ['nullable', 'numeric', 'between:0,1440'],
            'dips.*.temp' => ['nullable', 'numeric', 'between:0,400'],
            'dips.*.pickup' => ['nullable', 'numeric', 'between:0,200'],
            'dips.*.rinsed' => ['boolean'],
        ];
    }

    /** @return array<int, array{at: int, soak_s: int|null, temp_c: float|null, pickup_g: float|null, rinsed: bool}> by dip */
    public function dips(): array
    {
        $units = $this->translator()->quantities->units;
        $number = fn(mixed $value): ?float => is_numeric($value) ? (float) $value : null;
        $dips = [];
        foreach ($this->array('dips') as $dip) {
            [$soak, $temp, $pickup] = [$number($dip['soak'] ?? null), $number($dip['temp'] ?? null), $number($dip['pickup'] ?? null)];
            $dips[(int) $dip['id']] = [
                'at' => app(Moments::class)->local((string) $dip['date'], (string) $dip['time'], $this->translator()->zone())->unixS,
                'soak_s' => $soak === null ? null : (int) round(60 * $soak),
                'temp_c' => $temp === null ? null : $units->toCelsius($temp),
                'pickup_g' => $pickup === null ? null : $units->toGrams($pickup),
                'rinsed' => filter_var($dip['rinsed'] ?? false, FILTER_VALIDATE_BOOLEAN),
            ];
        }

        return $dips;
    }
}
