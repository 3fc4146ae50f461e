<?php

declare(strict_types=1);

namespace App\Http\Requests\People;

use App\Models\User;
use App\People\GoodPassword;
use App\People\Passwords;
use Illuminate\Foundation\Http\FormRequest;

/** Somebody makes an account: the first owner, or who was invited. */
final class AccountRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        // Who is signed in has one.
        if ($this->user() !== null) {
            return [];
        }

        return [
            'name' => ['required', 'string', 'max:80'],
            'email' => ['required', 'string', 'lowercase', 'email', 'max:160', ...$this->is('join/*') ? [] : ['unique:users']],
            'password' => ['required', 'string', 'max:' . Passwords::LONGEST, ...$this->isKnown() ? [] : [new GoodPassword()]],
            'workshop' => [$this->is('join/*') ? 'exclude' : 'nullable', 'string', 'max:60'],
            'time_zone' => ['nullable', 'timezone:all'],
        ];
    }

    /** Somebody with an account comes in with the password that it has. */
    private function isKnown(): bool
    {
        return $this->is('join/*') &&
            User::query()
                ->where('email', $this->string('email')->toString())
                ->exists();
    }

    protected function prepareForValidation(): void
    {
        $this->merge(['email' => mb_strtolower($this->string('email')->trim()->toString())]);
    }
}
