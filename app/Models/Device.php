<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Auth\Authenticatable;
use Illuminate\Contracts\Auth\Authenticatable as CanSignIn;
use Laravel\Sanctum\HasApiTokens;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * A thing that sends readings or rides, or shows what stands in the book: of one workshop, a probe at one pot, the others at none. Its
 * token is its own and can do nothing else.
 *
 * @property int $id
 * @property string $kind
 * @property int|null $pot_id
 * @property string $name
 * @property int $added_at
 * @property int|null $seen_at
 * @property int|null $gone_at null: its token is good
 * @property array{job: string, speed: float, extra_w: float}|array{chain: int}|null $simulates
 */
final class Device extends WorkshopModel implements CanSignIn
{
    protected $table = 'devices';

    use Authenticatable;

    /** @use HasApiTokens<PersonalAccessToken> */
    use HasApiTokens;

    public const PROBE = 'probe';

    public const GAUGE = 'gauge';

    public const BIKE_COMPUTER = 'bike_computer';

    public const DISPLAY = 'display';

    /** What the token of a display or a script may do. */
    public const READS_WORKSHOP = 'workshop:read';

    /** What the token of a probe may do. */
    public const SENDS_TEMPERATURES = 'temperatures:send';

    /** What the token of a gauge may do. */
    public const SENDS_VALUES = 'values:send';

    /** What the token of a bike computer may do. */
    public const SENDS_RIDES = 'rides:send';

    protected function casts(): array
    {
        return ['simulates' => 'array'];
    }
}
