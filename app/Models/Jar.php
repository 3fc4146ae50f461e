<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;

/** A solvent jar: the component of kind `jar`. */
final class Jar extends Component
{
    public const KIND = 'jar';

    protected $attributes = ['kind' => self::KIND];

    protected static function booted(): void
    {
        self::addGlobalScope('kind', fn(Builder $query) => $query->where('kind', self::KIND));
    }
}
