<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;

/** A cassette, chainring or quick link. */
final class Part extends Component
{
    protected static function booted(): void
    {
        self::addGlobalScope('kind', fn(Builder $query) => $query->where('kind', '!=', Chain::KIND));
    }
}
