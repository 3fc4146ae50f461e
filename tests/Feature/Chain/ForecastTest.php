<?php

declare(strict_types=1);

use App\Models\Chain;
use App\Models\Reading;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    $this->heron = $this->bench->bike();
    $this->chain = $this->bench->chain($this->heron, 'A', 900, fit: true);
    $this->ride = fn(float $km, float $ago) => $this->post(
        '/rides',
        ['action_id' => (string) Str::uuid(), 'bike_id' => $this->heron->id, 'distance' => $km, 'condition' => 'dry'] + Bench::form($ago),
    )->assertSessionHasNoErrors();
    $this->read = fn(array $reading, float $ago) => $this->post(
        "/chains/{$this->chain->id}/readings",
        ['action_id' => (string) Str::uuid()] + $reading + Bench::form($ago),
    )->assertSessionHasNoErrors();
    $this->forecast = function (): ?array {
        $found = null;
        app()->forgetScopedInstances();
        $this->get("/chains/{$this->chain->id}")->assertInertia(function (AssertableInertia $page) use (&$found): void {
            $page->missing('forecast')->loadDeferredProps(function (AssertableInertia $late) use (&$found): void {
                $found = $late->toArray()['props']['forecast'];
            });
        });

        return $found === null
            ? null
            : [
                    'sentences' => array_map(fn(string $text) => str_replace("\u{a0}", ' ', $text), $found['sentences']),
                    'why' => str_replace("\u{a0}", ' ', $found['why']),
                ] + $found;
    };
});

it('says how worn a chain is, how sure that is, when its limit comes and when to measure again', function (): void {
    ($this->ride)(900, 800);
    $first = ($this->forecast)();
    // Nothing measured: only what its interval lets expect, 0.5 % in 15,000 km of waxing every 300.
    expect($first['why'])
        ->toStartWith('Nothing measured yet.')
        ->toContain('0.033 %')
        ->and($first['verdict'])
        ->toBe('keep')
        ->and(array_column($first['chart']['lines'], 'kind'))
        ->toBe(['line']);
    ($this->read)(['kind' => 'digital', 'value_pct' => '0.12'], 700);
    ($this->ride)(900, 600);
    ($this->read)(['kind' => 'drop_in', 'results' => [['mark_pct' => 0.5, 'seat' => 'rests']]], 500);
    ($this->ride)(1200, 400);
    ($this->read)(['kind' => 'ruler', 'pitches' => 46, 'length_mm' => '586.1'], 300);
    $now = ($this->forecast)();
    // 586.1 mm over 46 pitches are 0.325 %.
    expect($now['sentences'][0])
        ->toMatch('/^Keep it\. About 0\.3\d % worn, 0\.\d\d to 0\.\d\d in eight of ten cases\.$/')
        ->and($now['sentences'][1])
        ->toContain('0.5 % reached in about')
        ->and($now['sentences'][2])
        ->toStartWith('Measure again by')
        ->and($now['why'])
        ->toStartWith('From 3 readings')
        ->and(array_column($readings = $now['chart']['lines'][1]['points'], 'x'))
        ->toEqual([900, 1800, 3000])
        ->and($readings[1])
        ->toMatchArray(['low' => 0, 'high' => 0.5, 'text' => "≤\u{a0}0.50\u{a0}%"])
        // The band holds the mean, rises, and is drawn to beyond now.
        ->and($band = $now['chart']['lines'][0]['points'])
        ->not->toBe([])
        ->and($band[0]['x'])
        ->toEqual(0)
        ->and($now['chart']['x']['to'])
        ->toBeGreaterThan($now['chart']['moments'][0]['at'])
        ->and($now['chart']['levels'])
        ->toBe([['at' => 0.5, 'text' => "limit 0.5\u{a0}%"]]);
    foreach ($band as $i => $at) {
        expect($at['low'])
            ->toBeLessThanOrEqual($at['y'])
            ->and($at['y'])
            ->toBeLessThan($at['high'])
            ->toBeGreaterThanOrEqual($band[max(0, $i - 1)]['y']);
    }
    // The table behind it reads each of them out, a reading beside what was expected there.
    expect($now['chart']['columns'])
        ->toBe(['Ridden', 'expected; the band holds eight of ten cases', 'measured'])
        ->and(array_column($now['chart']['rows'], 'x'))
        ->toBe(collect($now['chart']['rows'])->pluck('x')->sort()->values()->all())
        ->and(collect($now['chart']['rows'])->firstWhere('x', 1800)['cells'][2] ?? null)
        ->toBe("≤\u{a0}0.50\u{a0}%");
    ($this->read)(['kind' => 'drop_in', 'results' => [['mark_pct' => 0.5, 'seat' => 'enters']]], 100);
    $worn = ($this->forecast)();
    expect($worn['verdict'])->toBe('retire')->and($worn['sentences'][0])->toStartWith('Retire it:');
});

it('keeps silent where nobody knows how far a chain went', function (): void {
    $this->post('/arrive', [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $this->heron->id,
        'date' => gmdate('Y-m-d', Bench::NOW),
        'chains' => [['label' => 'U', 'state' => 'unsure']],
    ])->assertSessionHasNoErrors();
    $this->chain = Chain::query()->orderByDesc('id')->firstOrFail();
    expect(($this->forecast)())->toBeNull();
});

it('questions a reading that hardly fits before it is kept, and keeps it where somebody is sure', function (): void {
    ($this->ride)(900, 800);
    ($this->read)(['kind' => 'digital', 'value_pct' => '0.08'], 700);
    ($this->ride)(600, 600);
    $post = fn(array $with): TestResponse => $this->post(
        "/chains/{$this->chain->id}/readings",
        $with + ['action_id' => (string) Str::uuid(), 'kind' => 'digital'] + Bench::form(500),
    );
    $post(['value_pct' => '0.12', 'sure' => false])->assertSessionHasNoErrors();
    $post(['value_pct' => '1.2', 'sure' => false])->assertSessionHasErrors('sure');
    // In inches what should be millimetres, or a pitch too many picked: the same question.
    $post(['kind' => 'drop_in', 'results' => [['mark_pct' => 0.75, 'seat' => 'enters']], 'sure' => false])->assertSessionHasErrors('sure');
    $post(['kind' => 'drop_in', 'results' => [['mark_pct' => 0.5, 'seat' => 'rests']], 'sure' => false])->assertSessionHasNoErrors();
    expect(Reading::query()->count())->toBe(3);
    $ruler = fn(string $length) => $post(['kind' => 'ruler', 'pitches' => 46, 'length_mm' => $length, 'sure' => false]);
    $ruler('23.03')->assertSessionHasErrors(['spots.0.length_mm' => __('errors.reading_inches')]);
    $ruler('571,9')->assertSessionHasErrors(['spots.0.length_mm' => __('errors.reading_miscounted', ['pitches' => 46])]);
    $ruler('582')->assertSessionHasErrors(['spots.0.length_mm' => __('errors.reading_short')]);
    $ruler('about 585')->assertSessionHasErrors('spots.0.length_mm');
    $ruler('23 1/32"')->assertSessionHasNoErrors();
    expect(Reading::query()->orderByDesc('id')->firstOrFail()->input['length_mm'])->toEqualWithDelta(584.99375, 1e-6);
    $post(['value_pct' => '1.2', 'sure' => true])->assertSessionHasNoErrors();
    expect(Reading::query()->count())
        ->toBe(5)
        ->and(($this->forecast)()['verdict'])
        ->toBe('retire');
});

it('refuses a reading that lies before the chain was bought, until one of the two days is corrected', function (): void {
    $bought = fn(string $day) => $this->put("/chains/{$this->chain->id}", [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $this->heron->id,
        'label' => 'A',
        'speeds' => 12,
        'bought_on' => $day,
    ])->assertSessionHasNoErrors();
    $post = fn(float $ago): TestResponse => $this->post(
        "/chains/{$this->chain->id}/readings",
        ['action_id' => (string) Str::uuid(), 'kind' => 'digital', 'value_pct' => '0.02'] + Bench::form($ago),
    );
    $bought(gmdate('Y-m-d', Bench::ago(240)->unixS));
    $post(300)->assertSessionHasErrors(['date' => __('errors.reading_before_bought')]);
    // On the day itself, in the morning, it may have been measured.
    $post(240)->assertSessionHasNoErrors();
    $bought(gmdate('Y-m-d', Bench::ago(320)->unixS));
    $post(300)->assertSessionHasNoErrors();
    expect(Reading::query()->count())->toBe(2);
});
