<?php

declare(strict_types=1);

use App\Http\Middleware\HandleInertiaRequests;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;

it('keeps what a refused form is told for its own page, whatever the page asks beside it', function (string $url, array $headers): void {
    $bench = new Bench();
    $chain = $bench->chain($bench->bike(), 'A', 2000, fit: true);
    $this->actingAs($bench->owner)
        ->from("/chains/{$chain->id}")
        ->post("/chains/{$chain->id}/retirement", ['action_id' => (string) Str::uuid(), 'date' => '2131-05-05', 'time' => '12:00'])
        ->assertRedirect("/chains/{$chain->id}");
    // The story of its life, a preview, the forecast that comes later: each may be answered in between.
    $version = (string) app(HandleInertiaRequests::class)->version(request());
    $this->withHeaders($headers + ['X-Inertia-Version' => $version])
        ->get(sprintf($url, $chain->id))
        ->assertSuccessful();
    $this->flushHeaders()
        ->get("/chains/{$chain->id}")
        ->assertInertia(fn(AssertableInertia $page) => $page->has('errors.date'));
    // The page has said it: once.
    $this->get("/chains/{$chain->id}")->assertInertia(fn(AssertableInertia $page) => $page->where('errors', []));
})->with([
    'asked as JSON' => ['/chains/%d/retirement', ['Accept' => 'application/json']],
    'a part that comes later' => [
        '/chains/%d',
        [
            'Accept' => 'text/html, application/xhtml+xml',
            'X-Requested-With' => 'XMLHttpRequest',
            'X-Inertia' => 'true',
            'X-Inertia-Partial-Component' => 'Chain/Chain',
            'X-Inertia-Partial-Data' => 'forecast',
        ],
    ],
]);
