<?php

declare(strict_types=1);

use App\Logbook\EntryType;
use App\Models\Chain;
use App\Models\Opening;
use App\Models\Ride;
use App\Models\Setting;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->heron = $this->bench->bike();
    $this->a = $this->bench->chain($this->heron, 'A', 900, fit: true);
    $this->b = $this->bench->chain($this->heron, 'B', 900);
    $this->actingAs($this->bench->owner);
    $this->send = fn(string $url, array $data = [], float $hoursAgo = 1, string $how = 'post') => $this->{$how}(
        $url,
        $data + Bench::form($hoursAgo),
    );
    $this->ride = fn(float $km, float $hoursAgo, string $condition = 'dry') => ($this->send)(
        '/rides',
        ['bike_id' => $this->heron->id, 'distance' => $km, 'condition' => $condition],
        $hoursAgo,
    )->assertSessionHasNoErrors();
    $this->props = function (string $url): array {
        app()->forgetScopedInstances();

        return json_decode(
            str_replace("\u{a0}", ' ', (string) json_encode($this->get($url)->viewData('page')['props'], JSON_UNESCAPED_UNICODE)),
            true,
        );
    };
});

it('takes a retired chain off whatever bike it is put on later for an earlier day, and retires it once', function (): void {
    ($this->send)("/chains/{$this->b->id}/retirement", [], 100)->assertSessionHasNoErrors();
    // It hung then; now somebody remembers that it had been ridden before that.
    ($this->send)("/bikes/{$this->heron->id}/fittings", ['chain_id' => $this->b->id], 300)->assertSessionHasNoErrors();
    ($this->ride)(40, 200);
    ($this->ride)(30, 50);
    expect($this->bench->state($this->b)->km->km)
        ->toBe(40.0)
        ->and($this->bench->state($this->b)->retired())
        ->toBeTrue()
        ->and(($this->props)('/')['rails'][0]['fitted'])
        ->toBeNull()
        // The ride since has no chain to go to, and is asked about.
        ->and(array_column(Bench::steps(($this->props)('/')['next']), 'kind'))
        ->toContain('no_chain');
    ($this->send)("/chains/{$this->b->id}/retirement", [], 20)->assertSessionHasErrors('conflict');
    ($this->send)("/chains/{$this->b->id}/retirement", [], 400)->assertSessionHasErrors('conflict');
    ($this->send)("/bikes/{$this->heron->id}/fittings", ['chain_id' => $this->b->id], 30)->assertSessionHasErrors('conflict');
});

it('exchanges all that was done to two chains whose tags were mixed up', function (): void {
    ($this->ride)(40, 500, 'wet');
    ($this->send)("/chains/{$this->a->id}/cares", ['care' => 'dried'], 498)->assertSessionHasNoErrors();
    ($this->send)("/chains/{$this->a->id}/cares", ['care' => 'wiped'], 400)->assertSessionHasNoErrors();
    ($this->send)("/chains/{$this->a->id}/readings", ['kind' => 'digital', 'value_pct' => '0.1'], 300)->assertSessionHasNoErrors();
    ($this->send)("/chains/{$this->b->id}/retirement", [], 200)->assertSessionHasNoErrors();
    $of = fn(Chain $chain) => collect(EntryType::cases())
        ->filter(fn(EntryType $type) => $type->followsChain())
        ->mapWithKeys(
            fn(EntryType $type) => [
                $type->value => DB::table($type->value)
                    ->whereNull('voided_by')
                    ->where('component_id', $chain->id)
                    ->where('at', '>', Bench::NOW - 3600 * 890)
                    ->count(),
            ],
        )
        ->filter()
        ->all();
    [$a, $b] = [$of($this->a), $of($this->b)];
    expect($a)
        ->toMatchArray(['cares' => 2, 'readings' => 1])
        ->and($b)
        ->toBe(['retirements' => 1]);
    ($this->send)(
        "/bikes/{$this->heron->id}/corrections",
        ['chain_id' => $this->b->id, 'exchange' => true],
        899,
    )->assertSessionHasNoErrors();
    expect($of($this->b))
        ->toBe($a)
        ->and($of($this->a))
        ->toBe($b)
        ->and($this->bench->state($this->b)->km->km)
        ->toBe(40.0)
        ->and($this->bench->state($this->a)->retired())
        ->toBeTrue();
});

it('moves no stored value by the unit in which it is shown', function (): void {
    $settings = fn(): array => ($this->props)('/settings')['values'];
    $stored = fn(): array => Setting::query()
        ->whereNull('voided_by')
        ->whereIn('key', [
            SettingKey::IntervalKm,
            SettingKey::UsualIntervalKm,
            SettingKey::TargetLifeKm,
            SettingKey::LifePoints,
            SettingKey::ChainMassG,
        ])
        ->orderBy('key')
        ->pluck('value', 'key')
        ->all();
    $this->put(
        "/bikes/{$this->heron->id}",
        ['action_id' => (string) Str::uuid(), 'target_life' => '12345'] + ($this->props)("/bikes/{$this->heron->id}")['values'],
    )->assertSessionHasNoErrors();
    $this->put('/gauge/expected', [
        'action_id' => (string) Str::uuid(),
        'points' => [['interval' => '210', 'life' => '25001'], ['interval' => '333', 'life' => '14999']],
    ])->assertSessionHasNoErrors();
    ($this->ride)(61.7, 30);
    $ride = fn() => Ride::query()->live()->sole();
    foreach (['mi', 'km', 'mi'] as $unit) {
        // Only the way to show it changes, and every form is saved as it stands.
        $this->put(
            '/settings',
            ['action_id' => (string) Str::uuid(), 'distance_unit' => $unit, 'mass_unit' => $unit === 'mi' ? 'oz' : 'g'] + $settings(),
        )->assertSessionHasNoErrors();
        $before ??= $stored();
        $this->put('/settings', ['action_id' => (string) Str::uuid()] + $settings())->assertSessionHasNoErrors();
        $this->put(
            "/bikes/{$this->heron->id}",
            ['action_id' => (string) Str::uuid()] + ($this->props)("/bikes/{$this->heron->id}")['values'],
        )->assertSessionHasNoErrors();
        $this->put('/gauge/expected', [
            'action_id' => (string) Str::uuid(),
            'points' => array_map(
                fn(array $point) => array_intersect_key($point, ['interval' => 1, 'life' => 1]),
                ($this->props)('/gauge')['expected']['points'],
            ),
        ])->assertSessionHasNoErrors();
        $shown = ($this->props)('/rides')['rides'][0];
        $this->put("/rides/{$ride()->id}", [
            'action_id' => (string) Str::uuid(),
            'bike_id' => $this->heron->id,
            'distance' => $shown['distance'],
            'condition' => 'damp',
            'hours' => '',
            'date' => gmdate('Y-m-d', $ride()->at),
            'time' => gmdate('H:i', $ride()->at),
        ])->assertSessionHasNoErrors();
        expect($stored())
            ->toBe($before)
            ->and($ride()->km)
            ->toBe(61.7)
            ->and($this->bench->state($this->a)->terms->intervalKm)
            ->toBe(300.0);
    }
    // What is typed is meant in the unit that the form showed.
    $this->put('/settings', ['action_id' => (string) Str::uuid(), 'interval' => '100'] + $settings())->assertSessionHasNoErrors();
    expect($stored()['workshop.interval_km'])->toBe(160.934);
});

it('asks whether the figures of a chain hold the rides before it came, and moves their day', function (): void {
    $bike = $this->bench->bike('Badger');
    foreach ([600, 500, 400] as $ago) {
        ($this->send)('/rides', ['bike_id' => $bike->id, 'distance' => 50, 'condition' => 'dry'], $ago)->assertSessionHasNoErrors();
    }
    ($this->send)('/arrive', [
        'bike_id' => $bike->id,
        'chains' => [['label' => 'U', 'state' => 'waxed', 'km' => '1000', 'since_wax' => '0']],
    ])->assertSessionHasNoErrors();
    $used = Chain::query()->findOrFail(Opening::query()->sole()->component_id);
    $fit = fn(array $more) => ($this->send)("/bikes/{$bike->id}/fittings", ['chain_id' => $used->id] + $more, 700);
    $fit([])->assertSessionHasErrors('opening_holds');
    expect(implode(' ', session('errors')->get('opening_holds')))->toContain('3');
    // Held already: the rides are the chain's, and its km stay. On top: what it came with was so on the day it was fitted.
    $undo = (string) Str::uuid();
    $fit(['opening_holds' => true, 'action_id' => $undo])->assertSessionHasNoErrors();
    expect($this->bench->state($used)->km->km)->toBe(1000.0);
    $this->post("/actions/{$undo}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    $fit(['opening_holds' => false])->assertSessionHasNoErrors();
    expect($this->bench->state($used)->km->km)
        ->toBe(1150.0)
        ->and($this->bench->state($used)->leftKm())
        ->toBe(150.0);
    // The day of an opening can be put right like its figures.
    $opening = ($this->props)("/chains/{$used->id}")['opening'];
    $this->put('/openings/' . Opening::query()->live()->sole()->id, [
        'action_id' => (string) Str::uuid(),
        'km' => '1000',
        'wax' => 'known',
        'since_wax' => '0',
        'date' => gmdate('Y-m-d', Bench::ago(450)->unixS),
        'time' => '00:00',
    ])->assertSessionHasNoErrors();
    expect($this->bench->state($used)->km->km)
        ->toBe(1050.0)
        ->and($opening)
        ->toHaveKeys(['date', 'time']);
});

it('says that a dipped chain is setting, not that it has no wax', function (): void {
    ($this->send)('/dips', ['chains' => [$this->b->id], 'dry' => true], 0.1)->assertSessionHasNoErrors();
    $b = ($this->props)('/')['rails'][0]['hanging'][0];
    expect($b)
        ->toMatchArray(['ready' => false, 'waxed' => true, 'detail' => 'ready at 12:09'])
        ->and(implode(' ', array_column($b['fit'] ?? [], 'text')))
        ->toContain('the wax is setting');
});

it('knows no hour of a ride that is known by its day alone', function (): void {
    $this->post('/rides', [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $this->heron->id,
        'distance' => 40,
        'hours' => '2:30',
        'condition' => 'wet',
        'date' => '2026-11-25',
    ])->assertSessionHasNoErrors();
    expect(($this->props)("/chains/{$this->a->id}/wet")['ride'])->toBe('40 km wet on Wed 25 Nov');
    ($this->send)("/bikes/{$this->heron->id}/fittings", ['chain_id' => null], 30)->assertSessionHasNoErrors();
    $line = array_values(array_filter(Bench::steps(($this->props)('/')['next']), fn(array $line) => $line['kind'] === 'no_chain'))[0];
    expect([$line['date'], $line['time']])->toBe(['2026-11-25', '00:00']);
});
