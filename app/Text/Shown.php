<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Logbook\SettingKey;

/**
 * How far forms show a stored quantity: what still reads the same was not touched, and what is stored does not move by the rounding of a
 * unit.
 */
final readonly class Shown
{
    public function __construct(private Units $units) {}

    /** Whether two values of a setting read the same in the form that shows them. */
    public function same(SettingKey $key, string|int|float|null $old, string|int|float|null $new): bool
    {
        if ($old === $new || $old === null || $new === null) {
            return $old === $new;
        }

        return match ($key) {
            SettingKey::IntervalKm, SettingKey::UsualIntervalKm, SettingKey::ChainDripKm => $this->sameKm((float) $old, (float) $new, 1),
            SettingKey::TargetLifeKm, SettingKey::PlainDripEveryKm, SettingKey::DeclinedKm => $this->sameKm((float) $old, (float) $new, 0),
            SettingKey::ChainMassG => round($this->units->fromGrams((float) $old), 2) === round($this->units->fromGrams((float) $new), 2),
            SettingKey::WeekSummer, SettingKey::WeekWinter => $this->list((string) $old, 1) === $this->list((string) $new, 1),
            SettingKey::LifePoints => $this->samePoints((string) $old, (string) $new),
            default => is_numeric($old) && is_numeric($new) && (float) $old === (float) $new,
        };
    }

    public function sameKm(float $oldKm, float $newKm, int $decimals): bool
    {
        return round($this->units->fromKm($oldKm), $decimals) === round($this->units->fromKm($newKm), $decimals);
    }

    /** @return list<float> */
    private function list(string $kms, int $decimals): array
    {
        return array_map(fn(string $km) => round($this->units->fromKm((float) $km), $decimals), preg_split('/\s+/', trim($kms), -1, PREG_SPLIT_NO_EMPTY) ?: []);
    }

    private function samePoints(string $old, string $new): bool
    {
        $read = fn(string $points): array => array_map(fn(string $point): array => [$this->list(explode(':', $point)[0], 1), $this->list(explode(':', $point)[1] ?? '', 0)], preg_split('/\s+/', trim($points), -1, PREG_SPLIT_NO_EMPTY) ?: []);

        return $read($old) === $read($new);
    }
}
