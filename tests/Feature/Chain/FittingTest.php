<?php

declare(strict_types=1);

use App\Actions\Arriving\Arrive;
use App\Actions\Arriving\ArrivingBike;
use App\Actions\Arriving\ArrivingPart;
use App\Logbook\ReadBook;
use App\Models\Chain;
use App\Models\Role;
use Dripel\Core\Logbook\PartState;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->heron = $this->bench->bike();
    $this->a = $this->bench->chain($this->heron, 'A', fit: true);
    $this->part = fn(ArrivingPart $part): Chain => Chain::query()->findOrFail(
        app(Arrive::class)($this->bench->by(), [new ArrivingBike($this->heron, [$part])], Bench::ago(100))->about->chains[0],
    );
    $this->fit = fn(?Chain $chain, float $hoursAgo, array $with = []) => $this->post(
        "/bikes/{$this->heron->id}/fittings",
        $with + ['chain_id' => $chain?->id] + Bench::form($hoursAgo),
    );
    $this->link = function (Chain $chain): PartState {
        app()->forgetScopedInstances();

        return app(ReadBook::class)($this->bench->workshop->refresh())
            ->inventory()
            ->linkOf($chain->id, Bench::NOW);
    };
});

it('refuses a chain of another speed count, unless the owner says why it goes on all the same', function (): void {
    $wide = ($this->part)(new ArrivingPart('chain', 'W', speeds: 9));
    $member = $this->bench->person(Role::Member);
    $this->actingAs($member);
    $rows = Bench::rows();
    ($this->fit)($wide, 5)->assertSessionHasErrors(['note' => __('errors.wrong_speed', ['chain' => 9, 'bike' => 12])]);
    ($this->fit)($wide, 5, ['note' => 'It is what I have'])->assertSessionHasErrors(['note' => __('errors.owner_overrules')]);
    $this->get('/')->assertInertia(
        fn($page) => $page->where('rails.0.hanging.0.fit.0.note', 'wrong_speed')->where('rails.0.hanging.0.fit.0.forbids', true),
    );
    expect(Bench::rows())->toBe($rows);
    app('auth')->forgetGuards();
    app()->forgetScopedInstances();
    $this->actingAs($this->bench->owner);
    ($this->fit)($wide, 5, ['note' => 'Only to the station'])->assertSessionHasNoErrors();
    $this->get('/history')->assertInertia(
        fn($page) => $page->where('actions.0.sentence', fn(string $text) => str_ends_with($text, '; Only to the station')),
    );
});

it('says which closing is the last, refuses a spent quick link, and opens a new one in the same step', function (): void {
    $b = ($this->part)(new ArrivingPart('chain', 'B', speeds: 12, closings: 2, closingsAllowed: 3));
    $this->actingAs($this->bench->owner);
    $this->get('/')->assertInertia(
        fn($page) => $page->where('rails.0.hanging.0.fit.0.note', 'last_closing')->where('rails.0.hanging.0.fit.0.forbids', false),
    );
    ($this->fit)($b, 50)->assertSessionHasNoErrors();
    ($this->fit)($this->a, 40)->assertSessionHasNoErrors();
    expect([($this->link)($b)->closings, ($this->link)($b)->usedUp()])->toBe([3, true]);
    ($this->fit)($b, 30)->assertSessionHasErrors(['new_link' => __('errors.link_spent')]);
    $this->get('/')->assertInertia(fn($page) => $page->where('rails.0.hanging.0.fit.0.note', 'link_spent'));
    $this->postJson('/command', ['action_id' => (string) Str::uuid(), 'text' => 'swap heron b'])->assertJsonValidationErrors('new_link');

    $spent = ($this->link)($b)->part->id;
    ($this->fit)($b, 30, ['new_link' => true, 'closings_allowed' => 5])->assertSessionHasNoErrors();
    ($this->fit)($this->a, 20);
    ($this->fit)($b, 10)->assertSessionHasNoErrors();
    $book = app(ReadBook::class)($this->bench->workshop->refresh());
    // The new one was closed twice; the spent one stays what it was.
    expect([($this->link)($b)->closings, ($this->link)($b)->part->closingsAllowed])
        ->toBe([2, 5])
        ->and($book->inventory()->part($spent, Bench::NOW)->closings)
        ->toBe(3);
    $this->get("/chains/{$b->id}")->assertInertia(fn($page) => $page->where('link.figure', '2 of 5 closings')->where('link.usedUp', false));
    $this->get('/history')->assertInertia(
        fn($page) => $page->where('actions.2.sentence', fn(string $text) => str_ends_with($text, 'with a new quick link')),
    );
    // The last fitting taken back, it was closed once.
    $this->post('/actions/' . $this->bench->lastAction()->id . '/undo', ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect(($this->link)($b)->closings)->toBe(1);
});

it('calls a chain that another bike lent by that bike, where the letter alone would be its own', function (): void {
    $this->actingAs($this->bench->owner);
    $lent = $this->bench->chain($this->bench->bike('Wren'), 'A', 30);
    ($this->fit)($lent, 5)->assertSessionHasNoErrors();
    $this->post(
        '/rides',
        ['action_id' => (string) Str::uuid(), 'bike_id' => $this->heron->id, 'distance' => 290, 'condition' => 'dry'] + Bench::form(3),
    );
    $this->post('/ahead/rides', [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $this->heron->id,
        'distance' => 60,
        'from' => '2026-11-26',
    ])->assertSessionHasNoErrors();
    $next = Bench::steps(Bench::deferred($this, '/', 'next')['next']);
    expect($this->get('/')->inertiaProps('rails.0.leftWords'))
        ->toEndWith('left on Wren A')
        ->and($this->get('/ahead')->inertiaProps('plan.lanes.0.days.0.text'))
        ->toEndWith('on Wren A')
        ->and(implode(' | ', array_map(fn(array $step) => "{$step['title']} {$step['reason']}", $next)))
        ->toContain('Swap Heron to A Wren A will have')
        ->not->toContain('Buy');
});
