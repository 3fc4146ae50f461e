<?php

declare(strict_types=1);

use App\Archive\LedWork;
use App\Logbook\ReadBook;
use App\Models\Brushing;
use App\Models\Chain;
use App\Models\GuidedJob;
use App\Support\AppClock;
use Dripel\Core\Logbook\ChainStatus;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->heron = $this->bench->bike();
    $this->actingAs($this->bench->owner);
    $this->begin = function (string $what, array $with = []): GuidedJob {
        $id = (string) Str::uuid();
        $this->post("/bikes/{$this->heron->id}/{$what}/led", $with + ['action_id' => $id, 'date' => '2026-11-25', 'time' => '12:00'])
            ->assertSessionHasNoErrors()
            ->assertRedirect("/jobs/{$id}");

        return GuidedJob::query()->findOrFail($id);
    };
    $this->tap = fn(GuidedJob $job, array $tap): TestResponse => $this->postJson("/jobs/{$job->id}/taps", [
        'taps' => [$tap + ['id' => (string) Str::uuid(), 'kind' => 'done', 'at' => app(AppClock::class)->unixS()]],
    ]);
    $this->lead = function (GuidedJob $job, ?string $until = null): GuidedJob {
        while (($turn = $job->refresh()->load('taps')->run()->current()) !== null && $job->run()->step()?->code !== $until) {
            app(AppClock::class)->stopAt(app(AppClock::class)->unixS() + 60);
            ($this->tap)($job, ['position' => $turn->position, 'ticks' => $job->run()->step()->ticks ?? []])->assertOk();
        }

        return $job;
    };
    $this->on = fn(): ?int => app(ReadBook::class)($this->bench->workshop->refresh())
        ->fittings()
        ->componentOn($this->heron->id, app(AppClock::class)->unixS());
    $this->next = fn(): array => array_values(
        array_filter(Bench::steps($this->get('/')->inertiaProps()['next']), fn(array $line) => $line['kind'] === 'convert'),
    );
});

it('leads a swap from one hook to the other, and records it once the chain has passed its test', function (): void {
    [$a, $b] = [$this->bench->chain($this->heron, 'A', 100, fit: true), $this->bench->chain($this->heron, 'B', 100)];
    $job = ($this->begin)('fittings', ['chain_id' => $b->id]);
    $this->get("/jobs/{$job->id}")->assertInertia(
        fn($page) => $page
            ->where('job.kind', 'fit')
            ->where('job.title', 'Swap the chain of Heron')
            ->where('job.steps.0.title', 'Slack the chain')
            ->where('job.steps.5.drawing', 'route'),
    );
    ($this->lead)($job, 'load_test');
    expect(($this->on)())->toBe($a->id);
    // The test under load is neither passed over nor taken for granted; back is back.
    $turn = $job->refresh()->load('taps')->run()->current();
    ($this->tap)($job, ['position' => $turn->position, 'ticks' => ['link_home']])->assertJsonValidationErrors('ticks');
    ($this->tap)($job, ['position' => $turn->position, 'kind' => 'skip', 'about' => ['text' => 'no']])->assertStatus(409);
    ($this->tap)($job, ['position' => $turn->position, 'kind' => 'back'])
        ->assertOk()
        ->assertJsonPath('current.position', $turn->position - 1);
    ($this->lead)($job, 'first_km');
    expect(($this->on)())->toBe($b->id);
    ($this->lead)($job);
    expect($job->refresh()->ended_at)->not->toBeNull();
    // Given up with the chain on its hook and nothing on: the bike is bare.
    $again = ($this->begin)('fittings', ['chain_id' => $a->id]);
    ($this->lead)($again, 'route_cages');
    $this->post("/jobs/{$again->id}/give-up", ['action_id' => (string) Str::uuid()])->assertRedirect();
    expect(($this->on)())->toBeNull();
    // Both go out with the workshop, each as it can be read again.
    expect(app(LedWork::class)->of($this->bench->workshop))->toHaveCount(2);
});

it('refuses a swap before a hand is dirty, as the short one does', function (): void {
    $this->bench->chain($this->heron, 'A', 100, fit: true);
    $wide = $this->bench->chain($this->heron, 'W', 100);
    $this->put("/chains/{$wide->id}", [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $this->heron->id,
        'label' => 'W',
        'speeds' => 11,
    ])->assertSessionHasNoErrors();
    $lead = fn(array $with) => $this->post(
        "/bikes/{$this->heron->id}/fittings/led",
        $with + ['action_id' => (string) Str::uuid(), 'date' => '2026-11-25', 'time' => '12:00'],
    );
    $lead(['chain_id' => $wide->id])->assertSessionHasErrors('note');
    expect(GuidedJob::query()->count())
        ->toBe(0)
        ->and(($this->on)())
        ->not->toBe($wide->id);
    // With a reason it begins, and the reason is in the record.
    $lead(['chain_id' => $wide->id, 'note' => 'spacer fitted'])->assertSessionHasNoErrors();
    $job = ($this->lead)(GuidedJob::query()->firstOrFail());
    expect($this->bench->lastAction()->about->note)
        ->toBe('spacer fitted')
        ->and($job->action_id)
        ->not->toBeNull();
});

it('leads a single speed past no gears, cages or derailleur', function (): void {
    $this->put("/bikes/{$this->heron->id}", [
        'action_id' => (string) Str::uuid(),
        'name' => 'Heron',
        'kind' => 'city',
        'speeds' => 1,
        'brakes' => 'rim',
        'interval' => 300,
        'limit_school' => 'strict',
    ])->assertSessionHasNoErrors();
    $a = $this->bench->chain($this->heron, 'A', 100);
    $this->put("/chains/{$a->id}", [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $this->heron->id,
        'label' => 'A',
        'speeds' => 1,
        'joint' => 'pin',
    ]);
    foreach ([($this->begin)('fittings', ['chain_id' => $a->id]), ($this->begin)('brushings', ['deep' => true])] as $job) {
        $text = strtolower((string) json_encode($this->get("/jobs/{$job->id}")->inertiaProps()['job']['steps']));
        expect($text)->not->toMatch('/derailleur|jockey|cage|gears|disc|quick link|between each pair/');
    }
});

it('leads a clean of the drivetrain and records it, once, whoever taps', function (): void {
    $this->bench->chain($this->heron, 'A', 100, fit: true);
    $job = ($this->begin)('brushings', ['deep' => true, 'painted' => true]);
    ($this->lead)($job, 'teeth');
    expect(Brushing::query()->count())->toBe(0);
    $turn = $job->refresh()->load('taps')->run()->current();
    $tap = ['id' => (string) Str::uuid(), 'position' => $turn->position];
    ($this->tap)($job, $tap)->assertOk();
    ($this->tap)($job, $tap)->assertOk();
    // Another device taps the same step: it counts once.
    ($this->tap)($job, ['position' => $turn->position])->assertOk();
    expect(Brushing::query()->count())->toBe(1);
    ($this->lead)($job);
    $this->get("/bikes/{$this->heron->id}")->assertInertia(
        fn($page) => $page->where('brushed', fn(string $text) => str_contains($text, "0\u{a0}km")),
    );
});

it('strings a conversion together from measuring to the first waxed chain, and Next carries it', function (string $way): void {
    $this->post('/arrive', [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $this->heron->id,
        'date' => '2026-11-24',
        'chains' => [
            ['label' => 'O', 'state' => 'none', 'km' => '900', 'on_bike' => true],
            // As oily, in a drawer: it is no new chain.
            ['label' => 'P', 'state' => 'none', 'km' => '900'],
        ],
    ])->assertSessionHasNoErrors();
    $old = Chain::query()->findOrFail($this->bench->lastAction()->about->chains[0]);
    ($this->on)() === $old->id ||
        $this->post("/bikes/{$this->heron->id}/fittings", ['action_id' => (string) Str::uuid(), 'chain_id' => $old->id] + Bench::form(2));
    $reason = fn(): string => ($this->next)()[0]['reason'] ?? 'over';
    $page = fn(): array => $this->get("/bikes/{$this->heron->id}/convert")
        ->assertOk()
        ->inertiaProps();
    expect($reason())
        ->toBe('Ridden on oil. First: measure Heron O.')
        ->and($page()['steps'][0]['now'])
        ->toBeTrue();
    $this->post(
        "/chains/{$old->id}/readings",
        [
            'action_id' => (string) Str::uuid(),
            'kind' => 'digital',
            'value_pct' => $way === 'keep' ? '0.2' : '0.5',
        ] + Bench::form(1),
    )->assertSessionHasNoErrors();
    expect(array_column(array_filter($page()['ways'], fn(array $one) => $one['proposed']), 'way'))->toBe([$way]);
    $this->post("/bikes/{$this->heron->id}/convert", ['action_id' => (string) Str::uuid(), 'way' => $way])->assertSessionHasNoErrors();
    expect($reason())->toContain('clean its drivetrain');
    ($this->lead)(($this->begin)('brushings', ['deep' => true]));
    $chain = $old;
    if ($way === 'new') {
        expect($reason())->toContain('a new chain');
        $chain = $this->bench->chain($this->heron, 'N', null);
    }
    expect($reason())->toContain('Next: strip');
    $now = fn(): array => ['date' => '2026-11-27', 'time' => '18:00', 'action_id' => (string) Str::uuid()];
    app(AppClock::class)->stopAt((int) strtotime('2026-11-27T18:30:00Z'));
    $this->post("/chains/{$chain->id}/strips", $now())->assertSessionHasNoErrors();
    expect($reason())->toContain('before it rusts');
    $this->post('/dips', ['chains' => [$chain->id], 'dry' => true, 'no_smell' => true] + $now())->assertSessionHasNoErrors();
    if ($way === 'new') {
        expect($reason())->toContain('Last: fit it');
        app(AppClock::class)->stopAt((int) strtotime('2026-11-28T18:30:00Z'));
        ($this->lead)(($this->begin)('fittings', ['chain_id' => $chain->id]));
    }
    expect($reason())
        ->toBe('over')
        ->and($page()['over'])
        ->toBeTrue()
        ->and($this->bench->state($chain)->status)
        ->toBe(ChainStatus::Waxed);
})->with(['keep', 'new']);
