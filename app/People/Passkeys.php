<?php

declare(strict_types=1);

namespace App\People;

use App\Exceptions\NotPossible;
use App\Models\Passkey;
use App\Models\User;
use App\Support\AppClock;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Process;

/**
 * Keys in people's devices (W3C Web Authentication): asked for, looked at once they answer, kept. Node reads what a device answers
 * (bin/passkey.mjs): PHP has no kept package for it here. A key is bound to a name, so there is none for a bare address.
 */
final readonly class Passkeys
{
    /** COSE numbers of what a key may sign with: EdDSA, ES256, RS256. */
    private const ALGORITHMS = [-8, -7, -257];

    /** For so long a question may be answered, once. */
    private const ANSWER_S = 300;

    private const PATIENCE_S = 20;

    private const IN_SESSION = 'passkey';

    public function __construct(private AppClock $clock) {}

    /** Whether the name and the way this was asked allow keys at all. */
    public static function fits(Request $request): bool
    {
        $host = $request->getHost();

        return $host === 'localhost' || ($request->isSecure() && filter_var(trim($host, '[]'), FILTER_VALIDATE_IP) === false);
    }

    /** Whether somebody may come in by one under this name. */
    public static function offered(Request $request): bool
    {
        return self::fits($request) && Passkey::query()->where('host', $request->getHost())->exists();
    }

    /** @return array<string, mixed> what the device is asked for a new key, as PublicKeyCredentialCreationOptionsJSON */
    public function askForNew(User $user, Request $request): array
    {
        $known = Passkey::query()->where('user_id', $user->id)->where('host', $request->getHost())->get();

        return [
            'rp' => ['id' => $request->getHost(), 'name' => 'Dripel'],
            // Says nothing about them to whoever finds the device.
            'user' => [
                'id' => self::base64url(hash_hmac('sha256', "passkeys of {$user->id}", config()->string('app.key'), true)),
                'name' => $user->email,
                'displayName' => $user->name,
            ],
            'pubKeyCredParams' => array_map(fn(int $alg) => ['type' => 'public-key', 'alg' => $alg], self::ALGORITHMS),
            'excludeCredentials' => $known->map(fn(Passkey $one) => ['type' => 'public-key', 'id' => $one->credential])->all(),
            'authenticatorSelection' => ['residentKey' => 'required', 'requireResidentKey' => true, 'userVerification' => 'required'],
            'attestation' => 'none',
        ] + $this->question($request);
    }

    /** @return array<string, mixed> what a device is asked to let its person in, as PublicKeyCredentialRequestOptionsJSON */
    public function ask(Request $request): array
    {
        return ['rpId' => $request->getHost(), 'userVerification' => 'required'] + $this->question($request);
    }

    /**
     * @param array<mixed> $answer RegistrationResponseJSON
     *
     * @throws NotPossible at `passkey` if it does not answer what was asked
     */
    public function add(User $user, Request $request, array $answer): Passkey
    {
        $found = $this->read($request, ['task' => 'new', 'answer' => $answer]);
        Passkey::query()->where('credential', $found['credential'])->doesntExist() || throw new NotPossible('passkey', 'passkey.known');

        return Passkey::query()->create([
            'user_id' => $user->id,
            'credential' => $found['credential'],
            'public_key' => $found['publicKey'],
            'counter' => $found['counter'],
            'host' => $request->getHost(),
            'phone' => str_contains((string) $request->userAgent(), 'Mobile'),
            'added_at' => $this->clock->unixS(),
        ]);
    }

    /**
     * @param array<mixed> $answer AuthenticationResponseJSON
     *
     * @throws NotPossible at `passkey` if no key of this installation answers what was asked
     */
    public function personBehind(Request $request, array $answer): User
    {
        $passkey = Passkey::query()
            ->where('credential', is_string($answer['id'] ?? null) ? $answer['id'] : '')
            ->where('host', $request->getHost())
            ->first();
        $passkey !== null || throw new NotPossible('passkey', 'passkey.unknown');
        $found = $this->read($request, [
            'task' => 'known',
            'answer' => $answer,
            'credential' => $passkey->credential,
            'publicKey' => $passkey->public_key,
            'counter' => $passkey->counter,
        ]);
        $passkey->update(['counter' => $found['counter'], 'used_at' => $this->clock->unixS()]);

        return $passkey->user;
    }

    /** @return array{challenge: string, timeout: int} */
    private function question(Request $request): array
    {
        $challenge = self::base64url(random_bytes(32));
        $request->session()->put(self::IN_SESSION, ['challenge' => $challenge, 'until' => $this->clock->unixS() + self::ANSWER_S]);
        // What asks beside a page leaves the session alone else.
        $request->session()->save();

        return ['challenge' => $challenge, 'timeout' => self::ANSWER_S * 1000];
    }

    /**
     * @param array<string, mixed> $what
     *
     * @return array{credential: string, publicKey: string, counter: int}
     */
    private function read(Request $request, array $what): array
    {
        $asked = $request->session()->pull(self::IN_SESSION);
        $request->session()->save();
        (is_array($asked) && is_string($asked['challenge'] ?? null) && $asked['until'] >= $this->clock->unixS()) ||
            throw new NotPossible('passkey', 'passkey.late');
        $input = $what + [
            'challenge' => $asked['challenge'],
            'origin' => $request->getSchemeAndHttpHost(),
            'host' => $request->getHost(),
            'algorithms' => self::ALGORITHMS,
        ];
        $result = Process::path(base_path())
            ->timeout(self::PATIENCE_S)
            ->input(json_encode($input, JSON_THROW_ON_ERROR))
            ->run(['node', 'bin/passkey.mjs']);
        $result->successful() || throw new NotPossible('passkey', $result->exitCode() === 1 ? 'passkey.refused' : 'passkey.node');

        /** @var array{credential: string, publicKey: string, counter: int} */
        return json_decode($result->output(), true, flags: JSON_THROW_ON_ERROR);
    }

    private static function base64url(string $bytes): string
    {
        return rtrim(strtr(base64_encode($bytes), '+/', '-_'), '=');
    }
}
