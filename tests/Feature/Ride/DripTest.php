<?php

declare(strict_types=1);

use App\Models\Bottle;
use App\Models\GuidedJob;
use App\Models\TopUp;
use App\Models\WipeDown;
use App\Support\AppClock;
use Dripel\Core\Logbook\ChainStatus;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    $this->heron = $this->bench->bike();
    $this->a = $this->bench->chain($this->heron, 'A', 200, fit: true);
    $this->does = fn(string $url, array $data = [], float $ago = 1): TestResponse => $this->post(
        $url,
        $data + ['action_id' => (string) Str::uuid()] + Bench::form($ago),
    );
    $this->ride = fn(float $km, float $ago, string $condition = 'dry') => ($this->does)(
        '/rides',
        ['bike_id' => $this->heron->id, 'distance' => $km, 'condition' => $condition],
        $ago,
    );
    $this->props = function (string $url): array {
        $found = [];
        app()->forgetScopedInstances();
        $this->get($url)->assertInertia(function (AssertableInertia $page) use (&$found): void {
            $found = $page->toArray()['props'];
        });

        return $found;
    };
    $this->next = fn(): array => array_map(fn(array $step) => "{$step['kind']} {$step['verb']}", Bench::steps(($this->props)('/')['next']));
    $this->bottle = function (): int {
        ($this->does)('/bottles', [
            'name' => 'Winter drip',
            'volume' => '120',
            'opened' => '2026-11-01',
            'price' => '14.90',
        ])->assertSessionHasNoErrors();

        return Bottle::query()->in($this->bench->workshop)->sole()->id;
    };
});

it('leads a wet ride through drying to a guided top-up, and warns who rides before it is dry', function (): void {
    $bottle = ($this->bottle)();
    // The ride leads to its path; a dry one does not.
    ($this->ride)(30, 26)->assertRedirect('/');
    ($this->ride)(40, 3, 'wet')->assertRedirect("/chains/{$this->a->id}/wet");
    $path = ($this->props)("/chains/{$this->a->id}/wet");
    expect($path['dry'])
        ->toMatchArray(['done' => false, 'late' => false, 'seconds' => 9 * 3600, 'when' => 'by 21:00'])
        ->and(array_column($path['ways'], 'way'))
        ->toBe(['topup', 'dip'])
        ->and(($this->next)())
        ->toContain('wet wet');
    ($this->does)("/chains/{$this->a->id}/cares", ['care' => 'dried'], 0.5)->assertSessionHasNoErrors();
    expect(($this->props)("/chains/{$this->a->id}/wet")['dry']['done'])
        ->toBeTrue()
        ->and(($this->next)())
        ->not->toContain('wet wet');

    // The plan: brush and water, since it was wet; one coat, since hot wax is on it; 116 drops are 5.8 ml.
    $page = ($this->props)("/chains/{$this->a->id}/drip");
    expect($page['proposed'])->toMatchArray(['place' => 'on_bike', 'coats' => 1, 'washed' => true]);
    $choices = [
        'chain_id' => $this->a->id,
        'bottle_id' => $bottle,
        'coats' => 1,
        'washed' => true,
        'warmed' => false,
        'place' => 'on_bike',
        'excess' => 'leave',
    ];
    $lines = str_replace(
        "\u{a0}",
        ' ',
        implode(
            "\n",
            $this->postJson('/drip/plan', $choices + ['action_id' => (string) Str::uuid()])
                ->assertOk()
                ->json('lines'),
        ),
    );
    expect($lines)
        ->toContain('116 drops, 5.8 ml')
        ->toContain('Winter drip is enough for 19 more.')
        ->toContain('it may be ridden from today, 22:00')
        ->toContain('The first top-up since its dip, of at most 2');

    $job = (string) Str::uuid();
    ($this->does)('/drip', ['action_id' => $job] + $choices)->assertRedirect("/jobs/{$job}");
    $steps = array_column(GuidedJob::query()->findOrFail($job)->steps, 'code');
    $tap = fn(int $position, array $ticks = []) => $this->postJson("/jobs/{$job}/taps", [
        'taps' => [
            [
                'id' => (string) Str::uuid(),
                'kind' => 'done',
                'position' => $position,
                'at' => app(AppClock::class)->unixS(),
                'ticks' => $ticks,
            ],
        ],
    ]);
    $tap(0)->assertUnprocessable();
    $tap(0, ['disc_covered', 'tension_out'])->assertOk();
    foreach (range(1, array_search('how_much', $steps, true)) as $position) {
        expect(TopUp::query()->count())->toBe(0);
        $tap($position)->assertOk();
    }
    $top = TopUp::query()->sole();
    expect($top->ml)
        ->toEqualWithDelta(5.8, 1e-9)
        ->and($top->bottle_id)
        ->toBe($bottle)
        ->and($top->at)
        ->toBe(Bench::NOW)
        ->and($this->bench->state($this->a)->status)
        ->toBe(ChainStatus::Ridden)
        ->and($this->bench->state($this->a)->readyAtS)
        ->toBe(Bench::NOW + 36000)
        ->and(($this->next)())
        ->toContain('job go')
        ->not->toContain('planned_drip topup')
        ->and(($this->props)('/books/stock')['bottles'][0]['left'])
        ->toContain('114');
    // Ridden at once it is said; the next morning it is dry.
    app(AppClock::class)->stopAt(Bench::NOW + 7200);
    $this->followingRedirects()
        ->post('/rides', [
            'action_id' => (string) Str::uuid(),
            'bike_id' => $this->heron->id,
            'distance' => 5,
            'condition' => 'dry',
            'date' => '2026-11-25',
            'time' => '13:30',
        ])
        ->assertInertia(
            fn(AssertableInertia $page) => $page->where('done.text', fn(string $text) => str_contains($text, 'before its wax was dry')),
        );
    app(AppClock::class)->stopAt(Bench::NOW + 20 * 3600);
    expect($this->bench->state($this->a)->readyAtS)->toBeNull();
    // The rest of the job, and the record says so.
    foreach (range(array_search('leave', $steps, true), count($steps) - 1) as $position) {
        // The brake is proved at the end; that cannot be passed over.
        $steps[$position] === 'uncover' && $tap($position)->assertJsonValidationErrors('ticks');
        $tap($position, $steps[$position] === 'uncover' ? ['brake_free', 'brake_bites'] : [])->assertOk();
    }
    expect(GuidedJob::query()->findOrFail($job)->ended_at)->not->toBeNull();
    $this->get("/chains/{$this->a->id}/wet")->assertRedirect("/chains/{$this->a->id}");
});

it('books what was given of two coats when the job is given up, and refuses what has no wax to add to', function (): void {
    ($this->ride)(30, 26);
    $choices = ['chain_id' => $this->a->id, 'coats' => 2, 'washed' => false, 'warmed' => false, 'place' => 'in_box', 'excess' => 'wipe'];
    $job = (string) Str::uuid();
    ($this->does)('/drip', ['action_id' => $job] + $choices)->assertRedirect("/jobs/{$job}");
    foreach (
        ['take_off', 'dry_cloth', 'shake_bottle', 'cover', 'shake_box', 'shake_box', 'shake_box', 'lift_slowly']
        as $position => $code
    ) {
        $this->postJson("/jobs/{$job}/taps", [
            'taps' => [['id' => (string) Str::uuid(), 'kind' => 'done', 'position' => $position, 'at' => Bench::NOW, 'ticks' => []]],
        ])->assertOk();
    }
    ($this->does)("/jobs/{$job}/give-up");
    expect(TopUp::query()->sole()->ml)->toEqualWithDelta(5.8, 1e-9);
    // In a box that is measured as much is poured as covers it; what it really took is typed, and the box is asked for once.
    ($this->does)('/bottles', ['name' => 'Small', 'volume' => 40])->assertSessionHasNoErrors();
    $small = Bottle::query()->firstOrFail()->id;
    $boxed = $choices + ['box_mm' => 90, 'bottle_id' => $small, 'action_id' => (string) Str::uuid()];
    $this->postJson('/drip/plan', $boxed)->assertJsonValidationErrors([
        'bottle_id' => __('errors.drip_short', ['has' => '40', 'needs' => '45']),
    ]);
    $this->put("/bottles/{$small}", ['action_id' => (string) Str::uuid(), 'name' => 'Small', 'volume' => 120])->assertSessionHasNoErrors();
    $led = (string) Str::uuid();
    $this->post('/drip', ['coats' => 1, 'action_id' => $led] + $boxed)->assertRedirect("/jobs/{$led}");
    $codes = array_column(GuidedJob::query()->findOrFail($led)->steps, 'code');
    $this->get("/jobs/{$led}")->assertInertia(
        fn(AssertableInertia $page) => $page->where(
            'job.steps.' . array_search('cover', $codes, true) . '.text',
            fn(string $text) => str_contains($text, "about 44\u{a0}ml"),
        ),
    );
    foreach (range(0, array_search('how_much', $codes, true)) as $position) {
        $taps = [['id' => (string) Str::uuid(), 'kind' => 'done', 'position' => $position, 'at' => Bench::NOW, 'ticks' => []]];
        $codes[$position] === 'how_much' &&
            array_unshift($taps, ['id' => (string) Str::uuid(), 'kind' => 'note', 'about' => ['ml' => '9.5']] + $taps[0]);
        $this->postJson("/jobs/{$led}/taps", ['taps' => $taps])->assertOk();
    }
    expect(TopUp::query()->orderByDesc('id')->firstOrFail()->ml)
        ->toBe(9.5)
        ->and(($this->props)("/chains/{$this->a->id}/drip")['proposed']['box_mm'])
        ->toBe('90');
    $plan = fn(int $chain, array $more = []) => $this->postJson(
        '/drip/plan',
        ['chain_id' => $chain, 'action_id' => (string) Str::uuid()] + $more + $choices,
    );
    $boxed = $this->bench->chain($this->heron, 'N', null);
    $plan($boxed->id)->assertJsonValidationErrors('chain');
    $plan($this->a->id, ['coats' => 9])->assertJsonValidationErrors('coats');
    // On drip wax alone a chain needs no pot before: its first drip is its wax.
    $this->put("/bikes/{$this->heron->id}", [
        'action_id' => (string) Str::uuid(),
        'name' => 'Heron',
        'kind' => 'road',
        'speeds' => 12,
        'interval' => 200,
        'limit_school' => 'strict',
        'drip_only' => true,
    ])->assertSessionHasNoErrors();
    // But not over its grease; what was stripped though nobody wrote it down is written down with it.
    $plan($boxed->id)->assertJsonValidationErrors(['chain' => 'Strip it first']);
    $this->post(
        "/chains/{$boxed->id}/topups",
        ['distance' => 200, 'action_id' => (string) Str::uuid()] + Bench::form(2),
    )->assertSessionHasErrors('stripped');
    ($this->does)("/chains/{$boxed->id}/topups", ['distance' => 200, 'stripped' => true], 0)->assertSessionHasNoErrors();
    $plan($boxed->id)->assertOk();
    expect($this->bench->state($boxed)->leftKm())
        ->toBe(200.0)
        ->and(($this->props)('/')['rails'][0]['about'])
        ->toContain('drip wax every');
    // It begins the interval anew, however far it was said to be good for: nobody is asked, and nothing says so.
    $page = ($this->props)("/chains/{$boxed->id}");
    expect([$page['chain']['topUpCounts'], array_column($page['timeline']['cycles'][0]['entries'], 'text')[0]])
        ->toBe([false, 'Drip wax'])
        ->and(($this->props)('/history')['actions'][0]['sentence'])
        ->toStartWith('Dripped Heron N on');
});

it('keeps bottles: described anew, looked into, thrown away and taken back', function (): void {
    $bottle = ($this->bottle)();
    ($this->does)('/bottles', ['name' => 'winter DRIP', 'volume' => '50'])->assertSessionHasErrors('name');
    $this->put("/bottles/{$bottle}", [
        'action_id' => (string) Str::uuid(),
        'name' => 'Winter drip',
        'volume' => '120',
        'left' => '31',
        'opened' => '2026-11-01',
    ])->assertSessionHasNoErrors();
    ($this->does)(
        "/chains/{$this->a->id}/topups",
        ['distance' => 200, 'bottle_id' => $bottle, 'coats' => 2],
        0,
    )->assertSessionHasNoErrors();
    app(AppClock::class)->stopAt(Bench::NOW + 60);
    // 31 less 2 · 5.8: the top-up of the same minute came before the look, so nothing comes off.
    $shelf = ($this->props)('/books/stock')['bottles'];
    expect($shelf[0]['left'])->toContain('31')->and($shelf[0]['about'])->toContain('one top-up so far')->toContain('runs out about');
    $this->put("/bottles/{$bottle}", [
        'action_id' => (string) Str::uuid(),
        'name' => 'Winter drip',
        'volume' => '120',
        'gone' => true,
    ])->assertSessionHasNoErrors();
    expect(($this->props)('/books/stock')['bottles'])->toBe([]);
    $this->post("/actions/{$this->bench->lastAction()->id}/undo", [
        'action_id' => (string) Str::uuid(),
        'also' => [],
    ])->assertSessionHasNoErrors();
    expect(($this->props)('/books/stock')['bottles'])->toHaveCount(1);
    // A cloth is an entry like any other: it can be deleted.
    ($this->does)("/chains/{$this->a->id}/cares", ['care' => 'wiped'])->assertSessionHasNoErrors();
    $this->delete('/entries/cares/' . WipeDown::query()->sole()->id, ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect(WipeDown::query()->live()->count())->toBe(0);
});
