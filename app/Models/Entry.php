<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Precision;
use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;

/**
 * A dated entry of the logbook.
 *
 * @property int $at Unix seconds
 * @property Precision $precision
 * @property int|null $replaces_id the version before this one
 */
abstract class Entry extends LogbookRow
{
    protected function casts(): array
    {
        return ['precision' => Precision::class];
    }

    protected static function float(mixed $value): ?float
    {
        return is_numeric($value) ? (float) $value : null;
    }

    /**
     * The newest of each of some components, in one question.
     *
     * @param Builder<static> $query
     * @param list<int> $componentIds
     */
    #[Scope]
    protected function newestOfEach(Builder $query, array $componentIds, int $most): void
    {
        $query
            ->live()
            ->whereIntegerInRaw('component_id', $componentIds)
            ->orderByDesc('at')
            ->orderByDesc('id')
            ->groupLimit($most, 'component_id');
    }

    public function moment(): Moment
    {
        return new Moment($this->at, $this->precision, $this->sequence);
    }
}
