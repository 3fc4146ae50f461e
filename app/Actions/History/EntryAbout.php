<?php

declare(strict_types=1);

namespace App\Actions\History;

use App\Logbook\EntryType;
use App\Models\BathEntry;
use App\Models\Entry;
use App\Models\JarEntry;

/** What the history says about a single entry. */
final class EntryAbout
{
    /** @return array<string, mixed> */
    public static function of(Entry $row): array
    {
        $columns = $row->getAttributes();

        return array_filter([
            'type' => EntryType::of($row)->value,
            'bike' => $columns['bike_id'] ?? null,
            match (true) {
                $row instanceof JarEntry => 'jar',
                $row instanceof BathEntry => 'pot',
                default => 'chain',
            } => $columns['component_id'] ?? null,
            'supply' => $columns['supply'] ?? null,
            'km' => $columns['km'] ?? null,
            'at' => $row->at,
            'day' => $row->precision->value,
        ], fn(mixed $value) => $value !== null);
    }
}
