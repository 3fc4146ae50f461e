<?php

declare(strict_types=1);

use App\Models\Commute;
use App\Models\Opening;
use Dripel\Core\Wear\LimitSchool;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    $this->settings = fn(array $with = []) => $with + [
        'action_id' => (string) Str::uuid(),
        'name' => 'Barn',
        'time_zone' => 'Europe/Berlin',
        'distance_unit' => 'km',
        'temperature_unit' => 'C',
        'mass_unit' => 'g',
        'currency' => 'EUR',
        'language' => 'en',
        'interval' => '200',
        'limit_school' => 'digital',
        'factors' => [
            'indoor' => 0.8,
            'dry' => 1,
            'dusty' => 1.5,
            'damp' => 1.5,
            'wet' => 2.5,
            'muddy' => 3.5,
        ],
    ];
});

it('starts new bikes with the usual interval and school, and leaves those that are there alone', function (): void {
    $old = $this->bench->bike('Heron');
    $this->put('/settings', ($this->settings)())->assertSessionHasNoErrors();
    $this->get('/bikes/new')->assertInertia(fn($page) => $page->where('values.interval', '200')->where('values.limit_school', 'digital'));
    $this->get("/bikes/{$old->id}")->assertInertia(
        fn($page) => $page->where('values.interval', '300')->where('values.limit_school', 'strict'),
    );
    $this->get('/arrive')->assertInertia(fn($page) => $page->where('interval', '200'));
    $this->post('/arrive', [
        'action_id' => (string) Str::uuid(),
        'name' => 'Moth',
        'kind' => 'city',
        'speeds' => 9,
        'interval' => '200',
        'date' => '2026-11-25',
        'chains' => [['label' => 'A', 'state' => 'new']],
    ])->assertSessionHasNoErrors();
    $this->get('/settings')->assertInertia(
        fn($page) => $page
            ->has('choices.schools', count(LimitSchool::cases()))
            ->where('choices.intervals.0.value', '200')
            ->where('choices.languages', [['value' => 'en', 'title' => 'English']])
            // What only one part shows is asked for when that is opened.
            ->missingAll(['bikes', 'rain', 'people', 'keep']),
    );
    expect(Bench::deferred($this, '/settings', 'bikes')['bikes'][1])
        ->toMatchArray(['interval' => "200\u{a0}km", 'limit' => __('schools.digital.name')])
        ->and(Bench::deferred($this, '/settings', 'keep')['keep']['tables'])
        ->toContain('estimates');
});

it('keeps an interval in the unit in which it was given', function (): void {
    $this->put('/settings', ($this->settings)(['distance_unit' => 'mi', 'interval' => '150']))->assertSessionHasNoErrors();
    $this->get('/settings')->assertInertia(fn($page) => $page->where('values.interval', '93.2')->where('choices.intervals.1.value', '186'));
    $this->put('/settings', ($this->settings)(['language' => 'xx']))->assertSessionHasErrors('language');
});

it('says what another interval would leave before it is set, from now on or also for the past', function (): void {
    $heron = $this->bench->bike('Heron');
    $this->bench->chain($heron, 'A', fit: true);
    $this->post('/rides', Bench::form(5) + ['bike_id' => $heron->id, 'distance' => 150, 'condition' => 'dry']);
    $change = fn(array $with = []) => $with + [
        'action_id' => (string) Str::uuid(),
        'name' => 'Heron',
        'kind' => 'road',
        'speeds' => 12,
        'interval' => 200,
        'limit_school' => 'strict',
    ];
    $this->putJson("/bikes/{$heron->id}", $change(['preview' => true]))
        ->assertOk()
        ->assertJsonFragment([
            'name' => 'Wax left',
            'before' => "150\u{a0}km",
            'after' => "50\u{a0}km",
        ]);
    $this->get("/bikes/{$heron->id}")->assertInertia(fn($page) => $page->where('values.interval', '300'));
    $this->put("/bikes/{$heron->id}", $change(['also_past' => true]))->assertSessionHasNoErrors();
    $this->get("/history?bike={$heron->id}")->assertInertia(
        fn($page) => $page->where('actions.0.sentence', fn(string $text) => str_contains($text, 'also for the past')),
    );
});

it('prints a tag for each chain in use, with the address that a phone can reach', function (): void {
    $heron = $this->bench->bike('Heron');
    $a = $this->bench->chain($heron, 'A', fit: true);
    $b = $this->bench->chain($heron, 'B');
    $this->post("/chains/{$b->id}/retirement", Bench::form(1))->assertSessionHasNoErrors();
    $this->get('/labels')->assertInertia(
        fn($page) => $page
            ->has('tags', 1)
            ->where('tags.0', [
                'id' => $a->id,
                'letter' => 'A',
                'bike' => 'Heron',
                'about' => '12 speeds, 116 pitches',
                'url' => url("/tags/{$a->id}"),
            ])
            ->where('bikes.0.letters', ['A'])
            ->where('reachable', false),
    );
    config(['dripel.lan_url' => 'https://192.0.2.7:8081']);
    $this->get('/labels')->assertInertia(
        fn($page) => $page->where('tags.0.url', "https://192.0.2.7:8081/tags/{$a->id}")->where('reachable', true),
    );
});

it('shows both versions of what came in and of a commute when somebody else was quicker', function (): void {
    $heron = $this->bench->bike('Heron');
    $this->post('/arrive', [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $heron->id,
        'date' => '2026-11-25',
        'chains' => [['label' => 'U', 'state' => 'unsure', 'km' => 900]],
    ]);
    $opening = Opening::query()->sole();
    $correct = fn(string $km, int $id) => $this->put("/openings/{$id}", [
        'action_id' => (string) Str::uuid(),
        'km' => $km,
        'wax' => 'unknown',
    ]);
    $correct('1000', $opening->id)->assertSessionHasNoErrors();
    $current = Opening::query()->live()->sole();
    $correct('1100', $opening->id)->assertStatus(409)->assertInertia(
        fn($page) => $page
            ->component('History/Conflict')
            ->where('seen.km', "900.0\u{a0}km")
            ->where('current.km', "1,000.0\u{a0}km")
            ->where('yours', "1100\u{a0}km")
            ->where('again', ['method' => 'put', 'url' => "/openings/{$current->id}"]),
    );
    $correct('1100', $current->id)->assertSessionHasNoErrors();

    $commute = [
        'bike_id' => $heron->id,
        'weekdays' => [1],
        'time' => '08:00',
        'distance' => 5,
        'condition' => 'dry',
        'from' => '2026-11-25',
    ];
    $this->post('/commutes', $commute + ['action_id' => (string) Str::uuid()]);
    $row = Commute::query()->sole();
    foreach ([6, 7] as $i => $km) {
        $answer = $this->put("/commutes/{$row->id}", ['distance' => $km, 'action_id' => (string) Str::uuid()] + $commute);
        $i === 0
            ? $answer->assertRedirect()
            : $answer->assertStatus(409)->assertInertia(fn($page) => $page->where('current.km', "6.0\u{a0}km")->where('by', 'Owner'));
    }
});

it('says in the history what was changed, and what it was before; what stands as the form showed it is not said', function (): void {
    $said = fn(): string => $this->get('/history')->inertiaProps('actions.0.sentence');
    $shown = $this->get('/settings')->inertiaProps('values');
    $this->put(
        '/settings',
        ['action_id' => (string) Str::uuid(), 'clock' => '12', 'first_day' => '7'] + $shown,
    )->assertSessionHasNoErrors();
    expect($said())->toBe('Changed the workshop: time of day 12 hours, week begins on Sunday');
    $now = $this->get('/settings')->inertiaProps('values');
    $this->put(
        '/settings',
        ['action_id' => (string) Str::uuid(), 'interval' => '250', 'name' => 'Barn'] + $now,
    )->assertSessionHasNoErrors();
    expect(str_replace("\u{a0}", ' ', $said()))->toBe('Changed the workshop: name Barn (was Test shed), usual interval 250 km');
    // Days and times by the workshop's own way, in what is shown and in what a form sends.
    expect($this->get('/history')->inertiaProps('actions.0.when'))
        ->toMatch('/^Wed 25 Nov 2026, 12:00\s(PM|pm)$/u')
        ->and($this->get('/')->inertiaProps('here.calendar'))
        ->toMatchArray(['firstDay' => 7, 'twelveHours' => true])
        ->and(array_column($this->get('/ahead')->inertiaProps('weekdays'), 'value'))
        ->toBe([7, 1, 2, 3, 4, 5, 6])
        ->and($this->get('/')->inertiaProps('forms.time'))
        ->toBe('12:00');
});
