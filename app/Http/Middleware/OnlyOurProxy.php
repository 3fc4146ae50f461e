<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Who is said to call is believed only of a proxy that knows our word, which bin/start gives to bin/lan.mjs, or of one whose address is
 * configured (DRIPEL_PROXIES). From anybody else such headers are taken out before anything goes by them.
 */
final class OnlyOurProxy
{
    public const WORD = 'X-Dripel-Proxy';

    private const HEADERS = [
        'Forwarded',
        'X-Forwarded-For',
        'X-Forwarded-Host',
        'X-Forwarded-Port',
        'X-Forwarded-Proto',
        'X-Forwarded-Prefix',
    ];

    public function handle(Request $request, Closure $next): Response
    {
        $word = config('dripel.proxy.word');
        $address = $request->server->getString('REMOTE_ADDR');
        $believed =
            (is_string($word) && $word !== '' && hash_equals($word, (string) $request->headers->get(self::WORD))) ||
            in_array($address, config()->array('dripel.proxy.addresses'), true);
        $request->headers->remove(self::WORD);
        // A proxy nobody told us of: whatever comes through it does not come from this machine.
        $request->attributes->set('direct', array_filter(self::HEADERS, $request->headers->has(...)) === []);
        if ($believed) {
            Request::setTrustedProxies(
                [$address],
                Request::HEADER_X_FORWARDED_FOR |
                    Request::HEADER_X_FORWARDED_HOST |
                    Request::HEADER_X_FORWARDED_PORT |
                    Request::HEADER_X_FORWARDED_PROTO,
            );
        } else {
            Request::setTrustedProxies([], Request::HEADER_X_FORWARDED_FOR);
            array_map($request->headers->remove(...), self::HEADERS);
        }

        return $next($request);
    }

    /** Whether somebody sits at the machine itself. */
    public static function isLocal(Request $request): bool
    {
        return $request->attributes->get('direct') === true && in_array($request->server->get('REMOTE_ADDR'), ['127.0.0.1', '::1'], true);
    }
}
