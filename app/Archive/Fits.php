<?php

declare(strict_types=1);

namespace App\Archive;

use BackedEnum;
use Closure;

/** What a value of a workshop file may be: each gives a question, true where the value fits. */
final class Fits
{
    /** No logbook reaches further: 2100-01-01. */
    private const LAST_S = 4_102_444_800;

    private const LONGEST = 2000;

    /** @return Closure(mixed): bool */
    public static function whole(int $least = 0, int $most = 1_000_000_000): Closure
    {
        return fn(mixed $value): bool => is_int($value) && $value >= $least && $value <= $most;
    }

    /** @return Closure(mixed): bool */
    public static function instant(): Closure
    {
        return self::whole(0, self::LAST_S);
    }

    /** @return Closure(mixed): bool a finite number, in the unit of its column */
    public static function figure(float $least = 0.0, float $most = 1e7): Closure
    {
        return fn(mixed $value): bool => (is_int($value) || is_float($value)) && $value >= $least && $value <= $most;
    }

    /** @return Closure(mixed): bool more than nothing */
    public static function positive(float $most = 1e7): Closure
    {
        return self::figure(1e-6, $most);
    }

    /** @return Closure(mixed): bool */
    public static function flag(): Closure
    {
        return fn(mixed $value): bool => in_array($value, [0, 1, true, false], true);
    }

    /** @return Closure(mixed): bool without control characters */
    public static function text(int $most = self::LONGEST, int $least = 0): Closure
    {
        $plain = fn(string $text): bool => mb_check_encoding($text, 'UTF-8') && preg_match('/[\x00-\x08\x0B\x0C\x0E-\x1F]/', $text) === 0;

        return fn(mixed $value): bool => is_string($value) && $plain($value) && mb_strlen($value) >= $least && mb_strlen($value) <= $most;
    }

    /**
     * @param class-string<BackedEnum>|list<string|int|bool> $of
     *
     * @return Closure(mixed): bool
     */
    public static function one(string|array $of): Closure
    {
        $values = is_array($of) ? $of : array_map(fn(BackedEnum $case) => $case->value, $of::cases());

        return fn(mixed $value): bool => in_array($value, $values, true);
    }

    /** @return Closure(mixed): bool YYYY-MM-DD of a day that exists */
    public static function day(): Closure
    {
        return fn(mixed $value): bool => is_string($value) &&
            preg_match('/^(?:19|20)\d\d-\d\d-\d\d$/D', $value) === 1 &&
            checkdate((int) substr($value, 5, 2), (int) substr($value, 8), (int) substr($value, 0, 4));
    }

    /** @return Closure(mixed): bool HH:MM */
    public static function time(): Closure
    {
        return fn(mixed $value): bool => is_string($value) && preg_match('/^(?:[01]\d|2[0-3]):[0-5]\d$/D', $value) === 1;
    }

    /** @return Closure(mixed): bool of an action */
    public static function actionId(): Closure
    {
        return fn(mixed $value): bool => is_string($value) && preg_match('/^[0-9a-zA-Z-]{1,36}$/D', $value) === 1;
    }

    /**
     * @param Closure(mixed): bool $each
     *
     * @return Closure(mixed): bool
     */
    public static function list(Closure $each, int $least = 0, int $most = 1000): Closure
    {
        $all = fn(array $values): bool => array_filter($values, fn(mixed $one) => !$each($one)) === [];

        return fn(
            mixed $value,
        ): bool => is_array($value) && array_is_list($value) && count($value) >= $least && count($value) <= $most && $all($value);
    }

    /**
     * @param Closure(mixed): bool $fits
     *
     * @return Closure(mixed): bool
     */
    public static function orNull(Closure $fits): Closure
    {
        return fn(mixed $value): bool => $value === null || $fits($value);
    }
}
