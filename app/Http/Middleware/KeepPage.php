<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Kept\KeptPage;
use App\Kept\Reads;
use App\Models\User;
use App\Support\AppClock;
use Closure;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Inertia\Support\SessionKey;
use Symfony\Component\HttpFoundation\Response;

/**
 * A page follows from what it reads, from who asks how, and from the minute. So it is kept, and answered again within that minute for as
 * long as everything that it read reads the same. A browser that asks for it anew (Cache-Control: no-cache) gets it anew.
 */
final readonly class KeepPage
{
    private const MINUTE_S = 60;

    /** @param Repository|null $memory of this machine; null: it has none, and nothing is kept */
    public function __construct(private ?Repository $memory, private AppClock $clock) {}

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($this->memory === null || !$request->isMethod('GET') || self::saysSomething($request->session())) {
            return $next($request);
        }
        [$nowS, $nonce] = [$this->clock->unixS(), Vite::cspNonce()];
        $name = self::name($request, intdiv($nowS, self::MINUTE_S));
        $kept = $request->isNoCache() ? null : $this->memory->get($name);
        if ($kept instanceof KeptPage && $kept->wouldBeTheSame()) {
            return $kept->answer($nonce, $nowS);
        }
        [$response, $reads] = Reads::of(fn() => $next($request));
        if ($reads !== null && $response->getStatusCode() === Response::HTTP_OK) {
            $this->memory->put($name, KeptPage::of($response, $reads, $nonce, $nowS), self::MINUTE_S);
        }

        return $response;
    }

    /** To the next page, and to no other. */
    private static function saysSomething(Session $session): bool
    {
        return array_filter((array) $session->get('_flash')) !== [] ||
            $session->has(SessionKey::CLEAR_HISTORY) ||
            $session->has(SessionKey::PRESERVE_FRAGMENT);
    }

    /** By all that a page can see of a request: the address, what the browser wants of it, who it is. */
    private static function name(Request $request, int $minute): string
    {
        $wanted = array_filter(
            $request->headers->all(),
            fn(string $header) => str_starts_with($header, 'x-inertia') || in_array($header, ['accept', 'x-requested-with'], true),
            ARRAY_FILTER_USE_KEY,
        );

        return 'page ' .
            hash(
                'sha256',
                serialize([
                    config()->string('app.key'),
                    config()->string('dripel.code'),
                    $minute,
                    $request->fullUrl(),
                    $wanted,
                    $request->user() instanceof User ? $request->user()->getAttributes() : null,
                ]),
            );
    }
}
