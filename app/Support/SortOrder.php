<?php

declare(strict_types=1);

namespace App\Support;

/** In which order a table was asked for: by a column; with a minus before it the largest first. */
final readonly class SortOrder
{
    public string $column;

    private int $sign;

    public function __construct(string $asked)
    {
        $this->column = ltrim($asked, '-');
        $this->sign = str_starts_with($asked, '-') ? -1 : 1;
    }

    /**
     * @template T
     *
     * @param list<T> $rows
     * @param callable(T): (string|int|float) $key asked once for each
     *
     * @return list<T> those that are alike stay as they were
     */
    public function by(array $rows, callable $key): array
    {
        $keys = array_map($key, $rows);
        uasort($keys, fn(string|int|float $a, string|int|float $b) => $this->sign * ($a <=> $b));

        return array_map(fn(int $row) => $rows[$row], array_keys($keys));
    }
}
