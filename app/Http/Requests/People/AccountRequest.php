<?php

declare(strict_types=1);

namespace App\Http\Requests\People;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Password;

/** Somebody makes an account: the first owner, or who was invited. */
final class AccountRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'email' => ['required', 'string', 'lowercase', 'email', 'max:160', ...$this->is('join/*') ? [] : ['unique:users']],
            'password' => ['required', Password::min(10), 'max:200'],
            'workshop' => [$this->is('join/*') ? 'exclude' : 'nullable', 'string', 'max:60'],
            'time_zone' => ['nullable', 'timezone:all'],
        ];
    }

    protected function prepareForValidation(): void
    {
        $this->merge(['email' => mb_strtolower($this->string('email')->trim()->toString())]);
    }
}
