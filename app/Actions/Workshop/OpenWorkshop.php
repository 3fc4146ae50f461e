<?php

declare(strict_types=1);

namespace App\Actions\Workshop;

use App\Logbook\ActionContext;
use App\Models\Membership;
use App\Models\Role;
use App\Models\User;
use App\Models\Workshop;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Support\Str;

/** A new workshop, with its owner in it. */
final readonly class OpenWorkshop
{
    public function __construct(private ChangeSettings $changeSettings) {}

    public function __invoke(User $owner, string $name, string $timeZone, bool $demo = false): Workshop
    {
        $workshop = Workshop::query()->create(['demo' => $demo]);
        Membership::query()->create(['workshop_id' => $workshop->id, 'user_id' => $owner->id, 'role' => Role::Owner]);
        $owner->update(['workshop_id' => $workshop->id]);
        ($this->changeSettings)(
            new ActionContext($workshop->refresh(), $owner, (string) Str::uuid()),
            null,
            [
                SettingKey::WorkshopName->value => $name,
                SettingKey::TimeZone->value => $timeZone,
            ],
            true,
        );

        return $workshop;
    }
}
