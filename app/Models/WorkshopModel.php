<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\CurrentWorkshop;
use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A row that belongs to a workshop. Bound to a route it is looked for in the current workshop only, so another
 * workshop's id is simply not found.
 *
 * @property int $workshop_id
 */
abstract class WorkshopModel extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /** @param Builder<static> $query */
    #[Scope]
    protected function in(Builder $query, Workshop $workshop): void
    {
        $query->where($this->qualifyColumn('workshop_id'), $workshop->id);
    }

    public function resolveRouteBinding($value, $field = null): ?Model
    {
        return static::query()
            ->where('workshop_id', app(CurrentWorkshop::class)->workshop()->id)
            ->where($field ?? $this->getRouteKeyName(), $value)
            ->first();
    }
}
