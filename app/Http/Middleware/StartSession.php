<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Support\AppClock;
use App\Support\DiskTrouble;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as Started;

/**
 * What a page asks beside what a person does (a preview, a part that comes later, a page to keep or to renew) leaves the session as it is.
 * Else an answer that comes in between would use up what the next page has to say, and a refused form would close as if it had been taken.
 * So does a page that changes nothing in it: reading takes no write. On a full disk it stays as it is too: who is signed in can still read.
 */
final class StartSession extends Started
{
    /** Seconds after which it is written all the same, so that it does not run out under somebody who only reads. */
    private const TOUCHED_S = 600;

    private const TOUCHED = 'touched_at';

    /** @var array<string, mixed> what it held when the request came */
    private array $held = [];

    /** @param Request $request */
    protected function startSession(Request $request, $session)
    {
        $started = parent::startSession($request, $session);
        $this->held = $started->all();

        return $started;
    }

    /** Where somebody came from their browser says: every page asks it to, of this site (SecurityHeaders). */
    protected function storeCurrentUrl(Request $request, $session): void {}

    /** @param Request $request */
    protected function saveSession($request): void
    {
        $beside =
            $request->expectsJson() ||
            $request->hasHeader('X-Dripel-Beside') ||
            ($request->isMethodSafe() && $request->hasHeader('X-Inertia-Partial-Data'));
        $beside || $this->isAsItWas($request->session()) || DiskTrouble::mayFail(fn() => $this->touch($request));
    }

    private function isAsItWas(Session $session): bool
    {
        $told = array_filter((array) $session->get('_flash'));
        $touchedS = $session->get(self::TOUCHED);

        return $told === [] &&
            $session->all() === $this->held &&
            is_int($touchedS) &&
            app(AppClock::class)->unixS() - $touchedS < self::TOUCHED_S;
    }

    private function touch(Request $request): void
    {
        $request->session()->put(self::TOUCHED, app(AppClock::class)->unixS());
        parent::saveSession($request);
    }

    protected function collectGarbage(Session $session): void
    {
        DiskTrouble::mayFail(fn() => parent::collectGarbage($session));
    }
}
