<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use App\People\GoodPassword;
use App\People\SignIns;
use Illuminate\Console\Command;

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
        $problem = GoodPassword::problemOf($password, [$email, $user->name]);
        if ($problem !== null) {
            $this->error(
                __("errors.password.{$problem}", ['least' => GoodPassword::LEAST, 'most' => GoodPassword::MOST]) . ' Nothing was changed.',
            );

            return self::FAILURE;
        }
        $user->update(['password' => $password]);
        SignIns::closeAll($user);
        $this->info("The password of {$email} is set; other sessions are signed out.");

        return self::SUCCESS;
    }
}
