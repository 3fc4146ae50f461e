<?php

declare(strict_types=1);

namespace App\Archive;

use Dripel\Core\Logbook\SettingKey;

/**
 * Lists among the settings, as they were kept before version 6 of the workshop file: a text with spaces between, "0 36 0", and with colons
 * where each entry is two, "200:25000 300:15000".
 */
final class TextLists
{
    public static function read(string $key, mixed $value): mixed
    {
        $setting = SettingKey::tryFrom($key);
        if (!is_string($value) || $setting === null || !$setting->isList()) {
            return $value;
        }
        $entries = preg_split('/\s+/', trim($value), -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return match ($setting) {
            SettingKey::BikeOddWeeks,
            SettingKey::PlanByHand,
            SettingKey::PlanPinned,
            SettingKey::PlanForbidden,
            SettingKey::ChainNotOn
                => $entries,
            SettingKey::PlanWeekdays => array_map(intval(...), $entries),
            SettingKey::LifePoints => array_map(fn(string $point) => array_map(floatval(...), explode(':', $point)), $entries),
            default => array_map(floatval(...), $entries),
        };
    }

    /**
     * What an action says about its changes.
     *
     * @param array<string, mixed> $about
     *
     * @return array<string, mixed>
     */
    public static function about(array $about): array
    {
        foreach (is_array($about['changed'] ?? null) ? $about['changed'] : [] as $key => $values) {
            $about['changed'][$key] = array_map(fn(mixed $value) => self::read((string) $key, $value), (array) $values);
        }

        return $about;
    }
}
