<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Logbook\ReadBook;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\Passkey;
use App\Models\Role;
use App\Models\SignIn;
use App\Models\User;
use App\Models\Workshop;
use App\People\Passkeys;
use App\Text\Translators;
use Dripel\Core\Logbook\SettingKey;

/**
 * Who is in a workshop, as what and where, and what the person that looks can enter elsewhere.
 *
 * @phpstan-type PersonView array{
 *     id: int,
 *     me: bool,
 *     owner: bool,
 *     roleValue: 'owner'|'member'|'viewer',
 *     name: string,
 *     email: string,
 *     role: string,
 * }
 * @phpstan-type PasskeysView array{fits: bool, list: list<array{id: int, phone: bool, text: string}>}
 * @phpstan-type PeopleView array{
 *     people: list<PersonView>,
 *     workshops: list<array{id: int, name: string, role: string, here: bool}>,
 *     opensWorkshops: bool,
 *     devices: list<array{id: int, phone: bool, here: bool, address: string, seen: string}>,
 *     passkeys: PasskeysView|null,
 *     invitations: list<array{id: int, role: string, until: string}>,
 * }
 */
final readonly class PeopleProps
{
    public function __construct(private Translators $translators, private ReadBook $readBook) {}

    /** @return PeopleView */
    public function all(Workshop $workshop, User $user, Role $role, ?SignIn $here): array
    {
        $translator = $this->translators->current();

        return [
            'people' => array_values(
                $workshop
                    ->memberships()
                    ->with('user')
                    ->get()
                    ->map(
                        fn(Membership $membership) => [
                            'id' => $membership->id,
                            'me' => $membership->user_id === $user->id,
                            'owner' => $membership->role === Role::Owner,
                            'roleValue' => $membership->role->value,
                            'name' => $membership->user->name,
                            'email' => $membership->user->email,
                            'role' => $translator->say("ui.roles.{$membership->role->value}"),
                        ],
                    )
                    ->all(),
            ),
            'workshops' => $this->workshops($user, $workshop),
            'opensWorkshops' => $user->opens_workshops,
            'devices' => $this->devices($user, $here),
            'passkeys' => $this->passkeys($user),
            'invitations' =>
                $role !== Role::Owner
                    ? []
                    : array_values(
                        Invitation::query()
                            ->in($workshop)
                            ->whereNull('accepted_by')
                            ->where('expires_at', '>', $translator->nowS)
                            ->get()
                            ->map(
                                fn(Invitation $invitation) => [
                                    'id' => $invitation->id,
                                    'role' => $translator->say("ui.roles.{$invitation->role->value}"),
                                    'until' => $translator->quantities->day($invitation->expires_at),
                                ],
                            )
                            ->all(),
                    ),
        ];
    }

    /** @return list<array{id: int, name: string, role: string, here: bool}> those that a person is in */
    private function workshops(User $user, Workshop $workshop): array
    {
        $translator = $this->translators->current();

        return array_values(
            $user
                ->memberships()
                ->with('workshop')
                ->orderBy('id')
                ->get()
                ->map(
                    fn(Membership $one) => [
                        'id' => $one->workshop_id,
                        'name' => $this->readBook->settings($one->workshop)->text(SettingKey::WorkshopName, 0),
                        'role' => $translator->say("ui.roles.{$one->role->value}"),
                        'here' => $one->workshop_id === $workshop->id,
                    ],
                )
                ->all(),
        );
    }

    /** @return PasskeysView|null null: the demo, which has no door */
    private function passkeys(User $user): ?array
    {
        $translator = $this->translators->current();
        $date = fn(int $atS): string => $translator->quantities->date($atS, 'd MMM y');

        return config()->boolean('dripel.demo')
            ? null
            : [
                'fits' => Passkeys::fits(request()),
                'list' => array_values(
                    Passkey::query()
                        ->where('user_id', $user->id)
                        ->orderBy('id')
                        ->get()
                        ->map(
                            fn(Passkey $passkey) => [
                                'id' => $passkey->id,
                                'phone' => $passkey->phone,
                                'text' => $translator->say('ui.passkeys.' . ($passkey->used_at === null ? 'added' : 'used'), [
                                    'host' => $passkey->host,
                                    'added' => $date($passkey->added_at),
                                    'used' => $date($passkey->used_at ?? 0),
                                ]),
                            ],
                        )
                        ->all(),
                ),
            ];
    }

    /** @return list<array{id: int, phone: bool, here: bool, address: string, seen: string}> where somebody is signed in, the last seen first */
    private function devices(User $user, ?SignIn $here): array
    {
        $translator = $this->translators->current();

        return array_values(
            SignIn::query()
                ->where('user_id', $user->id)
                ->where('expires_at', '>', $translator->nowS)
                ->orderByDesc('seen_at')
                ->orderByDesc('id')
                ->limit(20)
                ->get()
                ->map(
                    fn(SignIn $signIn) => [
                        'id' => $signIn->id,
                        'phone' => $signIn->phone,
                        'here' => $signIn->is($here),
                        'address' => $signIn->address,
                        'seen' => $translator->quantities->dayAndTime($signIn->seen_at),
                    ],
                )
                ->all(),
        );
    }
}
