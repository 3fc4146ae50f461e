<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;

/** What chains are measured with: the component of kind `instrument`. */
final class Instrument extends Component
{
    public const KIND = 'instrument';

    protected $attributes = ['kind' => self::KIND];

    protected static function booted(): void
    {
        self::addGlobalScope('kind', fn(Builder $query) => $query->where('kind', self::KIND));
    }
}
