<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A row that an action wrote. It counts as long as no action in force has voided it.
 *
 * @property int $id
 * @property string $action_id
 * @property string|null $voided_by
 * @property int $sequence
 */
abstract class LogbookRow extends WorkshopModel
{
    /** @return BelongsTo<Action, $this> */
    public function action(): BelongsTo
    {
        return $this->belongsTo(Action::class);
    }

    /** Bikes and chains whose coming was taken back are gone; earlier versions of entries can still be looked at. */
    public function resolveRouteBinding($value, $field = null): ?Model
    {
        $row = parent::resolveRouteBinding($value, $field);

        return $row instanceof self && !($row instanceof Entry) && $row->voided_by !== null ? null : $row;
    }

    /** @param Builder<static> $query */
    #[Scope]
    protected function live(Builder $query): void
    {
        $query->whereNull($this->qualifyColumn('voided_by'));
    }
}
