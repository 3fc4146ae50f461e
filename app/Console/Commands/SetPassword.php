<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** For who forgot theirs: whoever has the machine may set a password. */
final class SetPassword extends Command
{
    protected $signature = 'dripel:password {email : of the account} {--password= : ten characters or more; asked for if left out}';

    protected $description = 'Set a new password for an account and sign it out everywhere';

    public function handle(): int
    {
        $email = mb_strtolower(trim((string) $this->argument('email')));
        $user = User::query()->where('email', $email)->first();
        if ($user === null) {
            $this->error("There is no account with the e-mail {$email}.");

            return self::FAILURE;
        }
        $password = (string) ($this->option('password') ?? $this->secret('New password (ten characters or more)'));
        if (mb_strlen($password) < 10) {
            $this->error('Use at least ten characters. Nothing was changed.');

            return self::FAILURE;
        }
        $user->forceFill(['password' => $password, 'remember_token' => Str::random(60)])->save();
        DB::table('sessions')->where('user_id', $user->id)->delete();
        $this->info("The password of {$email} is set; other sessions are signed out.");

        return self::SUCCESS;
    }
}
