<?php

declare(strict_types=1);

namespace App\Weather;

use App\Models\Workshop;
use App\Support\WriteTransaction;
use Dripel\Core\Weather\Rain;
use Dripel\Core\Weather\RainTable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Rain that was taken from tables. It is no entry of the logbook: what it leads to is. A later table says better of the hours in it.
 */
final readonly class KeptRain implements WeatherSource
{
    private const ROWS_AT_ONCE = 400;

    public function rain(Workshop $workshop, int $fromS, int $untilS): Rain
    {
        return new Rain(
            self::hours(
                self::of($workshop)
                    ->where('at', '>', $fromS - Rain::HOUR_S)
                    ->where('at', '<', $untilS),
            ),
        );
    }

    /** All that is known. */
    public function all(Workshop $workshop): RainTable
    {
        return new RainTable(self::hours(self::of($workshop)->orderBy('at')));
    }

    public function keep(Workshop $workshop, RainTable $table): void
    {
        WriteTransaction::run(function () use ($workshop, $table): void {
            $rows = array_map(
                fn(int $atS, float $mm) => ['workshop_id' => $workshop->id, 'at' => $atS, 'mm' => $mm],
                array_keys($table->mm),
                $table->mm,
            );
            foreach (array_chunk($rows, self::ROWS_AT_ONCE) as $some) {
                DB::table('rain_hours')->upsert($some, ['workshop_id', 'at'], ['mm']);
            }
        });
    }

    public function forget(Workshop $workshop): void
    {
        self::of($workshop)->delete();
    }

    /** @return array{int, int, int}|null how many hours are known, the first and the last of them, Unix seconds; null: none */
    public function known(Workshop $workshop): ?array
    {
        $known = self::of($workshop)->selectRaw('count(*) as hours, min(at) as first, max(at) as last')->first();

        return $known === null || (int) $known->hours === 0 ? null : [(int) $known->hours, (int) $known->first, (int) $known->last];
    }

    /** @return array<int, float> */
    private static function hours(Builder $rows): array
    {
        $mm = [];
        foreach ($rows->get(['at', 'mm']) as $row) {
            $mm[(int) $row->at] = (float) $row->mm;
        }

        return $mm;
    }

    private static function of(Workshop $workshop): Builder
    {
        return DB::table('rain_hours')->where('workshop_id', $workshop->id);
    }
}
