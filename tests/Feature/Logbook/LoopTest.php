<?php

declare(strict_types=1);

use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Dip;
use App\Models\Fitting;
use App\Models\Ride;
use Dripel\Core\Logbook\ChainStatus;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->heron = $this->bench->bike();
    [$this->a, $this->b] = [$this->bench->chain($this->heron, 'A', fit: true), $this->bench->chain($this->heron, 'B')];
    $this->actingAs($this->bench->owner);
    $this->log = fn(float $hoursAgo, float $km, string $condition = 'dry', array $more = []) => $this->post(
        '/rides',
        $more + ['bike_id' => $this->heron->id, 'distance' => $km, 'condition' => $condition] + Bench::form($hoursAgo),
    )->assertSessionHasNoErrors();
    $this->undo = fn(Action $action, array $also = []) => $this->post("/actions/{$action->id}/undo", [
        'action_id' => (string) Str::uuid(),
        'also' => $also,
    ]);
});

it('rides, swaps, dips, and undoes the swap', function (): void {
    ($this->log)(3, 62);
    expect($this->bench->state($this->a)->leftKm())->toBe(238.0);
    $this->post("/bikes/{$this->heron->id}/fittings", ['chain_id' => $this->b->id] + Bench::form(2))->assertSessionHasNoErrors();
    $swap = $this->bench->lastAction();
    ($this->log)(1, 20);
    expect([$this->bench->state($this->a)->km->km, $this->bench->state($this->b)->km->km])->toBe([62.0, 20.0]);
    $this->post('/dips', ['chains' => [$this->a->id], 'dry' => true] + Bench::form(0.5))->assertSessionHasNoErrors();
    expect($this->bench->state($this->a)->status)->toBe(ChainStatus::Waxed);

    ($this->undo)($swap)->assertSessionHasNoErrors();
    expect([$this->bench->state($this->a)->km->km, $this->bench->state($this->b)->km->km])->toBe([82.0, 0.0]);
    ($this->undo)($this->bench->lastAction());
    expect([$this->bench->state($this->a)->km->km, $this->bench->state($this->b)->km->km])->toBe([62.0, 20.0]);
});

it('gives a ride dated before the last swap to the earlier chain', function (): void {
    $this->post("/bikes/{$this->heron->id}/fittings", ['chain_id' => $this->b->id] + Bench::form(10));
    ($this->log)(11, 40);
    ($this->log)(9, 25);
    expect([$this->bench->state($this->a)->km->km, $this->bench->state($this->b)->km->km])->toBe([40.0, 25.0]);
});

it('follows a swap moved in time, a voided dip and an edited ride', function (): void {
    ($this->log)(20, 30);
    ($this->log)(10, 50);
    $this->post("/bikes/{$this->heron->id}/fittings", ['chain_id' => $this->b->id] + Bench::form(5));
    $swap = Fitting::query()->live()->latest('id')->firstOrFail();
    $this->put("/entries/fittings/{$swap->id}", Bench::form(15))
        ->assertRedirect()
        ->assertSessionHasNoErrors();
    expect([$this->bench->state($this->a)->km->km, $this->bench->state($this->b)->km->km])->toBe([30.0, 50.0]);

    $dip = Dip::query()->live()->where('component_id', $this->b->id)->firstOrFail();
    $this->delete("/entries/dips/{$dip->id}", ['action_id' => (string) Str::uuid()])
        ->assertRedirect()
        ->assertSessionHasNoErrors();
    expect($this->bench->state($this->b)->status)->toBe(ChainStatus::Unwaxed);
    ($this->undo)($this->bench->lastAction());
    expect($this->bench->state($this->b)->leftKm())->toBe(250.0);

    $ride = Ride::query()->live()->where('km', 50)->firstOrFail();
    $this->put(
        "/rides/{$ride->id}",
        [
            'bike_id' => $this->heron->id,
            'distance' => '55,5',
            'hours' => '2:15',
            'condition' => 'wet',
        ] + Bench::form(10),
    )->assertSessionHasNoErrors();
    $state = $this->bench->state($this->b);
    expect($state->km->km)
        ->toBe(55.5)
        ->and($state->status)
        ->toBe(ChainStatus::Wet)
        ->and(Ride::query()->find($ride->id)->voided_by)
        ->not->toBeNull();
    ($this->undo)($this->bench->lastAction());
    expect($this->bench->state($this->b)->km->km)->toBe(50.0);
});

it('does nothing twice, whatever is sent twice', function (): void {
    $ride = ['bike_id' => $this->heron->id, 'distance' => 20, 'condition' => 'dry'] + Bench::form(3);
    $swap = ['chain_id' => $this->b->id] + Bench::form(2);
    $chain =
        [
            'bike_id' => $this->heron->id,
            'label' => 'C',
            'speeds' => 12,
            'pitches' => 116,
            'state' => 'waxed',
        ] + Bench::form(1);
    foreach ([1, 2, 3] as $time) {
        $this->post('/rides', $ride)->assertSessionHasNoErrors();
        $this->post("/bikes/{$this->heron->id}/fittings", $swap)->assertSessionHasNoErrors();
        $this->post('/chains', $chain)->assertSessionHasNoErrors();
        $rows ??= Bench::rows();
    }
    expect(Bench::rows())->toBe($rows);
    $this->post('/dips', ['chains' => [$this->a->id], 'dry' => true, 'action_id' => $ride['action_id']] + Bench::form(1))->assertStatus(
        409,
    );
    // Nor is the same form with other content what was done; the same again is.
    $this->post('/rides', ['distance' => 31] + $ride)->assertStatus(409);
    $this->postJson('/rides', ['distance' => 31] + $ride)
        ->assertStatus(409)
        ->assertJsonValidationErrors('action_id');
    $this->post('/rides', $ride)->assertRedirect();
    $undo = ['action_id' => (string) Str::uuid()];
    $action = Action::query()->findOrFail($ride['action_id']);
    $this->post("/actions/{$action->id}/undo", $undo)->assertSessionHasNoErrors();
    $this->post("/actions/{$action->id}/undo", $undo)->assertSessionHasNoErrors();
    ($this->undo)($action)->assertSessionHasErrors('action');
});

it('shows both versions when the ride was changed elsewhere, and overwrites nothing', function (): void {
    ($this->log)(10, 50);
    $ride = Ride::query()->live()->firstOrFail();
    $edit = fn(int $id, float $km) => $this->put(
        "/rides/{$id}",
        ['bike_id' => $this->heron->id, 'distance' => $km, 'condition' => 'dry'] + Bench::form(10),
    );
    $edit($ride->id, 51)->assertRedirect();
    $edit($ride->id, 52)
        ->assertStatus(409)
        ->assertInertia(
            fn(AssertableInertia $page) => $page
                ->component('History/Conflict')
                ->where('seen.distance', '50')
                ->where('current.distance', '51')
                ->where('wanted.distance', 52),
        );
    expect($this->bench->state($this->a)->km->km)->toBe(51.0);
    $edit(Ride::query()->live()->firstOrFail()->id, 52)->assertRedirect();
    $gone = Ride::query()->live()->firstOrFail();
    $this->delete("/entries/rides/{$gone->id}", ['action_id' => (string) Str::uuid()]);
    $edit($gone->id, 53)->assertStatus(409)->assertInertia(fn(AssertableInertia $page) => $page->where('current', null));
    expect($this->bench->state($this->a)->km->km)->toBe(0.0);
});

it('names what stands in the way of an undo and takes it along when told to', function (): void {
    $badger = $this->bench->bike('Badger');
    $off = ['chain_id' => null] + Bench::form(20);
    $this->post("/bikes/{$this->heron->id}/fittings", $off)->assertSessionHasNoErrors();
    $elsewhere = ['chain_id' => $this->a->id] + Bench::form(10);
    $this->post("/bikes/{$badger->id}/fittings", $elsewhere)->assertSessionHasNoErrors();
    $rows = Bench::rows();

    $this->post("/actions/{$off['action_id']}/undo", [
        'action_id' => (string) Str::uuid(),
    ])->assertRedirect("/actions/{$off['action_id']}/undo");
    expect(Bench::rows())->toBe($rows);
    $this->get("/actions/{$off['action_id']}/undo")->assertInertia(
        fn(AssertableInertia $page) => $page
            ->component('History/Undo')
            ->where('also.0.id', $elsewhere['action_id'])
            ->where('also.0.sentence', fn(string $text) => str_contains($text, 'Badger')),
    );
    $this->post("/actions/{$off['action_id']}/undo", [
        'action_id' => (string) Str::uuid(),
        'also' => [$elsewhere['action_id']],
    ])->assertSessionHasNoErrors();
    ($this->log)(5, 12);
    expect($this->bench->state($this->a)->km->km)->toBe(12.0);

    // An edit builds on what it replaced; a bike on which things happened does not vanish under them.
    $ride = Ride::query()->live()->firstOrFail();
    $logged = $this->bench->lastAction();
    $this->put("/rides/{$ride->id}", ['bike_id' => $this->heron->id, 'distance' => 13, 'condition' => 'dry'] + Bench::form(5));
    ($this->undo)($logged)->assertRedirect("/actions/{$logged->id}/undo");
    ($this->undo)(Action::query()->where('kind', 'add_bike')->orderBy('revision')->firstOrFail())->assertRedirect();
    $this->get('/')->assertInertia(fn(AssertableInertia $page) => $page->has('rails', 2));
});

it('refuses what cannot be, with a remedy, and stores nothing', function (
    string $method,
    Closure $request,
    string $field,
    string $says,
): void {
    $rows = Bench::rows();
    [$url, $data] = $request->call($this);
    $this->{$method}($url, $data)->assertSessionHasErrors($field);
    expect(session('errors')->first($field))->toContain($says)->and(Bench::rows())->toBe($rows);
})->with([
    'a ride tomorrow' => [
        'post',
        fn() => ['/rides', ['bike_id' => $this->heron->id, 'distance' => 20, 'condition' => 'dry'] + Bench::form(-24)],
        'date',
        'future',
    ],
    'a ride around the world' => [
        'post',
        fn() => ['/rides', ['bike_id' => $this->heron->id, 'distance' => 40_000, 'condition' => 'dry'] + Bench::form(1)],
        'distance',
        'at most 2,000',
    ],
    'no distance' => [
        'post',
        fn() => ['/rides', ['bike_id' => $this->heron->id, 'distance' => 0, 'condition' => 'dry'] + Bench::form(1)],
        'distance',
        'above 0',
    ],
    'hours that are none' => [
        'post',
        fn() => [
            '/rides',
            [
                'bike_id' => $this->heron->id,
                'distance' => 9,
                'hours' => 'two',
                'condition' => 'dry',
            ] + Bench::form(1),
        ],
        'hours',
        '2:15',
    ],
    'a condition of one\'s own' => [
        'post',
        fn() => ['/rides', ['bike_id' => $this->heron->id, 'distance' => 9, 'condition' => 'windy'] + Bench::form(1)],
        'condition',
        'Choose',
    ],
    'a chain that is on already' => [
        'post',
        fn() => ["/bikes/{$this->heron->id}/fittings", ['chain_id' => $this->a->id] + Bench::form(1)],
        'chain_id',
        'already',
    ],
    'a dip without looking' => ['post', fn() => ['/dips', ['chains' => [$this->a->id]] + Bench::form(1)], 'dry', 'cannot be skipped'],
    'a dip of nothing' => ['post', fn() => ['/dips', ['chains' => [], 'dry' => true] + Bench::form(1)], 'chains', 'Fill this in'],
    'a gauge that contradicts itself' => [
        'post',
        fn() => [
            "/chains/{$this->a->id}/readings",
            [
                'kind' => 'drop_in',
                'results' => [['mark_pct' => 0.5, 'seat' => 'rests'], ['mark_pct' => 0.75, 'seat' => 'enters']],
            ] + Bench::form(1),
        ],
        'spots.0.results',
        'measure again',
    ],
    'a letter that is taken' => [
        'post',
        fn() => ['/chains', ['bike_id' => $this->heron->id, 'label' => 'b', 'speeds' => 12, 'state' => 'boxed'] + Bench::form(1)],
        'label',
        'another letter',
    ],
    'an odd count of pitches' => [
        'post',
        fn() => [
            '/chains',
            [
                'bike_id' => $this->heron->id,
                'label' => 'F',
                'speeds' => 12,
                'pitches' => 115,
                'state' => 'boxed',
            ] + Bench::form(1),
        ],
        'pitches',
        'even',
    ],
    'a name that is taken' => [
        'post',
        fn() => [
            '/bikes',
            [
                'name' => 'heron',
                'kind' => 'road',
                'speeds' => 12,
                'interval' => 300,
                'limit_school' => 'strict',
                'action_id' => (string) Str::uuid(),
            ],
        ],
        'name',
        'another name',
    ],
    'a form without an id' => [
        'post',
        fn() => ["/chains/{$this->a->id}/strips", ['action_id' => 'x'] + Bench::form(1)],
        'action_id',
        'Reload',
    ],
]);

it('refuses to fit a chain that is on another bike, or retired', function (): void {
    $badger = $this->bench->bike('Badger');
    $this->post("/bikes/{$badger->id}/fittings", ['chain_id' => $this->a->id] + Bench::form(1))->assertSessionHasErrors('conflict');
    expect(session('errors')->first('conflict'))->toContain('Heron A is on Heron');
    $this->post("/chains/{$this->b->id}/retirement", Bench::form(2))->assertSessionHasNoErrors();
    $this->post("/bikes/{$badger->id}/fittings", ['chain_id' => $this->b->id] + Bench::form(1))->assertSessionHasErrors('conflict');
    expect(session('errors')->first('conflict'))->toContain('retired');
});

it('changes an interval from now on or for the past too', function (): void {
    ($this->log)(20, 100);
    $change = fn(float $km, bool $past) => $this->put("/bikes/{$this->heron->id}", [
        'name' => 'Heron',
        'kind' => 'road',
        'speeds' => 12,
        'interval' => $km,
        'limit_school' => 'strict',
        'also_past' => $past,
        'action_id' => (string) Str::uuid(),
    ])->assertSessionHasNoErrors();
    $change(200, false);
    expect($this->bench->state($this->a)->leftKm())->toBe(100.0);
    $past = app(ReadBook::class)($this->bench->workshop)->chain($this->a->id, Bench::ago(10)->unixS);
    expect($past->leftKm())->toBe(200.0, 'as it was then');
    $change(250, true);
    $past = app(ReadBook::class)($this->bench->workshop->refresh())->chain($this->a->id, Bench::ago(10)->unixS);
    expect($past->leftKm())->toBe(150.0);
    ($this->undo)($this->bench->lastAction());
    expect($this->bench->state($this->a)->leftKm())->toBe(100.0);
});

it('speaks miles when told to, and keeps kilometres', function (): void {
    $values = [
        'name' => 'Shed',
        'time_zone' => 'Europe/London',
        'distance_unit' => 'mi',
        'temperature_unit' => 'F',
        'mass_unit' => 'oz',
        'currency' => 'GBP',
        'language' => 'en',
        'interval' => 300,
        'limit_school' => 'strict',
        'factors' => [
            'indoor' => 0.8,
            'dry' => 1,
            'dusty' => 1.5,
            'damp' => 1.5,
            'wet' => '3,0',
            'muddy' => 3.5,
        ],
        'action_id' => (string) Str::uuid(),
    ];
    $this->put('/settings', $values)->assertSessionHasNoErrors();
    ($this->log)(3, 10);
    expect(Ride::query()->live()->firstOrFail()->km)->toEqualWithDelta(16.09344, 1e-9);
    $this->get('/')->assertInertia(
        fn(AssertableInertia $page) => $page
            ->where('rails.0.leftNumber', '176')
            ->where('here.distanceUnit', 'mi')
            ->where('rails.0.leftWords', 'mi of wax left on A'),
    );
    $this->get('/history')->assertInertia(
        fn(AssertableInertia $page) => $page->where(
            'actions.1.sentence',
            fn(string $text) => str_contains($text, 'factor wet 3.0') && str_contains($text, 'time zone Europe/London'),
        ),
    );
});
