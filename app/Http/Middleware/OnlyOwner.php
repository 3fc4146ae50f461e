<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Role;
use App\Support\CurrentWorkshop;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets the owner through. */
final readonly class OnlyOwner
{
    public function __construct(private CurrentWorkshop $current) {}

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        abort_unless($this->current->role() === Role::Owner, 403);

        return $next($request);
    }
}
