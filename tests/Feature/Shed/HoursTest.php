<?php

declare(strict_types=1);

use App\Models\Bike;
use App\Models\Ride;
use App\Support\AppClock;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;

beforeEach(function (): void {
    // Wednesday 25 November 2026, noon in UTC.
    $this->bench = new Bench();
    $this->bike = $this->bench->bike('Badger');
    $this->a = $this->bench->chain($this->bike, 'A', 300, true);
    $this->actingAs($this->bench->owner);
    $this->save = fn(array $data) => $this->put(
        "/bikes/{$this->bike->id}",
        $data + [
                'name' => 'Badger',
                'kind' => 'mountain',
                'speeds' => 12,
                'interval' => '',
                'interval_hours' => '10',
                'limit_school' => 'strict',
            ] +
            Bench::form(0),
    );
    $this->ride = fn(array $data, float $ago = 20) => $this->post(
        '/rides',
        $data + [
                'bike_id' => $this->bike->id,
                'hours' => '',
                'distance' => '',
                'condition' => 'dry',
            ] +
            Bench::form($ago),
    );
    $this->plain = fn(mixed $of): string => str_replace("\u{a0}", ' ', (string) json_encode($of, JSON_UNESCAPED_UNICODE));
});

it('lets wax run out on a bike of hours of which nobody times a ride, and says what an empty field counts for', function (): void {
    ($this->save)([])->assertSessionHasNoErrors();
    ($this->ride)(['distance' => '150'])->assertSessionHasNoErrors();
    ($this->ride)(['distance' => '60'], 10)->assertSessionHasNoErrors();
    $this->get('/')->assertInertia(
        fn(AssertableInertia $page) => $page
            ->where('forms.bikes.0.untimed', fn(string $hint) => ($this->plain)($hint) === '"2:15; empty: at 20 km an hour"')
            ->where('rails.0.until.due', true),
    );
    $next = Bench::steps(Bench::deferred($this, '/', 'next')['next']);
    expect(($this->plain)($next[0]['title'] . ' ' . $next[0]['reason']))->toContain(
        'No wax for the 21 km of tomorrow on Badger A is due. No other chain has enough, and no allowed pot day comes in time.',
    );
    // The plan says so as the Shed does, not that nothing is left.
    $plan = $this->get('/ahead')->inertiaProps('plan');
    expect(
        ($this->plain)([
            $plan['headline'],
            $plan['broken'][0] ?? '',
            ...array_slice(array_column($plan['lanes'][0]['days'], 'text'), 0, 2),
        ]),
    )
        ->toContain('and A would be due.')
        ->toContain('no ride; A is due')
        ->not->toContain('0 min');
    // The first that is timed is the pace of all.
    ($this->ride)(['distance' => '60', 'hours' => '2:00'], 5)->assertSessionHasNoErrors();
    expect($this->bench->state($this->a)->wax->life?->leftHours)
        ->toEqualWithDelta(10.0 - 270.0 / 30.0, 1e-9)
        ->and(($this->plain)($this->get('/')->inertiaProps('forms.bikes.0.untimed')))
        ->toBe('"2:15; empty: at 30 km an hour"');
    // It is the bike's: a chain that nobody ever timed counts at it as the form says.
    $b = $this->bench->chain($this->bike, 'B', 4);
    $this->post("/bikes/{$this->bike->id}/fittings", ['chain_id' => $b->id] + Bench::form(3))->assertSessionHasNoErrors();
    ($this->ride)(['distance' => '60'], 2)->assertSessionHasNoErrors();
    expect($this->bench->state($b)->wax->life?->leftHours)->toEqualWithDelta(8.0, 1e-9);
});

it('goes by hours alone where no distance is set: rail, chain, drip, plan and form say hours', function (): void {
    ($this->save)(['interval_hours' => ''])->assertSessionHasErrors(['interval' => 'Enter an interval in distance, in hours, or both.']);
    ($this->save)([])->assertSessionHasNoErrors();
    ($this->ride)(['distance' => '60', 'hours' => '4:00'])->assertSessionHasNoErrors();
    ($this->ride)(['distance' => '30', 'hours' => '1:48'], 10)->assertSessionHasNoErrors();

    $state = $this->bench->state($this->a);
    expect($state->wax->life?->leftKm)
        ->toBeNull()
        ->and($state->wax->life?->leftHours)
        ->toEqualWithDelta(4.2, 1e-9)
        // 90 km in 5.8 h: what is asked for in km is what ten hours come to.
        ->and([$state->terms->intervalKm, $state->leftKm()])
        ->toEqualWithDelta([900 / 5.8, (4.2 * 90) / 5.8], 1e-9);

    $rail = $this->get('/')->inertiaProps('rails.0');
    expect(($this->plain)([$rail['about'], $rail['leftNumber'], $rail['leftWords'], $rail['alsoLeft'], $rail['fitted']['word']]))
        ->toContain('re-wax at 10 h')
        ->toContain('"4 h 12"')
        ->toContain('of 10 h left on A')
        ->toContain('4 h 12 of 10 h left')
        ->not->toContain('km');
    $page = $this->get("/chains/{$this->a->id}");
    expect(($this->plain)($page->inertiaProps('chain')))->toContain('"left":"4 h 12"');
    // Of rides before it went by hours as well, and on Rides as here: the coat is the same.
    $left = array_values(array_filter(array_column($page->inertiaProps('timeline.cycles.0.entries'), 'left')));
    expect(($this->plain)($left))
        ->toBe('["4 h 12 left","6 h left"]')
        ->and(array_column($this->get('/rides')->inertiaProps('rides'), 'left'))
        ->toBe($left);
    expect(($this->plain)(collect($page->inertiaProps('why'))->firstWhere('figure', 'left')))
        ->toContain('Why 4 h 12 of wax left?')
        ->toContain('drip wax gives none back');
    // A drip gives distance back and no hours.
    expect(
        ($this->plain)(
            $this->postJson(
                '/drip/plan',
                ['chain_id' => $this->a->id, 'place' => 'on_bike', 'warmed' => true, 'coats' => 2, 'excess' => 'leave'] + Bench::form(0),
            )
                ->assertOk()
                ->json(),
        ),
    )
        ->toContain('Hours stay as they are, 4 h 12 of 10 h')
        ->not->toContain('Good for about');
    // The plan counts hours: 5 h 48 are ridden in one week, so the ten are up before it has come round twice.
    expect(($this->plain)($this->get('/ahead')->inertiaProps('plan.lanes.0.about')))->toContain('10 h')->not->toContain('km');
    foreach (['/gauge', '/books/money', '/ahead/what-if', '/settings', "/bikes/{$this->bike->id}", '/labels'] as $at) {
        $this->get($at)->assertOk();
    }
    expect($this->get("/bikes/{$this->bike->id}")->inertiaProps('values.interval'))->toBe('');

    // The distance comes back as easily, and undo knows that there was none.
    ($this->save)(['interval' => '300'])->assertSessionHasNoErrors();
    expect($this->bench->state($this->a)->wax->life?->leftKm)->toEqualWithDelta(210.0, 1e-9);
    $this->post("/actions/{$this->bench->lastAction()->id}/undo", Bench::form(0))->assertSessionHasNoErrors();
    expect($this->bench->state($this->a)->wax->life?->leftKm)->toBeNull();
});

it('is new without a distance as well', function (): void {
    $this->post(
        '/bikes',
        [
            'name' => 'Trainer',
            'kind' => 'indoor',
            'speeds' => 11,
            'interval' => '',
            'interval_hours' => '20',
            'limit_school' => 'strict',
        ] + Bench::form(0),
    )->assertSessionHasNoErrors();
    $bike = Bike::query()->orderByDesc('id')->firstOrFail();
    $this->bench->state($this->bench->chain($bike, 'A', 200, true));
    expect(($this->plain)($this->get('/')->inertiaProps('rails.1.about')))->toContain('20 h')->not->toContain('km');
});

it('takes a ride of which only the time is known, as far as the bike gets in it', function (): void {
    ($this->ride)([])->assertSessionHasErrors('distance');
    ($this->ride)(['hours' => '1:30'])->assertSessionHasErrors('distance');
    ($this->ride)(['distance' => '60', 'hours' => '2:30'], 30)->assertSessionHasNoErrors();
    expect(($this->plain)($this->get('/')->inertiaProps('forms.bikes.0.pace')))->toContain('24 km an hour');
    ($this->ride)(['hours' => '1:30'])->assertSessionHasNoErrors();
    $ride = Ride::query()->orderByDesc('id')->firstOrFail();
    expect([$ride->km, $ride->hours])->toBe([36.0, 1.5]);
    // Nobody knows the pace of an unknown bike.
    ($this->ride)(['hours' => '1:30', 'bike_id' => null])->assertSessionHasErrors('distance');
    // What was put right keeps what it showed.
    $this->put(
        "/rides/{$ride->id}",
        [
            'bike_id' => $this->bike->id,
            'distance' => '30',
            'hours' => '1:30',
            'condition' => 'wet',
        ] + Bench::form(20),
    )->assertSessionHasNoErrors();
    expect(Ride::query()->live()->orderByDesc('id')->firstOrFail()->km)->toBe(30.0);
});

it('plans drip wax alone in the hours that the Shed shows', function (): void {
    ($this->save)(['drip_only' => true])->assertSessionHasNoErrors();
    app(AppClock::class)->stopAt(Bench::NOW + 60);
    foreach ([['30', '2:00', 40], ['48', '2:00', 20]] as [$km, $hours, $ago]) {
        ($this->ride)(['distance' => $km, 'hours' => $hours], $ago)->assertSessionHasNoErrors();
    }
    $rail = $this->get('/')->inertiaProps('rails.0');
    $lane = $this->get('/ahead')->inertiaProps('plan.lanes.0');
    expect(($this->plain)([$rail['about'], $rail['fitted']['left'], $lane['about'], $lane['days'][0]['text']]))
        ->toContain('drip wax every 10 h","6 h","drip wax every 10 h, as in the last eight weeks"')
        ->toContain('which takes 38 min of wax with the reserve; then 5 h 22');
    // Also where nobody rides.
    ($this->save)(['drip_only' => true, 'week_summer' => '0 0 0 0 0 0 0', 'week_winter' => '0 0 0 0 0 0 0'])->assertSessionHasNoErrors();
    app()->forgetScopedInstances();
    expect(($this->plain)($this->get('/ahead')->inertiaProps('plan.lanes.0.days.1.text')))->toContain('no ride; 6 h on A');
    ($this->save)(['drip_only' => true, 'week_summer' => '', 'week_winter' => ''])->assertSessionHasNoErrors();
    // Ridden faster lately than in all its life: a coat is good for its hours all the same.
    $this->post(
        '/rides',
        ['action_id' => (string) Str::uuid(), 'bike_id' => $this->bike->id, 'distance' => 30, 'hours' => '6:00', 'condition' => 'dry'] +
            Bench::form(24 * 90),
    )->assertSessionHasNoErrors();
    $this->post(
        "/chains/{$this->a->id}/topups",
        ['action_id' => (string) Str::uuid(), 'distance' => 200] + Bench::form(1),
    )->assertSessionHasNoErrors();
    app()->forgetScopedInstances();
    expect(($this->plain)($this->get('/ahead')->inertiaProps('plan.lanes.0.days.0.text')))->toContain('then 9 h 55');
});

it('reads no ride again to say how far it gets in its hours', function (string $interval): void {
    ($this->save)(['interval' => $interval])->assertSessionHasNoErrors();
    ($this->ride)(['distance' => '42', 'hours' => '2'])->assertSessionHasNoErrors();
    $pages = fn() => array_map(
        function (string $path): void {
            app()->forgetScopedInstances();
            $this->get($path, ['Cache-Control' => 'no-cache'])->assertOk();
        },
        ['/', '/pot', '/ahead', "/chains/{$this->a->id}", "/bikes/{$this->bike->id}"],
    );
    $pages();
    Schema::rename('rides', 'rides_elsewhere');
    $pages();
    Schema::rename('rides_elsewhere', 'rides');
})->with(['by hours alone' => '', 'by km and hours' => '300']);
