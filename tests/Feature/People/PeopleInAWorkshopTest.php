<?php

declare(strict_types=1);

use App\Models\Invitation;
use App\Models\Membership;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\DB;
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
    DB::table('sessions')->insert([
        'id' => 'phone',
        'user_id' => $member->id,
        'payload' => '',
        'last_activity' => time(),
    ]);
    $this->get('/')->assertOk();
    $token = $member->refresh()->getRememberToken();
    app('auth')->forgetGuards();
    $this->flushSession();
    $this->actingAs($bench->owner)
        ->delete("/people/{$membership($member)->id}")
        ->assertSessionHasNoErrors();
    expect(DB::table('sessions')->where('user_id', $member->id)->count())
        ->toBe(0)
        ->and($member->refresh()->getRememberToken())
        ->not->toBe($token);
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

it('lists where somebody is signed in and signs out everywhere else', function (): void {
    $bench = new Bench();
    foreach (['phone' => 'Mozilla/5.0 (Linux) Mobile', 'other' => 'Mozilla/5.0 (X11)'] as $id => $agent) {
        DB::table('sessions')->insert([
            'id' => $id,
            'user_id' => $bench->owner->id,
            'user_agent' => $agent,
            'ip_address' => '192.0.2.7',
            'payload' => '',
            'last_activity' => Bench::NOW - 60,
        ]);
    }
    $token = $bench->owner->getRememberToken();
    $this->actingAs($bench->owner)
        ->get('/settings')
        ->assertInertia(fn($page) => $page->has('devices', 2)->where('devices.0.address', '192.0.2.7'));
    $this->post('/devices/sign-out-others')->assertRedirect();
    expect(
        DB::table('sessions')
            ->whereIn('id', ['phone', 'other'])
            ->count(),
    )
        ->toBe(0)
        ->and($bench->owner->refresh()->getRememberToken())
        ->not->toBe($token);
});
