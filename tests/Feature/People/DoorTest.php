<?php

declare(strict_types=1);

use App\Http\Middleware\OnlyOurProxy;
use App\Models\Device;
use App\Models\Membership;
use App\Models\Role;
use App\Models\User;
use App\People\GoodPassword;
use App\Support\AppClock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Route;
use Laravel\Sanctum\PersonalAccessToken;
use Tests\Feature\Bench;

it('tells the browser to run only what came with the page, to show it in no frame and to say nothing of it', function (): void {
    $bench = new Bench();
    foreach (['/sign-in', '/', '/settings', '/nowhere', '/offline', '/ahead/dripel.ics'] as $page) {
        $path = $page === '/sign-in' || $page === '/offline' ? $this->get($page) : $this->actingAs($bench->owner)->get($page);
        $policy = (string) $path->headers->get('Content-Security-Policy');
        expect($policy)
            ->toContain("default-src 'none'")
            ->toContain("frame-ancestors 'none'")
            ->toContain("base-uri 'none'")
            ->toContain("form-action 'self'")
            ->not->toContain('unsafe')
            ->and(preg_match("/script-src 'self' 'nonce-([^']+)'/", $policy, $nonce))
            ->toBe(1)
            ->and($nonces[] = $nonce[1])
            ->not->toBe('')
            ->and($path->headers->get('X-Content-Type-Options'))
            ->toBe('nosniff')
            ->and($path->headers->get('Referrer-Policy'))
            ->toBe('same-origin')
            ->and((string) $path->headers->get('Permissions-Policy'))
            ->toContain('camera=()')
            ->and($path->headers->has('X-Powered-By'))
            ->toBeFalse();
    }
    expect(array_unique($nonces))->toHaveCount(count($nonces));
});

it('leads back inside, whatever the browser says it came from', function (): void {
    $bench = new Bench();
    $this->actingAs($bench->owner);
    foreach (['https://evil.example/x', '//evil.example'] as $from) {
        $this->delete('/calendar', [], ['Referer' => $from])->assertRedirect(url('/'));
    }
    $this->delete('/calendar', [], ['Referer' => url('/ahead')])->assertRedirect(url('/ahead'));
});

it('lets the first owner in at the machine itself, or with the code that it printed', function (): void {
    config(['dripel.first_code' => 'right-code', 'dripel.proxy.word' => 'word']);
    $account = ['name' => 'Mave', 'email' => 'mave@test.example', 'password' => 'three green herons', 'workshop' => 'Shed'];
    $from = fn(string $address, array $headers = []) => $this->withServerVariables(['REMOTE_ADDR' => $address])->withHeaders($headers);
    $from('192.0.2.9')->post('/register', $account)->assertSessionHasErrors('code');
    $from('192.0.2.9')
        ->post('/register', ['code' => 'wrong-code'] + $account)
        ->assertSessionHasErrors('code');
    // Behind a proxy nobody is at the machine, whether it is ours or any other.
    $from('127.0.0.1', ['X-Forwarded-For' => '127.0.0.1'])
        ->post('/register', $account)
        ->assertSessionHasErrors('code');
    $from('127.0.0.1', [OnlyOurProxy::WORD => 'word', 'X-Forwarded-For' => '192.168.1.7'])
        ->post('/register', $account)
        ->assertSessionHasErrors('code');
    expect(User::query()->count())->toBe(0);
    config(['dripel.first_code' => null]);
    $from('192.0.2.9')
        ->post('/register', ['code' => ''] + $account)
        ->assertSessionHasErrors('code');
    config(['dripel.first_code' => 'right-code']);
    $from('192.0.2.9')
        ->post('/register', ['code' => 'right-code'] + $account)
        ->assertRedirect('/');
});

it('believes who is said to call only from the proxy that knows the word', function (): void {
    config(['dripel.proxy.word' => 'word', 'dripel.proxy.addresses' => ['192.0.2.1']]);
    Route::get(
        '/who',
        fn() => request()->ip() . ' ' . request()->getScheme() . ' ' . (request()->hasHeader(OnlyOurProxy::WORD) ? 'told' : ''),
    );
    $who = fn(string $address, array $headers) => trim(
        (string) $this->withServerVariables(['REMOTE_ADDR' => $address])
            ->get('/who', $headers + ['X-Forwarded-For' => '203.0.113.5', 'X-Forwarded-Proto' => 'https'])
            ->getContent(),
    );
    expect($who('127.0.0.1', []))
        ->toBe('127.0.0.1 http')
        ->and($who('127.0.0.1', [OnlyOurProxy::WORD => 'guess']))
        ->toBe('127.0.0.1 http')
        ->and($who('127.0.0.1', [OnlyOurProxy::WORD => 'word']))
        ->toBe('203.0.113.5 https')
        ->and($who('192.0.2.1', []))
        ->toBe('203.0.113.5 https');
});

it('takes passwords that are not the first anybody tries', function (string $password, ?string $problem): void {
    expect(GoodPassword::problemOf($password, ['mave.heron@test.example', 'Mave']))->toBe($problem);
})->with([
    ['short', 'short'],
    ['1234567890', 'common'],
    ['Qwertyuiop', 'common'],
    ['PASSWORD123', 'common'],
    ['abababababab', 'common'],
    ['mave.heron-42', 'theirs'],
    ['I am Mave, I ride', 'theirs'],
    [str_repeat('ab12', 19), 'long'],
    ['three green herons', null],
    ['Ketten-Öl 4711', null],
]);

it('changes a password with the old one, signs out elsewhere, and takes as long for an e-mail that nobody has', function (): void {
    $bench = new Bench();
    $other = $bench->signIn();
    $in = fn(string $email, string $password) => $this->post('/sign-in', ['email' => $email, 'password' => $password]);
    $in($bench->owner->email, 'long-enough-1')->assertRedirect('/');
    $change = fn(string $old, string $new) => $this->put('/password', ['old_password' => $old, 'password' => $new]);
    $change('wrong', 'three green herons')->assertSessionHasErrors('old_password');
    $change('long-enough-1', 'password123')->assertSessionHasErrors('password');
    $change('long-enough-1', 'three green herons')->assertSessionHasNoErrors();
    expect($other->newQuery()->find($other->id))
        ->toBeNull()
        ->and(Hash::check('three green herons', $bench->owner->refresh()->password))
        ->toBeTrue();
    $this->get('/settings')->assertOk();
    // As costly for nobody as for somebody: one hash is compared each time.
    $this->post('/sign-out');
    Hash::shouldReceive('check')->twice()->andReturnFalse();
    Hash::shouldReceive('make')->andReturn('x');
    $in($bench->owner->email, 'x')->assertSessionHasErrors('email');
    $in('nobody@test.example', 'x')->assertSessionHasErrors('email');
});

it('asks for the password once more before a door is given away or the house emptied', function (): void {
    $bench = new Bench();
    $bench->person(Role::Member);
    $member = Membership::query()->where('role', Role::Member)->sole();
    $this->post('/sign-in', ['email' => $bench->owner->email, 'password' => 'long-enough-1']);
    $bench->bike();
    $acts = ['/invitations' => ['role' => 'member'], "/people/{$member->id}/hand-over" => [], '/empty' => [], '/restore' => []];
    // Typed just now it holds for ten minutes.
    $this->post('/invitations', ['role' => 'viewer'])->assertSessionHasNoErrors();
    app(AppClock::class)->stopAt(Bench::NOW + 601);
    foreach ($acts + ['/bike-computers' => ['name' => 'x'], '/gauges' => ['name' => 'x']] as $url => $data) {
        $this->post($url, $data)->assertSessionHasErrors('confirm');
    }
    expect(Device::query()->count())
        ->toBe(0)
        ->and($this->getJson('/password')->json('confirmed'))
        ->toBeFalse();
    $this->postJson('/password', ['password' => 'wrong'])->assertUnprocessable();
    $this->postJson('/password', ['password' => 'long-enough-1'])->assertOk();
    expect($this->getJson('/password')->json('confirmed'))->toBeTrue();
    $this->post('/invitations', ['role' => 'member'])->assertSessionHasNoErrors();
});

it('slows down who guesses at one account from many addresses, and a device that has gone mad', function (): void {
    $bench = new Bench();
    $statuses = [];
    for ($try = 0; $try < 32; $try++) {
        $statuses[] = $this->withServerVariables(['REMOTE_ADDR' => "192.0.2.{$try}"])
            ->post('/sign-in', ['email' => $bench->owner->email, 'password' => "guess {$try}"])
            ->getStatusCode();
    }
    expect(array_slice($statuses, 0, 30))
        ->each->toBe(302)
        ->and(array_slice($statuses, 30))
        ->toBe([429, 429]);
    for ($try = 0; $try <= 600; $try++) {
        $status = $this->withToken('7|nothing')->postJson('/api/v1/gauges/values', [])->getStatusCode();
    }
    expect($status)->toBe(429);
});

it('gives devices tokens that end after a year', function (): void {
    $bench = new Bench();
    $token = $this->actingAs($bench->owner)
        ->postJson('/gauges', ['name' => 'Gauge'])
        ->assertOk()
        ->json('token');
    expect(PersonalAccessToken::query()->sole()->expires_at?->getTimestamp())->toBe(Bench::NOW + 365 * 86_400);
    $send = fn() => $this->withToken($token)->postJson('/api/v1/gauges/values', ['readings' => [['sequence' => 1, 'value_pct' => 0.3]]]);
    app('auth')->forgetGuards();
    $send()->assertOk();
    $this->actingAs($bench->owner)
        ->get('/gauge')
        ->assertInertia(fn($page) => $page->where('gauges.0.seen', fn(string $seen) => str_contains($seen, 'good until 25 Nov 2027')));
    PersonalAccessToken::query()->update(['expires_at' => '2026-11-01 00:00:00']);
    app('auth')->forgetGuards();
    $send()->assertUnauthorized();
});

it('writes no session for what is only read, and what it has to say is said once', function (): void {
    $bench = new Bench();
    config(['session.driver' => 'database']);
    app('session')->forgetDrivers();
    $this->post('/sign-in', ['email' => $bench->owner->email, 'password' => 'long-enough-1'])->assertRedirect('/');
    $this->get('/');
    $writes = 0;
    DB::listen(function ($query) use (&$writes): void {
        $writes += (int) preg_match('/^(update|insert into) "sessions"/', $query->sql);
    });
    $this->get('/');
    $this->get('/rides');
    // Nor for one that the browser asks for from another page.
    $asked = ['X-Inertia' => 'true', 'X-Inertia-Version' => (string) $this->get('/')->inertiaPage()['version']];
    $this->get('/rides', $asked)->assertOk();
    $this->get('/pot', $asked)->assertOk();
    expect($writes)->toBe(0);
    $this->post('/rides', ['distance' => ''], ['Referer' => url('/rides')])->assertRedirect('/rides');
    $errors = fn() => (array) $this->get('/rides')->inertiaPage()['props']['errors'];
    expect($errors())->not->toBe([])->and($errors())->toBe([])->and($writes)->toBe(2);
    // Somebody who only reads stays signed in.
    app(AppClock::class)->set(app(AppClock::class)->unixS() + 660);
    $this->get('/');
    expect($writes)->toBe(3);
});
