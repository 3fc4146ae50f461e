<?php

declare(strict_types=1);

use App\Models\Action;
use App\Models\Bottle;
use App\Models\Instrument;
use App\Models\Jar;
use App\Models\User;
use App\Strip\ReadJars;
use Illuminate\Support\Str;
use Tests\Feature\Bench;
use Tests\Feature\WrittenDemo;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    $this->add = fn(array $with = []) => $this->post(
        '/jars',
        $with + [
                'action_id' => (string) Str::uuid(),
                'name' => 'Dirty',
                'role' => 'dirty',
                'solvent' => 'white_spirit',
                'volume_ml' => '600',
            ] +
            Bench::form(100),
    );
    $this->tend = fn(Jar $jar, string $act, array $with = [], float $ago = 1) => $this->post(
        "/jars/{$jar->id}/entries",
        $with + ['act' => $act] + Bench::form($ago),
    );
});

it('keeps the book of a jar: filled, topped up, settled, decanted, handed in with a record', function (): void {
    ($this->add)(['flash' => '61', 'volume_ml' => '600,5'])->assertSessionHasNoErrors();
    ($this->add)()->assertSessionHasErrors(['name' => __('errors.jar_name_taken', ['name' => 'Dirty'])]);
    ($this->add)(['name' => 'X', 'solvent' => 'water'])->assertSessionHasErrors('solvent');
    $jar = Jar::query()->sole();
    $this->get('/pot')->assertInertia(
        fn($page) => $page
            ->where('jars.0.holds', "601\u{a0}ml of white spirit")
            ->where('hazards.0.text', fn(string $text) => str_contains($text, 'category 4'))
            ->where('hazards.0.by', __('strip.hazard.own'))
            ->where('hazards.0.jars', 'Dirty'),
    );
    ($this->tend)($jar, 'top_up', ['volume_ml' => 100], 90);
    ($this->tend)($jar, 'settle', [], 49);
    $this->get('/')->assertInertia(
        fn($page) => $page->where('next.0.line.kind', 'jar_settled')->where('next.0.line.title', 'Decant Dirty'),
    );
    ($this->tend)($jar, 'decant', ['volume_ml' => 900])->assertSessionHasErrors([
        'volume_ml' => __('errors.more_than_in_jar', ['has' => 701]),
    ]);
    ($this->tend)($jar, 'decant')->assertSessionHasErrors('volume_ml');
    ($this->tend)($jar, 'decant', ['volume_ml' => 500])->assertSessionHasNoErrors();
    ($this->tend)($jar, 'hand_in', ['volume_ml' => 500, 'note' => 'collecting point'], 0.5)->assertSessionHasNoErrors();
    $this->get('/history')->assertInertia(
        fn($page) => $page->where(
            'actions.0.sentence',
            fn(string $text) => str_starts_with($text, "Handed in 500\u{a0}ml from Dirty as hazardous waste") &&
                str_ends_with($text, 'collecting point'),
        ),
    );
    ($this->tend)($jar, 'filter', ['volume_ml' => 5], 0.2)->assertSessionHasErrors(['jar' => __('errors.jar_empty')]);
    expect(app(ReadJars::class)($this->bench->workshop)[$jar->id]->volumeMl)->toBe(0.0);
    // Each of it can be taken back; the jar itself not while entries speak of it.
    $added = $jar->action_id;
    $this->post("/actions/{$added}/undo", ['action_id' => (string) Str::uuid()])->assertRedirect("/actions/{$added}/undo");
    $this->post('/actions/' . $this->bench->lastAction()->id . '/undo', ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect(app(ReadJars::class)($this->bench->workshop->refresh())[$jar->id]->volumeMl)->toBe(500.0);
});

it('puts right what was added wrongly: a jar, a bottle, an instrument, a price; what was used only goes out of use', function (): void {
    $id = fn(): array => ['action_id' => (string) Str::uuid()];
    ($this->add)()->assertSessionHasNoErrors();
    $jar = Jar::query()->sole();
    $jars = fn(): array => $this->get('/pot')->inertiaProps();
    expect($jars()['jars'][0]['unused'])->toBeTrue();
    ($this->add)(['name' => 'Other'])->assertSessionHasNoErrors();
    $this->put("/jars/{$jar->id}", $id() + ['name' => 'Other', 'role' => 'dirty'])->assertSessionHasErrors('name');
    $this->put("/jars/{$jar->id}", $id() + ['name' => 'Clean', 'role' => 'clean'])->assertSessionHasNoErrors();
    expect($jars()['jars'][0])->toMatchArray(['name' => 'Clean', 'role' => 'clean']);
    // Out of use once it is empty; back again; removed while nothing was done with it.
    $this->put("/jars/{$jar->id}", $id() + ['name' => 'Clean', 'role' => 'clean', 'gone' => true])->assertSessionHasErrors([
        'gone' => __('errors.jar_full'),
    ]);
    ($this->tend)($jar, 'hand_in', ['volume_ml' => 600])->assertSessionHasNoErrors();
    expect($jars()['jars'][0]['unused'])->toBeFalse();
    $this->delete("/jars/{$jar->id}", $id())->assertSessionHasErrors(['thing' => __('errors.thing_used')]);
    $this->put("/jars/{$jar->id}", $id() + ['name' => 'Clean', 'role' => 'clean', 'gone' => true])->assertSessionHasNoErrors();
    expect(array_column($jars()['jars'], 'name'))
        ->toBe(['Other'])
        ->and(array_column($jars()['jarsOutOfUse'], 'name'))
        ->toBe(['Clean']);
    $this->put("/jars/{$jar->id}", $id() + ['name' => 'Clean', 'role' => 'clean', 'gone' => false])->assertSessionHasNoErrors();
    $other = Jar::query()->orderByDesc('id')->firstOrFail();
    $this->delete("/jars/{$other->id}", $removal = $id())->assertSessionHasNoErrors();
    expect(array_column($jars()['jars'], 'name'))->toBe(['Clean']);
    $this->get('/history')->assertSee('Removed Other');
    $this->post("/actions/{$removal['action_id']}/undo", $id())->assertSessionHasNoErrors();
    expect($jars()['jars'])
        ->toHaveCount(2)
        ->and($jars()['jars'][1]['holds'])
        ->toContain('600');

    $this->post('/bottles', $id() + ['name' => 'Drip', 'volume' => 120])->assertSessionHasNoErrors();
    $this->post('/instruments', $id() + ['name' => 'Gauge', 'kind' => 'drop_in', 'marks' => '0.5'])->assertSessionHasNoErrors();
    $chain = $this->bench->chain($this->bench->bike(), 'A', 100, true);
    $bottle = Bottle::query()->sole();
    $gauge = Instrument::query()->sole();
    expect($this->get('/gauge')->inertiaProps('instruments.0.unused'))->toBeTrue();
    $this->post(
        "/chains/{$chain->id}/topups",
        ['bottle_id' => $bottle->id, 'distance' => 100] + Bench::form(1),
    )->assertSessionHasNoErrors();
    $this->delete("/bottles/{$bottle->id}", $id())->assertSessionHasErrors('thing');
    $this->delete("/instruments/{$gauge->id}", $id())->assertSessionHasNoErrors();
    expect($this->get('/gauge')->inertiaProps('instruments'))->toBe([]);

    $this->post('/prices', $id() + ['supply' => 'wax', 'amount' => '12', 'quantity' => '500', 'date' => '2026-11-01']);
    $price = $this->get('/books/stock')->inertiaProps('prices.0');
    expect($price['values'])->toBe(['supply' => 'wax', 'amount' => '12', 'quantity' => '500', 'date' => '2026-11-01']);
    $right = fn() => $this->put("/prices/{$price['id']}", $id() + ['amount' => '14,50', 'date' => '2026-10-01'] + $price['values']);
    $right()->assertSessionHasNoErrors();
    expect($this->get('/books/stock')->inertiaProps('prices'))
        ->toHaveCount(1)
        ->and($this->get('/books/stock')->inertiaProps('prices.0.from'))
        ->toBe('1 Oct 2026')
        ->and($this->get('/history')->inertiaProps('actions.0.sentence'))
        ->toStartWith('Corrected a price')
        // Another version of it was meant.
        ->and($right()->getStatusCode())
        ->toBe(409);
});

it('notes prices in the workshop’s currency, each from its day', function (): void {
    $price = fn(array $with) => $this->post(
        '/prices',
        $with + ['action_id' => (string) Str::uuid(), 'supply' => 'wax', 'amount' => '12,50', 'quantity' => '500', 'date' => '2026-11-01'],
    );
    $price([])->assertSessionHasNoErrors();
    $price(['amount' => '-1'])->assertSessionHasErrors('amount');
    $price(['date' => '2027-01-01'])->assertSessionHasErrors('date');
    $this->get('/books/stock')->assertInertia(
        fn($page) => $page->where('prices.0.amount', '€12.50')->where('prices.0.quantity', "500\u{a0}g"),
    );
    $this->put('/settings', [
        'action_id' => (string) Str::uuid(),
        'name' => 'Test shed',
        'time_zone' => 'UTC',
        'distance_unit' => 'km',
        'temperature_unit' => 'F',
        'mass_unit' => 'oz',
        'currency' => 'JPY',
        'language' => 'en',
        'interval' => 300,
        'limit_school' => 'strict',
        'factors' => ['indoor' => 0.8, 'dry' => 1, 'dusty' => 1.5, 'damp' => 1.5, 'wet' => 2.5, 'muddy' => 3.5],
    ])->assertSessionHasNoErrors();
    app()->forgetScopedInstances();
    $price(['supply' => 'chain', 'amount' => '3500', 'quantity' => 1])->assertSessionHasNoErrors();
    $this->get('/books/stock')->assertInertia(fn($page) => $page->where('prices.0.amount', '¥3,500'));
});

it('opens a spare quick link in a swap, of the right speeds only, and each counts its own closings', function (): void {
    $heron = $this->bench->bike();
    $a = $this->bench->chain($heron, 'A', fit: true);
    $b = $this->bench->chain($heron, 'B');
    $this->post('/links', [
        'action_id' => (string) Str::uuid(),
        'name' => 'Silver',
        'count' => 2,
        'speeds' => 12,
        'closings_allowed' => 1,
        'price' => '4,80',
    ])->assertSessionHasNoErrors();
    $this->post('/links', ['action_id' => (string) Str::uuid(), 'name' => 'Wide', 'count' => 1, 'speeds' => 9]);
    $this->get('/books/stock')->assertInertia(
        fn($page) => $page->count('links', 3)->where('links.0.about', '12 speeds, single use')->where('links.0.price', '€4.80'),
    );
    $ids = array_column($this->get('/')->viewData('page')['props']['spares'], 'id');
    $fit = fn($chain, float $ago, array $with = []) => $this->post(
        "/bikes/{$heron->id}/fittings",
        $with + ['chain_id' => $chain->id] + Bench::form($ago),
    );
    $fit($b, 50, ['new_link' => true, 'link_id' => $ids[2]])->assertSessionHasErrors([
        'link_id' => __('errors.link_wrong_speed', ['link' => 9, 'chain' => 12]),
    ]);
    $fit($b, 50, ['new_link' => true, 'link_id' => $ids[0]])->assertSessionHasNoErrors();
    $this->get("/chains/{$b->id}")->assertInertia(fn($page) => $page->where('link.figure', '1 of 1 closings')->where('link.usedUp', true));
    $fit($a, 40, ['new_link' => true, 'link_id' => $ids[0]])->assertSessionHasErrors(['link_id' => __('errors.link_taken')]);
    $fit($a, 40);
    // Spent: it goes on only with another, here the second spare, which came into the drawer before the first was opened.
    $fit($b, 30)->assertSessionHasErrors('new_link');
    $fit($b, 30, ['new_link' => true, 'link_id' => $ids[1]])->assertSessionHasNoErrors();
    $this->get("/chains/{$b->id}")->assertInertia(fn($page) => $page->where('link.figure', '1 of 1 closings'));
    $this->get('/books/stock')->assertInertia(fn($page) => $page->count('links', 1));
    $fitted = $this->bench->lastAction();
    // A new link has its grease: no drip over it, done already or led, until it is cleaned alone; its chain keeps its wax.
    $drip = fn(array $with = []) => $this->post("/chains/{$b->id}/topups", $with + ['distance' => 200] + Bench::form(5));
    $steps = fn(): array => $this->postJson(
        '/drip/plan',
        ['chain_id' => $b->id, 'place' => 'on_bike', 'coats' => 1, 'excess' => 'wipe'] + Bench::form(0),
    )
        ->assertOk()
        ->json('steps');
    expect(array_column($steps(), 'title'))->toContain('Its quick link first');
    $drip()->assertSessionHasErrors('stripped');
    $drip(['stripped' => true])->assertSessionHasNoErrors();
    expect(array_column($this->get("/chains/{$b->id}")->inertiaProps('about'), 'value'))->toContain(__('chain.link_state.bare'));
    expect(array_column($steps(), 'title'))
        ->not->toContain('Its quick link first')
        ->and($this->bench->state($b)->wax->life)
        ->not->toBeNull();
    $this->post('/actions/' . $this->bench->lastAction()->id . '/undo', ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    $drip()->assertSessionHasErrors('stripped');
    $this->post("/actions/{$fitted->id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    $this->get('/books/stock')->assertInertia(fn($page) => $page->count('links', 2));
});

it('knows what a chain is: its joint, side, mass and price, an odd count only with a half-link on a single speed', function (): void {
    $heron = $this->bench->bike();
    $this->bench->chain($heron, 'A', fit: true);
    $add = fn(array $with) => $this->post(
        '/chains',
        $with + [
            'action_id' => (string) Str::uuid(),
            'bike_id' => $heron->id,
            'label' => 'B',
            'speeds' => 12,
            'pitches' => 116,
            'state' => 'boxed',
        ],
    );
    $add(['pitches' => 115])->assertSessionHasErrors(['pitches' => __('validation.multiple_of')]);
    $add(['pitches' => 115, 'half_link' => true])->assertSessionHasErrors('pitches');
    $add(['pitches' => 95, 'speeds' => 1])->assertSessionHasErrors(['pitches' => __('errors.half_link')]);
    $add(['pitches' => 95, 'speeds' => 1, 'half_link' => true, 'label' => 'H'])->assertSessionHasNoErrors();
    $add([
        'joint' => 'pin',
        'directional' => true,
        'mass' => '254,5',
        'price' => '26,90',
        'bought_on' => '2026-10-02',
        'strip_next' => true,
    ])
        ->assertSessionHasNoErrors()
        ->assertRedirect('/strip?' . http_build_query(['chains' => [$this->bench->lastAction()->about->chain]]));
    $b = $this->bench->lastAction()->about->chain;
    $this->get("/chains/{$b}")->assertInertia(
        fn($page) => $page->where('about', [
            ['name' => 'Suits', 'value' => 'Heron'],
            ['name' => 'Came with', 'value' => 'storage grease'],
            ['name' => 'Closed by', 'value' => 'a pin'],
            ['name' => 'Outer side', 'value' => 'lettering outward'],
            ['name' => 'Mass', 'value' => "255\u{a0}g"],
            ['name' => 'Price', 'value' => '€26.90'],
            ['name' => 'Bought on', 'value' => '2 Oct 2026'],
        ]),
    );
    // A pin is worth a word when it goes on, and when it comes off.
    $notes = fn() => array_column($this->get('/')->viewData('page')['props']['rails'][0]['hanging'], 'fit', 'label');
    expect(array_column($notes()['B'], 'note'))->toBe(['pin_on', 'no_wax']);
    $this->post("/bikes/{$heron->id}/fittings", ['chain_id' => $b] + Bench::form(1))->assertSessionHasNoErrors();
    expect(array_column($notes()['A'], 'note'))->toBe(['pin_off']);
});

it('tells what it all costs, by year, bike and chain, and beside plain drip', function (): void {
    $heron = $this->bench->bike();
    $this->bench->chain($heron, 'A', 900, fit: true);
    $this->bench->chain($heron, 'B', 900);
    $money = function (): array {
        app()->forgetScopedInstances();

        return json_decode(
            str_replace("\u{a0}", ' ', json_encode($this->get('/books/money')->viewData('page')['props'], JSON_UNESCAPED_UNICODE)),
            true,
        );
    };
    expect($money()['unpriced'])->toContain('chain')->toContain('wax');
    // Ridden without any price there is nothing to compare, and no table of nothing.
    $this->post('/rides', ['bike_id' => $heron->id, 'distance' => 10, 'condition' => 'dry'] + Bench::form(500));
    $new = $money();
    expect([$new['chart'], $new['months'], $new['years']])->toBe([null, null, []]);
    $this->post('/actions/' . Action::query()->orderByDesc('revision')->value('id') . '/undo', ['action_id' => (string) Str::uuid()]);
    ($this->add)()->assertSessionHasNoErrors();
    foreach ([['chain', 30, 1], ['wax', 8, 1000], ['white_spirit', 10, 1000]] as [$supply, $amount, $quantity]) {
        $this->post('/prices', [
            'action_id' => (string) Str::uuid(),
            'supply' => $supply,
            'amount' => $amount,
            'quantity' => $quantity,
            'date' => '2026-01-01',
        ])->assertSessionHasNoErrors();
    }
    $this->post(
        '/rides',
        ['bike_id' => $heron->id, 'distance' => 200, 'condition' => 'dry'] + Bench::form(400),
    )->assertSessionHasNoErrors();
    // By hand: two chains at 30, two dips of 6 g at 8 a kilogram, 600 ml at 10 a litre; over 200 km.
    $page = $money();
    expect($page['unpriced'])
        ->toContain('quick link, cassette and drip wax')
        ->and($page['all'])
        ->toMatchArray(['kinds' => ['€60.00', '–', '€0.10', '–', '€6.00'], 'total' => '€66.10', 'km' => '200 km', 'per' => '€330.50'])
        ->and($page['years'][0])
        ->toMatchArray(['name' => '2026', 'total' => '€66.10'])
        ->and($page['bikes'][0])
        ->toMatchArray(['name' => 'Heron', 'total' => '€60.10', 'per' => '€300.50'])
        ->and(array_column($page['chains'], 'total', 'name'))
        ->toBe(['Heron A' => '€30.05', 'Heron B' => '€30.05'])
        // A drip every 200 km wears like wax every 300: 15,000 km, and nobody measured how these chains do.
        ->and(array_slice(array_last($page['chart']['chart']['rows'])['cells'], 1))
        ->toBe(['€66.10', '€30.00'])
        ->and($page['plain'])
        ->toBe(['as_wax' => '1.50', 'every' => '200', 'lives' => 'On plain drip a chain then lives: Heron 15,000 km.'])
        ->and($page['work'])
        ->toBe(['hour' => '', 'text' => 'About 1 h of work. Set what an hour is worth to count it.']);
    // Every 5,000 km, wearing like wax as often: a chain lives 101 km, those 200 km wear one, and a second is on.
    $this->put('/books/money', ['action_id' => (string) Str::uuid(), 'as_wax' => '1', 'every' => '5000'])->assertSessionHasNoErrors();
    expect(array_last($money()['chart']['chart']['rows'])['cells'][2])->toBe('€60.00');
    $this->put('/books/money', ['action_id' => (string) Str::uuid(), 'as_wax' => '0', 'every' => ''])->assertSessionHasErrors('as_wax');
    // Two dips on one evening and nothing else: 45 + 10 + 2 · 4 minutes at 20 an hour.
    $this->put('/books/hour', ['action_id' => (string) Str::uuid(), 'hour' => '20,00'])->assertSessionHasNoErrors();
    expect($money()['work'])->toBe(['hour' => '20', 'text' => 'About 1 h of work, worth €21.00.']);
});

it('adds up: by year, by bike and by chain it is the same money and the same road, to the cent', function (): void {
    WrittenDemo::ending();
    $page = $this->actingAs(User::query()->latest('id')->first())
        ->get('/books/money')
        ->viewData('page')['props'];
    $cents = fn(string $money): int => (int) preg_replace('/\D/', '', $money);
    $sum = fn(array $rows, string $of = 'total'): int => array_sum(array_map($cents, array_column($rows, $of)));
    expect($cents($page['all']['total']))
        ->toBeGreaterThan(10_000)
        ->toBe(array_sum(array_map($cents, $page['all']['kinds'])))
        ->toBe($sum($page['years']))
        ->toBe($sum($page['bikes']))
        ->toBe($sum($page['chains']) + $sum($page['beside']))
        ->and(count($page['years']))
        ->toBe(2)
        ->and($page['chains'])
        ->toHaveCount(count(array_unique(array_column($page['chains'], 'name'))));
    $names = array_column($page['chains'], 'name');
    $totals = fn(string $sort): array => array_column($this->get("/books/money?sort={$sort}")->inertiaProps('chains'), 'total');
    sort($names);
    expect(array_column($this->get('/books/money?sort=name')->inertiaProps('chains'), 'name'))
        ->toBe($names)
        ->and($totals('total'))
        ->toBe(array_reverse($totals('-total')));
    foreach ([...$page['years'], ...$page['bikes']] as $row) {
        expect(array_sum(array_map($cents, $row['kinds'])))->toBe($cents($row['total']));
    }
    foreach (range(0, 4) as $kind) {
        $of = fn(array $rows): int => array_sum(array_map(fn(array $row) => $cents($row['kinds'][$kind]), $rows));
        expect($of($page['years']))->toBe($cents($page['all']['kinds'][$kind]))->toBe($of($page['bikes']));
    }
    // Whole kilometres on the page: each row is rounded by itself.
    foreach (['years', 'bikes'] as $by) {
        expect($sum($page[$by], 'km'))->toEqualWithDelta($cents($page['all']['km']), count($page[$by]) / 2);
    }
});
