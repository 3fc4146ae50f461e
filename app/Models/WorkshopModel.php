<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\CurrentWorkshop;
use App\Support\Keys;
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
    use BeginsAlike;

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

    /**
     * The one that an address or a form names. What can be no key of it names none: not every database lets itself be asked for it.
     *
     * @param Builder<static> $query
     */
    #[Scope]
    protected function named(Builder $query, mixed $key): void
    {
        Keys::fits($query->getModel(), $key) ? $query->whereKey($key) : $query->whereRaw('1 = 0');
    }

    public function resolveRouteBinding($value, $field = null): ?Model
    {
        return static::query()->in(app(CurrentWorkshop::class)->workshop())->named($value)->first();
    }
}
