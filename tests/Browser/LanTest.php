<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;
use Tests\Browser\Support\Cable;
use Tests\Browser\Support\Ports;
use Tests\Browser\Support\Server;

it('hands the app on over https for the phone, says where, and tells the app who calls', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00', demo: false);
    $folder = sys_get_temp_dir() . '/dripel-lan-' . bin2hex(random_bytes(5));
    (new Process(['bash', '-c', '. bin/lib.sh; need_certificate "$0"', $folder], dirname(__DIR__, 2), null, null, 120))->mustRun();
    $port = Ports::free();
    $lan = new Process(
        [
            'node',
            'bin/lan.mjs',
            'serve',
            (string) $port,
            (string) parse_url($server->url, PHP_URL_PORT),
            "{$folder}/cert.pem",
            "{$folder}/key.pem",
        ],
        dirname(__DIR__, 2),
        ['DRIPEL_PROXY_WORD' => Cable::WORD],
    );
    $lan->start();
    try {
        $lan->waitUntil(fn(string $type, string $text) => str_contains($lan->getOutput(), '/trust'));
        expect($lan->getOutput())->toContain('In the garage: https://')->toContain((string) $port)->toContain('▄');
        $get = function (string $path, array $headers = []) use ($port, $folder): array {
            $curl = curl_init("https://127.0.0.1:{$port}{$path}");
            curl_setopt_array($curl, [
                CURLOPT_RETURNTRANSFER => true,
                // Nobody but the machine's own root vouches for it.
                CURLOPT_CAINFO => "{$folder}/root.pem",
                CURLOPT_HEADER => true,
                CURLOPT_HTTPHEADER => $headers,
            ]);
            $answer = (string) curl_exec($curl);

            return [curl_getinfo($curl, CURLINFO_RESPONSE_CODE), $answer];
        };
        // Redirects stay on https and this port; a caller cannot claim to be another host.
        [$status, $answer] = $get('/', ['X-Forwarded-Host: evil.example', 'X-Forwarded-Proto: http']);
        expect($status)
            ->toBe(302)
            ->and($answer)
            ->toContain("https://127.0.0.1:{$port}/sign-in")
            ->not->toContain('evil.example');
        expect(strtolower($get('/register')[1]))->toContain('; secure')->toContain('rel="manifest"');
        foreach (
            [
                '/manifest.webmanifest' => 'application/manifest+json',
                '/sw.js' => 'text/javascript',
                '/offline' => 'text/html',
                '/icons/dripel-192.png' => 'image/png',
            ]
            as $path => $type
        ) {
            [$status, $answer] = $get($path);
            expect($status)
                ->toBe(200)
                ->and(strtolower($answer))
                ->toContain("content-type: {$type}");
        }
        // Under another name nobody is served, and nobody but the phone's own proxy says who calls.
        $plain = function (string $path, array $headers) use ($server): array {
            $curl = curl_init("{$server->url}{$path}");
            curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true, CURLOPT_HTTPHEADER => $headers]);
            $answer = (string) curl_exec($curl);

            return [curl_getinfo($curl, CURLINFO_RESPONSE_CODE), $answer];
        };
        [$status, $answer] = $plain('/sign-in', ['Host: evil.example']);
        expect($status)->toBe(400)->and($answer)->not->toContain('//evil.example');
        expect($plain('/', ['X-Forwarded-Host: evil.example', 'X-Forwarded-Proto: https'])[1])
            ->toContain("Location: {$server->url}/sign-in")
            ->and($get('/register')[1])
            ->toContain('"asksCode":true')
            ->and($plain('/register', [])[1])
            ->toContain('"asksCode":false')
            ->and($plain('/register', ['X-Forwarded-For: 127.0.0.1'])[1])
            ->toContain('"asksCode":true')
            ->and(strtolower($plain('/register', [])[1]))
            ->not->toContain('x-powered-by')
            ->toContain("content-security-policy: default-src 'none'");
        // A form that did not come from a page of ours is not taken; the session's cookie is out of reach of scripts and other sites.
        $curl = curl_init("{$server->url}/sign-in");
        curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_POSTFIELDS => ['email' => 'a@test.example', 'password' => 'x']]);
        curl_exec($curl);
        expect(curl_getinfo($curl, CURLINFO_RESPONSE_CODE))->toBe(419);
        expect(preg_match('/set-cookie: dripel_session=[^\r]*httponly; samesite=lax/', strtolower($plain('/sign-in', [])[1])))->toBe(1);
        $manifest = json_decode((string) file_get_contents('public/manifest.webmanifest'), true, flags: JSON_THROW_ON_ERROR);
        foreach ($manifest['icons'] as $icon) {
            expect(is_file("public{$icon['src']}"))->toBeTrue();
        }
        $server->stop();
        expect($get('/')[0])->toBe(502);
    } finally {
        $lan->stop(0);
        (new Process(['rm', '-rf', $folder]))->run();
    }
});
