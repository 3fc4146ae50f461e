<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Logbook\PartKind;
use Illuminate\Database\Eloquent\Builder;

/** A cassette, chainring, pair of jockey wheels or quick link. */
final class Part extends Component
{
    protected static function booted(): void
    {
        self::addGlobalScope('kind', fn(Builder $query) => $query->whereIn('kind', PartKind::cases()));
    }
}
