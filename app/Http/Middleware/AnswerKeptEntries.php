<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a device kept while it could not reach the machine comes with the header X-Dripel-Kept, as the form itself would have come. It
 * wants no
 * page after it, only to know that it was taken.
 */
final class AnswerKeptEntries
{
    public const HEADER = 'X-Dripel-Kept';

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);

        if (!$request->hasHeader(self::HEADER) || !($response instanceof RedirectResponse)) {
            return $response;
        }
        $request->session()->forget('done');

        return response()->noContent();
    }
}
