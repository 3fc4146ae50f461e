<?php

declare(strict_types=1);

namespace App\Actions\History;

use App\Logbook\About;
use App\Logbook\EntryType;
use App\Models\BathEntry;
use App\Models\Entry;
use App\Models\JarEntry;

/** What the history says about a single entry. */
final class EntryAbout
{
    /** @param int|null $to the instant that it is moved to */
    public static function of(Entry $row, ?int $to = null): About
    {
        $columns = $row->getAttributes();
        $component = $columns['component_id'] ?? null;

        return new About(
            bike: $columns['bike_id'] ?? null,
            chain: $row instanceof JarEntry || $row instanceof BathEntry ? null : $component,
            jar: $row instanceof JarEntry ? $component : null,
            pot: $row instanceof BathEntry ? $component : null,
            at: $row->at,
            day: $row->precision->value,
            to: $to,
            type: EntryType::of($row)->value,
            km: isset($columns['km']) ? (float) $columns['km'] : null,
            supply: $columns['supply'] ?? null,
        );
    }
}
