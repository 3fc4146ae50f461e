<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\Temperature;

/** The temperatures of a bath, typed or sent. */
final readonly class ReadTemperatures
{
    private const MOST_POINTS = 240;

    public function hottest(int $potId, int $fromS, int $untilS): ?Temperature
    {
        return Temperature::query()
            ->where('pot_id', $potId)
            ->whereBetween('at', [$fromS, $untilS])
            ->orderByDesc('temp_c')
            ->orderBy('at')
            ->first();
    }

    public function latest(int $potId, int $fromS, int $untilS = PHP_INT_MAX): ?Temperature
    {
        return Temperature::query()
            ->where('pot_id', $potId)
            ->whereBetween('at', [$fromS, $untilS])
            ->orderByDesc('at')
            ->orderByDesc('id')
            ->first();
    }

    /** When it was first as hot as that; null: never, or nobody measured. */
    public function firstS(int $potId, float $celsius, int $fromS, int $untilS): ?int
    {
        $atS = Temperature::query()
            ->where('pot_id', $potId)
            ->whereBetween('at', [$fromS, $untilS])
            ->where('temp_c', '>=', $celsius)
            ->min('at');

        return is_numeric($atS) ? (int) $atS : null;
    }

    /** @return list<array{int, float}> instant and °C, thinned out to what a chart can show; of each stretch the hottest stays */
    public function curve(int $potId, int $fromS, int $untilS): array
    {
        $stretchS = max(1, intdiv($untilS - $fromS, self::MOST_POINTS));
        $rows = Temperature::query()
            ->where('pot_id', $potId)
            ->whereBetween('at', [$fromS, $untilS])
            ->selectRaw('max(at) as at, max(temp_c) as temp_c')
            ->groupByRaw('at / ?', [$stretchS])
            ->orderByRaw('min(at)')
            ->toBase()
            ->get();

        return array_values($rows->map(fn(object $row): array => [(int) $row->at, (float) $row->temp_c])->all());
    }
}
