<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;

/** A chain: the component of kind `chain`. What a person may change about it is a setting. */
final class Chain extends LogbookRow
{
    public const KIND = 'chain';

    protected $table = 'components';

    protected $attributes = ['kind' => self::KIND];

    protected static function booted(): void
    {
        self::addGlobalScope('kind', fn(Builder $query) => $query->where('kind', self::KIND));
    }
}
