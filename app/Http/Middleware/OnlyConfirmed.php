<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Exceptions\NotPossible;
use App\People\SignIns;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What gives a door away or empties the house is done by who typed their password lately, not by whoever finds a phone open. */
final readonly class OnlyConfirmed
{
    public function __construct(private SignIns $signIns) {}

    public function handle(Request $request, Closure $next): Response
    {
        $this->signIns->isConfirmed($request) || throw new NotPossible('confirm', 'confirm');

        return $next($request);
    }
}
