<?php

declare(strict_types=1);

use App\Logbook\About;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Dip;
use App\Models\Pot;
use App\Pot\ReadBaths;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Pot\PotHeat;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\WaxKind;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    $this->add = fn(array $with = []) => $this->post(
        '/pots',
        $with + [
            'action_id' => (string) Str::uuid(),
            'name' => 'Shed pot',
            'kind' => 'slow_cooker',
            'diameter' => '120',
            'height' => '90',
            'low' => '90',
            'high' => '140',
            'wax' => 'plain',
        ],
    );
    $this->tend = fn(Pot $pot, string $act, array $with = [], float $ago = 1) => $this->post(
        "/pots/{$pot->id}/bath",
        $with + ['act' => $act] + Bench::form($ago),
    );
    $this->bath = function (Pot $pot): BathState {
        app()->forgetScopedInstances();

        return app(ReadBaths::class)($this->bench->workshop->refresh())[$pot->id];
    };
});

it('keeps the book of a bath from dips and fills, weighed or not, by hand', function (): void {
    ($this->add)()->assertSessionHasNoErrors();
    ($this->add)()->assertSessionHasErrors(['name' => __('errors.pot_name_taken', ['name' => 'Shed pot'])]);
    $pot = Pot::query()->sole();
    ($this->tend)($pot, 'filter')->assertSessionHasErrors(['pot' => __('errors.pot_empty')]);
    ($this->tend)($pot, 'fill', ['wax' => '400', 'oil' => '20,0'], 90)->assertSessionHasNoErrors();
    $heron = $this->bench->bike();
    $a = $this->bench->chain($heron, 'A', 200, fit: true);
    $b = $this->bench->chain($heron, 'B', 200);
    $this->post(
        '/rides',
        ['action_id' => (string) Str::uuid(), 'bike_id' => $heron->id, 'distance' => 100, 'condition' => 'wet'] + Bench::form(80),
    )->assertSessionHasNoErrors();
    $this->get('/')->assertInertia(fn($page) => $page->where('pot.chains.1.rinse', true));
    // A was ridden 100 km in the wet: 250 km of wax; B was not. A is rinsed, B weighed.
    $this->post(
        '/dips',
        [
            'chains' => [$a->id, $b->id],
            'dry' => true,
            'pot_id' => $pot->id,
            'rinsed' => [$a->id],
            'pickups' => [$b->id => '4.5', $a->id => ''],
        ] + Bench::form(50),
    )->assertSessionHasNoErrors();
    $ledger = ($this->bath)($pot)->ledger;
    expect($ledger?->waxG)
        ->toEqualWithDelta(420 - 6 - 4.5, 1e-9)
        ->and($ledger?->dips)
        ->toBe(2)
        ->and($ledger?->grit)
        ->toEqualWithDelta((0.25 * 0.3 * 500) / 420, 1e-9)
        ->and($ledger?->oilFraction)
        ->toEqualWithDelta(20 / 420, 1e-9)
        ->and(Dip::query()->where('pot_id', $pot->id)->pluck('pickup_g')->all())
        ->toBe([null, 4.5]);
    // A was weighed after all: what went in together still did, and A brought its grit into all of the wax.
    $weighed = app(Ledger::class)->record($this->bench->by(), ActionKind::CorrectPotDay, function (Draft $draft) use ($a, $pot): About {
        $draft->replace(Dip::query()->live()->where('pot_id', $pot->id)->where('component_id', $a->id)->sole(), ['pickup_g' => 6.0]);

        return new About();
    });
    expect(($this->bath)($pot)->ledger?->waxG)
        ->toEqualWithDelta(420 - 6 - 4.5, 1e-9)
        ->and(($this->bath)($pot)->ledger?->grit)
        ->toEqualWithDelta($ledger->grit, 1e-12);
    $this->post("/actions/{$weighed->id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    // A dip that nobody says the pot of is in no book; an earlier one that is entered late is before the fill.
    $this->post('/dips', ['chains' => [$b->id], 'dry' => true] + Bench::form(40));
    $this->post('/dips', ['chains' => [$b->id], 'dry' => true, 'pot_id' => $pot->id] + Bench::form(95));
    expect(($this->bath)($pot)->ledger?->dips)->toBe(2);
    ($this->tend)($pot, 'remove', ['wax' => 500])->assertSessionHasErrors(['wax' => __('errors.more_than_in_pot', ['has' => 410])]);
    ($this->tend)($pot, 'remove', ['wax' => 200], 30)->assertSessionHasNoErrors();
    $this->get('/')->assertInertia(
        fn($page) => $page->where(
            'next',
            fn($next) => collect(Bench::steps($next))->firstWhere('kind', 'bath')['title'] === 'Top up Shed pot',
        ),
    );
    ($this->tend)($pot, 'top_up', ['wax' => 300], 20);
    ($this->tend)($pot, 'reading', ['temp' => '100,5'], 10);
    $this->get('/pot')->assertInertia(
        fn($page) => $page
            ->where('pots.0.next', 'Replace the wax')
            ->where('pots.0.late', true)
            ->where('pots.0.max', "at most 101\u{a0}°C, limit 100\u{a0}°C"),
    );
    $this->get('/books')->assertInertia(fn($page) => $page->count('pots.0.entries', 4));
    // The dip taken back, its wax is in the pot again; the reading deleted, nothing was too hot.
    $this->delete('/entries/bath_entries/' . DB::table('bath_entries')->where('kind', 'reading')->value('id'), [
        'action_id' => (string) Str::uuid(),
    ])->assertSessionHasNoErrors();
    $this->get('/history')->assertInertia(
        fn($page) => $page->where('actions.0.sentence', fn(string $text) => str_starts_with($text, 'Deleted an entry of Shed pot')),
    );
    expect(($this->bath)($pot)->ledger?->overheated)->toBeFalse();
    $dip = Dip::query()->where('pot_id', $pot->id)->where('pickup_g', 4.5)->sole();
    $this->post("/actions/{$dip->action_id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect(($this->bath)($pot)->ledger?->waxG)
        ->toEqualWithDelta(420 - 200 + 300, 1e-9)
        ->and(($this->bath)($pot)->ledger?->grit)
        ->toBe(0.0);
});

it('says when its book cannot be, and goes on after a new fill', function (): void {
    ($this->add)();
    $pot = Pot::query()->sole();
    ($this->tend)($pot, 'fill', ['wax' => 60], 90);
    $b = $this->bench->chain($this->bench->bike(), 'B', 200);
    // More than was in the pot: a slip of the scales, entered at another time than the fill.
    $this->post(
        '/dips',
        ['chains' => [$b->id], 'dry' => true, 'pot_id' => $pot->id, 'pickups' => [$b->id => 61]] + Bench::form(50),
    )->assertSessionHasNoErrors();
    $this->get('/pot')
        ->assertOk()
        ->assertInertia(fn($page) => $page->where('pots.0.holds', __('pot.problem'))->where('pots.0.problem', true));
    $this->get('/')->assertOk();
    ($this->tend)($pot, 'fill', ['wax' => 400], 1)->assertSessionHasNoErrors();
    expect(($this->bath)($pot)->ledger?->waxG)->toBe(400.0);
});

it('refuses a stove with the reason, and knows how hot each wax may get', function (): void {
    ($this->add)(['kind' => 'stove'])->assertSessionHasErrors(['kind' => __('errors.pot_stove')]);
    ($this->add)(['diameter' => '2'])->assertSessionHasErrors('diameter');
    expect(Pot::query()->count())->toBe(0);
    // Common practice: 100 °C plain, 90 °C with a sensitive additive; house rules for softened wax.
    expect([
        WaxKind::Plain->limitC(),
        WaxKind::Blend->limitC(),
        WaxKind::Softened->limitC(),
        WaxKind::Softened->limitC(90.0),
        WaxKind::Softened->limitC(130.0),
    ])->toBe([100.0, 90.0, 80.0, 75.0, 100.0]);
    ($this->add)(['wax' => 'softened', 'flash' => '88'])->assertSessionHasNoErrors();
    $this->get('/pot')->assertInertia(
        fn($page) => $page
            ->where('pots.0.max', "temperature never read, limit 73\u{a0}°C")
            ->where('pots.0.empty', true)
            ->count('pots.0.acts', 1),
    );
});

it('lets the grit follow from a ride that is entered late, and from a swap that is put right', function (): void {
    ($this->add)();
    $pot = Pot::query()->sole();
    ($this->tend)($pot, 'fill', ['wax' => 500], 190);
    $heron = $this->bench->bike();
    $a = $this->bench->chain($heron, 'A', 200, fit: true);
    $b = $this->bench->chain($heron, 'B', 200);
    $this->post('/dips', ['chains' => [$a->id, $b->id], 'dry' => true, 'pot_id' => $pot->id] + Bench::form(50))->assertSessionHasNoErrors();
    $grit = fn(): float => (float) ($this->bath)($pot)->ledger?->grit;
    expect($grit())->toBe(0.0);
    $ride = ['action_id' => (string) Str::uuid(), 'bike_id' => $heron->id, 'distance' => 120, 'condition' => 'dusty'] + Bench::form(100);
    $this->post('/rides', $ride)->assertSessionHasNoErrors();
    expect($grit())->toEqualWithDelta(0.18, 1e-9);
    // B was really on: it brought the grit, and brings as much.
    $this->post("/bikes/{$heron->id}/corrections", ['chain_id' => $b->id] + Bench::form(150))->assertSessionHasNoErrors();
    expect($grit())
        ->toEqualWithDelta(0.18, 1e-9)
        ->and($this->bench->state($a)->km->km)
        ->toBe(0.0);
    // Ridden after the dip, it is for the next one.
    $this->post('/rides', ['action_id' => (string) Str::uuid()] + Bench::form(10) + $ride)->assertSessionHasNoErrors();
    expect($grit())->toEqualWithDelta(0.18, 1e-9);
    $this->get("/chains/{$b->id}")->assertInertia(
        fn($page) => $page->where('pots.0.name', 'Shed pot')->where('pots.0.left', fn(string $left) => str_contains($left, 'dips left')),
    );
});

it('has a book for each pot, and a race pot keeps clean', function (): void {
    foreach (['Shed pot' => 'plain', 'Race pot' => 'blend'] as $name => $wax) {
        ($this->add)(['name' => $name, 'wax' => $wax])->assertSessionHasNoErrors();
    }
    [$shed, $race] = Pot::query()->orderBy('id')->get()->all();
    foreach ([$shed, $race] as $pot) {
        ($this->tend)($pot, 'fill', ['wax' => 450], 90);
    }
    $heron = $this->bench->bike();
    [$a, $r] = [$this->bench->chain($heron, 'A', 200, fit: true), $this->bench->chain($heron, 'R', 200)];
    $this->post(
        '/rides',
        ['action_id' => (string) Str::uuid(), 'bike_id' => $heron->id, 'distance' => 250, 'condition' => 'dry'] + Bench::form(80),
    );
    $this->post('/dips', ['chains' => [$a->id], 'dry' => true, 'pot_id' => $shed->id] + Bench::form(40))->assertSessionHasNoErrors();
    $this->post('/dips', ['chains' => [$r->id], 'dry' => true, 'pot_id' => $race->id] + Bench::form(40))->assertSessionHasNoErrors();
    expect([
        ($this->bath)($shed)->ledger?->grit > 0.2,
        ($this->bath)($race)->ledger?->grit,
        ($this->bath)($race)->ledger?->dips,
        ($this->bath)($race)->limitC,
    ])->toBe([true, 0.0, 1, 90.0]);
    // A pot that chains were dipped in does not vanish under them.
    $this->post("/actions/{$race->action_id}/undo", ['action_id' => (string) Str::uuid()])->assertRedirect(
        "/actions/{$race->action_id}/undo",
    );
    $this->get('/pot')->assertInertia(
        fn($page) => $page
            ->where('pots.1.about', 'slow cooker, blend with additives')
            ->where('pots.1.caution', fn(string $text) => str_contains($text, 'Stir before every dip')),
    );
});

it('says when to plug the pot in, and what could go wrong', function (): void {
    ($this->add)(['low' => '60', 'high' => '150']);
    $pot = Pot::query()->sole();
    $heat = fn(array $with = []) => $this->postJson(
        "/pots/{$pot->id}/heat",
        $with + ['action_id' => (string) Str::uuid(), 'power' => 'high', 'start' => '18', 'target' => '85', 'by' => '10:00'],
    );
    $heat()->assertJsonValidationErrors(['start' => __('errors.pot_empty')]);
    ($this->tend)($pot, 'fill', ['wax' => 500], 90);
    // By hand with pot.heat: 500 g, 150 W, 1.3 W/K, 18 °C: see its tests. It is noon, so ten o'clock is tomorrow's.
    $minutes = (new PotHeat())(new PotHeatInput(500, 18, 18, 150, 1.3, 85))->minutesToTarget;
    $plugIn = gmdate('H:i', gmmktime(10, 0, 0, 11, 26, 2026) - (int) ceil(60 * $minutes));
    $heat()
        ->assertOk()
        ->assertJsonPath(
            'lines.2',
            "Plug in at {$plugIn} to be ready by 10:00. This is a reminder for somebody who stays; never use a timer socket.",
        )
        ->assertJsonPath('warnings', [
            "Left alone on 150 W it would reach 133\u{a0}°C, past its limit of 100\u{a0}°C. Stay with it and switch off in time.",
        ])
        ->assertJsonPath('chart.levels.0.at', 100)
        ->assertJsonPath('chart.lines.0.points.0.x', 0)
        ->assertJsonPath('chart.lines.0.points.0.y', 18)
        ->assertJsonPath('chart.rows.0.cells', ['0', "18\u{a0}°C"]);
    // 60 W: 18 + 60 / 1.3 = 64 °C. It melts, and never gets hot; from a melt it cools down to that.
    $heat(['power' => 'low'])
        ->assertJsonPath('warnings', ["On 60 W it never reaches 85\u{a0}°C: it would stay at 64\u{a0}°C."])
        ->assertJsonCount(2, 'lines');
    $heat(['power' => 'low', 'start' => '90', 'target' => '70'])
        ->assertJsonPath('lines.0', __('pot.heat.liquid_now'))
        ->assertJsonPath('warnings', []);
    $heat(['target' => '105'])->assertJsonPath('warnings.0', "105\u{a0}°C is above the limit of this wax, 100\u{a0}°C.");
    ($this->add)(['name' => 'Weak', 'low' => '30', 'high' => null]);
    $weak = Pot::query()->orderByDesc('id')->firstOrFail();
    ($this->tend)($weak, 'fill', ['wax' => 500], 90);
    $this->postJson("/pots/{$weak->id}/heat", [
        'action_id' => (string) Str::uuid(),
        'power' => 'low',
        'start' => 18,
        'target' => 85,
    ])->assertJsonPath('warnings.0', "On 30 W it never melts: it would stay at 41\u{a0}°C. Take high, or less wax.");
    $this->postJson("/pots/{$weak->id}/heat", [
        'action_id' => (string) Str::uuid(),
        'power' => 'high',
        'start' => 18,
        'target' => 85,
    ])->assertJsonPath('lines.2', fn(string $line) => str_contains($line, 'Watts not known'));
});

it('knows what a chain takes along once it was weighed three times, and says so where it counts', function (): void {
    ($this->add)();
    $pot = Pot::query()->sole();
    ($this->tend)($pot, 'fill', ['wax' => 420], 90);
    $heron = $this->bench->bike();
    $a = $this->bench->chain($heron, 'A', 100, fit: true);
    $b = $this->bench->chain($heron, 'B', 200);
    $dip = fn(int $hoursAgo, array $pickups) => $this->post(
        '/dips',
        ['chains' => [$a->id, $b->id], 'dry' => true, 'pot_id' => $pot->id, 'pickups' => $pickups] + Bench::form($hoursAgo),
    )->assertSessionHasNoErrors();
    $about = function () use ($a): array {
        app()->forgetScopedInstances();

        return array_column(
            $this->get("/chains/{$a->id}")
                ->assertOk()
                ->inertiaProps()['about'],
            'value',
            'name',
        );
    };
    $dip(80, [$a->id => '4', $b->id => '8']);
    $dip(70, [$a->id => '5']);
    expect($about())
        ->not->toHaveKey('Wax a dip takes')
        // B takes the mean of both weighings so far.
        ->and(($this->bath)($pot)->ledger?->waxG)
        ->toEqualWithDelta(420 - 4 - 8 - 5 - 17 / 3, 1e-9);
    $dip(60, [$a->id => '6', $b->id => '8']);
    expect($about()['Wax a dip takes'])->toBe("about 5.0\u{a0}g; weighed 3 times, 4.0\u{a0}g to 6.0\u{a0}g");
    // Not weighed, A takes what it takes, B what the others took: the mean of five weighings.
    $dip(50, []);
    expect(($this->bath)($pot)->ledger?->waxG)->toEqualWithDelta(420 - 4 - 8 - 5 - 17 / 3 - 6 - 8 - 5 - 31 / 5, 1e-9);
});
