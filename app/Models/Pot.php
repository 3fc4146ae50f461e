<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;

/** A pot: the component of kind `pot`. */
final class Pot extends Component
{
    public const KIND = 'pot';

    protected $attributes = ['kind' => self::KIND];

    protected static function booted(): void
    {
        self::addGlobalScope('kind', fn(Builder $query) => $query->where('kind', self::KIND));
    }
}
