<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;

/** A chain: the component of kind `chain`. */
final class Chain extends Component
{
    public const KIND = 'chain';

    protected $attributes = ['kind' => self::KIND];

    protected static function booted(): void
    {
        self::addGlobalScope('kind', fn(Builder $query) => $query->where('kind', self::KIND));
    }
}
