<?php

declare(strict_types=1);

use App\Models\Invitation;
use App\Models\Membership;
use App\Models\Role;
use App\Models\SignIn;
use App\Models\User;
use App\Support\AppClock;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

$membership = fn(User $user) => Membership::query()->where('user_id', $user->id)->sole();

it('lets the owner change roles and hand over, and always keeps one owner', function () use ($membership): void {
    $bench = new Bench();
    $member = $bench->person(Role::Member);
    $this->actingAs($bench->owner)
        ->put("/people/{$membership($member)->id}", ['role' => 'viewer'])
        ->assertSessionHasNoErrors();
    expect($membership($member)->role)->toBe(Role::Viewer);
    $this->put("/people/{$membership($member)->id}", ['role' => 'owner'])->assertSessionHasErrors('role');
    $this->put("/people/{$membership($bench->owner)->id}", [
        'role' => 'member',
    ])->assertSessionHasErrors('role');
    $this->delete("/people/{$membership($bench->owner)->id}")->assertSessionHasErrors('role');
    $this->post('/leave')->assertSessionHasErrors('role');
    $this->post("/people/{$membership($bench->owner)->id}/hand-over")->assertSessionHasErrors('role');
    $this->post("/people/{$membership($member)->id}/hand-over")->assertSessionHasNoErrors();
    expect($membership($member)->role)->toBe(Role::Owner)->and($membership($bench->owner)->role)->toBe(Role::Member);
    // From now on the old owner may leave, and manages nobody.
    app('auth')->forgetGuards();
    app()->forgetScopedInstances();
    $this->actingAs($bench->owner->refresh())
        ->put("/people/{$membership($member)->id}", ['role' => 'viewer'])
        ->assertForbidden();
    $this->post('/leave')->assertRedirect('/sign-in');
    expect(Membership::query()->count())->toBe(1);
});

it('shows somebody out at once, and lets them in again with the same account', function () use ($membership): void {
    $bench = new Bench();
    $bench->bike();
    $member = $bench->person(Role::Member);
    $this->post('/sign-in', [
        'email' => $member->email,
        'password' => 'long-enough-1',
    ])->assertRedirect('/');
    $this->get('/')->assertOk();
    app('auth')->forgetGuards();
    $this->flushSession();
    $this->actingAs($bench->owner)
        ->delete("/people/{$membership($member)->id}")
        ->assertSessionHasNoErrors();
    expect(SignIn::query()->where('user_id', $member->id)->count())->toBe(0);
    // Even a request that still had a session is turned away.
    app('auth')->forgetGuards();
    app()->forgetScopedInstances();
    $this->actingAs($member)->get('/')->assertRedirect('/sign-in');
    app('auth')->forgetGuards();
    $this->flushSession();
    $this->post('/sign-in', [
        'email' => $member->email,
        'password' => 'long-enough-1',
    ])->assertSessionHasErrors('email');

    app('auth')->forgetGuards();
    app()->forgetScopedInstances();
    $this->actingAs($bench->owner)->post('/invitations', ['role' => 'viewer']);
    $link = session('invitation');
    app('auth')->forgetGuards();
    $this->flushSession();
    $join = fn(string $password) => $this->post((string) parse_url((string) $link, PHP_URL_PATH), [
        'name' => 'x',
        'email' => $member->email,
        'password' => $password,
    ]);
    $join('not-the-password')->assertSessionHasErrors('password');
    $join('long-enough-1')->assertRedirect('/');
    expect($membership($member)->role)
        ->toBe(Role::Viewer)
        ->and(Invitation::query()->sole()->accepted_by)
        ->toBe($member->id)
        ->and(User::query()->where('email', $member->email)->count())
        ->toBe(1);
});

it('remembers each browser on its own, for thirty days, and signs out one by one', function (): void {
    $bench = new Bench();
    $cookie = app('auth')->guard('web')->getRecallerName();
    $job = (string) Str::uuid();
    $boxed = $bench->chain($bench->bike(), 'N', null);
    $this->actingAs($bench->owner)
        ->post('/strip', ['action_id' => $job, 'chains' => [$boxed->id], 'protocol' => 'two_bottles'])
        ->assertRedirect();
    $another = function (): void {
        app('auth')->forgetGuards();
        app()->forgetScopedInstances();
        $this->flushSession();
        $this->defaultCookies = [];
    };
    $another();
    $signIn = fn(string $agent): string => (string) $this->withHeader('User-Agent', $agent)
        ->post('/sign-in', ['email' => $bench->owner->email, 'password' => 'long-enough-1'])
        ->assertRedirect('/')
        ->getCookie($cookie)
        ?->getValue();
    $phone = $signIn('Mozilla/5.0 (Linux) Mobile');
    $another();
    $tablet = $signIn('Mozilla/5.0 (Linux) Mobile');
    $another();
    $desk = $signIn('Mozilla/5.0 (X11)');
    expect(count(array_unique([$phone, $tablet, $desk])))->toBe(3);

    $devices = Bench::deferred($this, '/settings', 'people')['people']['devices'];
    expect(array_column($devices, 'here'))
        ->toBe([true, false, false])
        ->and(array_column($devices, 'phone'))
        ->toBe([false, true, true]);
    $this->delete("/sign-ins/{$devices[2]['id']}")->assertRedirect();
    // The phone is out, by its cookie too; the tablet comes in by its own without a password.
    $another();
    $this->withCookie($cookie, $phone)->get('/')->assertRedirect('/sign-in');
    $another();
    $this->withCookie($cookie, $tablet)->get('/')->assertOk();
    // From here on with its session, which is worth nothing once it is signed out at the desk.
    $session = app('session.store')->all();
    $another();
    $this->withCookie($cookie, $desk)->delete('/sign-ins')->assertRedirect();
    $this->get('/')->assertOk();
    $another();
    $this->withSession($session)->get('/')->assertRedirect('/sign-in');
    // Not one last answer either, of a page that asks nothing more about who it is for.
    $another();
    $this->withSession($session)->get('/help')->assertRedirect('/sign-in');
    $another();
    $this->withSession($session)
        ->getJson("/jobs/{$job}/state")
        ->assertUnauthorized();
    $another();
    app(AppClock::class)->stopAt(Bench::NOW + 30 * 86400);
    $this->withCookie($cookie, $desk)->get('/')->assertRedirect('/sign-in');
    // Nobody signs out what is not theirs.
    $other = new Bench('other@test.example');
    $theirs = $bench->signIn();
    $another();
    $this->actingAs($other->owner)
        ->delete("/sign-ins/{$theirs->id}")
        ->assertNotFound();
});
