<?php

declare(strict_types=1);

use App\Models\Invitation;
use App\Models\Role;
use App\Models\User;
use App\Support\AppClock;
use Illuminate\Support\Facades\Hash;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;

const ACCOUNT = ['name' => 'Mave', 'email' => 'Mave@Test.example', 'password' => 'long-enough-1'];

it('lets the first person register and own the workshop, then closes', function (): void {
    $this->get('/')->assertRedirect('/sign-in');
    $this->get('/sign-in')->assertRedirect('/register');
    $this->post('/register', ['password' => 'short'] + ACCOUNT)->assertSessionHasErrors('password');
    $this->post('/register', ACCOUNT + ['workshop' => 'Barn', 'time_zone' => 'Europe/Oslo'])->assertRedirect('/');
    $this->get('/')->assertInertia(
        fn(AssertableInertia $page) => $page
            ->component('Shed/Shed')
            ->where('here.workshop', 'Barn')
            ->where('here.role', 'owner')
            ->where('rails', []),
    );
    expect(Hash::check('long-enough-1', User::query()->sole()->password))->toBeTrue();
    $this->post('/sign-out')->assertRedirect('/sign-in');
    $this->get('/register')->assertForbidden();
    $this->post('/register', ['email' => 'late@test.example'] + ACCOUNT)->assertForbidden();
    $this->post('/sign-in', [
        'email' => 'mave@test.example',
        'password' => 'wrong-enough-1',
    ])->assertSessionHasErrors('email');
    $this->post('/sign-in', [
        'email' => ' MAVE@test.example',
        'password' => 'long-enough-1',
    ])->assertRedirect('/');
});

it('lets the owner add people by a link that works once and for a week', function (): void {
    $bench = new Bench();
    $this->actingAs($bench->owner)
        ->post('/invitations', ['role' => 'viewer'])
        ->assertSessionHas('invitation');
    $link = session('invitation');
    $this->post('/invitations', ['role' => 'owner'])->assertSessionHasErrors('role');
    $this->post('/sign-out');
    $this->get($link)->assertOk()->assertInertia(fn(AssertableInertia $page) => $page->component('People/Join')->where('open', true));
    $this->post($link, ACCOUNT)->assertRedirect('/');
    $mave = User::query()->where('email', 'mave@test.example')->sole();
    expect($mave->membershipIn($bench->workshop)?->role)->toBe(Role::Viewer);
    $this->post('/rides', ['bike_id' => $bench->bike()->id, 'distance' => 5, 'condition' => 'dry'] + Bench::form(1))->assertForbidden();
    $this->post('/invitations', ['role' => 'member'])->assertForbidden();
    $this->post('/sign-out');
    $this->post($link, ['email' => 'second@test.example'] + ACCOUNT)->assertSessionHasErrors('token');

    $this->actingAs($bench->owner)->post('/invitations', ['role' => 'member']);
    $link = session('invitation');
    $this->post('/sign-out');
    app(AppClock::class)->stopAt(Bench::NOW + 8 * 86400);
    $this->post($link, ['email' => 'third@test.example'] + ACCOUNT)->assertSessionHasErrors('token');
    $this->get('/join/guessed')->assertNotFound();
    expect(Invitation::query()->pluck('token_hash'))->not->toContain(basename($link));
});

it('slows down who guesses passwords', function (): void {
    new Bench();
    foreach (range(1, 5) as $try) {
        $this->post('/sign-in', [
            'email' => 'owner@test.example',
            'password' => "guess {$try}",
        ])->assertSessionHasErrors('email');
    }
    $this->post('/sign-in', [
        'email' => 'owner@test.example',
        'password' => 'long-enough-1',
    ])->assertStatus(429);
});

it('sets a forgotten password and signs out elsewhere', function (): void {
    $bench = new Bench();
    $this->post('/sign-in', ['email' => 'owner@test.example', 'password' => 'long-enough-1'])->assertRedirect('/');
    $this->artisan('dripel:password', ['email' => 'nobody@test.example'])->assertFailed();
    $this->artisan('dripel:password', [
        'email' => 'owner@test.example',
        '--password' => 'short',
    ])->assertFailed();
    $this->artisan('dripel:password', [
        'email' => 'Owner@test.example',
        '--password' => 'another-long-1',
    ])->assertSuccessful();
    app('auth')->forgetGuards();
    $this->get('/')->assertRedirect('/sign-in');
    $this->post('/sign-in', [
        'email' => 'owner@test.example',
        'password' => 'another-long-1',
    ])->assertRedirect('/');
});

it('has no door to the demo without demo mode', function (): void {
    new Bench();
    $this->get('/sign-in')->assertInertia(fn(AssertableInertia $page) => $page->where('demo', false));
    $this->post('/demo')->assertNotFound();
});
