<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use OpenSSLAsymmetricKey;

/**
 * A device that keeps passkeys, from the standard (W3C Web Authentication Level 2, sections 6.1, 6.5 and 8.7; keys after RFC 9053): no
 * attestation, ES256, its person verified.
 */
final class Authenticator
{
    private const PRESENT_AND_VERIFIED = 0x05;

    private const WITH_KEY = 0x40;

    private readonly OpenSSLAsymmetricKey $key;

    private readonly string $id;

    public int $counter = 0;

    public function __construct(private readonly string $host, private readonly string $origin)
    {
        $key = openssl_pkey_new(['private_key_type' => OPENSSL_KEYTYPE_EC, 'curve_name' => 'prime256v1']);
        assert($key !== false);
        $this->key = $key;
        $this->id = random_bytes(16);
    }

    /** @return array<string, mixed> RegistrationResponseJSON */
    public function register(string $challenge): array
    {
        /** @var array{ec: array{x: string, y: string}} $details */
        $details = openssl_pkey_get_details($this->key);
        $point = fn(string $bytes): string => "\x58\x20" . str_pad($bytes, 32, "\0", STR_PAD_LEFT);
        // {1: 2 (EC2), 3: -7 (ES256), -1: 1 (P-256), -2: x, -3: y}
        $public = "\xa5\x01\x02\x03\x26\x20\x01\x21" . $point($details['ec']['x']) . "\x22" . $point($details['ec']['y']);
        $data = $this->data(self::WITH_KEY) . str_repeat("\0", 16) . pack('n', strlen($this->id)) . $this->id . $public;
        // {"fmt": "none", "attStmt": {}, "authData": data}
        $attestation = "\xa3\x63fmt\x64none\x67attStmt\xa0\x68authData\x58" . chr(strlen($data)) . $data;

        return $this->answer([
            'clientDataJSON' => self::base64url($this->clientData('webauthn.create', $challenge)),
            'attestationObject' => self::base64url($attestation),
        ]);
    }

    /** @return array<string, mixed> AuthenticationResponseJSON */
    public function signIn(string $challenge): array
    {
        $this->counter++;
        [$data, $client] = [$this->data(), $this->clientData('webauthn.get', $challenge)];
        openssl_sign($data . hash('sha256', $client, true), $signature, $this->key, OPENSSL_ALGO_SHA256);

        return $this->answer([
            'clientDataJSON' => self::base64url($client),
            'authenticatorData' => self::base64url($data),
            'signature' => self::base64url((string) $signature),
        ]);
    }

    /**
     * @param array<string, string> $response
     *
     * @return array<string, mixed>
     */
    private function answer(array $response): array
    {
        $id = self::base64url($this->id);

        return ['id' => $id, 'rawId' => $id, 'type' => 'public-key', 'response' => $response, 'clientExtensionResults' => []];
    }

    private function data(int $flags = 0): string
    {
        return hash('sha256', $this->host, true) . chr(self::PRESENT_AND_VERIFIED | $flags) . pack('N', $this->counter);
    }

    private function clientData(string $type, string $challenge): string
    {
        return json_encode(
            ['type' => $type, 'challenge' => $challenge, 'origin' => $this->origin, 'crossOrigin' => false],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES,
        );
    }

    private static function base64url(string $bytes): string
    {
        return rtrim(strtr(base64_encode($bytes), '+/', '-_'), '=');
    }
}
