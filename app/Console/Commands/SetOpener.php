<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use App\Support\WriteTransaction;
use Illuminate\Console\Command;

/** Who set the installation up may be gone: whoever has the machine says who opens further workshops in their place. */
final class SetOpener extends Command
{
    protected $signature = 'dripel:opener {email : of the account that opens further workshops from now on}';

    protected $description = 'Say which account may open further workshops';

    public function handle(): int
    {
        $email = mb_strtolower(trim((string) $this->argument('email')));
        $user = User::query()->where('email', $email)->first();
        if ($user === null) {
            $this->error("There is no account with the e-mail {$email}. Nothing was changed.");

            return self::FAILURE;
        }
        WriteTransaction::run(function () use ($user): void {
            User::query()
                ->where('opens_workshops', true)
                ->update(['opens_workshops' => false]);
            $user->update(['opens_workshops' => true]);
        });
        $this->info("{$email} opens further workshops from now on, and nobody else.");

        return self::SUCCESS;
    }
}
