<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Http\Requests\Workshop\SettingsRequest;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\Role;
use App\Models\Workshop;
use App\Text\Speaker;
use App\Text\Units;
use DateTimeZone;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\SettingKey;

final readonly class SettingsProps
{
    public function __construct(private Speaker $speaker) {}

    /** @return array<string, mixed> */
    public function all(Workshop $workshop, Role $role): array
    {
        $voice = $this->speaker->voice();
        $factors = $voice->settings->factors($voice->nowS);
        $units = $voice->quantities->units;

        return [
            'values' => [
                'name' => $voice->settings->text(SettingKey::WorkshopName, 0),
                'time_zone' => $voice->zone()->getName(),
                'distance_unit' => $units->distance,
                'temperature_unit' => $units->temperature,
                'mass_unit' => $units->mass,
                'currency' => $units->currency,
                'factors' => array_map(fn(float $factor) => (string) $factor, $factors->toArray()),
            ],
            'factors' => array_map(fn(Condition $condition) => [
                'value' => $condition->value,
                'name' => ucfirst($voice->say("chain.condition.{$condition->value}")),
                'house' => $factors->isHouseRule($condition),
            ], Condition::cases()),
            'choices' => [
                'zones' => DateTimeZone::listIdentifiers(),
                'distance' => Units::DISTANCE,
                'temperature' => array_map(fn(string $unit) => ['value' => $unit, 'title' => "°{$unit}"], Units::TEMPERATURE),
                'mass' => Units::MASS,
                'currencies' => SettingsRequest::CURRENCIES,
            ],
            'people' => $workshop->memberships()->with('user')->get()->map(fn(Membership $membership) => [
                'name' => $membership->user->name,
                'email' => $membership->user->email,
                'role' => $voice->say("ui.roles.{$membership->role->value}"),
            ])->values()->all(),
            'invitations' => $role !== Role::Owner ? [] : Invitation::query()->in($workshop)->whereNull('accepted_by')
                ->where('expires_at', '>', $voice->nowS)->get()->map(fn(Invitation $invitation) => [
                    'id' => $invitation->id,
                    'role' => $voice->say("ui.roles.{$invitation->role->value}"),
                    'until' => $voice->quantities->day($invitation->expires_at),
                ])->values()->all(),
        ];
    }
}
