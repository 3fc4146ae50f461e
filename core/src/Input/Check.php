<?php

declare(strict_types=1);

namespace Dripel\Core\Input;

/** Guards for constructors: each returns the value it was given, or throws InvalidInput at the field's name. */
final class Check
{
    /** Slack for comparing a sum or quotient of doubles with a limit. */
    public const EPSILON = 1e-9;

    private const ABSOLUTE_ZERO_C = -273.15;

    /** @throws InvalidInput unless finite */
    public static function finite(string $field, float $value): float
    {
        return is_finite($value) ? $value : throw new InvalidInput($field, 'must be a finite number');
    }

    /** @throws InvalidInput unless finite and above 0 */
    public static function positive(string $field, float $value): float
    {
        return self::finite($field, $value) > 0 ? $value : throw new InvalidInput($field, 'must be above 0');
    }

    /** @throws InvalidInput unless finite and at least 0 */
    public static function notNegative(string $field, float $value): float
    {
        return self::finite($field, $value) >= 0 ? $value : throw new InvalidInput($field, 'must be 0 or more');
    }

    /** @throws InvalidInput unless finite and at least absolute zero */
    public static function temperature(string $field, float $celsius): float
    {
        return self::finite($field, $celsius) >= self::ABSOLUTE_ZERO_C
            ? $celsius
            : throw new InvalidInput($field, 'must not be below −273.15');
    }

    /** @throws InvalidInput unless between $least and $most, both allowed */
    public static function between(string $field, int $value, int $least, int $most): int
    {
        return $value >= $least && $value <= $most
            ? $value
            : throw new InvalidInput($field, "must be a whole number from {$least} to {$most}");
    }

    /**
     * @template T
     *
     * @param list<T> $values
     *
     * @return non-empty-list<T>
     *
     * @throws InvalidInput if empty
     */
    public static function notEmpty(string $field, array $values): array
    {
        return $values !== [] ? $values : throw new InvalidInput($field, 'must have at least one entry');
    }
}
