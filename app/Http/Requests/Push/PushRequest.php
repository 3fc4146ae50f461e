<?php

declare(strict_types=1);

namespace App\Http\Requests\Push;

use Closure;
use Illuminate\Foundation\Http\FormRequest;

/** The subscription that a browser gave. */
final class PushRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'endpoint' => ['required', 'string', 'max:1000', self::publicService(...)],
            // A point of P-256 and sixteen bytes, in base64url (RFC 8291).
            'keys.p256dh' => ['required', 'string', 'regex:/^[A-Za-z0-9_-]{87}=?$/'],
            'keys.auth' => ['required', 'string', 'regex:/^[A-Za-z0-9_-]{22}(==)?$/'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['keys.p256dh.regex' => __('errors.push_service'), 'keys.auth.regex' => __('errors.push_service')];
    }

    /** @return array{endpoint: string, p256dh: string, auth: string} */
    public function subscription(): array
    {
        return [
            'endpoint' => $this->string('endpoint')->toString(),
            'p256dh' => $this->string('keys.p256dh')->toString(),
            'auth' => $this->string('keys.auth')->toString(),
        ];
    }

    /** Nobody has this machine send into its own network: the services of browsers have public names and the usual port. */
    private static function publicService(string $field, mixed $value, Closure $fail): void
    {
        $parts = parse_url((string) $value);
        $host = strtolower($parts['host'] ?? '');
        $public =
            ($parts['scheme'] ?? '') === 'https' &&
            !isset($parts['port']) &&
            !isset($parts['user']) &&
            preg_match('/^([a-z0-9-]+\.)+[a-z]{2,}$/D', $host) === 1 &&
            preg_match('/\.(local|localhost|internal|lan|home|arpa|test|invalid)$/D', $host) !== 1;
        $public || $fail(__('errors.push_service'));
    }
}
