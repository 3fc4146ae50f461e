<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What people share: bikes, chains, a pot and a logbook. Its name, units and zone are settings.
 *
 * @property int $id
 * @property int $revision
 * @property bool $demo
 */
final class Workshop extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['demo' => 'boolean'];
    }

    /** @return HasMany<Membership, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }
}
