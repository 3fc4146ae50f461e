<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\Schema;

/** The rows of a table as every database gives them: numbers are numbers, yes and no are 1 and 0, and what is null is null. */
final readonly class PlainRows
{
    private const WHOLE = ['bool', 'boolean', 'tinyint', 'int2', 'int4', 'int8', 'integer', 'bigint'];

    private const BROKEN = ['float8', 'double', 'real', 'numeric', 'float'];

    /** @param array<string, string> $types by column */
    private function __construct(private array $types) {}

    public static function of(string $table, ?string $connection = null): self
    {
        return new self(array_column(Schema::connection($connection)->getColumns($table), 'type_name', 'name'));
    }

    /** @return array<string, mixed> */
    public function plain(object $row): array
    {
        $values = (array) $row;
        foreach ($values as $column => $value) {
            $type = $this->types[$column] ?? '';
            $values[$column] = match (true) {
                $value === null => null,
                in_array($type, self::WHOLE, true) => (int) $value,
                in_array($type, self::BROKEN, true) => (float) $value,
                default => $value,
            };
        }

        return $values;
    }
}
