<?php

declare(strict_types=1);

namespace Tests;

use App\Http\Middleware\KeepPage;
use Closure;
use Illuminate\Http\Request;
use PHPUnit\Framework\Assert;
use Symfony\Component\HttpFoundation\Response;

/** In its place in feature tests: whatever page would be answered as it was kept is made all the same, and has to be equal. */
final class KeptAgainstMade
{
    /** How many were answered as they were kept. */
    public static int $answered = 0;

    public function __construct(private readonly KeepPage $keepPage) {}

    public function handle(Request $request, Closure $next): Response
    {
        // What a request found out before is gone when it is done.
        app()->forgetScopedInstances();
        $request->user()?->unsetRelations();
        $made = null;
        $answer = $this->keepPage->handle($request, function (Request $request) use ($next, &$made): Response {
            return $made = $next($request);
        });
        if ($made !== null) {
            return $made;
        }
        self::$answered++;
        $made = $next($request);
        // It may have been the next second by then.
        [$kept, $anew] = array_map(fn(Response $one) => preg_replace('/"nowS":\d+/', '', (string) $one->getContent()), [$answer, $made]);
        Assert::assertSame($anew, $kept, "{$request->fullUrl()} as it was kept");
        Assert::assertEquals(
            $made->headers->allPreserveCaseWithoutCookies()['Content-Type'],
            $answer->headers->allPreserveCaseWithoutCookies()['Content-Type'],
        );

        return $made;
    }
}
