<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Response;

/** What a browser may do with a page of ours: run only what came with it, show it in no frame, say nothing of it elsewhere. */
final class SecurityHeaders
{
    private const PERMISSIONS = [
        'accelerometer',
        'camera',
        'display-capture',
        'geolocation',
        'gyroscope',
        'magnetometer',
        'microphone',
        'midi',
        'payment',
        'serial',
        'usb',
    ];

    public function handle(Request $request, Closure $next): Response
    {
        $nonce = Vite::useCspNonce(Str::random(24));
        $response = $next($request);
        if ($response instanceof RedirectResponse && !self::isInside($response->getTargetUrl(), $request)) {
            $response->setTargetUrl(url('/'));
        }
        $response->headers->add([
            'Content-Security-Policy' => self::policy($nonce),
            'X-Content-Type-Options' => 'nosniff',
            'X-Frame-Options' => 'DENY',
            'Referrer-Policy' => 'same-origin',
            'Cross-Origin-Opener-Policy' => 'same-origin',
            'Cross-Origin-Resource-Policy' => 'same-origin',
            'Permissions-Policy' => implode(', ', array_map(fn(string $one) => "{$one}=()", self::PERMISSIONS)),
        ]);
        $response->headers->remove('X-Powered-By');

        return $response;
    }

    private static function policy(string $nonce): string
    {
        // While screens are changed their scripts and styles come from the builder (bin/dev), which knows of no nonce.
        $dev = app()->isLocal() && Vite::isRunningHot() ? ' ' . trim((string) file_get_contents(Vite::hotFile())) : '';

        return implode('; ', [
            "default-src 'none'",
            "script-src 'self' 'nonce-{$nonce}'{$dev}",
            $dev === '' ? "style-src 'self' 'nonce-{$nonce}'" : "style-src 'self' 'unsafe-inline'{$dev}",
            "img-src 'self' data:",
            "font-src 'self'{$dev}",
            "media-src 'self'",
            "connect-src 'self'{$dev}" . str_replace(' http', ' ws', $dev),
            "manifest-src 'self'",
            "worker-src 'self'",
            "form-action 'self'",
            "base-uri 'none'",
            "frame-ancestors 'none'",
        ]);
    }

    /** A way back goes by what the browser says it came from: it leads nowhere else. */
    private static function isInside(string $url, Request $request): bool
    {
        $host = parse_url($url, PHP_URL_HOST);

        return ($host === null || $host === false ? !str_starts_with($url, '//') : $host === $request->getHost()) &&
            in_array(parse_url($url, PHP_URL_SCHEME), [null, 'http', 'https'], true);
    }
}
