<?php

declare(strict_types=1);

namespace Tests\Feature\Push;

use OpenSSLAsymmetricKey;

/** The browser's side of RFC 8291 and 8292, written from the standards: its keys, and what it reads of what it is sent. */
final readonly class Browser
{
    private const POINT_AHEAD = '3059301306072a8648ce3d020106082a8648ce3d030107034200';

    private OpenSSLAsymmetricKey $key;

    private string $auth;

    public function __construct()
    {
        $this->key = openssl_pkey_new(['private_key_type' => OPENSSL_KEYTYPE_EC, 'curve_name' => 'prime256v1']);
        $this->auth = random_bytes(16);
    }

    /** @return array{endpoint: string, keys: array{p256dh: string, auth: string}} */
    public function subscription(string $endpoint): array
    {
        return ['endpoint' => $endpoint, 'keys' => ['p256dh' => self::base64($this->point()), 'auth' => self::base64($this->auth)]];
    }

    /** @return array<string, mixed> the message, after RFC 8291, section 3.4 */
    public function read(string $body): array
    {
        $salt = substr($body, 0, 16);
        $length = ord($body[20]);
        $sender = substr($body, 21, $length);
        $shared = openssl_pkey_derive(openssl_pkey_get_public(self::pem($sender)), $this->key, 32);
        $secret = hash_hkdf('sha256', $shared, 32, "WebPush: info\0" . $this->point() . $sender, $this->auth);
        $key = hash_hkdf('sha256', $secret, 16, "Content-Encoding: aes128gcm\0", $salt);
        $nonce = hash_hkdf('sha256', $secret, 12, "Content-Encoding: nonce\0", $salt);
        $rest = substr($body, 21 + $length);
        $plain = openssl_decrypt(substr($rest, 0, -16), 'aes-128-gcm', $key, OPENSSL_RAW_DATA, $nonce, substr($rest, -16));

        // What follows the mark of the last record is padding.
        return json_decode(rtrim($plain, "\0") === $plain ? substr($plain, 0, -1) : substr(rtrim($plain, "\0"), 0, -1), true);
    }

    /** @return array<string, mixed> what the sender claims in its header, once its signature holds (RFC 8292, section 2) */
    public static function claims(string $authorization): array
    {
        preg_match('/^vapid t=([^.]+)\.([^.]+)\.([^,]+), ?k=(.+)$/', $authorization, $parts);
        [, $head, $claims, $signature, $point] = $parts;
        $number = function (string $bytes): string {
            $bytes = ltrim($bytes, "\0");
            $bytes = ord($bytes[0]) > 127 ? "\0{$bytes}" : $bytes;

            return "\x02" . chr(strlen($bytes)) . $bytes;
        };
        $raw = self::raw($signature);
        $der = $number(substr($raw, 0, 32)) . $number(substr($raw, 32));
        $holds = openssl_verify("{$head}.{$claims}", "\x30" . chr(strlen($der)) . $der, self::pem(self::raw($point)), OPENSSL_ALGO_SHA256);

        return $holds === 1 ? json_decode(self::raw($claims), true) : [];
    }

    private function point(): string
    {
        $ec = openssl_pkey_get_details($this->key)['ec'];

        return "\x04" . str_pad($ec['x'], 32, "\0", STR_PAD_LEFT) . str_pad($ec['y'], 32, "\0", STR_PAD_LEFT);
    }

    private static function pem(string $point): string
    {
        return "-----BEGIN PUBLIC KEY-----\n" . base64_encode(hex2bin(self::POINT_AHEAD) . $point) . "\n-----END PUBLIC KEY-----\n";
    }

    private static function base64(string $bytes): string
    {
        return rtrim(strtr(base64_encode($bytes), '+/', '-_'), '=');
    }

    private static function raw(string $base64): string
    {
        return (string) base64_decode(strtr($base64, '-_', '+/'));
    }
}
