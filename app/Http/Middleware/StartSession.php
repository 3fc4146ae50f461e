<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Support\DiskTrouble;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as Started;

/**
 * What a page asks beside what a person does (a preview, a part that comes later, a page to keep or to renew) leaves the session as it is.
 * On a full disk it stays as it is too: who is signed in can still read.
 * Else an answer that comes in between would use up what the next page has to say, and a refused form would close as if it had been taken.
 */
final class StartSession extends Started
{
    /** @param Request $request */
    protected function saveSession($request): void
    {
        $beside =
            $request->expectsJson() ||
            $request->hasHeader('X-Dripel-Beside') ||
            ($request->isMethodSafe() && $request->hasHeader('X-Inertia-Partial-Data'));
        $beside || DiskTrouble::mayFail(fn() => parent::saveSession($request));
    }

    protected function collectGarbage(Session $session): void
    {
        DiskTrouble::mayFail(fn() => parent::collectGarbage($session));
    }
}
