<?php

declare(strict_types=1);

use App\Models\Action;
use App\Models\Bike;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench('mo@test.example');
    $this->actingAs($this->bench->owner);
    $this->ridden = function (string $name, ?string $rider): Bike {
        $bike = $this->bench->bike($name);
        $this->bench->chain($bike, 'A', 200, fit: true);
        $this->bench->chain($bike, 'B', 200);
        $this->put(
            "/bikes/{$bike->id}",
            ['action_id' => (string) Str::uuid(), 'rider' => $rider, 'name' => $name, 'kind' => 'road', 'speeds' => 12] + [
                'interval' => 300,
                'limit_school' => 'strict',
            ],
        )->assertSessionHasNoErrors();
        // The wax is used up, the last of it in the wet.
        foreach ([[290, 'dry', 30], [30, 'wet', 3]] as [$km, $condition, $ago]) {
            $this->post(
                '/rides',
                ['action_id' => (string) Str::uuid(), 'bike_id' => $bike->id, 'distance' => $km, 'condition' => $condition] +
                    Bench::form($ago),
            )->assertSessionHasNoErrors();
        }

        return $bike;
    };
    $this->page = function (string $path, ?User $as = null): array {
        app()->forgetScopedInstances();
        app('auth')->forgetGuards();

        return $this->actingAs($as ?? $this->bench->owner->refresh())
            ->get($path)
            ->assertOk()
            ->viewData('page')['props'];
    };
});

it('shows each rider their own bikes and everybody\'s where they wish it, and tells them of these alone', function (): void {
    // Nobody to tell apart: no choice.
    $heron = ($this->ridden)('Heron', 'mo ');
    expect(($this->page)('/')['here']['whose'])
        ->toBeNull()
        ->and(($this->page)('/')['rails'][0]['rider'])
        ->toBeNull();
    $crane = ($this->ridden)('Crane', 'Ada');
    $barn = ($this->ridden)('Barn', null);
    $names = fn(array $rows): array => array_column($rows, 'name');
    $bikesOf = fn(array $next): array => array_values(array_unique(array_filter(array_column(Bench::steps($next), 'bike'))));

    $all = ($this->page)('/');
    expect($all['here']['whose'])
        ->toBe('all')
        ->and($names($all['rails']))
        ->toBe(['Heron', 'Crane', 'Barn'])
        ->and(array_column($all['rails'], 'rider'))
        ->toBe(['mo', 'Ada', null])
        ->and($bikesOf($all['next']))
        ->toContain($crane->id);

    $this->put('/whose', ['mine' => true])->assertRedirect();
    $mine = ($this->page)('/');
    expect($mine['here']['whose'])
        ->toBe('mine')
        ->and($names($mine['rails']))
        ->toBe(['Heron', 'Barn'])
        ->and($bikesOf($mine['next']))
        ->not->toContain($crane->id)
        ->toContain($heron->id, $barn->id);
    expect(array_values(array_unique(array_column(($this->page)('/rides')['rides'], 'bikeName'))))
        ->toBe(['Barn', 'Heron'])
        // Who asks for a bike by name gets it.
        ->and(array_unique(array_column(($this->page)("/rides?bike={$crane->id}")['rides'], 'bikeName')))
        ->toBe(['Crane'])
        ->and($names(($this->page)('/ahead')['plan']['lanes']))
        ->toBe(['Heron', 'Barn']);
    // The pot is for all chains, whoever looks.
    expect(count(($this->page)('/pot-day')['chains']))->toBe(6);

    // Reminders and calendar go by whose it is, whatever is looked at.
    $this->put('/whose', ['mine' => false]);
    app()->forgetScopedInstances();
    $told = function (): string {
        $this->post('/calendar');
        $address = (string) parse_url((string) session('calendarAddress'), PHP_URL_PATH);
        app()->forgetScopedInstances();

        return json_encode($this->getJson('/reminders')->json(), JSON_THROW_ON_ERROR) .
            // A pot day that one's own chains are in names all that are in it.
            preg_replace(
                ['/\r\n /', '/^(SUMMARY|DESCRIPTION):Heat the pot.*/m'],
                '',
                (string) $this->get($address)->assertOk()->getContent(),
            );
    };
    expect($told())->toContain('Heron')->toContain('Barn')->not->toContain('Crane');
    // A file of the plan is of what is looked at.
    expect($this->get('/ahead/dripel.ics')->getContent())->toContain('Crane');
    // Who rides nothing is told of everything, and has no choice.
    $guest = $this->bench->person(Role::Viewer);
    expect(($this->page)('/', $guest)['here']['whose'])
        ->toBeNull()
        ->and($told())
        ->toContain('Crane');
    $this->put('/whose', ['mine' => true])->assertRedirect();
    expect(count(($this->page)('/', $guest)['rails']))->toBe(3);
});

it('splits money among riders, adds it up to that of the workshop, and keeps who rides what through undo and restore', function (): void {
    [$heron, $crane] = [($this->ridden)('Heron', 'Mo'), ($this->ridden)('Crane', 'Ada')];
    foreach (['wax' => ['20.00', 500], 'chain' => ['40.00', 1]] as $supply => [$amount, $quantity]) {
        $this->post(
            '/prices',
            ['action_id' => (string) Str::uuid(), 'supply' => $supply, 'amount' => $amount, 'quantity' => $quantity] + Bench::form(500),
        )->assertSessionHasNoErrors();
    }
    $money = fn(): array => ($this->page)('/books/money');
    $all = $money();
    expect(array_column($all['riders'], 'name', 'name'))->toBe(['Mo' => 'Mo', 'Ada' => 'Ada', 'Everybody’s' => 'Everybody’s']);
    $amount = fn(array $row): float => (float) preg_replace('/[^\d.]/', '', $row['total']);
    expect(array_sum(array_map($amount, $all['riders'])))->toEqualWithDelta($amount($all['all']), 0.001)->toBeGreaterThan(100.0);
    $this->put('/whose', ['mine' => true]);
    expect($amount($money()['all']))
        ->toBe($amount($all['riders'][0]))
        ->and($money()['riders'])
        ->toBe([])
        ->and(count($money()['chains']))
        ->toBe(2);

    // Heron goes to Ada; taken back it is Mo's again.
    $rides = fn(): array => array_column(($this->page)('/bikes/new')['riders'], null);
    expect($rides())->toBe(['Mo', 'Ada']);
    $this->put(
        "/bikes/{$heron->id}",
        ['action_id' => ($id = (string) Str::uuid()), 'rider' => 'ada', 'name' => 'Heron', 'kind' => 'road', 'speeds' => 12] + [
            'interval' => 300,
            'limit_school' => 'strict',
        ],
    )->assertSessionHasNoErrors();
    expect(Action::query()->findOrFail($id)->kind->value)
        ->toBe('change_bike')
        ->and(($this->page)('/')['here']['whose'])
        ->toBeNull();
    $this->post("/actions/{$id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect(($this->page)('/')['here']['whose'])->toBe('mine');
    expect($this->get('/export/workshop.json')->streamedContent())->toContain('bike.rider');
});

it('keeps a person\'s workshops apart and lets them go from one to the other', function (): void {
    $mine = $this->bench;
    $heron = ($this->ridden)('Heron', null);
    $theirs = new Bench('ada@test.example');
    $mine->owner->update(['opens_workshops' => true]);

    // Invited into another one with the account that is signed in: no password, no second account.
    $this->actingAs($theirs->owner)->post('/invitations', ['role' => 'viewer']);
    $link = (string) session('invitation');
    app('auth')->forgetGuards();
    app()->forgetScopedInstances();
    $this->actingAs($mine->owner->refresh())
        ->get($link)
        ->assertInertia(fn(AssertableInertia $page) => $page->component('People/Join')->where('person', 'Mo')->where('open', true));
    $this->post($link)->assertRedirect('/');
    $this->post($link)->assertSessionHasErrors('token');
    $here = fn(): array => array_column(Bench::deferred($this, '/settings', 'people')['people']['workshops'], 'role', 'name');
    expect(User::query()->count())
        ->toBe(2)
        ->and(($this->page)('/')['rails'])
        ->toBe([])
        ->and(($this->page)('/settings')['here']['role'])
        ->toBe('viewer');
    $this->get("/bikes/{$heron->id}")->assertNotFound();

    // Back to the own one, on to a further one; into one that one is not in there is no way.
    $this->post("/workshops/{$mine->workshop->id}/enter")->assertRedirect('/');
    expect(count(($this->page)('/')['rails']))->toBe(1);
    $this->post('/workshops', ['workshop' => ''])->assertSessionHasErrors('workshop');
    $this->post('/workshops', ['workshop' => 'Club'])->assertRedirect('/');
    expect(($this->page)('/')['here']['workshop'])->toBe('Club');
    $this->post('/workshops', ['workshop' => 'club'])->assertSessionHasErrors('workshop');
    expect($here())->toBe(['Test shed' => 'viewer', 'Club' => 'owner']);
    $club = $mine->owner->refresh()->workshop_id;
    app('auth')->forgetGuards();
    app()->forgetScopedInstances();
    $this->actingAs($theirs->owner->refresh())
        ->post("/workshops/{$club}/enter")
        ->assertNotFound();
    $this->post('/workshops', ['workshop' => 'Mine'])->assertForbidden();

    // Shown out of the one while in another: stays there, signed in.
    $guest = $theirs->workshop->memberships()->where('user_id', $mine->owner->id)->sole();
    $this->delete("/people/{$guest->id}")->assertSessionHasNoErrors();
    expect($mine->owner->refresh()->workshop_id)
        ->toBe($club)
        ->and(count(Bench::deferred($this->actingAs($mine->owner), '/settings', 'people')['people']['workshops']))
        ->toBe(2);
});

it('hands on who opens further workshops, at the machine', function (): void {
    $other = new Bench('ada@test.example');
    $this->bench->owner->update(['opens_workshops' => true]);
    $this->artisan('dripel:opener', ['email' => 'nobody@test.example'])->assertFailed();
    expect($this->bench->owner->refresh()->opens_workshops)->toBeTrue();
    $this->artisan('dripel:opener', ['email' => ' ADA@test.example'])->assertSuccessful();
    expect([$this->bench->owner->refresh()->opens_workshops, $other->owner->refresh()->opens_workshops])->toBe([false, true]);
});
