<?php

declare(strict_types=1);

namespace Dripel\Core\Input;

use BackedEnum;
use Closure;
use JsonException;
use stdClass;

/**
 * A JSON object read strictly: every field has the type it should have, none is missing, none is misspelt.
 * Numbers in quotes, lists for objects, 1e999 and NaN are refused; what a field means is checked by the value it becomes.
 */
final readonly class Fields
{
    /** Deeper than any input of a model; keeps a hostile file from exhausting the stack. */
    private const MAX_DEPTH = 32;

    /** @param array<string, mixed> $values */
    private function __construct(private array $values) {}

    /** @throws InvalidInput at `input` unless the text is one JSON object */
    public static function fromJson(string $json): self
    {
        if (trim($json) === '') {
            throw new InvalidInput('input', 'is empty: a JSON object is expected');
        }
        try {
            $decoded = json_decode($json, false, self::MAX_DEPTH, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw new InvalidInput('input', 'is not valid JSON: ' . $e->getMessage());
        }

        return self::object('input', $decoded);
    }

    /** @throws InvalidInput if a field is there that is not among $names */
    public function only(string ...$names): self
    {
        foreach ($this->values as $name => $_) {
            if (!in_array($name, $names, true)) {
                throw new InvalidInput($name, 'is not a field here; the fields are ' . implode(', ', $names));
            }
        }

        return $this;
    }

    public function has(string $name): bool
    {
        return array_key_exists($name, $this->values);
    }

    public function number(string $name, ?float $default = null): float
    {
        return $this->has($name) || $default === null ? $this->asNumber($name, $this->value($name)) : $default;
    }

    public function numberOrNull(string $name): ?float
    {
        $value = $this->value($name);

        return $value === null ? null : $this->asNumber($name, $value);
    }

    public function whole(string $name): int
    {
        $value = $this->value($name);

        return match (true) {
            is_int($value) => $value,
            is_float($value) && floor($value) === $value && abs($value) < 2 ** 53 => (int) $value,
            default => throw new InvalidInput($name, 'must be a whole number'),
        };
    }

    /** Null where it is not there or null. */
    public function wholeOrNull(string $name): ?int
    {
        return $this->has($name) && $this->values[$name] !== null ? $this->whole($name) : null;
    }

    public function yesOrNo(string $name): bool
    {
        $value = $this->value($name);

        return is_bool($value) ? $value : throw new InvalidInput($name, 'must be true or false');
    }

    public function text(string $name): string
    {
        $value = $this->value($name);

        return is_string($value) ? $value : throw new InvalidInput($name, 'must be a text');
    }

    /** What a thing is called in an input: a text or a whole number. */
    public function id(string $name): string|int
    {
        $value = $this->value($name);

        return is_string($value) || is_int($value) ? $value : throw new InvalidInput($name, 'must be a text or a whole number');
    }

    /** @return list<float> */
    public function numbers(string $name): array
    {
        $value = $this->value($name);
        is_array($value) || throw new InvalidInput($name, 'must be a list of numbers');

        return array_map(
            fn(mixed $item, int $n) => $this->asNumber("{$name}.{$n}", $item),
            array_values($value),
            array_keys(array_values($value)),
        );
    }

    /** @return list<list<float>> */
    public function rows(string $name): array
    {
        $value = $this->value($name);
        is_array($value) || throw new InvalidInput($name, 'must be a list of lists of numbers');

        return array_map(
            function (mixed $row, int $n) use ($name): array {
                is_array($row) || throw new InvalidInput("{$name}.{$n}", 'must be a list of numbers');

                return array_map(
                    fn(mixed $item, int $m) => $this->asNumber("{$name}.{$n}.{$m}", $item),
                    array_values($row),
                    array_keys(array_values($row)),
                );
            },
            array_values($value),
            array_keys(array_values($value)),
        );
    }

    /** @return list<string|int> */
    public function ids(string $name): array
    {
        $value = $this->value($name);
        is_array($value) || throw new InvalidInput($name, 'must be a list of names');

        return array_map(
            fn(mixed $item, int $n) => is_string($item) || is_int($item)
                ? $item
                : throw new InvalidInput("{$name}.{$n}", 'must be a text or a whole number'),
            array_values($value),
            array_keys(array_values($value)),
        );
    }

    /** @return list<bool> */
    public function yesOrNos(string $name): array
    {
        $value = $this->value($name);
        is_array($value) || throw new InvalidInput($name, 'must be a list of true and false');

        return array_map(
            fn(mixed $item, int $n) => is_bool($item) ? $item : throw new InvalidInput("{$name}.{$n}", 'must be true or false'),
            array_values($value),
            array_keys(array_values($value)),
        );
    }

    public function time(string $name): IsoTime
    {
        return IsoTime::parse($name, $this->text($name));
    }

    /**
     * @template E of BackedEnum
     *
     * @param class-string<E> $enum
     *
     * @return E
     */
    public function choice(string $name, string $enum): BackedEnum
    {
        $cases = array_map(fn(BackedEnum $case): string => (string) $case->value, $enum::cases());
        $value = $this->value($name);

        return (is_string($value) ? $enum::tryFrom($value) : null) ??
            throw new InvalidInput($name, 'must be one of ' . implode(', ', $cases));
    }

    /**
     * @template T
     *
     * @param Closure(Fields): T $read
     *
     * @return T
     */
    public function nested(string $name, Closure $read): mixed
    {
        return self::inside($name, fn() => $read(self::object('', $this->value($name))));
    }

    /**
     * @template T
     *
     * @param Closure(Fields): T $read
     *
     * @return T|null null where the value is
     */
    public function nestedOrNull(string $name, Closure $read): mixed
    {
        return $this->value($name) === null ? null : $this->nested($name, $read);
    }

    /**
     * @template T
     *
     * @param Closure(Fields): T $read
     *
     * @return list<T>
     */
    public function list(string $name, Closure $read): array
    {
        $value = $this->value($name);
        if (!is_array($value)) {
            throw new InvalidInput($name, 'must be a list');
        }

        return array_map(
            fn(mixed $item, int $index) => self::inside("{$name}.{$index}", fn() => $read(self::object('', $item))),
            array_values($value),
            array_keys(array_values($value)),
        );
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->values));
    }

    private static function object(string $path, mixed $value): self
    {
        if (!($value instanceof stdClass)) {
            throw new InvalidInput($path, 'must be a JSON object');
        }
        $values = [];
        foreach (get_object_vars($value) as $name => $field) {
            $values[(string) $name] = $field;
        }

        return new self($values);
    }

    /**
     * @template T
     *
     * @param Closure(): T $read
     *
     * @return T
     */
    private static function inside(string $path, Closure $read): mixed
    {
        try {
            return $read();
        } catch (InvalidInput $e) {
            throw $e->within($path);
        }
    }

    private function value(string $name): mixed
    {
        return $this->has($name) ? $this->values[$name] : throw new InvalidInput($name, 'is missing');
    }

    private function asNumber(string $name, mixed $value): float
    {
        if (!is_int($value) && !is_float($value)) {
            throw new InvalidInput($name, 'must be a number');
        }

        return Check::finite($name, (float) $value);
    }
}
