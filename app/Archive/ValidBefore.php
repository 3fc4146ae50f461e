<?php

declare(strict_types=1);

namespace App\Archive;

use App\Models\SignIn;
use Illuminate\Support\Facades\DB;
use PDO;

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
     * @param list<string> $members e-mail and workshop, "a@b.example 1"
     */
    public function __construct(
        private array $signIns = [],
        private array $tokens = [],
        private array $calendars = [],
        private array $passwords = [],
        private array $members = [],
    ) {}

    public static function in(string $database): self
    {
        $db = new PDO("sqlite:{$database}", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $rows = function (string $sql) use ($db): array {
            $found = $db->query($sql);

            return $found === false ? [] : $found->fetchAll(PDO::FETCH_NUM);
        };
        $columns = fn(string $sql): array => array_column($rows($sql), 0);
        $has = fn(string $table, string $column): bool => $columns(
            "select 1 from pragma_table_info('{$table}') where name = '{$column}'",
        ) !== [];

        return new self(
            $has('sign_ins', 'token_hash') ? $columns('select token_hash from sign_ins') : [],
            $has('personal_access_tokens', 'token') ? $columns('select token from personal_access_tokens') : [],
            $has('memberships', 'calendar_hash') ? $columns('select calendar_hash from memberships where calendar_hash is not null') : [],
            array_column($rows('select email, password from users'), 1, 0),
            $columns("select u.email || ' ' || m.workshop_id from memberships m join users u on u.id = m.user_id"),
        );
    }

    /**
     * Applied to the database that is there now.
     *
     * @param bool $known whether it was read from a sound database
     *
     * @return string what it means to people
     */
    public function keepTo(bool $known): string
    {
        DB::table('sessions')->delete();
        SignIn::query()->whereNotIn('token_hash', $this->signIns)->delete();
        DB::table('personal_access_tokens')->whereNotIn('token', $this->tokens)->delete();
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
        $out = DB::table('memberships')
            ->join('users', 'users.id', '=', 'memberships.user_id')
            ->whereNotIn(DB::raw("users.email || ' ' || memberships.workshop_id"), $this->members)
            ->pluck('memberships.id');
        DB::table('users')
            ->whereIn('id', DB::table('memberships')->whereIn('id', $out)->pluck('user_id'))
            ->update(['workshop_id' => null]);
        DB::table('memberships')->whereIn('id', $out)->delete();

        return 'What was switched off since stays off: sign-ins, devices, calendars, people; passwords are the latest.';
    }
}
