<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Actions\Workshop\OpenWorkshop;
use App\Models\User;
use App\Support\WriteTransaction;
use Illuminate\Auth\Access\AuthorizationException;

/** The first person to come opens a workshop and owns it. Registration closes behind them. */
final readonly class RegisterOwner
{
    public function __construct(private OpenWorkshop $openWorkshop) {}

    public static function isOpen(): bool
    {
        return !User::query()->exists();
    }

    /** @throws AuthorizationException if somebody is here already */
    public function __invoke(string $name, string $email, string $password, string $workshopName, string $timeZone): User
    {
        return WriteTransaction::run(function () use ($name, $email, $password, $workshopName, $timeZone): User {
            self::isOpen() || throw new AuthorizationException();
            $owner = User::query()->create(['name' => $name, 'email' => $email, 'password' => $password, 'opens_workshops' => true]);
            ($this->openWorkshop)($owner, $workshopName, $timeZone);

            return $owner;
        });
    }
}
