<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Entry;
use RuntimeException;

/** Somebody else changed or deleted the entry since it was looked at. Nothing was overwritten. */
final class VersionMoved extends RuntimeException
{
    /** @param array<string, mixed> $wanted what was about to be written */
    public function __construct(public readonly Entry $seen, public readonly ?Entry $current, public readonly array $wanted)
    {
        parent::__construct('The entry was changed elsewhere.');
    }

    /** @param array<string, mixed> $wanted */
    public static function of(Entry $seen, array $wanted): self
    {
        $current = $seen;
        while ($current !== null && $current->voided_by !== null) {
            $current = $seen
                ->newQuery()
                ->where('workshop_id', $seen->workshop_id)
                ->where('replaces_id', $current->id)
                ->orderByDesc('id')
                ->first();
        }

        return new self($seen, $current, $wanted);
    }
}
