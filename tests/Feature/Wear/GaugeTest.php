<?php

declare(strict_types=1);

use App\Devices\Connect;
use App\Models\Chain;
use App\Models\Device;
use App\Models\GaugeValue;
use App\Models\Part;
use App\Models\Pot;
use App\Models\Reading;
use App\Models\Setting;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    $this->heron = $this->bench->bike();
    [$this->a, $this->b] = [$this->bench->chain($this->heron, 'A', 2000, fit: true), $this->bench->chain($this->heron, 'B', 2000)];
    $this->does = fn(string $url, array $data = [], float $ago = 1): TestResponse => $this->post(
        $url,
        $data + ['action_id' => (string) Str::uuid()] + Bench::form($ago),
    )->assertSessionHasNoErrors();
    $this->ride = fn(float $km, float $ago) => ($this->does)(
        '/rides',
        ['bike_id' => $this->heron->id, 'distance' => $km, 'condition' => 'dry'],
        $ago,
    );
    $this->meaning = fn(array $data) => $this->postJson(
        "/chains/{$this->a->id}/readings/meaning",
        $data + ['action_id' => (string) Str::uuid()] + Bench::form(1),
    );
    $this->props = function (string $url): array {
        $found = [];
        app()->forgetScopedInstances();
        $this->get($url)->assertInertia(function (AssertableInertia $page) use (&$found): void {
            $found = $page->toArray()['props'];
        });

        return $found;
    };
    $this->plain = fn(mixed $text): string => str_replace("\u{a0}", ' ', is_array($text) ? implode(' ', $text) : (string) $text);
});

it('says before it is kept what a reading means, and what cannot be', function (): void {
    ($this->ride)(1500, 900);
    ($this->ride)(1500, 800);
    $seat = fn(array $seats): array => [
        'kind' => 'drop_in',
        'spots' => [
            [
                'results' => array_map(
                    fn(string $mark, string $seat) => ['mark_pct' => (float) $mark, 'seat' => $seat],
                    array_keys($seats),
                    $seats,
                ),
            ],
        ],
    ];
    $said = ($this->meaning)($seat(['0.5' => 'part', '0.75' => 'rests']))->assertOk()->json();
    expect(($this->plain)($said['reads']))
        ->toBe('That reads between 0.4 % and 0.5 %.')
        ->and($said['wear'])
        ->toMatchArray(['lower' => 0.4, 'upper' => 0.5, 'limit' => 0.5])
        ->and(($this->plain)($said['why']))
        ->toContain('From one reading')
        ->toContain('The limit is 0.5 %.')
        ->and(($this->meaning)($seat(['0.5' => 'enters']))->json('verdict'))
        ->toBe('retire');
    // Contradictory seats, a length that no chain has, and what hardly can be.
    ($this->meaning)($seat(['0.5' => 'rests', '0.75' => 'enters']))->assertJsonValidationErrors(['spots.0.results' => __('errors.seats')]);
    expect(($this->meaning)(['kind' => 'digital', 'value_pct' => '1,4'])->json('unlikely'))->toContain('hardly fits');
    // Several spots: the worst counts, and the spread is judged.
    $spots = fn(string ...$values) => ($this->meaning)([
        'kind' => 'digital',
        'spots' => array_map(fn(string $value) => ['value_pct' => $value], $values),
    ])->json();
    expect($spots('0,10', '0.12', '0.09'))
        ->toMatchArray(['uneven' => false, 'agree' => 'The spots lie 0.03 % apart: no more than the instrument. The worst counts.'])
        ->and($spots('0.10', '0.40'))
        ->toMatchArray(['uneven' => true])
        ->and($spots('0.10', '0.40')['wear']['value'])
        ->toBe(0.4);
    // Nothing was kept by asking.
    expect(Reading::query()->count())->toBe(0);
    // Of a chain that came used nobody knows what it had run a minute before: nothing to compare with.
    ($this->does)('/arrive', [
        'bike_id' => $this->heron->id,
        'date' => gmdate('Y-m-d', Bench::NOW),
        'chains' => [['label' => 'U', 'state' => 'unsure']],
    ]);
    $used = Chain::query()->orderByDesc('id')->firstOrFail();
    $this->post(
        "/chains/{$used->id}/readings",
        ['action_id' => (string) Str::uuid(), 'kind' => 'digital', 'value_pct' => '0.4', 'sure' => false] + Bench::form(0.01),
    )->assertSessionHasNoErrors();
});

it('keeps instruments with their marks, zero and uncertainty, and each reading with its own', function (): void {
    $page = ($this->props)('/gauge');
    expect(array_column($page['forms']['instruments'], 'name'))
        ->toBe(['A steel rule', 'A drop-in gauge', 'A digital gauge'])
        ->and(($this->plain)($page['forms']['pitchesHint']))
        ->toContain('46 pitches on a rule of 60 cm read to ± 0.04 %, 24 on a short one only to ± 0.08 %');
    ($this->does)('/instruments', ['name' => 'Old gauge', 'kind' => 'digital', 'uncertainty' => '0,08', 'zero' => '0.03']);
    $this->post('/instruments', [
        'action_id' => (string) Str::uuid(),
        'name' => 'old gauge',
        'kind' => 'drop_in',
        'marks' => '0.5',
    ])->assertSessionHasErrors('name');
    $this->post('/instruments', [
        'action_id' => (string) Str::uuid(),
        'name' => 'Marks',
        'kind' => 'drop_in',
        'marks' => '0.75 0.5',
    ])->assertSessionHasErrors('marks');
    $instrument = ($this->props)('/gauge')['instruments'][0];
    expect(($this->plain)($instrument['about']))
        ->toBe('± 0.08 %, shows 0.03 when closed')
        ->and(array_column(($this->props)('/gauge')['forms']['instruments'], 'kind'))
        ->toBe(['digital', 'ruler', 'drop_in']);
    ($this->does)("/chains/{$this->a->id}/readings", ['kind' => 'digital', 'instrument_id' => $instrument['id'], 'value_pct' => '0.13']);
    $reading = Reading::query()->sole();
    expect($reading->instrument_id)
        ->toBe($instrument['id'])
        ->and($reading->input)
        ->toEqual(['kind' => 'digital', 'value_pct' => 0.13, 'uncertainty_pct' => 0.08, 'zero_pct' => 0.03])
        ->and($this->bench->state($this->a)->wear->result?->valuePct)
        ->toEqualWithDelta(0.1, 1e-9);
    // Zeroed anew it reads as it reads; what was read before stays.
    $this->put("/instruments/{$instrument['id']}", [
        'action_id' => (string) Str::uuid(),
        'name' => 'Old gauge',
        'kind' => 'digital',
        'zero' => '0',
        'gone' => true,
    ])->assertSessionHasNoErrors();
    expect($this->bench->state($this->a)->wear->result?->valuePct)
        ->toEqualWithDelta(0.1, 1e-9)
        ->and(($this->props)('/gauge')['instruments'])
        ->toBe([]);
});

it('takes the measurement of the chain that comes off in the same step as the swap, and takes both back together', function (): void {
    ($this->ride)(800, 900);
    $rows = Bench::rows();
    $swap = fn(array $reading): TestResponse => $this->post(
        "/bikes/{$this->heron->id}/fittings",
        ['action_id' => (string) Str::uuid(), 'chain_id' => $this->b->id, 'reading' => $reading] + Bench::form(2),
    );
    $swap(['kind' => 'ruler', 'spots' => [['length_mm' => '571.9']], 'sure' => false])->assertSessionHasErrors('reading.spots.0.length_mm');
    $swap([
        'kind' => 'drop_in',
        'spots' => [['results' => [['mark_pct' => 0.5, 'seat' => 'rests'], ['mark_pct' => 0.75, 'seat' => 'enters']]]],
    ])->assertSessionHasErrors('reading.spots.0.results');
    $swap(['kind' => 'digital', 'spots' => [['value_pct' => '2.2']], 'sure' => false])->assertSessionHasErrors('reading.sure');
    expect(Bench::rows())->toBe($rows);
    $swap(['kind' => 'digital', 'spots' => [['value_pct' => '0.05']], 'sure' => false])->assertSessionHasNoErrors();
    expect($this->bench->state($this->a)->wear->result?->valuePct)
        ->toBe(0.05)
        ->and($this->bench->state($this->b)->wear->result)
        ->toBeNull()
        ->and(($this->plain)(($this->props)('/history')['actions'][0]['sentence']))
        ->toContain('A measured 0.05 %');
    ($this->does)("/actions/{$this->bench->lastAction()->id}/undo");
    expect($this->bench->state($this->a)->wear->result)->toBeNull();
});

it('tells the life of a chain as it is retired, and the bike when too few are left', function (): void {
    // By hand: 25 for the chain and 6 g of wax at 14 a kilo for its one dip: 25.08 in 800 km, 31.35 for 1,000 km.
    foreach ([['chain', '25', '1'], ['wax', '14', '1000']] as [$supply, $amount, $quantity]) {
        ($this->does)('/prices', ['supply' => $supply, 'amount' => $amount, 'quantity' => $quantity], 3000);
    }
    ($this->ride)(800, 900);
    ($this->does)("/chains/{$this->a->id}/readings", ['kind' => 'drop_in', 'results' => [['mark_pct' => 0.5, 'seat' => 'enters']]]);
    $story = $this->getJson("/chains/{$this->a->id}/retirement")
        ->assertOk()
        ->json();
    $life = array_map($this->plain, array_column($story['life'], 'value', 'name'));
    expect($life)
        ->toMatchArray(['Ran' => '800 km', 'Rides' => '1', 'Dips' => '1', 'Last measured' => '0.5 % or more'])
        ->and($life['Cost'])
        ->toBe('€25.08 (chain €25.00, quick links €0.00, wax €0.08)')
        ->and(implode(' ', $life))
        ->toContain('€31.35')
        ->and($story['left'])
        ->toContain('Heron has only B left')
        ->and($story['on'])
        ->toContain('comes off');
    $next = fn(): array => array_map(
        fn(array $step) => ($this->plain)("{$step['title']}. {$step['reason']}"),
        Bench::steps(($this->props)('/')['next']),
    );
    expect(implode(' ', $next()))
        ->toContain('Retire Heron A.')
        ->toContain('Buy a chain for Heron. One is left within the limit, and it needs 2 chains.');
    ($this->does)("/chains/{$this->a->id}/retirement");
    expect(implode(' ', $next()))
        ->not->toContain('Retire Heron A')
        ->toContain('Buy a chain for Heron.')
        ->and(array_column(($this->props)('/')['rails'][0]['hanging'], 'label'))
        ->toBe(['B']);
    // Its story stays on its page.
    expect(array_map($this->plain, array_column(($this->props)("/chains/{$this->a->id}")['story'], 'value')))
        ->toContain('800 km', '€31.35')
        ->and(($this->props)("/chains/{$this->b->id}")['story'])
        ->toBe([]);
    // One is enough for a rider who says so.
    $bike = ($this->props)("/bikes/{$this->heron->id}")['values'];
    $this->put(
        "/bikes/{$this->heron->id}",
        ['action_id' => (string) Str::uuid(), 'chains_wanted' => '1', 'target_life' => '9000'] + $bike,
    )->assertSessionHasNoErrors();
    expect(implode(' ', $next()))->not->toContain('Buy a chain');
    expect($this->getJson("/chains/{$this->b->id}/retirement")->json())->toMatchArray(['few' => true]);
    // The last one gone, it has none.
    ($this->does)("/chains/{$this->b->id}/retirement");
    expect(implode(' ', $next()))->toContain('Buy a chain for Heron. None is left within the limit, and it needs one chain.');
});

it('keeps cassettes through wheels, a trainer and worn chains, and warns of a new chain on an old one', function (): void {
    $part = fn(string $name): Part => Part::query()->findOrFail(
        Setting::query()->where('key', SettingKey::PartName)->where('value', 'like', json_encode($name))->sole()->component_id,
    );
    $on = fn(): array => array_map(
        fn(array $one) => ($this->plain)("{$one['name']} {$one['km']}"),
        ($this->props)("/bikes/{$this->heron->id}")['parts'],
    );
    ($this->does)("/bikes/{$this->heron->id}/parts", ['kind' => 'cassette', 'name' => 'Summer', 'km' => '1000'], 1900);
    ($this->does)("/bikes/{$this->heron->id}/parts", ['kind' => 'jockey_wheels', 'name' => 'Jockeys'], 1900);
    ($this->ride)(400, 1800);
    ($this->does)("/bikes/{$this->heron->id}/parts", ['kind' => 'cassette', 'name' => 'Winter'], 1700);
    ($this->ride)(300, 1600);
    expect($on())->toBe(['Jockeys 700 km', 'Winter 300 km']);
    ($this->does)("/parts/{$part('Summer')->id}/fittings", ['bike_id' => $this->heron->id], 1500);
    $this->post(
        "/parts/{$part('Summer')->id}/fittings",
        ['action_id' => (string) Str::uuid(), 'bike_id' => $this->heron->id] + Bench::form(1400),
    )->assertSessionHasErrors('part');
    // A chain past its limit that is ridden on counts against it.
    ($this->does)("/chains/{$this->a->id}/readings", ['kind' => 'digital', 'value_pct' => '0.55'], 1400);
    ($this->ride)(120, 1300);
    ($this->does)("/bikes/{$this->heron->id}/parts", ['kind' => 'cassette', 'name' => 'Roller', 'on_trainer' => true], 1200);
    ($this->does)('/rides', ['bike_id' => $this->heron->id, 'distance' => 50, 'condition' => 'indoor'], 1100);
    expect($on())->toBe(['Summer 1,520 km', 'Jockeys 870 km', 'Roller, on the trainer 50 km']);
    $worn = ($this->props)('/gauge')['bikes'][0]['parts'];
    expect(($this->plain)($worn[0]['warning']))
        ->toContain('120 km were ridden on it with a chain past its limit')
        ->and($worn[0]['outlived'])
        ->toContain('no chain yet');
    ($this->does)("/chains/{$this->a->id}/retirement", [], 1000);
    expect(($this->props)('/gauge')['bikes'][0]['parts'][0]['chains'])->toBe(1);
    $notes = array_column(($this->props)('/')['rails'][0]['hanging'][0]['fit'], 'note');
    expect($notes)->toBe(['may_skip']);
    // Replaced, the warning goes with it.
    ($this->does)("/bikes/{$this->heron->id}/parts", ['kind' => 'cassette', 'name' => 'Fresh', 'replaces' => true, 'price' => '64'], 900);
    expect(array_column(($this->props)('/')['rails'][0]['hanging'][0]['fit'], 'note'))
        ->toBe([])
        ->and(array_column(($this->props)('/books/parts')['parts'], 'where'))
        ->toContain('in the drawer')
        ->toContain('Heron')
        ->and(array_filter(array_column(($this->props)('/books/parts')['parts'], 'price', 'name')))
        ->toBe(['Fresh' => '€64.00']);
    ($this->does)("/parts/{$part('Jockeys')->id}/retirement", [], 800);
    expect($on())->toBe(['Roller, on the trainer 50 km', 'Fresh 0 km']);
});

it('advises an interval by how the chains of a bike wear; taken it holds, left it is not said again', function (): void {
    $advice = fn(): ?array => ($this->props)('/gauge')['bikes'][0]['advice'];
    expect($advice())->toBeNull();
    // 0.5 % in 6,000 km of waxing every 300, where 15,000 are expected.
    foreach ([1900, 1870, 1840] as $ago) {
        ($this->ride)(2000, $ago);
    }
    ($this->does)(
        "/chains/{$this->a->id}/readings",
        ['kind' => 'digital', 'value_pct' => '0.49', 'spots' => [['value_pct' => '0.48'], ['value_pct' => '0.49']]],
        1800,
    );
    // One reading of one chain is no evidence.
    expect($advice())
        ->toMatchArray(['text' => '', 'open' => false])
        ->and(($this->plain)($advice()['reason']))
        ->toBe('One chain was measured. Measure a second, or the same one 3 times over 1,500 km.');
    ($this->does)("/chains/{$this->a->id}/readings", ['kind' => 'digital', 'value_pct' => '0.19'], 1890);
    ($this->does)("/chains/{$this->a->id}/readings", ['kind' => 'digital', 'value_pct' => '0.34'], 1860);
    $found = $advice();
    expect(($this->plain)($found['text']))
        ->toMatch('/^Re-wax it about every (1[5-9]|2[0-4])0 km\.$/')
        ->and($found['open'])
        ->toBeTrue()
        ->and(($this->plain)($found['reason']))
        ->toContain('times as fast as the house rule expects');
    ($this->does)("/bikes/{$this->heron->id}/advice", ['accept' => false]);
    expect($advice()['open'])->toBeFalse();
    // Another curve, another advice: asked again.
    $this->put('/gauge/expected', [
        'action_id' => (string) Str::uuid(),
        'points' => [['interval' => '100', 'life' => '40000'], ['interval' => '300', 'life' => '9000']],
    ])->assertSessionHasNoErrors();
    $this->put('/gauge/expected', [
        'action_id' => (string) Str::uuid(),
        'points' => [['interval' => '100', 'life' => '4000'], ['interval' => '300', 'life' => '9000']],
    ])->assertSessionHasErrors('life_points');
    expect($advice()['open'])
        ->toBeTrue()
        ->and(($this->props)('/gauge')['expected']['house'])
        ->toBeFalse();
    ($this->does)("/bikes/{$this->heron->id}/advice", ['accept' => true]);
    expect($advice()['open'])
        ->toBeFalse()
        ->and($this->bench->state($this->a)->terms->intervalKm)
        ->toBeLessThan(300.0);
    $this->put('/gauge/expected', ['action_id' => (string) Str::uuid(), 'house' => true])->assertSessionHasNoErrors();
    expect(($this->props)('/gauge')['expected']['points'])->toHaveCount(3);
});

it('takes what a digital gauge sends once, refuses what it cannot have shown, and gives it to the form that listens', function (): void {
    $token = $this->postJson('/gauges', ['name' => 'Bench gauge'])
        ->assertOk()
        ->json('token');
    $from = $this->getJson('/gauges/values')->assertOk()->json('last');
    $send = function (array $readings, ?string $with = null) use ($token): TestResponse {
        app('auth')->forgetGuards();

        return $this->withToken($with ?? $token)->postJson('/api/v1/gauges/values', ['readings' => $readings]);
    };
    $send([['sequence' => 1, 'value_pct' => 0.31], ['sequence' => 2, 'value_pct' => 9.0], ['sequence' => -1, 'value_pct' => 0.3], 'x'])
        ->assertOk()
        ->assertJson(['taken' => 1, 'known' => 0])
        ->assertJsonCount(3, 'refused');
    $send([['sequence' => 1, 'value_pct' => 0.31], ['sequence' => 3, 'value_pct' => 0.33]])->assertJson(['taken' => 1, 'known' => 1]);
    $send([['sequence' => 4, 'value_pct' => 'much']])->assertStatus(422);
    $send([])->assertStatus(422);
    // A probe's token is for a probe.
    $probe = app(Connect::class)->probe($this->bench->workshop, tap(new Pot(), fn($pot) => ($pot->id = 1)), 'Probe')[1];
    $send([['sequence' => 5, 'value_pct' => 0.3]], $probe)->assertForbidden();
    app('auth')->forgetGuards();
    $this->actingAs($this->bench->owner);
    expect($this->getJson("/gauges/values?since={$from}")->json('values'))
        ->toBe(['0.31', '0.33'])
        ->and(GaugeValue::query()->count())
        ->toBe(2);
    // Outside the demo nothing is simulated.
    $this->postJson("/chains/{$this->a->id}/simulated-gauge")->assertJsonValidationErrors('gauge');
    $this->delete('/devices/' . Device::query()->where('kind', 'gauge')->sole()->id)->assertRedirect();
    $send([['sequence' => 6, 'value_pct' => 0.3]])->assertUnauthorized();
});

it('learns by ear when the chains of a bike get loud, and advises it where it comes first', function (): void {
    $bike = fn(): array => ($this->props)('/gauge')['bikes'][0];
    expect($bike()['ear'])->toBeNull();
    foreach ([[1900, 150], [1700, 170], [1500, 140]] as [$ago, $km]) {
        ($this->ride)($km, $ago);
        ($this->does)("/bikes/{$this->heron->id}/noises", [], $ago - 10);
        ($this->does)('/dips', ['chains' => [$this->a->id], 'dry' => true], $ago - 20);
    }
    ($this->ride)(60, 1000);
    $found = $bike();
    expect(($this->plain)($found['ear']['sentences'][0]))
        ->toContain('From 3 that got loud and 1 that stayed quiet')
        ->and(array_column($found['ear']['cycles'], 'loud'))
        ->toBe([true, true, true, false])
        ->and($found['ear']['cycles'][3]['open'])
        ->toBeTrue()
        ->and($found['ear']['chart']['lines'][0]['points'][0]['y'])
        ->toEqual(100)
        ->and(($this->plain)($found['advice']['text']))
        ->toMatch('/^Re-wax it about every 1[0-4]0 km\.$/')
        ->and(($this->plain)($found['advice']['reason']))
        ->toContain('one dip in five got loud');
    ($this->does)("/bikes/{$this->heron->id}/advice", ['accept' => true]);
    expect($bike()['advice']['open'])
        ->toBeFalse()
        ->and($this->bench->state($this->a)->terms->intervalKm)
        ->toBeLessThan(150.0);
});

it('learns what a wet kilometre costs, and takes it from today or for the past, as somebody says', function (): void {
    expect(($this->props)('/gauge')['learned'])->toBeNull();
    $wet = fn(float $km, float $ago) => ($this->does)(
        '/rides',
        ['bike_id' => $this->heron->id, 'distance' => $km, 'condition' => 'wet'],
        $ago,
    );
    // Dry cycles are loud by 300 km, wet ones by 260: far later than the house rule has it.
    foreach (range(0, 15) as $n) {
        $ago = 1950 - 100 * $n;
        $n % 2 === 0 ? ($this->ride)(300 + 4 * $n, $ago) : $wet(250 + 4 * $n, $ago);
        ($this->does)("/bikes/{$this->heron->id}/noises", [], $ago - 10);
        ($this->does)('/dips', ['chains' => [$this->a->id], 'dry' => true], $ago - 20);
    }
    $wet(40, 100);
    $row = ($this->props)('/gauge')['learned']['rows'][0];
    expect($row['condition'])
        ->toBe('wet')
        ->and((float) $row['offer'])
        ->toBeLessThan(1.6)
        ->and($row['text'])
        ->toBe("Sure enough to go by: {$row['offer']} in place of 2.5.");
    $left = fn(): float => $this->bench->state($this->a)->leftKm();
    expect($left())->toEqualWithDelta(300.0 - 2.5 * 40, 1e-6);
    // Declined it is not offered again, here or among what Dripel would change, until that is taken back.
    $change = fn(): array => Bench::deferred($this, '/gauge/how-right', 'how')['how'];
    expect(array_column($change()['factors'], 'text'))->toBe(["Count a wet kilometre as {$row['offer']} of dry road in place of 2.5."]);
    ($this->does)('/factors', ['condition' => 'wet', 'accept' => false]);
    expect(($this->props)('/history')['actions'][0]['sentence'])->toContain("learned factors that were not taken wet {$row['offer']}");
    expect(($this->props)('/gauge')['learned']['rows'][0])->toMatchArray([
        'offer' => null,
        'text' => "Sure enough to go by: {$row['offer']}, which was declined.",
    ]);
    expect($change())
        ->factors->toBe([])
        ->answers->toHaveCount(1)
        ->and($change()['answers'][0])
        ->toStartWith("A wet kilometre as {$row['offer']} declined on ");
    $this->post("/actions/{$this->bench->lastAction()->id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect($change()['factors'])->toHaveCount(1);
    // From today what was ridden stays what it was; for the past it is counted anew.
    ($this->does)('/factors', ['condition' => 'wet', 'accept' => true, 'past' => false]);
    expect($left())
        ->toEqualWithDelta(300.0 - 2.5 * 40, 1e-6)
        ->and(($this->props)('/gauge')['learned']['rows'][0])
        ->toMatchArray(['offer' => null, 'now' => $row['offer']]);
    $this->post("/actions/{$this->bench->lastAction()->id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    ($this->does)('/factors', ['condition' => 'wet', 'accept' => true, 'past' => true]);
    expect($left())->toEqualWithDelta(300.0 - (float) $row['offer'] * 40, 1e-6);
    // The same again, as a phone sends it that did not hear the answer.
    $id = $this->bench->lastAction()->id;
    ($this->does)('/factors', ['condition' => 'wet', 'accept' => true, 'past' => true, 'action_id' => $id]);
    expect($this->bench->lastAction()->id)->toBe($id);
    $this->post('/factors', [
        'condition' => 'muddy',
        'accept' => true,
        'past' => false,
        'action_id' => (string) Str::uuid(),
    ])->assertSessionHasErrors('condition');
});

it('re-waxes a bike by ear at the interval that it learned, and by the set one until it is heard', function (): void {
    $bike = ($this->props)("/bikes/{$this->heron->id}")['values'];
    $this->put(
        "/bikes/{$this->heron->id}",
        ['action_id' => (string) Str::uuid(), 'by_ear' => true, 'also_past' => true] + $bike,
    )->assertSessionHasNoErrors();
    ($this->ride)(100, 1900);
    expect($this->bench->state($this->a)->terms->intervalKm)
        ->toBe(300.0)
        ->and($this->bench->state($this->a)->leftKm())
        ->toEqualWithDelta(200.0, 1e-6);
    foreach ([[1800, 60], [1500, 150], [1200, 140]] as [$ago, $km]) {
        ($this->ride)($km, $ago);
        ($this->does)("/bikes/{$this->heron->id}/noises", [], $ago - 10);
        ($this->does)('/dips', ['chains' => [$this->a->id], 'dry' => true], $ago - 20);
    }
    ($this->ride)(40, 1000);
    $terms = $this->bench->state($this->a)->terms;
    expect($terms->learned)
        ->toBeTrue()
        ->and($terms->intervalKm)
        ->toBeGreaterThan(90.0)
        ->toBeLessThan(170.0)
        ->and($this->bench->state($this->a)->leftKm())
        ->toEqualWithDelta($terms->intervalKm - 40.0, 1e-6)
        // The other chain of the rail goes by the same ear.
        ->and($this->bench->state($this->b)->terms->intervalKm)
        ->toBe($terms->intervalKm)
        ->and(($this->plain)(($this->props)('/')['rails'][0]['about']))
        ->toContain('by ear: about 1');
});
