<?php

declare(strict_types=1);

use App\Actions\Workshop\ChangeSettings;
use App\Archive\LedWork;
use App\Devices\SimulatedProbe;
use App\Jobs\RunSimulatedProbe;
use App\Models\Action;
use App\Models\BathEntry;
use App\Models\Device;
use App\Models\Dip;
use App\Models\GuidedJob;
use App\Models\Pot;
use App\Models\Temperature;
use App\Pot\ReadBaths;
use App\Support\AppClock;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\PotDay\ReadySchool;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    $this->heron = $this->bench->bike();
    $this->pot = function (string $wax = 'plain', float $grams = 620, array $with = []): Pot {
        $this->post(
            '/pots',
            $with + [
                'action_id' => (string) Str::uuid(),
                'name' => "Pot {$wax}",
                'kind' => 'slow_cooker',
                'diameter' => '130',
                'height' => '105',
                'low' => '90',
                'high' => '150',
                'wax' => $wax,
            ],
        )->assertSessionHasNoErrors();
        $pot = Pot::query()->orderByDesc('id')->firstOrFail();
        $this->post("/pots/{$pot->id}/bath", ['act' => 'fill', 'wax' => $grams] + Bench::form(300))->assertSessionHasNoErrors();

        return $pot;
    };
    $this->ride = fn(float $km, string $condition, float $ago) => $this->post(
        '/rides',
        ['action_id' => (string) Str::uuid(), 'bike_id' => $this->heron->id, 'distance' => $km, 'condition' => $condition] +
            Bench::form($ago),
    )->assertSessionHasNoErrors();
    $this->choices = fn(Pot $pot, array $chains, array $with = []): array => $with + [
        'action_id' => (string) Str::uuid(),
        'pot_id' => $pot->id,
        'chains' => array_map(fn($chain) => $chain->id, $chains),
        'program' => 'low',
        'target' => '80',
        'room' => '18',
        'first_soak' => 'hour',
        'rewax_soak' => 'five',
        'drain' => 'slow',
        'dry_by' => 'warm_air',
    ];
    $this->begin = function (array $choices): GuidedJob {
        $this->post('/pot-day', $choices)
            ->assertSessionHasNoErrors()
            ->assertRedirect("/jobs/{$choices['action_id']}");

        return GuidedJob::query()->findOrFail($choices['action_id']);
    };
    $this->tap = fn(GuidedJob $job, array ...$taps): TestResponse => $this->postJson("/jobs/{$job->id}/taps", [
        'taps' => array_map(
            fn(array $tap) => $tap + ['id' => (string) Str::uuid(), 'kind' => 'done', 'at' => app(AppClock::class)->unixS()],
            $taps,
        ),
    ]);
    // Goes on as the job asks: waits for each timer, sees each sign, confirms each tick.
    $this->lead = function (GuidedJob $job, ?string $until = null, array $instead = []): GuidedJob {
        while (($turn = $job->refresh()->load('taps')->run()->current()) !== null && $job->run()->step()?->code !== $until) {
            $run = $job->run();
            $step = $run->step();
            app(AppClock::class)->stopAt(
                max(app(AppClock::class)->unixS() + ($step->seconds === null ? $step->handlingS : 0), (int) $run->dueS()),
            );
            $tap = $instead[$step->code] ?? ['kind' => $step->sign === null ? 'done' : 'sign'];
            unset($instead[$step->code]);
            ($this->tap)($job, $tap + ['position' => $turn->position, 'ticks' => $step->ticks])->assertOk();
        }

        return $job;
    };
    $this->bath = function (Pot $pot) {
        app()->forgetScopedInstances();

        return app(ReadBaths::class)($this->bench->workshop->refresh())[$pot->id]->ledger;
    };
});

/** Two ridden chains, B in the wet, and one of bare steel. */
function threeChains(mixed $test): array
{
    $bench = $test->bench;
    [$a, $b] = [$bench->chain($test->heron, 'A', 290, fit: true), $bench->chain($test->heron, 'B', 290)];
    ($test->ride)(300, 'dry', 280);
    $test
        ->post("/bikes/{$test->heron->id}/fittings", ['action_id' => (string) Str::uuid(), 'chain_id' => $b->id] + Bench::form(270))
        ->assertSessionHasNoErrors();
    ($test->ride)(60, 'wet', 200);
    $test
        ->post("/bikes/{$test->heron->id}/fittings", ['action_id' => (string) Str::uuid(), 'chain_id' => null] + Bench::form(190))
        ->assertSessionHasNoErrors();
    $c = $bench->chain($test->heron, 'C', null);
    $test->post("/chains/{$c->id}/strips", ['action_id' => (string) Str::uuid()] + Bench::form(2))->assertSessionHasNoErrors();

    return [$a, $b, $c];
}

it('plans a batch for ten o’clock: which first, when to plug in, what each chain meets', function (): void {
    [$a, $b, $c] = threeChains($this);
    $pot = ($this->pot)();
    $this->get('/pot-day')->assertInertia(
        fn($page) => $page
            ->component('PotDay/Plan')
            ->where('chosen', [$a->id, $b->id, $c->id])
            ->where('chains.1.rinse', 'hot_water')
            ->where('chains.0.rinse', 'straight')
            ->where('chains.2.first', true)
            ->where('pots.0.target', '80'),
    );
    $plan = $this->postJson(
        '/pot-day/plan',
        ($this->choices)($pot, [$a, $b, $c], ['by' => '10:00', 'by_date' => '2026-11-26']),
    )->assertOk();
    // 3 h 31 in all (PotDayPlanTest), so begun at 6:29 and plugged in three minutes later.
    expect($plan->json('lines.0'))
        ->toBe('Begin tomorrow at 06:28, plug in at 06:31, done about 10:00. Somebody must be there; never use a timer socket.')
        ->and($plan->json('lines.1'))
        ->toBe('All may be ridden then.')
        ->and($plan->json('lines.2'))
        ->toBe('2 batches; the pot takes 2 coils at once.')
        ->and(array_column($plan->json('dips'), 'chain'))
        ->toBe(['Heron C', 'Heron A', 'Heron B'])
        ->and($plan->json('dips.0.soak'))
        ->toBe("1\u{a0}h")
        ->and(array_column($plan->json('axis.lanes'), 'name'))
        ->toEqualCanonicalizing(['Pot', 'Heron A', 'Heron B', 'Heron C'])
        ->and($plan->json('later'))
        ->toBeTrue()
        ->and($plan->json('warnings'))
        ->toBe([]);
    // The cleanest first, bare steel before what was ridden; somebody may want it otherwise, and is told.
    expect(array_map(fn(array $dip) => [$dip['id'], $dip['brings']], $plan->json('dips')))->toBe([
        [$c->id, 'bare steel'],
        [$a->id, 'ridden dry'],
        [$b->id, 'ridden wet, rinsed'],
    ]);
    $otherwise = $this->postJson('/pot-day/plan', ($this->choices)($pot, [$a, $b, $c], ['order' => [$b->id, $a->id, $c->id]]))->assertOk();
    expect(array_column($otherwise->json('dips'), 'id'))
        ->toBe([$b->id, $a->id, $c->id])
        ->and(array_column($otherwise->json('warnings'), 'text'))
        ->toBe([__('pot_day.warning.dirty_first')]);
    $late = $this->postJson(
        '/pot-day/plan',
        ($this->choices)($pot, [$a], ['by' => date('H:i', Bench::NOW + 600), 'by_date' => date('Y-m-d', Bench::NOW + 600)]),
    )->json('lines.0');
    expect($late)->toStartWith('Too late for');
    // Who waits for the next day rides later than the pot day is over.
    app(ChangeSettings::class)($this->bench->by(), null, [SettingKey::ReadySchool->value => ReadySchool::NextDay->value], false);
    expect($this->postJson('/pot-day/plan', ($this->choices)($pot, [$a, $b, $c]))->json('lines.1'))->toBe(
        'The last may be ridden tomorrow at 00:00.',
    );
});

it('leads three chains through the day and writes its record by itself', function (): void {
    [$a, $b, $c] = threeChains($this);
    $pot = ($this->pot)();
    $job = ($this->begin)($choices = ($this->choices)($pot, [$a, $b, $c], ['weigh' => true]));
    // Sent twice it begins once; its chains and its pot are in no other.
    ($this->begin)($choices);
    $this->post('/pot-day', ($this->choices)($pot, [$a]))->assertSessionHasErrors();
    $this->post('/dips', ['chains' => [$a->id], 'dry' => true] + Bench::form(0))->assertSessionHasErrors('chains');
    $position = fn(): int => (int) $job->refresh()->load('taps')->run()->current()?->position;
    ($this->tap)($job, ['position' => 0])->assertJsonValidationErrors('ticks');
    ($this->lead)($job, 'rinse');
    expect($job->run()->step()->chains)->toBe([$b->id]);
    ($this->lead)($job, 'heat');
    // A temperature is typed, words are kept, and what is not to be skipped is not.
    ($this->tap)(
        $job,
        ['position' => $position(), 'kind' => 'note', 'about' => ['celsius' => 79.5]],
        ['position' => $position(), 'kind' => 'note', 'about' => ['text' => 'smells sweet']],
    )
        ->assertOk()
        ->assertJsonPath('bath.text', "79.5\u{a0}°C")
        ->assertJsonPath('notes.0', fn(string $note) => str_ends_with($note, 'note: smells sweet'));
    ($this->lead)($job, 'check');
    ($this->tap)($job, ['position' => $position(), 'kind' => 'skip', 'about' => ['text' => 'in a hurry']])->assertStatus(409);
    ($this->lead)($job, 'under');
    foreach ([[$a, 250.0, 255.0], [$c, 240.0, 248.5]] as [$chain, $before, $after]) {
        ($this->tap)(
            $job,
            ['position' => $position(), 'kind' => 'note', 'about' => ['chain' => $chain->id, 'before_g' => $before]],
            ['position' => $position(), 'kind' => 'note', 'about' => ['chain' => $chain->id, 'after_g' => $after]],
        )->assertOk();
    }
    // The step before was not done yet: back there, once, whichever of two devices says so; then on again.
    $at = $position();
    $here = $job->run()->step()?->code;
    $tap = ['id' => (string) Str::uuid(), 'position' => $at, 'kind' => 'back'];
    foreach ([1, 2] as $time) {
        ($this->tap)($job, $tap)
            ->assertOk()
            ->assertJsonPath('current.position', $at - 1);
    }
    ($this->tap)($job, ['position' => $at, 'kind' => 'back'])
        ->assertStatus(409)
        ->assertJsonPath('current.position', $at - 1);
    ($this->lead)($job, $here);
    expect($position())->toBe($at);
    // Too early: the step holds, the sign does not end it.
    ($this->tap)($job, ['position' => $position()])->assertStatus(409);
    ($this->tap)($job, ['position' => $position(), 'kind' => 'sign'])
        ->assertOk()
        ->assertJsonPath('current.signed', true);
    ($this->tap)($job, ['position' => $position(), 'kind' => 'skip'])->assertJsonValidationErrors(['text' => __('errors.skip_why')]);
    ($this->lead)($job, 'off', ['under' => ['kind' => 'done']]);
    expect(Dip::query()->where('pot_id', $pot->id)->count())->toBe(0);
    ($this->lead)($job);
    ($this->tap)($job, ['position' => 0, 'kind' => 'back']);
    expect($job->refresh()->action_id)->not->toBeNull();
    $action = Action::query()->findOrFail($job->refresh()->action_id);
    $dips = Dip::query()->where('action_id', $action->id)->orderBy('at')->get()->keyBy('component_id');
    expect($action->kind->value)
        ->toBe('pot_day')
        ->and($dips->count())
        ->toBe(3)
        ->and($dips[$b->id]->rinsed)
        ->toBeTrue()
        ->and($dips[$a->id]->rinsed)
        ->toBeFalse()
        ->and($dips[$a->id]->pickup_g)
        ->toEqualWithDelta(5.0, 1e-9)
        ->and($dips[$b->id]->pickup_g)
        ->toBeNull()
        ->and($dips[$c->id]->soak_s)
        ->toBeGreaterThanOrEqual(3600)
        ->and($job->ended_at)
        ->not->toBeNull();
    // 620 g less 5, 8.5, and the mean of those weighed before B: A only, since C was hung last.
    expect(($this->bath)($pot)->waxG)
        ->toEqualWithDelta(620 - 5 - 5 - 8.5, 1e-6)
        ->and(($this->bath)($pot)->dips)
        ->toBe(3)
        ->and(array_map(fn($chain) => $this->bench->state($chain)->status, [$a, $b, $c]))
        ->toBe([ChainStatus::Waxed, ChainStatus::Waxed, ChainStatus::Waxed]);
    $this->get('/')->assertInertia(
        fn($page) => $page->where(
            'next',
            fn($next) => collect(Bench::steps($next))
                ->whereIn('kind', ['planned_pot', 'job', 'bare', 'overdue'])
                ->isEmpty(),
        ),
    );
    $this->get('/history')->assertInertia(
        fn($page) => $page->where(
            'actions.0.sentence',
            fn(string $text) => str_starts_with($text, 'Pot day: waxed Heron A, B and C in Pot plain'),
        ),
    );
    // One rider: nothing to split. Once chain C hangs with another one's bike its wax and its part of the work are theirs.
    $split = function () use ($job): array {
        app()->forgetScopedInstances();

        return $this->getJson("/jobs/{$job->id}/state")
            ->assertOk()
            ->json('split');
    };
    expect($split())->toBe([]);
    $crane = $this->bench->bike('Crane');
    foreach ([[$this->heron, 'Heron', 'Mo'], [$crane, 'Crane', 'Ada']] as [$bike, $name, $rider]) {
        app(ChangeSettings::class)(
            $this->bench->by(),
            $bike,
            [SettingKey::BikeName->value => $name, SettingKey::BikeRider->value => $rider],
            true,
        );
    }
    app(ChangeSettings::class)($this->bench->by(), $c, [SettingKey::ChainHome->value => $crane->id], true);
    expect(array_map(fn(array $one) => [$one['rider'], $one['chains']], $split()))
        ->toBe([['Mo', 'Heron A and B'], ['Ada', 'Crane C']])
        ->and(preg_replace('/[^\d.]/', '', $split()[1]['wax']))
        ->toBe('8.5');
    // Taken back as a whole.
    $this->post("/actions/{$action->id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect(($this->bath)($pot)->waxG)
        ->toBe(620.0)
        ->and($this->bench->state($c)->status)
        ->toBe(ChainStatus::Bare);
});

it('softens the wax until it smears, and books the oil', function (): void {
    $a = $this->bench->chain($this->heron, 'A', 290);
    $pot = ($this->pot)('softened', 400, ['flash' => '110']);
    $this->post("/pots/{$pot->id}/bath", ['act' => 'top_up', 'wax' => 180, 'oil' => 20] + Bench::form(299));
    $job = ($this->begin)(($this->choices)($pot, [$a]));
    ($this->lead)($job, 'smear');
    $turn = $job->run()->current();
    ($this->tap)($job, ['position' => $turn->position, 'kind' => 'again'])
        ->assertOk()
        ->assertJsonPath('current.round', 2);
    ($this->lead)($job);
    // 600 g with 20 g of oil: by hand, one percent more of the whole takes 600 · 0.01 / (1 − 0.04333) = 6.272 g.
    $oil = BathEntry::query()->where('action_id', $job->refresh()->action_id)->where('kind', 'top_up')->sole();
    expect($oil->oil_g)
        ->toEqualWithDelta(6.2718, 1e-3)
        ->and($oil->wax_g)
        ->toBeNull()
        ->and(($this->bath)($pot)->oilFraction)
        ->toEqualWithDelta(26.2718 / 606.2718, 1e-6);
});

it('refuses worn, greased and unmeasured chains, and pots that would be dangerous or in vain, with the reason', function (): void {
    [$a] = threeChains($this);
    $pot = ($this->pot)();
    $refused = fn(array $chains, string $why, string $name) => $this->postJson(
        '/pot-day/plan',
        ($this->choices)($pot, $chains),
    )->assertJsonValidationErrors(['chains' => __("errors.pot_day.{$why}", ['chain' => $name])]);
    $boxed = $this->bench->chain($this->heron, 'N', null);
    $refused([$boxed], 'greased', 'Heron N');
    // Measured at 0.42 before it was ridden: near 0.5.
    $read = fn(float $pct, float $ago) => $this->post(
        "/chains/{$a->id}/readings",
        ['action_id' => (string) Str::uuid(), 'kind' => 'digital', 'value_pct' => $pct] + Bench::form($ago),
    )->assertSessionHasNoErrors();
    $read(0.42, 285);
    $refused([$a], 'measure', 'Heron A');
    $read(0.44, 20);
    $this->postJson('/pot-day/plan', ($this->choices)($pot, [$a]))->assertOk();
    $read(0.51, 10);
    $refused([$a], 'worn', 'Heron A');
    $refused([], 'no_chains', '');
    $b = $this->bench->chain($this->heron, 'D', 290);
    $weak = ($this->pot)('blend', 620, ['low' => '45']);
    $plan = $this->postJson('/pot-day/plan', ($this->choices)($weak, [$b], ['target' => '75']))
        ->assertOk()
        ->assertJsonPath('forbidden', true);
    expect($plan->json('warnings.0.text'))->toContain('never melts');
    $this->post('/pot-day', ($this->choices)($weak, [$b], ['target' => '75']))->assertSessionHasErrors([
        'pot' => __('errors.pot_day.never_melts'),
    ]);
    $this->postJson('/pot-day/plan', ($this->choices)($weak, [$b], ['program' => 'high', 'target' => '95']))->assertJsonValidationErrors([
        'target' => __('errors.pot_day.too_hot', ['limit' => "90\u{a0}°C"]),
    ]);
    $this->postJson('/pot-day/plan', ($this->choices)($weak, [$b], ['target' => '50']))->assertJsonValidationErrors('target');
    expect(
        $this->postJson(
            '/pot-day/plan',
            ($this->choices)($weak, [$b], ['program' => 'high', 'target' => '85', 'rewax_soak' => 'hour']),
        )->json('warnings.0.text'),
    )->toContain('pass 90');
});

it('is put down for later, comes back in Next, and begins with what is true then', function (): void {
    [$a, $b] = threeChains($this);
    $pot = ($this->pot)();
    $job = ($this->begin)(($this->choices)($pot, [$a, $b], ['by' => '10:00', 'by_date' => '2026-11-26', 'later' => true]));
    expect($job->begun_at)->toBeNull();
    ($this->tap)($job, ['position' => 0, 'ticks' => ['gloves']])->assertJsonValidationErrors('job');
    $this->get('/')->assertInertia(
        fn($page) => $page->where(
            'next',
            fn($next) => str_starts_with(
                collect(Bench::steps($next))->firstWhere('kind', 'job')['title'],
                'Begin the pot day: Heron A and B',
            ),
        ),
    );
    $this->get("/jobs/{$job->id}")->assertInertia(
        fn($page) => $page->where('job.begun', false)->where('job.planned', fn(string $text) => str_starts_with($text, 'Begin ')),
    );
    // A was dipped otherwise meanwhile: that is no reason; a chain that was retired is.
    $this->post("/chains/{$b->id}/retirement", ['action_id' => (string) Str::uuid()] + Bench::form(0))->assertSessionHasNoErrors();
    $this->post("/jobs/{$job->id}/begin", ['action_id' => (string) Str::uuid()])->assertSessionHasErrors('chains');
    $this->post("/jobs/{$job->id}/give-up", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    $later = ($this->begin)(($this->choices)($pot, [$a], ['by' => '10:00', 'by_date' => '2026-11-26', 'later' => true]));
    $this->post("/jobs/{$later->id}/begin", ['action_id' => (string) Str::uuid()])->assertRedirect("/jobs/{$later->id}");
    expect($later->refresh()->begun_at)
        ->toBe($later->started_at)
        ->and($later->begun_at)
        ->toBeLessThanOrEqual(app(AppClock::class)->unixS());
});

it('given up, keeps as waxed what hung by then', function (): void {
    [$a, $b, $c] = threeChains($this);
    $pot = ($this->pot)();
    $job = ($this->begin)(($this->choices)($pot, [$a, $c]));
    ($this->lead)($job, 'set');
    $this->post("/jobs/{$job->id}/give-up", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect(Dip::query()->where('pot_id', $pot->id)->pluck('component_id')->all())
        ->toBe([$a->id])
        ->and($this->bench->state($c)->status)
        ->toBe(ChainStatus::Bare);
});

it('asks how a chain was waxed whose soak was passed over, and believes the answer', function (string $answer, ?float $left): void {
    [$a] = threeChains($this);
    $pot = ($this->pot)();
    $job = ($this->begin)(($this->choices)($pot, [$a]));
    ($this->lead)($job, 'under');
    expect($job->refresh()->run()->step()?->asks)->toBe(['fully', 'partly', 'no']);
    ($this->lead)($job, null, ['under' => ['kind' => 'skip', 'about' => ['text' => 'no time', 'waxed' => $answer]]]);
    expect(Dip::query()->where('pot_id', $pot->id)->count())
        ->toBe($left === null ? 0 : 1)
        ->and($left === null ? null : $this->bench->state($a)->leftKm())
        ->toBe($left);
})->with([['fully', 300.0], ['partly', 150.0], ['no', null]]);

it('takes a probe’s readings once, good beside bad, whatever its clock, and nobody else’s pot', function (): void {
    $pot = ($this->pot)();
    $other = ($this->pot)('blend');
    ['token' => $token] = $this->postJson("/pots/{$pot->id}/devices", ['name' => 'Probe'])
        ->assertOk()
        ->json();
    app('auth')->forgetGuards();
    $iso = fn(float $atS): string => gmdate('Y-m-d\TH:i:s\Z', (int) $atS);
    $nowS = app(AppClock::class)->unixS();
    $send = function (array $readings, array $with = [], ?string $by = null, ?int $to = null) use ($token, $pot): TestResponse {
        app('auth')->forgetGuards();

        return $this->withToken($by ?? $token)->postJson(
            '/api/v1/pots/' . ($to ?? $pot->id) . '/temperatures',
            ['readings' => $readings] + $with,
        );
    };
    $reading = fn(int $sequence, float $atS, mixed $celsius): array => ['sequence' => $sequence, 'at' => $iso($atS), 'celsius' => $celsius];
    $send([$reading(1, $nowS, 20)], by: 'wrong')
        ->assertStatus(401)
        ->assertJsonPath('message', __('errors.probe.token'));
    $this->flushHeaders()
        ->post("/api/v1/pots/{$pot->id}/temperatures")
        ->assertStatus(401);
    $send([$reading(1, $nowS, 20)], to: $other->id)
        ->assertStatus(403)
        ->assertJsonPath('message', __('errors.probe.pot'));
    // Ten a second, one by one; the same again counts once.
    foreach (range(1, 10) as $i) {
        $send([$reading($i, $nowS - 1, 60 + $i / 10)])
            ->assertOk()
            ->assertJsonPath('taken', 1);
    }
    $send([
        $reading(10, $nowS, 61),
        $reading(11, $nowS, 61.1),
        ['sequence' => 12],
        $reading(13, $nowS, 'hot'),
        $reading(14, $nowS, 9000),
        'x',
        $reading(15, $nowS, 61.2),
    ])
        ->assertOk()
        ->assertJson([
            'taken' => 2,
            'known' => 1,
            'refused' => [
                ['index' => 2, 'reason' => __('errors.probe.at')],
                ['index' => 3, 'reason' => __('errors.probe.celsius')],
                ['index' => 4, 'reason' => __('errors.probe.range')],
                ['index' => 5, 'reason' => __('errors.probe.object')],
            ],
        ]);
    $send([$reading(16, $nowS, 9000)])->assertStatus(422);
    $send([])->assertStatus(422);
    // Its clock is an hour ahead, or behind: the readings are put where they belong.
    $send([$reading(20, $nowS + 3590, 62), $reading(21, $nowS + 3600, 62.1)], ['sent_at' => $iso($nowS + 3600)])
        ->assertOk()
        ->assertJson(['clock_skew_s' => -3600, 'clock' => 'corrected']);
    $send([$reading(22, $nowS - 7200, 62.2)], ['sent_at' => $iso($nowS - 7200)])->assertJsonPath('clock_skew_s', 7200);
    $send([$reading(23, $nowS + 500, 62.3)])->assertJsonPath('clock_skew_s', -500);
    // Kept while the machine was away, sent later: its times are true.
    $send([$reading(24, $nowS - 900, 58.0)], ['sent_at' => $iso($nowS)])->assertJsonPath('clock', 'good');
    expect(Temperature::query()->where('sequence', 20)->value('at'))
        ->toBe($nowS - 10)
        ->and(Temperature::query()->where('sequence', 22)->value('at'))
        ->toBe($nowS)
        ->and(Temperature::query()->where('sequence', 24)->value('at'))
        ->toBe($nowS - 900)
        ->and(Temperature::query()->count())
        ->toBe(17)
        ->and(Temperature::query()->where('pot_id', $other->id)->count())
        ->toBe(0);
    // Disconnected, its token is no good any more.
    app('auth')->forgetGuards();
    $this->flushHeaders()->actingAs($this->bench->owner)->delete('/devices/1')->assertRedirect();
    $send([$reading(30, $nowS, 60)])->assertStatus(401);
});

it('simulates a probe that sees what the wax would: heat, cold chains, noise, and somebody’s hand at the dial', function (): void {
    [$a] = threeChains($this);
    $pot = ($this->pot)();
    $job = ($this->begin)(($this->choices)($pot, [$a]));
    $probe = app(SimulatedProbe::class);
    expect($probe->celsius($job, $job->run(), $job->started_at + 60))->toEqualWithDelta(18, 0.6);
    ($this->lead)($job, 'under');
    $run = $job->run();
    $inS = (int) $run->endedS(array_key_last($run->turns) - 1);
    expect($probe->celsius($job, $job->run(), $inS - 25))
        ->toEqualWithDelta(80, 0.8)
        ->and($probe->celsius($job, $job->run(), $inS))
        ->toEqualWithDelta((float) $run->steps[$run->turns[array_key_last($run->turns) - 1]->step]->about['mixed_c'], 0.8)
        ->and($probe->celsius($job, $job->run(), $inS + 3600, 1.0, 80.0))
        ->toBeGreaterThan(100.0)
        ->and($probe->celsius($job, $job->run(), $job->started_at + 600, 10.0))
        ->toBeGreaterThan($probe->celsius($job, $job->run(), $job->started_at + 600) + 20);
    // Above the limit the page says what to do, and the book remembers it.
    Temperature::query()->create([
        'workshop_id' => $job->workshop_id,
        'pot_id' => $pot->id,
        'at' => $inS + 60,
        'received_at' => $inS + 60,
        'temp_c' => 103.0,
    ]);
    $this->getJson("/jobs/{$job->id}/state")->assertJsonPath('bath.over', __('pot_day.bath.over', ['limit' => "100\u{a0}°C"]));
    ($this->lead)($job);
    expect(($this->bath)($pot)->overheated)->toBeTrue()->and(($this->bath)($pot)->maxC)->toBe(103.0);
});

it('keeps a race chain for its event, and a dipped one for the next day where that is the school', function (): void {
    $a = $this->bench->chain($this->heron, 'A', 290, fit: true);
    $b = $this->bench->chain($this->heron, 'B', 290);
    $edit = ['action_id' => (string) Str::uuid(), 'bike_id' => $this->heron->id, 'label' => 'B', 'speeds' => 12];
    $this->put("/chains/{$b->id}", $edit + ['event' => 'Moor race'])->assertSessionHasErrors('event_on');
    $this->put(
        "/chains/{$b->id}",
        $edit + ['event' => 'Moor race', 'event_on' => '2026-12-06', 'dipped_after' => '2026-12-08'],
    )->assertSessionHasErrors('dipped_after');
    $this->put(
        "/chains/{$b->id}",
        $edit + ['event' => 'Moor race', 'event_on' => '2026-12-06', 'dipped_after' => '2026-11-24'],
    )->assertSessionHasNoErrors();
    // The bench stands on 25 November: it wants its dip now, nobody is sent to it before the sixth, and who takes it is told.
    $shed = $this->get('/');
    $shed->assertInertia(
        fn($page) => $page
            ->where('rails.0.best', null)
            ->where(
                'rails.0.hanging.0.fit',
                fn($notes) => collect($notes)->firstWhere('note', 'kept')['text'] === 'Kept for Moor race, 6 Dec.',
            )
            // The plan has a pot for it, before its day and not before it should.
            ->where('next', fn($next) => collect(Bench::steps($next))->firstWhere('kind', 'planned_pot')['chains'] === [$b->id]),
    );
    $this->post('/dips', ['chains' => [$b->id], 'dry' => true] + Bench::form(0.1))->assertSessionHasNoErrors();
    $this->get('/')->assertInertia(
        fn($page) => $page
            ->where('next', fn($next) => collect(Bench::steps($next))->where('kind', 'planned_pot')->isEmpty())
            ->where('rails.0.hanging.0.fit', fn($notes) => collect($notes)->pluck('note')->contains('not_ready')),
    );
    app(AppClock::class)->stopAt(Bench::NOW + 3600);
    $this->get('/')->assertInertia(
        fn($page) => $page->where('rails.0.hanging.0.fit', fn($notes) => !collect($notes)->pluck('note')->contains('not_ready')),
    );
    DB::table('settings')->insert([
        'workshop_id' => $this->bench->workshop->id,
        'action_id' => $this->bench->lastAction()->id,
        'sequence' => 1,
        'at' => 0,
        'precision' => 'minute',
        'key' => 'workshop.ready_school',
        'value' => '"next_day"',
    ]);
    app()->forgetScopedInstances();
    $this->get('/')->assertInertia(
        fn($page) => $page->where(
            'rails.0.hanging.0.fit',
            fn($notes) => str_contains((string) collect($notes)->firstWhere('note', 'not_ready')['text'], '00:00'),
        ),
    );
    app(AppClock::class)->stopAt(Bench::NOW + 12 * 86400);
    app()->forgetScopedInstances();
    $this->get('/')->assertInertia(fn($page) => $page->where('rails.0.best', $b->id));
});

it('calibrates a pot from the heat-up of a pot day or from typed readings, and goes back to the house rule', function (): void {
    $a = $this->bench->chain($this->heron, 'A', 290);
    $pot = ($this->pot)();
    $job = ($this->begin)(($this->choices)($pot, [$a], ['room' => '20']));
    ($this->lead)($job, 'heat');
    // A pot that loses 1.6 W for each degree where the house rule says 1.3, and of whose power 0.95 arrives; read every five minutes.
    $true = new PotHeatInput(620, 20, 20, 90, 1.6, 70, 0.95);
    $plugS = (int) $job->run()->endedS(1);
    foreach (range(0, 70, 5) as $minutes) {
        $atS = $plugS + 60 * $minutes;
        Temperature::query()->create([
            'workshop_id' => $job->workshop_id,
            'pot_id' => $pot->id,
            'at' => $atS,
            'received_at' => $atS,
            'temp_c' => $true->course()->after(20, 60 * $minutes),
        ]);
    }
    ($this->lead)($job, 'under');
    $this->get('/pot')->assertInertia(fn($page) => $page->where('pots.0.heatUps.0.value', $job->id)->where('pots.0.isCalibrated', false));
    $fit = ['action_id' => (string) Str::uuid(), 'heat_up' => $job->id];
    expect($this->postJson("/pots/{$pot->id}/calibrate/fit", $fit)->json('text'))
        ->toContain('1.60 W')
        ->toContain("95\u{a0}%");
    $this->post("/pots/{$pot->id}/calibrate", $fit)->assertSessionHasNoErrors();
    // From now on plans work out with it: with 1.6 W it stays at 73 °C, and never gets to 80.
    $this->post("/jobs/{$job->id}/give-up", ['action_id' => (string) Str::uuid()]);
    expect($this->postJson('/pot-day/plan', ($this->choices)($pot, [$a]))->json('warnings.0.text'))->toContain('never reaches');
    $this->post("/pots/{$pot->id}/calibrate", ['action_id' => (string) Str::uuid(), 'forget' => true])->assertSessionHasNoErrors();
    $this->get('/pot')->assertInertia(fn($page) => $page->where('pots.0.isCalibrated', false));
    $typed = fn(string $readings) => $this->postJson("/pots/{$pot->id}/calibrate/fit", [
        'action_id' => (string) Str::uuid(),
        'power' => 'low',
        'room' => '20',
        'readings' => $readings,
    ]);
    $lines = implode(
        "\n",
        array_map(fn(int $minutes) => $minutes . ' ' . round($true->course()->after(20, 60 * $minutes), 3), range(0, 70, 10)),
    );
    expect($typed($lines)->json('text'))->toContain('1.60 W');
    $typed("0 20\nten 40")->assertJsonValidationErrors(['readings' => __('errors.heat_up_line', ['line' => 'ten 40'])]);
    $typed("0 20\n10 40")->assertJsonValidationErrors('observed');
});

it('says what a dip costs and draws how the bath came to be as it is', function (): void {
    $a = $this->bench->chain($this->heron, 'A', 290);
    $pot = ($this->pot)('softened', 400, ['flash' => '110']);
    $this->post('/prices', [
        'action_id' => (string) Str::uuid(),
        'supply' => 'wax',
        'amount' => 14,
        'quantity' => 1000,
        'date' => '2026-11-01',
    ])->assertSessionHasNoErrors();
    $this->post(
        '/dips',
        ['chains' => [$a->id], 'dry' => true, 'pot_id' => $pot->id, 'pickups' => [$a->id => '5']] + Bench::form(50),
    )->assertSessionHasNoErrors();
    // The chain's own story says the same: its first dip, which nobody weighed, is taken as those weighed on the average.
    $this->post('/prices', [
        'action_id' => (string) Str::uuid(),
        'supply' => 'chain',
        'amount' => 30,
        'quantity' => 1,
        'date' => '2026-01-01',
    ])->assertSessionHasNoErrors();
    expect(implode(' ', array_column($this->get("/chains/{$a->id}/retirement")->json('life'), 'value')))->toContain('wax €0.14');
    // Oil alone, after a smear test.
    $this->post("/pots/{$pot->id}/bath", ['act' => 'top_up', 'oil' => '4'] + Bench::form(40))->assertSessionHasNoErrors();
    $this->post("/pots/{$pot->id}/bath", ['act' => 'top_up'] + Bench::form(39))->assertSessionHasErrors('wax');
    // 5 g at 14.00 a kilogram are 7 cents; 399 g with 4 g of oil take 4.07 g more to be 2.0 % (shown with two digits).
    $this->get('/pot')->assertInertia(
        fn($page) => $page
            ->where('pots.0.cost', "A dip takes 5.0\u{a0}g along and costs €0.07.")
            ->where('pots.0.smear', fn(string $text) => str_contains($text, "add 4.1\u{a0}g of lamp oil, to 2.0\u{a0}%")),
    );
    $this->get('/books')->assertInertia(
        fn($page) => $page->where(
            'pots.0.wax.lines.0.points',
            fn($points) => array_map(fn($at) => round($at['y'], 6), $points->all()) === [400.0, 395.0, 399.0, 399.0],
        ),
    );
});

it(
    'takes a chain through the two jars before the heat, counts their cleanings, and keeps what was hot even if nothing was dipped',
    function (): void {
        $a = $this->bench->chain($this->heron, 'A', 290);
        $pot = ($this->pot)();
        foreach (['Dirty' => 'dirty', 'Clean' => 'clean'] as $name => $role) {
            $this->post(
                '/jars',
                ['action_id' => (string) Str::uuid(), 'name' => $name, 'role' => $role, 'solvent' => 'white_spirit', 'volume_ml' => 500] +
                    Bench::form(50),
            )->assertSessionHasNoErrors();
        }
        $plan = $this->postJson('/pot-day/plan', $choices = ($this->choices)($pot, [$a], ['rinse' => [$a->id => 'two_jars']]))->assertOk();
        expect(array_slice(array_column($plan->json('steps'), 'title'), 0, 5))
            ->toBe(['Before the heat', 'Dirty jar', 'Clean jar', 'Air until no smell is left', 'Plug in'])
            ->and($plan->json('steps.1.text'))
            ->toContain('into Dirty');
        $job = ($this->begin)($choices);
        ($this->lead)($job, 'jar_dry');
        // It can be left for its hours, and comes back in Next; the jars are taken meanwhile.
        $this->get('/')->assertInertia(
            fn($page) => $page->where('next', fn($next) => collect(Bench::steps($next))->firstWhere('kind', 'job')['hour'] !== ''),
        );
        expect($job->jars())->toHaveCount(2);
        ($this->lead)($job, 'heat');
        $nowS = app(AppClock::class)->unixS();
        Temperature::query()->create([
            'workshop_id' => $job->workshop_id,
            'pot_id' => $pot->id,
            'at' => $nowS,
            'received_at' => $nowS,
            'temp_c' => 104.0,
        ]);
        $this->post("/jobs/{$job->id}/give-up", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
        $this->get('/pot')->assertInertia(fn($page) => $page->where('jars.0.done', 1)->where('jars.1.done', 1)->where('pots.0.late', true));
        $this->get("/jobs/{$job->id}")->assertInertia(fn($page) => $page->where('job.recorded.text', __('pot_day.recorded_none')));
        $this->get('/history')->assertInertia(
            fn($page) => $page->where(
                'actions.0.sentence',
                fn(string $text) => str_starts_with($text, 'Pot day in Pot plain ended before'),
            ),
        );
    },
);

it(
    'is corrected on one screen: what changed is a new version, what did not stays, and all of it is taken back together',
    function (): void {
        [$a, $b] = threeChains($this);
        $pot = ($this->pot)();
        $job = ($this->lead)(($this->begin)(($this->choices)($pot, [$a, $b])));
        $rows = fn(): array => $this->getJson("/jobs/{$job->id}/state")->json('dips');
        [$first, $second] = $seen = $rows();
        $put = fn(array $dips): TestResponse => $this->put("/jobs/{$job->id}/record", [
            'action_id' => (string) Str::uuid(),
            'dips' => $dips,
        ]);
        $put([['pickup' => '-1'] + $first])->assertSessionHasErrors('dips.0.pickup');
        $put([])->assertSessionHasErrors('dips');
        // Decimal commas, an empty cell for what nobody knows; the other dip is left alone.
        $put([['pickup' => '7,5', 'temp' => '81,5', 'soak' => '', 'rinsed' => true] + $first, $second])->assertSessionHasNoErrors();
        expect(Dip::query()->live()->where('pot_id', $pot->id)->count())
            ->toBe(2)
            ->and(Dip::query()->live()->find($second['id']))
            ->not->toBeNull()
            ->and(Dip::query()->live()->find($first['id']))
            ->toBeNull();
        $dip = Dip::query()->live()->where('replaces_id', $first['id'])->sole();
        expect([$dip->pickup_g, $dip->temp_c, $dip->soak_s, $dip->rinsed])
            ->toBe([7.5, 81.5, null, true])
            // Hung together, and nothing was weighed before: the other one still takes what the house rule says.
            ->and(($this->bath)($pot)->waxG)
            ->toEqualWithDelta(620 - 7.5 - 6, 1e-6);
        // The page of before the correction overwrites nothing.
        $put($seen)->assertStatus(409);
        // The latest can be corrected again; a dip of another day is none of its.
        $put([['pickup' => '6'] + $rows()[0]])->assertSessionHasNoErrors();
        $other = $this->bench->chain($this->heron, 'Z', 290);
        $foreign = Dip::query()->where('component_id', $other->id)->sole();
        $put([['id' => $foreign->id] + $first])->assertStatus(409);
        $put([['id' => 99999] + $first])->assertSessionHasErrors(['dips' => __('errors.pot_day.not_its_dip')]);
        // Undone together with its corrections.
        $undo = [
            'action_id' => (string) Str::uuid(),
            'also' => Action::query()
                ->whereIn('kind', ['correct_pot_day'])
                ->pluck('id')
                ->all(),
        ];
        $this->post("/actions/{$job->refresh()->action_id}/undo", $undo)->assertSessionHasNoErrors();
        expect(($this->bath)($pot)->waxG)->toBe(620.0);
    },
);

it(
    'lets the simulated probe send through the door of a real one, from the screen in the demo only, and stop with its job',
    function (): void {
        [$a] = threeChains($this);
        $pot = ($this->pot)();
        $job = ($this->begin)(($this->choices)($pot, [$a]));
        $this->postJson("/jobs/{$job->id}/probe", ['speed' => 10])->assertJsonValidationErrors(['job' => __('errors.only_demo')]);
        $this->bench->workshop->forceFill(['demo' => true])->save();
        app()->forgetScopedInstances();
        $this->actingAs($this->bench->owner->fresh());
        Queue::fake();
        $this->postJson("/jobs/{$job->id}/probe", ['speed' => 1000])->assertJsonValidationErrors('speed');
        $this->postJson("/jobs/{$job->id}/probe", ['speed' => 10])->assertOk();
        // Started anew, the earlier one is disconnected.
        $this->postJson("/jobs/{$job->id}/probe", ['speed' => 60])->assertOk();
        Queue::assertPushed(RunSimulatedProbe::class, 2);
        [$earlier, $device] = Device::query()->orderBy('id')->get()->all();
        expect($earlier->gone_at)->not->toBeNull()->and($device->simulates['speed'])->toEqual(60);

        // What it sends goes to the address of its pot with its token; a refusal ends it, a machine that is away does not.
        $probe = app(SimulatedProbe::class);
        $sent = [];
        Http::fake(function ($request) use (&$sent) {
            $sent[] = [$request->url(), $request->header('Authorization')[0], $request->data()['readings'][0]['celsius']];

            return count($sent) === 1 ? Http::response(['taken' => 1]) : Http::response([], 401);
        });
        expect($probe->send($device, 'secret', $job))
            ->toBeTrue()
            ->and($probe->send($device, 'secret', $job))
            ->toBeFalse()
            ->and($sent[0][0])
            ->toEndWith("/api/v1/pots/{$pot->id}/temperatures")
            ->and($sent[0][1])
            ->toBe('Bearer secret')
            ->and($sent[0][2])
            ->toEqualWithDelta(18, 0.6);
        $this->artisan('dripel:probe', ['--readings' => 1])->assertSuccessful();
        $this->post("/jobs/{$job->id}/give-up", ['action_id' => (string) Str::uuid()]);
        $this->artisan('dripel:probe')->assertFailed()->expectsOutputToContain('No pot day is under way.');
        // The queue’s part looks first whether its job still runs.
        $count = count($sent);
        (new RunSimulatedProbe($device->id, 'secret'))->handle($probe);
        expect(count($sent))->toBe($count);
    },
);

it('offers nothing into a bath that is still solid, and believes a thermometer', function (): void {
    [$a] = threeChains($this);
    $job = ($this->begin)(($this->choices)(($this->pot)(), [$a]));
    ($this->lead)($job, 'heat');
    $turn = $job->refresh()->load('taps')->run()->current();
    $done = fn(array $with = []) => $with + ['position' => $turn->position];
    // Nobody is believed that 620 g are liquid a minute after the plug went in.
    app(AppClock::class)->stopAt(app(AppClock::class)->unixS() + 60);
    ($this->tap)($job, $done(['ticks' => ['all_liquid']]))
        ->assertStatus(422)
        ->assertJsonPath('errors.celsius.0', fn(string $said) => str_contains($said, 'this wax is solid below'));
    $state = $this->getJson("/jobs/{$job->id}/state")->assertOk();
    expect($state->json('bath.solid'))
        ->toContain('Wait, or type')
        ->and($state->json('bath.solidUntil'))
        ->toBeGreaterThan($state->json('now'));
    // A reading too cold says so, one that is hot stands for the tick; by how much the wait ended early is kept.
    ($this->tap)($job, $done(['kind' => 'note', 'about' => ['celsius' => 45]]))->assertOk()->assertJsonPath('bath.melted', false);
    ($this->tap)($job, $done())
        ->assertStatus(422)
        ->assertJsonPath('errors.celsius.0', fn(string $said) => str_contains($said, 'was read at'));
    app(AppClock::class)->stopAt(app(AppClock::class)->unixS() + 60);
    ($this->tap)($job, $done(['kind' => 'note', 'about' => ['celsius' => 81]]))->assertOk()->assertJsonPath('bath.melted', true);
    ($this->tap)($job, $done())
        ->assertOk()
        ->assertJsonPath('notes.0', fn(string $note) => preg_match('/Let it melt: ended .+ early/u', $note) === 1);
    // Later the reading is old, and the pot's watts say that it is cold: nothing goes in.
    ($this->lead)($job, 'in');
    app(AppClock::class)->stopAt(app(AppClock::class)->unixS() + 1000);
    $turn = $job->refresh()->load('taps')->run()->current();
    ($this->tap)($job, ['position' => $turn->position])->assertStatus(422);
    ($this->tap)($job, ['position' => $turn->position, 'kind' => 'note', 'about' => ['celsius' => 80]])->assertOk();
    ($this->tap)($job, ['position' => $turn->position])->assertOk();
});

it('plans a pot whose plate nobody read by its kind and grams, then by the minutes it took, then by its watts', function (): void {
    [$a, $b] = threeChains($this);
    $pot = ($this->pot)(with: ['low' => '', 'high' => '']);
    $plan = fn() => $this->postJson('/pot-day/plan', ($this->choices)($pot, [$a, $b]))->assertOk();
    expect($plan()->json('warnings.0.text'))->toContain('by its kind and wax (house rule)')->and($plan()->json('powerSaid'))->toBeFalse();
    $this->postJson("/pots/{$pot->id}/heat", ['action_id' => (string) Str::uuid(), 'power' => 'low', 'start' => '18', 'target' => '80'])
        ->assertOk()
        ->assertJsonPath('lines.2', fn(string $line) => str_contains($line, 'Watts not known'));
    // It took an hour and a quarter.
    $job = ($this->begin)(($this->choices)($pot, [$a]));
    ($this->lead)($job, 'heat');
    $turn = $job->refresh()->load('taps')->run()->current();
    app(AppClock::class)->stopAt($turn->startS + 75 * 60);
    ($this->tap)($job, ['position' => $turn->position, 'kind' => 'note', 'about' => ['celsius' => 80]])->assertOk();
    ($this->tap)($job, ['position' => $turn->position])->assertOk();
    ($this->lead)($job);
    $after = $this->postJson('/pot-day/plan', ($this->choices)($pot, [$b]))->assertOk();
    expect($after->json('warnings.0.text'))->toContain('by the minutes of the last heat-up');
    $this->put("/pots/{$pot->id}/power", ['action_id' => (string) Str::uuid()])->assertSessionHasErrors('high');
    $this->put("/pots/{$pot->id}/power", ['action_id' => (string) Str::uuid(), 'low' => '90'])->assertSessionHasNoErrors();
    expect($this->postJson('/pot-day/plan', ($this->choices)($pot, [$b]))->assertOk()->json('powerSaid'))->toBeTrue();
});

it('changes a pot, takes it out of use and back, and removes one that never held wax', function (): void {
    $pot = ($this->pot)();
    $fields = [
        'name' => 'Pan',
        'kind' => 'pan',
        'diameter' => '180',
        'height' => '45',
        'wax' => 'plain',
        'lay' => 'flat',
        'for_races' => true,
    ];
    $put = fn(array $with = []) => $this->put("/pots/{$pot->id}", $with + $fields + ['action_id' => (string) Str::uuid()]);
    $put()->assertSessionHasNoErrors();
    $books = fn() => $this->get('/pot')->assertOk()->inertiaProps();
    expect($books()['pots'][0]['about'])
        ->toBe('pan with a thermometer, plain paraffin, flat on a board, zig-zag, kept clean for races')
        ->and($books()['pots'][0]['left'])
        ->toContain('until a flat chain is bare')
        ->and($books()['pots'][0]['unused'])
        ->toBeFalse();
    $this->delete("/pots/{$pot->id}", ['action_id' => (string) Str::uuid()])->assertSessionHasErrors('thing');
    $chain = $this->bench->chain($this->heron, 'A', 100);
    $job = ($this->begin)(($this->choices)($pot, [$chain]));
    $put(['gone' => true])->assertSessionHasErrors('gone');
    $this->post("/jobs/{$job->id}/give-up", ['action_id' => (string) Str::uuid()]);
    $put(['gone' => true])->assertSessionHasNoErrors();
    expect($books()['pots'])
        ->toBe([])
        ->and($books()['potsOutOfUse'][0]['name'])
        ->toBe('Pan');
    $this->get('/pot-day')->assertInertia(fn($page) => $page->where('pots', []));
    $put(['gone' => false])->assertSessionHasNoErrors();
    expect($books()['pots'])->toHaveCount(1);
    $this->post('/pots', $fields + ['action_id' => (string) Str::uuid()])->assertSessionHasErrors('name');
    $this->post('/pots', ['name' => 'Spare', 'action_id' => (string) Str::uuid()] + $fields)->assertSessionHasNoErrors();
    $spare = Pot::query()->orderByDesc('id')->firstOrFail();
    $this->delete("/pots/{$spare->id}", ['action_id' => ($removal = (string) Str::uuid())])->assertSessionHasNoErrors();
    expect($books()['pots'])->toHaveCount(1);
    $this->post("/actions/{$removal}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect($books()['pots'])->toHaveCount(2);
});

it('keeps race pot and everyday pot apart, both ways', function (): void {
    [$a, $b] = threeChains($this);
    $everyday = ($this->pot)();
    $clean = ($this->pot)('blend', with: ['for_races' => true]);
    $warned = fn(Pot $pot, $chain) => array_column(
        $this->postJson('/pot-day/plan', ($this->choices)($pot, [$chain], ['target' => '75']))->assertOk()->json('warnings'),
        'text',
    );
    expect($warned($everyday, $a))
        ->toBe([])
        ->and($warned($clean, $a)[0])
        ->toContain('Take the everyday pot')
        ->and($warned($clean, $b)[0])
        ->toContain('never goes into the pot that is kept clean');
    $this->post('/pot-day', ($this->choices)($clean, [$b], ['target' => '75']))->assertSessionHasErrors([
        'pot' => 'A chain ridden in the wet or in mud never goes into the pot that is kept clean for races. Take the everyday pot.',
    ]);
    $edit = ['action_id' => (string) Str::uuid(), 'bike_id' => $this->heron->id, 'label' => 'A', 'speeds' => 12];
    $this->put("/chains/{$a->id}", $edit + ['event' => 'Hill race', 'event_on' => '2027-05-01'])->assertSessionHasNoErrors();
    expect($warned($everyday, $a)[0])->toContain('kept for an event')->and($warned($clean, $a))->toBe([]);
});

it('learns what pot days take from their taps, and offers it to the plan without changing anything by itself', function (): void {
    [$a] = threeChains($this);
    $pot = ($this->pot)();
    $learned = fn(): mixed => Bench::deferred($this, '/ahead', 'learned')['learned'];
    for ($day = 0; $day < 3; $day++) {
        expect($learned())->toBeNull();
        $job = ($this->lead)(($this->begin)(($this->choices)($pot, [$a])));
        expect($job->refresh()->ended_at)->not->toBeNull();
        // Wax is left on it: it has to be ridden before it wants the pot again.
        app(AppClock::class)->stopAt(app(AppClock::class)->unixS() + 86_400);
    }
    $offer = $learned();
    expect($offer['texts'][0])
        ->toStartWith('Your last 3 guided pot days, 3 dips, kept you')
        ->and((int) $offer['fixed'] + (int) $offer['dip'])
        ->toBeGreaterThan(5);
    // Taken by the form of the plan's terms, as anything else in it; taken back with it.
    $terms = ['weekdays' => [6, 7]] + array_diff_key($offer, ['texts' => 1]) + Bench::TERMS;
    $this->put('/ahead/terms', ['action_id' => ($id = (string) Str::uuid())] + $terms)->assertSessionHasNoErrors();
    expect($learned())->toBeNull();
    $this->post("/actions/{$id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect($learned())->toBe($offer);
    // Its taps go out with the workshop, each as it can be read again.
    expect(app(LedWork::class)->of($this->bench->workshop))->toHaveCount(3);
    // A pot day that is taken back taught nothing.
    $this->post("/actions/{$job->action_id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect($learned())->toBeNull();
});

it('says on How right what a slow heat-up tells of a pot: taken it counts, declined it asks no more', function (): void {
    $a = $this->bench->chain($this->heron, 'A', 290);
    $pot = ($this->pot)();
    // Its book begins some weeks ago, so that there are promises to look at.
    ($this->ride)(50, 'dry', 24 * 30);
    $job = ($this->begin)(($this->choices)($pot, [$a], ['room' => '20']));
    ($this->lead)($job, 'heat');
    // Of its power two thirds arrive: it takes far longer than was said.
    $true = new PotHeatInput(620, 20, 20, 90, 1.3, 80, 0.66);
    $plugS = (int) $job->run()->endedS(1);
    foreach (range(0, 400, 5) as $minutes) {
        Temperature::query()->create([
            'workshop_id' => $job->workshop_id,
            'pot_id' => $pot->id,
            'at' => $plugS + 60 * $minutes,
            'received_at' => $plugS + 60 * $minutes,
            'temp_c' => min(80.0, $true->course()->after(20, 60 * $minutes)),
        ]);
    }
    app(AppClock::class)->stopAt($plugS + 401 * 60);
    ($this->lead)($job);
    expect($job->refresh()->ended_at)->not->toBeNull();
    $how = fn(): array => Bench::deferred($this, '/gauge/how-right', 'how')['how'];
    $offers = fn(): array => $how()['pots'];
    $answer = fn(bool $accept, ?string $id = null) => $this->post("/pots/{$pot->id}/fit", [
        'action_id' => $id ?? (string) Str::uuid(),
        'accept' => $accept,
    ]);
    [$offer] = $offers();
    expect($offer['pot'])->toBe($pot->id)->and($offer['text'])->toContain('Pot plain')->and($offer['why'])->toContain('%');
    $answer(false)->assertSessionHasNoErrors();
    expect($offers())
        ->toBe([])
        ->and(array_filter($how()['answers'], fn(string $text) => str_starts_with($text, 'Pot plain: calibration declined on ')))
        ->toHaveCount(1);
    $answer(true)->assertSessionHasErrors('accept');
    $this->post("/actions/{$this->bench->lastAction()->id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect($offers())->toBe([$offer]);
    $id = (string) Str::uuid();
    $answer(true, $id)->assertSessionHasNoErrors();
    // Sent twice it counts once.
    $answer(true, $id)->assertSessionHasNoErrors();
    expect($offers())->toBe([])->and($how()['answers'][0])->toStartWith('Pot plain calibrated on ');
    $this->get('/pot')->assertInertia(fn($page) => $page->where('pots.0.isCalibrated', true));
});
