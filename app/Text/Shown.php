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

    /**
     * Whether two values of a setting read the same in the form that shows them.
     *
     * @param string|int|float|list<mixed>|null $old
     * @param string|int|float|list<mixed>|null $new
     */
    public function same(SettingKey $key, string|int|float|array|null $old, string|int|float|array|null $new): bool
    {
        if ($old === $new || $old === null || $new === null) {
            return $old === $new;
        }
        if (is_array($old) || is_array($new)) {
            return is_array($old) &&
                is_array($new) &&
                match ($key) {
                    SettingKey::WeekSummer, SettingKey::WeekWinter => $this->kms($old, 1) === $this->kms($new, 1),
                    SettingKey::LifePoints => $this->points($old) === $this->points($new),
                    default => $old === $new,
                };
        }

        return match ($key) {
            SettingKey::IntervalKm, SettingKey::UsualIntervalKm, SettingKey::ChainDripKm => $this->sameKm((float) $old, (float) $new, 1),
            SettingKey::TargetLifeKm, SettingKey::PlainDripEveryKm, SettingKey::DeclinedKm => $this->sameKm((float) $old, (float) $new, 0),
            SettingKey::ChainMassG => round($this->units->fromGrams((float) $old), 2) === round($this->units->fromGrams((float) $new), 2),
            default => is_numeric($old) && is_numeric($new) && (float) $old === (float) $new,
        };
    }

    public function sameKm(float $oldKm, float $newKm, int $decimals): bool
    {
        return round($this->units->fromKm($oldKm), $decimals) === round($this->units->fromKm($newKm), $decimals);
    }

    /**
     * @param list<mixed> $kms
     *
     * @return list<float>
     */
    private function kms(array $kms, int $decimals): array
    {
        return array_map(fn(mixed $km) => round($this->units->fromKm(is_numeric($km) ? (float) $km : 0.0), $decimals), $kms);
    }

    /**
     * @param list<mixed> $points interval and life
     *
     * @return list<list<float>>
     */
    private function points(array $points): array
    {
        return array_map(
            fn(mixed $point) => is_array($point) ? [...$this->kms([$point[0] ?? 0], 1), ...$this->kms([$point[1] ?? 0], 0)] : [],
            $points,
        );
    }
}
