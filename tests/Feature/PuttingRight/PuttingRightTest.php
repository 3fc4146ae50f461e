<?php

declare(strict_types=1);

use App\Models\Commute;
use App\Models\Estimate;
use App\Models\Ride;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

$ride = fn(int $bike, string $km, float $hoursAgo) => Bench::form($hoursAgo) + [
    'bike_id' => $bike,
    'distance' => $km,
    'condition' => 'dry',
];
$id = fn() => ['action_id' => (string) Str::uuid()];

it('catches up with an estimate that real rides replace day by day', function () use ($id, $ride): void {
    $bench = new Bench();
    $heron = $bench->bike();
    $a = $bench->chain($heron, 'A', fit: true);
    $spread = $id() + [
        'by' => 'distance',
        'distance' => '240',
        'from' => '2026-11-20',
        'to' => '2026-11-25',
        'condition' => 'dry',
    ];
    $this->actingAs($bench->owner)
        ->postJson("/bikes/{$heron->id}/estimates/spread", $spread)
        ->assertJson(['text' => "240\u{a0}km go to 6 days, 40.0\u{a0}km each."]);
    $this->post("/bikes/{$heron->id}/estimates", $spread)->assertSessionHasNoErrors();
    expect($bench->state($a)->leftKm())->toEqualWithDelta(60, 1e-9);
    $this->post('/rides', $ride($heron->id, '10', 50));
    expect($bench->state($a)->leftKm())->toEqualWithDelta(90, 1e-9);
    $this->get('/rides')->assertInertia(fn($page) => $page->where('rides.0.estimated', true)->where('rides.2.estimated', false));

    // It was less: the same entry is changed, and only by who saw it last.
    $row = Estimate::query()->live()->sole();
    $less = ['action_id' => (string) Str::uuid(), 'distance' => '120'] + $spread;
    $this->put("/estimates/{$row->id}", $less)->assertSessionHasNoErrors();
    expect($bench->state($a)->leftKm())
        ->toEqualWithDelta(190, 1e-9)
        ->and(Estimate::query()->live()->count())
        ->toBe(1);
    $this->put("/estimates/{$row->id}", ['action_id' => (string) Str::uuid()] + $less)->assertStatus(409);

    // The odometer knows the rest: the first reading is noted, the second counts what was not logged since.
    $this->post(
        "/bikes/{$heron->id}/estimates",
        $id() + ['by' => 'odometer', 'odometer' => '5000', 'condition' => 'dry'],
    )->assertSessionHasNoErrors();
    $this->post(
        "/bikes/{$heron->id}/estimates",
        $id() + ['by' => 'odometer', 'odometer' => '4990', 'condition' => 'dry'],
    )->assertSessionHasErrors('odometer');
    $this->post(
        "/bikes/{$heron->id}/estimates",
        $id() + [
            'by' => 'distance',
            'distance' => '5',
            'from' => '2026-11-23',
            'to' => '2026-11-23',
            'condition' => 'dry',
        ],
    )->assertSessionHasErrors('from');
    $this->post(
        "/bikes/{$heron->id}/estimates",
        $id() + [
            'by' => 'distance',
            'distance' => '5',
            'from' => '2026-11-23',
            'to' => '2026-11-20',
            'condition' => 'dry',
        ],
    )->assertSessionHasErrors('from');
});

it('fills the commute in, confirms it with one tap, and knows a day off', function () use ($id): void {
    $bench = new Bench();
    $heron = $bench->bike();
    $a = $bench->chain($heron, 'A', fit: true);
    $commute = $id() + [
        'bike_id' => $heron->id,
        'weekdays' => [5, 1, 2],
        'time' => '07:40',
        'distance' => '24',
        'hours' => '1:05',
        'condition' => 'damp',
        'from' => '2026-11-20',
    ];
    $this->actingAs($bench->owner)->post('/commutes', $commute)->assertSessionHasNoErrors();
    // Friday, Monday, Tuesday: 3 × 24 km damp.
    expect($bench->state($a)->leftKm())->toEqualWithDelta(300 - 3 * 36, 1e-9);
    $this->get('/')->assertInertia(
        fn($page) => $page->where('next', fn($next) => count(collect(Bench::steps($next))->firstWhere('kind', 'commute')['days']) === 3),
    );
    $this->post("/bikes/{$heron->id}/commute-days", $id() + ['dates' => ['2026-11-23'], 'ridden' => false]);
    $this->post(
        "/bikes/{$heron->id}/commute-days",
        $id() + ['dates' => ['2026-11-20', '2026-11-24'], 'ridden' => true],
    )->assertSessionHasNoErrors();
    expect($bench->state($a)->leftKm())
        ->toEqualWithDelta(300 - 2 * 36, 1e-9)
        ->and(Ride::query()->live()->count())
        ->toBe(2);
    $this->post("/bikes/{$heron->id}/commute-days", $id() + ['dates' => ['2026-11-24'], 'ridden' => true])->assertSessionHasErrors('dates');
    $row = Commute::query()->live()->firstOrFail();
    $this->put("/commutes/{$row->id}", ['until' => '2026-11-22'] + $id() + $commute)->assertSessionHasNoErrors();
    $this->get('/')->assertInertia(fn($page) => $page->where('next', []));
    $this->put("/commutes/{$row->id}", ['until' => '2026-11-29'] + $id() + $commute)->assertStatus(409);
});

it('keeps a ride open until somebody says which bike it was', function () use ($id, $ride): void {
    $bench = new Bench();
    $heron = $bench->bike();
    $a = $bench->chain($heron, 'A', fit: true);
    $this->actingAs($bench->owner)
        ->post('/rides', ['bike_id' => null] + $ride(0, '62', 20))
        ->assertSessionHasNoErrors();
    $this->get('/')->assertInertia(
        fn($page) => $page
            ->where('next.0.line.kind', 'no_bike')
            ->where('next.0.line.reason', fn(string $reason) => str_contains($reason, "62\u{a0}km")),
    );
    expect($bench->state($a)->leftKm())->toBe(300.0);
    $open = Ride::query()->live()->firstOrFail();
    $this->post('/rides/move', $id() + ['bike_id' => $heron->id, 'rides' => [$open->id]])->assertSessionHasNoErrors();
    expect($bench->state($a)->leftKm())->toBe(238.0);
    $this->post('/rides', ['bike_id' => null, 'loud' => true] + $ride(0, '62', 20))->assertSessionHasErrors('loud');
});

it('puts right which chain was on, and shows every figure that changes before it does', function () use ($id, $ride): void {
    $bench = new Bench();
    $heron = $bench->bike();
    [$a, $b, $c] = [$bench->chain($heron, 'A', 300, true), $bench->chain($heron, 'B', 290), $bench->chain($heron, 'C', 280)];
    $this->actingAs($bench->owner)->post("/bikes/{$heron->id}/fittings", ['chain_id' => $b->id] + Bench::form(100));
    $this->post('/rides', $ride($heron->id, '80', 90));
    $this->post("/chains/{$b->id}/topups", ['distance' => '30'] + Bench::form(50));
    $this->post('/rides', $ride($heron->id, '20', 40));
    $correction = ['chain_id' => $c->id] + Bench::form(100);
    $rows = Bench::rows();
    $this->postJson("/bikes/{$heron->id}/corrections", $correction + ['preview' => true])
        ->assertOk()
        ->assertJsonPath('chains.0.chain', 'Heron B')
        ->assertJsonPath('chains.1.chain', 'Heron C')
        ->assertJsonFragment([
            'name' => 'In all',
            'before' => "100.0\u{a0}km",
            'after' => "0.0\u{a0}km",
        ])
        ->assertJsonFragment([
            'name' => 'Wax left',
            'before' => "300\u{a0}km",
            'after' => "200\u{a0}km",
        ])
        ->assertJsonFragment(['name' => 'Now on', 'before' => 'its hook', 'after' => 'Heron']);
    expect(Bench::rows())->toBe($rows);
    $this->post("/bikes/{$heron->id}/corrections", $correction)->assertSessionHasNoErrors();
    expect($bench->state($b)->km->km)
        ->toBe(0.0)
        ->and($bench->state($c)->leftKm())
        ->toBe(200.0)
        ->and($bench->state($b)->wax->topUps)
        ->toBe(1);
    $this->post("/bikes/{$heron->id}/corrections", ['action_id' => (string) Str::uuid()] + $correction)->assertSessionHasErrors('chain_id');

    // Taking it back says the same, the other way round, and changes nothing by being looked at.
    $this->get("/actions/{$bench->lastAction()->id}/undo")->assertInertia(
        fn($page) => $page
            ->where('also', [])
            ->where('changes.1.chain', 'Heron C')
            ->where('changes.1.lines.0', ['name' => 'Now on', 'before' => 'Heron', 'after' => 'its hook']),
    );
    expect($bench->state($c)->leftKm())->toBe(200.0);

    // Taken back, then with everything of the two tags exchanged: the drip was put on C.
    $this->post("/actions/{$bench->lastAction()->id}/undo", $id())->assertSessionHasNoErrors();
    $this->post(
        "/bikes/{$heron->id}/corrections",
        ['action_id' => (string) Str::uuid(), 'exchange' => true] + $correction,
    )->assertSessionHasNoErrors();
    expect($bench->state($c)->wax->topUps)
        ->toBe(1)
        ->and($bench->state($c)->leftKm())
        ->toBe(230.0)
        ->and($bench->state($b)->wax->topUps)
        ->toBe(0)
        ->and($bench->state($a)->km->km)
        ->toBe(0.0);
    $this->get("/history?chain={$c->id}")->assertInertia(
        fn($page) => $page->where('actions', function ($lines): bool {
            $text = implode("\n", array_column($lines->all(), 'sentence'));

            // What was done to it, the rides that went to it, and what was taken back.
            return str_contains($text, 'Corrected: C was on Heron') && str_contains($text, 'Undid') && str_contains($text, 'Logged 80');
        }),
    );
});

it('splits a ride at a roadside change of chain, with the points of its track', function (bool $dayOnly) use ($id, $ride): void {
    $bench = new Bench();
    $heron = $bench->bike();
    [$a, $b] = [$bench->chain($heron, 'A', 300, true), $bench->chain($heron, 'B', 290)];
    $this->actingAs($bench->owner)->post('/rides', ['hours' => '4:00'] + ($dayOnly ? ['time' => ''] : []) + $ride($heron->id, '100', 20));
    $logged = Ride::query()->live()->firstOrFail();
    $logged->forceFill(['track_fingerprint' => 'x', 'track_from' => 0, 'track_to' => 1000])->save();
    $split = fn(array $with = []) => $with + ['distance' => '40', 'chain_id' => $b->id] + Bench::form(18);
    $this->post("/rides/{$logged->id}/split", $split(['distance' => '100']))->assertSessionHasErrors('distance');
    $dayOnly || $this->post("/rides/{$logged->id}/split", $split(Bench::form(21)))->assertSessionHasErrors('time');
    $this->post("/rides/{$logged->id}/split", $split())->assertSessionHasNoErrors();
    expect($bench->state($a)->km->km)
        ->toBe(40.0)
        ->and($bench->state($b)->km->km)
        ->toBe(60.0)
        ->and(Ride::query()->live()->orderBy('at')->get()->map(fn(Ride $ride) => [$ride->track_from, $ride->track_to, $ride->hours])->all())
        ->toBe([[0, 400, 1.6], [400, 1000, 2.4]]);
    // Somebody else saw the whole ride still: the same form can go to what is there now.
    $this->post("/rides/{$logged->id}/split", $split())
        ->assertStatus(409)
        ->assertInertia(
            fn($page) => $page
                ->where('again', [
                    'method' => 'post',
                    'url' => '/rides/' . Ride::query()->live()->orderBy('at')->firstOrFail()->id . '/split',
                ])
                ->where('wanted.distance', '40'),
        );
    $this->post("/actions/{$bench->lastAction()->id}/undo", $id())->assertSessionHasNoErrors();
    expect($bench->state($a)->km->km)
        ->toBe(100.0)
        ->and($bench->state($b)->km->km)
        ->toBe(0.0);
})->with(['known to the minute' => [false], 'known by its day' => [true]]);

it('moves rides to another bike, with a preview', function () use ($id, $ride): void {
    $bench = new Bench();
    [$heron, $badger] = [$bench->bike(), $bench->bike('Badger')];
    [$a, $x] = [$bench->chain($heron, 'A', fit: true), $bench->chain($badger, 'A', fit: true)];
    $this->actingAs($bench->owner)->post('/rides', $ride($heron->id, '50', 20));
    $this->post('/rides', $ride($heron->id, '30', 10));
    $ids = Ride::query()->live()->pluck('id')->all();
    $this->postJson('/rides/move', $id() + ['bike_id' => $badger->id, 'rides' => $ids, 'preview' => true])->assertJsonCount(2, 'chains');
    $this->post('/rides/move', $id() + ['bike_id' => $badger->id, 'rides' => $ids])->assertSessionHasNoErrors();
    expect($bench->state($a)->km->km)
        ->toBe(0.0)
        ->and($bench->state($x)->km->km)
        ->toBe(80.0);
    $this->get("/history?bike={$heron->id}")->assertInertia(
        fn($page) => $page->where('actions.0.sentence', "Moved 2 rides, 80\u{a0}km, to Badger from Heron"),
    );
});

it('takes back what was done in a workshop, and not the workshop', function () use ($id): void {
    $bench = new Bench();
    $this->actingAs($bench->owner);
    $began = $bench->lastAction();
    $this->get('/history')->assertInertia(fn($page) => $page->where('actions.0.stays', true));
    $this->get("/actions/{$began->id}/undo")->assertInertia(fn($page) => $page->where('action.stays', true)->where('also', []));
    $this->post("/actions/{$began->id}/undo", $id())->assertSessionHasErrors(['action' => __('errors.workshop_stays')]);
    $this->put('/settings', $id() + ['name' => 'Barn', 'time_zone' => 'Europe/Paris'] + $this->get('/settings')->inertiaProps('values'));
    $named = $bench->lastAction();
    $this->get('/history')->assertInertia(fn($page) => $page->where('actions.0.stays', false)->where('actions.1.stays', true));
    $this->post("/actions/{$named->id}/undo", $id())->assertSessionHasNoErrors();
    expect($this->get('/')->inertiaProps('here.workshop'))->toBe('Test shed');
});
