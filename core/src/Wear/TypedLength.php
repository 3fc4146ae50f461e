<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

/** A length as somebody types it who has the rule in the other hand: 585.4, 585,4 mm, 23 1/16", 12 1/16 in. */
final class TypedLength
{
    public const MM_PER_INCH = 25.4;

    /** Null where it is no length. */
    public static function mm(string $text): ?float
    {
        $number = fn(string $digits): float => (float) str_replace(',', '.', $digits);
        if (preg_match('/^\s*(\d+(?:[.,]\d+)?)\s*(mm)?\s*$/', $text, $found) === 1) {
            return $number($found[1]);
        }
        if (
            preg_match('/^\s*(\d+(?:[.,]\d+)?)(?:\s+(\d+)\s*\/\s*(\d+))?\s*(?:"|″|in|inch|inches)\s*$/u', $text, $found) !== 1 ||
            ($found[3] ?? '1') === '0'
        ) {
            return null;
        }

        return self::MM_PER_INCH * ($number($found[1]) + (isset($found[3]) ? (int) $found[2] / (int) $found[3] : 0.0));
    }
}
