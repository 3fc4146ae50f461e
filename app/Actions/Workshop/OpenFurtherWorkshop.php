<?php

declare(strict_types=1);

namespace App\Actions\Workshop;

use App\Exceptions\NotPossible;
use App\Models\Membership;
use App\Models\Role;
use App\Models\Setting;
use App\Models\User;
use App\Models\Workshop;
use App\Support\WriteTransaction;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Auth\Access\AuthorizationException;

/** The owner of the installation opens another workshop beside the first, and is in it then. */
final readonly class OpenFurtherWorkshop
{
    public function __construct(private OpenWorkshop $openWorkshop) {}

    /**
     * Refused with NotPossible at `workshop` where they own one of that name already: also what stops a button that is pressed twice.
     *
     * @throws AuthorizationException if that person may not
     */
    public function __invoke(User $owner, string $name, string $timeZone): Workshop
    {
        $owner->opens_workshops || throw new AuthorizationException();

        return WriteTransaction::run(function () use ($owner, $name, $timeZone): Workshop {
            $own = Membership::query()->where('user_id', $owner->id)->where('role', Role::Owner)->pluck('workshop_id');
            Setting::query()
                ->live()
                ->whereIn('workshop_id', $own)
                ->where('key', SettingKey::WorkshopName->value)
                ->get()
                ->contains(fn(Setting $setting) => mb_strtolower((string) $setting->value) === mb_strtolower($name)) &&
                throw new NotPossible('workshop', 'workshop_exists');

            return ($this->openWorkshop)($owner, $name, $timeZone);
        });
    }
}
