<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Illuminate\Support\Facades\Hash;

/** Whether a password is somebody's. It takes as long where there is nobody. */
final readonly class Passwords
{
    /** No form takes more characters: the hash of a longer one would be anybody's to ask for. */
    public const LONGEST = 200;

    public function personBehind(string $email, #[\SensitiveParameter] string $password): ?User
    {
        $user = User::query()->where('email', mb_strtolower(trim($email)))->first();
        $right = Hash::check($password, $user->password ?? $this->nobodys());

        return $right ? $user : null;
    }

    /** A hash as costly as any other, of a password that nobody has. */
    private function nobodys(): string
    {
        return cache()->rememberForever('nobodys-password', fn() => Hash::make(bin2hex(random_bytes(32))));
    }
}
