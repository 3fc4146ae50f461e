<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Support\CurrentWorkshop;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets owners and members through. */
final readonly class OnlyWriters
{
    public function __construct(private CurrentWorkshop $current) {}

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        abort_unless($this->current->role()->mayWrite(), 403);

        return $next($request);
    }
}
