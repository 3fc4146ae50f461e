<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * What people share: bikes, chains, a pot and a logbook. Its name, units and zone are settings.
 *
 * @property int $id
 * @property int $revision
 * @property bool $demo
 * @property Carbon|null $created_at
 * @property array<string, array{at: array<string, int>, distance: string, duration: string, dayFirst: bool}>|null $ride_columns by the names of a table's columns
 */
final class Workshop extends Model
{
    use BeginsAlike;

    protected $table = 'workshops';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['demo' => 'boolean', 'ride_columns' => 'array'];
    }

    /** @return list<string> of its people, in the order in which they came */
    public function names(): array
    {
        return array_values($this->memberships()->with('user')->orderBy('id')->get()->map(fn(Membership $one) => $one->user->name)->all());
    }

    /** @return HasMany<Membership, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }
}
