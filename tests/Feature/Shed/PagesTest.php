<?php

declare(strict_types=1);

use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->heron = $this->bench->bike();
    $this->a = $this->bench->chain($this->heron, 'A', fit: true);
    $this->b = $this->bench->chain($this->heron, 'B', null);
    $this->actingAs($this->bench->owner);
    $this->does = fn(string $url, float $hoursAgo, array $data = []) => $this->post($url, $data + Bench::form($hoursAgo))
        ->assertRedirect()
        ->assertSessionHasNoErrors();
    $this->page = function (string $url, Closure $look): void {
        $this->get($url)->assertOk()->assertInertia($look);
    };
});

it('tells one chain\'s life, the newest first, with what each ride left', function (): void {
    $chain = "/chains/{$this->a->id}";
    ($this->does)('/rides', 50, [
        'bike_id' => $this->heron->id,
        'distance' => 100,
        'hours' => '4',
        'condition' => 'dry',
    ]);
    ($this->does)('/rides', 40, [
        'bike_id' => $this->heron->id,
        'distance' => 20,
        'condition' => 'wet',
    ]);
    ($this->does)("{$chain}/topups", 30, ['distance' => 200]);
    ($this->does)("{$chain}/readings", 20, [
        'kind' => 'ruler',
        'pitches' => 46,
        'length_mm' => '585,4',
    ]);
    ($this->does)("/bikes/{$this->heron->id}/noises", 10);
    ($this->page)($chain, function (AssertableInertia $page): void {
        $entries = array_merge(...array_column($page->toArray()['props']['timeline']['cycles'], 'entries'));
        expect(
            array_map(fn(array $e) => str_replace("\u{a0}", ' ', $e['text'] . ($e['left'] ?? '' ? " → {$e['left']}" : '')), $entries),
        )->toBe([
            'Got loud',
            'Measured: 0.21 % at 120 km',
            'Drip top-up, good for 200 km',
            '20.0 km, wet → 150 km left',
            '100.0 km, dry → 200 km left',
            'Put on Heron',
            'Dipped',
        ]);
        $page
            ->component('Chain/Chain')
            ->where('chain.status', 'loud')
            ->where('chain.coat', 0)
            ->where('on', $this->heron->id)
            ->where('facts.0.value', "120\u{a0}km")
            ->where('facts.1.value', "at least 4\u{a0}h")
            ->where('outlook.0', 'Due: it got loud');
    });
    ($this->page)(
        $chain,
        fn(AssertableInertia $page) => $page->where(
            'why.0.lines',
            fn($lines) => collect($lines)->pluck('code')->all() === ['interval', 'ride', 'ride', 'topup', 'noise'],
        ),
    );
});

it('explains wear, bare steel and distance from the same values', function (): void {
    ($this->does)("/chains/{$this->b->id}/strips", 10);
    ($this->does)("/chains/{$this->b->id}/readings", 5, [
        'kind' => 'drop_in',
        'results' => [['mark_pct' => 0.5, 'seat' => 'part'], ['mark_pct' => 0.75, 'seat' => 'rests']],
    ]);
    ($this->page)("/chains/{$this->b->id}", function (AssertableInertia $page): void {
        $why = collect($page->toArray()['props']['why'])->keyBy('figure');
        expect($why->keys()->all())
            ->toBe(['bare', 'km', 'wear'])
            ->and((float) $why['bare']['value'])
            ->toBe(2.0)
            ->and((float) array_sum(array_column($why['bare']['lines'], 'number')))
            ->toBe(2.0)
            ->and($why['wear']['value'])
            ->toBe(0.4)
            ->and(array_column($why['wear']['lines'], 'code'))
            ->toBe(['seat_part', 'seat_rests', 'measured_at', 'limit'])
            ->and($why['wear']['lines'][0]['origin'])
            ->toBe('house rule');
        $page->where('chain.late', true)->where('chain.word', "bare 10\u{a0}h");
    });
});

it('shows rides with the chain they went to, by bike and page by page', function (): void {
    $badger = $this->bench->bike('Badger');
    foreach (range(1, 45) as $i) {
        ($this->does)('/rides', $i, [
            'bike_id' => $i % 9 ? $this->heron->id : $badger->id,
            'distance' => 5,
            'condition' => 'dry',
        ]);
    }
    ($this->page)(
        '/rides',
        fn(AssertableInertia $page) => $page
            ->has('rides', 40)
            ->where('pages', 2)
            ->has('strip', 28)
            ->where('strip.27.total', "60\u{a0}km")
            ->where('rides.0.chain.name', 'Heron A')
            ->where('rides.0.left', "100\u{a0}km left")
            ->where('rides.8.chain', null),
    );
    ($this->page)("/rides?bike={$badger->id}", fn(AssertableInertia $page) => $page->has('rides', 5)->where('rides.0.bikeName', 'Badger'));
    ($this->page)('/rides?page=2', fn(AssertableInertia $page) => $page->has('rides', 5));
    ($this->page)(
        '/',
        fn(AssertableInertia $page) => $page->where(
            'next',
            fn($next) => collect(Bench::steps($next))->firstWhere('kind', 'no_chain')['reason'] ===
                '5 rides from Mon 23 Nov on have no chain to count them.',
        ),
    );
});

it('keeps a history in sentences, filtered by bike or chain', function (): void {
    ($this->does)('/rides', 5, [
        'bike_id' => $this->heron->id,
        'distance' => 61.5,
        'condition' => 'damp',
        'loud' => true,
    ]);
    ($this->does)("/chains/{$this->b->id}/strips", 4);
    ($this->does)('/dips', 3, ['chains' => [$this->a->id, $this->b->id], 'dry' => true]);
    ($this->does)("/bikes/{$this->heron->id}/fittings", 2, ['chain_id' => $this->b->id]);
    $swap = $this->bench->lastAction();
    ($this->does)("/chains/{$this->a->id}/retirement", 1);
    $this->post("/actions/{$swap->id}/undo", ['action_id' => (string) Str::uuid()])
        ->assertRedirect()
        ->assertSessionHasNoErrors();
    $sentences = fn(string $url): array => array_map(
        fn(array $line) => str_replace("\u{a0}", ' ', $line['sentence']),
        $this->get($url)->viewData('page')['props']['actions'],
    );
    expect(array_slice($sentences('/history'), 0, 6))
        ->toBe([
            'Undid: swapped Heron from A to B on Wed 25 Nov, 10:00',
            'Retired Heron A on Wed 25 Nov, 11:00',
            'Swapped Heron from A to B on Wed 25 Nov, 10:00',
            'Dipped Heron A and B on Wed 25 Nov, 09:00',
            'Stripped Heron B, bare since Wed 25 Nov, 08:00',
            'Logged 61.5 km damp on Heron, Wed 25 Nov, 07:00; it got loud',
        ])
        ->and($sentences("/history?chain={$this->b->id}"))
        // What was taken back among them.
        ->toHaveCount(5)
        ->and($sentences("/history?bike={$this->heron->id}"))
        ->toHaveCount(6);
    ($this->page)(
        '/history',
        fn(AssertableInertia $page) => $page->where('actions.2.undone', true)->where('actions.0.who', 'Owner')->where('more', false),
    );
});

it('takes back and gives again, as often as one likes', function (): void {
    ($this->does)('/rides', 5, [
        'bike_id' => $this->heron->id,
        'distance' => 60,
        'condition' => 'dry',
    ]);
    $logged = $this->bench->lastAction();
    ($this->does)("/entries/rides/{$logged->about->ride}", 5, ['_method' => 'delete']);
    $last = $this->bench->lastAction();
    $km = [];
    foreach (range(1, 5) as $time) {
        $this->post("/actions/{$last->id}/undo", [
            'action_id' => (string) Str::uuid(),
        ])->assertSessionHasNoErrors();
        $last = $this->bench->lastAction();
        $km[] = $this->bench->state($this->a)->km->km;
    }
    expect($km)->toBe([60.0, 0.0, 60.0, 0.0, 60.0]);
});

it('offers what a new chain most likely is', function (): void {
    ($this->page)(
        '/chains/new',
        fn(AssertableInertia $page) => $page->where('defaults.0', [
            'bike' => $this->heron->id,
            'label' => 'C',
            'speeds' => 12,
            'pitches' => 116,
            'canFit' => false,
        ]),
    );
    ($this->does)('/chains', 1, [
        'bike_id' => $this->heron->id,
        'label' => 'c',
        'speeds' => 12,
        'pitches' => 116,
        'state' => 'bare',
    ]);
    ($this->page)(
        '/',
        fn(AssertableInertia $page) => $page
            ->where('rails.0.hanging.1.word', "bare 1\u{a0}h")
            ->where('next.0.line.kind', 'bare')
            ->where('next.0.line.verb', 'pot_day')
            ->where('done.text', 'Added Heron C.'),
    );
    ($this->page)('/', fn(AssertableInertia $page) => $page->where('done', null));
});

it('tells open pages the revision, and says when nothing was different', function (): void {
    $revision = $this->get('/revision')->assertOk()->json('revision');
    ($this->does)('/rides', 5, [
        'bike_id' => $this->heron->id,
        'distance' => 60,
        'condition' => 'dry',
    ]);
    expect($this->get('/revision')->json('revision'))->toBe($revision + 1);
    $this->put("/bikes/{$this->heron->id}", [
        'action_id' => (string) Str::uuid(),
        'name' => 'Heron',
        'kind' => 'road',
        'speeds' => 12,
        'interval' => '300',
        'limit_school' => 'strict',
    ])->assertSessionHas('done', fn(array $done) => $done['text'] === 'Nothing was changed.' && $done['undo'] === null);
});

it('keeps a ride known by its day on that day when the workshop moves to another zone', function (): void {
    $this->post('/rides', [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $this->heron->id,
        'distance' => 30,
        'condition' => 'dry',
        'date' => '2026-11-24',
    ])->assertSessionHasNoErrors();
    $settings = [
        'action_id' => (string) Str::uuid(),
        'name' => 'Shed',
        'time_zone' => 'Pacific/Auckland',
        'distance_unit' => 'km',
        'temperature_unit' => 'C',
        'mass_unit' => 'g',
        'currency' => 'NZD',
        'language' => 'en',
        'interval' => 300,
        'limit_school' => 'strict',
        'factors' => [
            'indoor' => 0.8,
            'dry' => 1,
            'dusty' => 1.5,
            'damp' => 1.5,
            'wet' => 2.5,
            'muddy' => 3.5,
        ],
    ];
    $this->put('/settings', $settings)->assertSessionHasErrors('currency');
    $this->put('/settings', ['currency' => 'AUD'] + $settings)->assertSessionHasNoErrors();
    ($this->page)('/rides', fn(AssertableInertia $page) => $page->where('rides.0.date', '2026-11-24')->where('rides.0.time', null));
    $this->post("/actions/{$settings['action_id']}/undo", [
        'action_id' => (string) Str::uuid(),
    ]);
    ($this->page)('/rides', fn(AssertableInertia $page) => $page->where('rides.0.date', '2026-11-24'));
});
