<?php

declare(strict_types=1);

namespace App\Http\Requests\Strip;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Strip\JarRole;
use Illuminate\Validation\Rule;

/** What a jar is called and what it is for; whether it is still used. */
final class ChangeJarRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'name' => ['required', 'string', 'max:40'],
            'role' => ['required', Rule::enum(JarRole::class)],
            'gone' => ['boolean'],
        ];
    }

    public function role(): JarRole
    {
        return JarRole::from($this->string('role')->toString());
    }
}
