<?php

declare(strict_types=1);

use App\Models\Passkey;
use App\Models\Role;
use App\Models\SignIn;
use App\Support\AppClock;
use Tests\Feature\Bench;
use Tests\Feature\People\Authenticator;

it('lets in whoever holds a key that was added here, once for each question, under this name only', function (): void {
    $bench = new Bench();
    $phone = new Authenticator('localhost', 'http://localhost');
    $offered = fn(): bool => $this->get('http://localhost/sign-in')->inertiaPage()['props']['passkeys'];
    $add = fn(array $answer) => $this->postJson('/passkeys', ['answer' => $answer]);
    $enter = fn(array $answer) => $this->postJson('/passkeys/sign-in', ['answer' => $answer]);
    $ask = fn(string $what): string => $this->postJson("/passkeys/{$what}")
        ->assertOk()
        ->json('challenge');
    expect($offered())->toBeFalse();

    $this->actingAs($bench->owner);
    expect(Bench::deferred($this, '/settings', 'people')['people']['passkeys'])->toBe(['fits' => true, 'list' => []]);
    // A key that was asked for under another name, and an answer to another question, prove nothing.
    $add((new Authenticator('localhost', 'http://evil.example'))->register($ask('new')))->assertJsonValidationErrors('passkey');
    $add($phone->register(str_repeat('A', 43)))->assertJsonValidationErrors('passkey');
    $first = $phone->register($ask('new'));
    $add($first)->assertNoContent();
    // The same answer once more: its question has been answered.
    $add($first)->assertJsonValidationErrors('passkey');
    expect($this->postJson('/passkeys/new')->json('excludeCredentials.0.id'))
        ->toBe($first['id'])
        ->and(Passkey::query()->count())
        ->toBe(1);
    $this->post('/sign-out');

    expect($offered())->toBeTrue();
    $enter((new Authenticator('localhost', 'http://localhost'))->signIn($ask('ask')))->assertJsonValidationErrors('passkey');
    $answer = $phone->signIn($ask('ask'));
    $forged = $answer;
    $forged['response']['signature'] = $first['response']['attestationObject'];
    $enter($forged)->assertJsonValidationErrors('passkey');
    // Refused or not, the question is used up.
    $enter($answer)->assertJsonValidationErrors('passkey');
    $this->assertGuest();
    $late = $phone->signIn($ask('ask'));
    app(AppClock::class)->set(app(AppClock::class)->unixS() + 360);
    $enter($late)->assertJsonValidationErrors('passkey');
    $enter($phone->signIn($ask('ask')))->assertNoContent();
    $this->assertAuthenticatedAs($bench->owner);
    expect(SignIn::query()->count())
        ->toBe(1)
        ->and(Passkey::query()->sole()->counter)
        ->toBe($phone->counter);
    // A copy of the key has counted less far.
    $this->post('/sign-out');
    $phone->counter = 0;
    $enter($phone->signIn($ask('ask')))->assertJsonValidationErrors('passkey');
    $this->assertGuest();

    // Another one's key is not found; one's own is gone at once.
    $this->actingAs($bench->person(Role::Viewer))
        ->delete('/passkeys/' . Passkey::query()->sole()->id)
        ->assertNotFound();
    $this->actingAs($bench->owner)
        ->delete('/passkeys/' . Passkey::query()->sole()->id)
        ->assertRedirect();
    expect(Passkey::query()->count())->toBe(0);
});

it('asks for the password before a key is added, and offers none where browsers allow none', function (): void {
    $bench = new Bench();
    config(['dripel.hosts' => ['192.0.2.7', 'bike.home.example']]);
    $this->actingAs($bench->owner);
    $fits = fn(string $url): bool => Bench::deferred($this, "{$url}/settings", 'people')['people']['passkeys']['fits'];
    expect($fits('https://192.0.2.7'))
        ->toBeFalse()
        ->and($fits('http://bike.home.example'))
        ->toBeFalse()
        ->and($fits('https://bike.home.example'))
        ->toBeTrue();
    $this->post('/sign-out');
    $this->post('/sign-in', ['email' => $bench->owner->email, 'password' => 'long-enough-1'])->assertRedirect('/');
    app(AppClock::class)->set(app(AppClock::class)->unixS() + 660);
    $this->postJson('/passkeys/new')->assertJsonValidationErrors('confirm');
});
