<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\People\SignIns;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** A browser that was signed out elsewhere is a stranger at its next question, whatever its session says. */
final readonly class OnlyLiveSignIns
{
    public function __construct(private SignIns $signIns) {}

    public function handle(Request $request, Closure $next): Response
    {
        $guard = Auth::guard('web');
        if ($guard->check() && $request->session()->has($guard->getName()) && $this->signIns->here($request) === null) {
            $guard->logoutCurrentDevice();
            $request->session()->invalidate();
        }

        return $next($request);
    }
}
