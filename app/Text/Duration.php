<?php

declare(strict_types=1);

namespace App\Text;

/** Durations as people write them: 2:15, 2 h 15, 2.25, 135 min. */
final class Duration
{
    /** @return float|null hours, above 0 and at most two days; null if it cannot be read */
    public static function hours(string $text): ?float
    {
        $text = str_replace(',', '.', mb_strtolower(trim($text)));
        $hours = match (1) {
            preg_match('/^(\d+)\s*(?::|h)\s*([0-5]?\d)\s*(?:min)?$/u', $text, $m) => (int) $m[1] + (int) $m[2] / 60,
            preg_match('/^(\d+(?:\.\d+)?)\s*h?$/u', $text, $m) => (float) $m[1],
            preg_match('/^(\d+)\s*min$/u', $text, $m) => (int) $m[1] / 60,
            default => 0.0,
        };

        return $hours > 0 && $hours <= 48 ? $hours : null;
    }
}
