<?php

declare(strict_types=1);

namespace App\Archive;

use App\Models\Device;
use App\Models\Membership;
use App\Models\Passkey;
use App\Models\Role;
use App\Models\SignIn;
use App\Models\Workshop;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;

/**
 * What opened a door before a backup was restored. What was revoked since that backup stays revoked: whatever the database that was
 * replaced did not know any more is not let in by an older one either. Of a damaged one nobody knows what was: nothing is.
 */
final readonly class ValidBefore
{
    /**
     * @param list<string> $signIns hashes of their tokens
     * @param list<string> $tokens hashes of devices' tokens
     * @param list<string> $calendars hashes of addresses
     * @param array<string, string> $passwords hash by e-mail
     * @param list<string> $invitations hashes of open ones
     * @param list<string> $passkeys as their devices name them
     * @param array<string, string> $roles by e-mail and workshop, "a@b.example 1"
     * @param list<string> $openers e-mails of who opens further workshops
     */
    public function __construct(
        private array $signIns = [],
        private array $tokens = [],
        private array $calendars = [],
        private array $passwords = [],
        private array $invitations = [],
        private array $passkeys = [],
        private array $roles = [],
        private array $openers = [],
    ) {}

    public static function in(Connection $database): self
    {
        $columns = fn(string $sql): array => array_column(
            array_map(fn(object $row) => array_values((array) $row), $database->select($sql)),
            0,
        );
        $pairs = fn(string $sql): array => array_column(
            array_map(fn(object $row) => array_values((array) $row), $database->select($sql)),
            1,
            0,
        );
        $has = fn(string $table, string $column): bool => $database->getSchemaBuilder()->hasColumn($table, $column);

        return new self(
            $has('sign_ins', 'token_hash') ? $columns('select token_hash from sign_ins') : [],
            $has('personal_access_tokens', 'token') ? $columns('select token from personal_access_tokens') : [],
            $has('memberships', 'calendar_hash') ? $columns('select calendar_hash from memberships where calendar_hash is not null') : [],
            $pairs('select email, password from users'),
            $columns('select token_hash from invitations where accepted_by is null'),
            $has('passkeys', 'credential') ? $columns('select credential from passkeys') : [],
            $pairs("select u.email || ' ' || m.workshop_id, m.role from memberships m join users u on u.id = m.user_id"),
            $has('users', 'opens_workshops') ? $columns('select email from users where opens_workshops') : [],
        );
    }

    /**
     * Applied to the database that is there now.
     *
     * @param bool $known whether it was read from a sound database
     *
     * @return string what it means to people
     */
    public function keepTo(bool $known, int $nowS): string
    {
        DB::table('sessions')->delete();
        SignIn::query()->whereNotIn('token_hash', $this->signIns)->delete();
        DB::table('personal_access_tokens')->whereNotIn('token', $this->tokens)->delete();
        // A device whose token is none any more is connected anew; its row says so.
        Device::query()
            ->whereNull('gone_at')
            ->whereDoesntHave('tokens')
            ->update(['gone_at' => $nowS]);
        Passkey::query()->whereNotIn('credential', $this->passkeys)->delete();
        DB::table('invitations')->whereNotIn('token_hash', $this->invitations)->delete();
        DB::table('memberships')
            ->whereNotNull('calendar_hash')
            ->whereNotIn('calendar_hash', $this->calendars)
            ->update(['calendar_hash' => null]);
        if (!$known) {
            return 'Everybody signs in again; probes, gauges, bike computers and calendars are connected anew. Nobody can know any more which were switched off.';
        }
        foreach ($this->passwords as $email => $hash) {
            DB::table('users')
                ->where('email', $email)
                ->update(['password' => $hash]);
        }
        foreach (Workshop::query()->with('memberships.user')->get() as $workshop) {
            $this->keepPeople($workshop);
        }
        // Who is not in the backup cannot: then whoever could by then can.
        if (DB::table('users')->whereIn('email', $this->openers)->exists()) {
            DB::table('users')->update(['opens_workshops' => false]);
            DB::table('users')
                ->whereIn('email', $this->openers)
                ->update(['opens_workshops' => true]);
        }

        return 'What was switched off since stays off: sign-ins, passkeys, devices, calendars, invitations, people; passwords and roles are the latest.';
    }

    /** Roles as they were, and nobody who had gone; but a workshop whose owner of now is not in the backup keeps the one it had then. */
    private function keepPeople(Workshop $workshop): void
    {
        $now = fn(Membership $one): ?string => $this->roles["{$one->user->email} {$workshop->id}"] ?? null;
        $owned = $workshop->memberships->contains(fn(Membership $one) => $now($one) === Role::Owner->value);
        foreach ($workshop->memberships as $membership) {
            $role = $now($membership);
            if (!$owned && $membership->role === Role::Owner) {
                continue;
            }
            $role === null ? $this->showOut($membership) : $membership->update(['role' => $role]);
        }
    }

    private function showOut(Membership $membership): void
    {
        $user = $membership->user;
        $membership->delete();
        $user->update(['workshop_id' => $user->memberships()->orderBy('id')->first()?->workshop_id]);
    }
}
