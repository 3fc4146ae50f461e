<?php

declare(strict_types=1);

namespace Tests\Feature\Archive;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** A workshop file with something in it that nobody would write, the same for the same seed. */
final readonly class Mutation
{
    private Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @param array<string, mixed> $file */
    public function of(array $file): string
    {
        for ($times = $this->random->getInt(1, 3); $times > 0; $times--) {
            $table = $this->pick(array_keys(array_filter($file['tables'])));
            $rows = $file['tables'][$table];
            $n = $this->random->getInt(0, count($rows) - 1);
            $column = $this->pick(array_keys($rows[$n]));
            match ($this->random->getInt(0, 9)) {
                0 => array_splice($file['tables'][$table], $n, 1),
                1 => ($file['tables'][$table][] = $rows[$n]),
                2 => ($file['tables'][$table][] = ['id' => 900_000 + $n] + $rows[$n]),
                3 => ($file['tables'][$table][$n][$column] = $this->pick($this->pick($file['tables'][$table]))),
                4 => ($file['tables'][$table][$n][$column] = is_array($rows[$n][$column])
                    ? $this->inside($rows[$n][$column])
                    : $this->nasty()),
                default => ($file['tables'][$table][$n][$column] = $this->nasty()),
            };
        }
        $json = (string) json_encode($file, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR);
        // Now and then bytes of it as a bad disk would leave them.
        for ($times = $this->random->getInt(0, 20) === 0 ? 5 : 0; $times > 0; $times--) {
            $json[$this->random->getInt(0, strlen($json) - 1)] = $this->pick(['0', '"', '}', '9', "\x00", 'e', '-']);
        }

        return $json;
    }

    /** @param array<mixed> $value */
    private function inside(array $value): mixed
    {
        if ($value === []) {
            return $this->nasty();
        }
        $key = $this->pick(array_keys($value));
        $value[$key] = is_array($value[$key]) ? $this->inside($value[$key]) : $this->nasty();

        return $value;
    }

    private function nasty(): mixed
    {
        return $this->pick([
            null,
            '',
            '..',
            '../../etc',
            '<script>alert(1)</script>',
            -1,
            0,
            1,
            0.5,
            -0.0,
            1e308,
            PHP_INT_MAX,
            PHP_INT_MIN,
            true,
            false,
            [],
            [[]],
            [1, 2],
            ['a' => 1],
            '2026-02-31',
            '2026-11-25',
            '25:00',
            '12',
            '12abc',
            'Mars/Olympus',
            'UTC',
            'chain',
            'muddy',
            'kind',
            str_repeat('x', 5000),
            "a\x00b",
            'ä€😀',
            253402300799,
            -62135596800,
            '1e3',
            [null],
            ['id' => null],
            99_999,
            '9e999',
        ]);
    }

    /**
     * @template T
     *
     * @param array<T> $of
     *
     * @return T
     */
    private function pick(array $of): mixed
    {
        $of = array_values($of);

        return $of[$this->random->getInt(0, count($of) - 1)];
    }
}
