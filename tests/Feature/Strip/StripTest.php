<?php

declare(strict_types=1);

use App\Actions\Strip\StartStrip;
use App\Actions\Strip\StripChoices;
use App\Models\Action;
use App\Models\Bath;
use App\Models\Chain;
use App\Models\GuidedJob;
use App\Models\Jar;
use App\Models\Role;
use App\Strip\Protocols;
use App\Strip\ReadJars;
use App\Support\AppClock;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Strip\JarState;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->heron = $this->bench->bike();
    $this->box = $this->bench->chain($this->heron, 'N', null);
    $this->actingAs($this->bench->owner);
    $this->jar = function (string $name, string $role, ?string $solvent, ?int $ml): Jar {
        $this->post(
            '/jars',
            ['action_id' => (string) Str::uuid(), 'name' => $name, 'role' => $role, 'solvent' => $solvent, 'volume_ml' => $ml] +
                Bench::form(50),
        )->assertSessionHasNoErrors();

        return Jar::query()->findOrFail($this->bench->lastAction()->about->jar);
    };
    $this->jars = fn(): array => app(ReadJars::class)($this->bench->workshop->refresh());
    $this->plan = fn(array $with = []): TestResponse => $this->postJson(
        '/strip/plan',
        $with + ['action_id' => (string) Str::uuid(), 'chains' => [$this->box->id], 'protocol' => Protocols::DEFAULT],
    );
    $this->begin = function (array $with = []): GuidedJob {
        $id = (string) Str::uuid();
        $this->post('/strip', $with + ['action_id' => $id, 'chains' => [$this->box->id], 'protocol' => Protocols::DEFAULT])->assertRedirect(
            "/jobs/{$id}",
        );

        return GuidedJob::query()->findOrFail($id);
    };
    // Taps on through the job as it goes, a minute for each step; answers "still cloudy" at the positions named.
    $this->lead = function (GuidedJob $job, ?string $until = null, array $cloudy = []): GuidedJob {
        while (($turn = $job->load('taps')->run()->current()) !== null && $job->run()->step()?->code !== $until) {
            app(AppClock::class)->stopAt(app(AppClock::class)->unixS() + 60);
            $kind = in_array($turn->position, $cloudy, true) ? 'again' : 'done';
            ($this->tap)($job, ['kind' => $kind, 'position' => $turn->position, 'ticks' => $job->run()->step()->ticks ?? []])->assertOk();
            $job->refresh();
        }

        return $job;
    };
    $this->tap = fn(GuidedJob $job, array ...$taps): TestResponse => $this->postJson("/jobs/{$job->id}/taps", [
        'taps' => array_map(
            fn(array $tap) => $tap + ['id' => (string) Str::uuid(), 'kind' => 'done', 'at' => app(AppClock::class)->unixS()],
            $taps,
        ),
    ]);
});

it(
    'plans with the jars at hand: what each bath leaves, what it costs, when it is done and when the pot may be plugged in',
    function (): void {
        $dirty = ($this->jar)('Dirty', 'dirty', 'white_spirit', 600);
        $clean = ($this->jar)('Clean', 'clean', 'white_spirit', 500);
        $can = ($this->jar)('Can', 'waste', null, null);
        $plan = ($this->plan)()->assertOk();
        $plan
            ->assertJsonPath('baths.0.jar', $dirty->id)
            ->assertJsonPath('baths.1.jar', $clean->id)
            ->assertJsonPath('baths.2.jar', null)
            ->assertJsonPath('baths.2.into', $can->id)
            ->assertJsonPath('baths.4.untilClear', true)
            // By hand: 8 · 15/615 = 0.195 g after the dirty jar.
            ->assertJsonPath('baths.0.left', "0.20\u{a0}g")
            ->assertJsonPath(
                'lines.3',
                __('strip.plan.cost_unknown', [
                    'volumes' => "200\u{a0}ml white spirit and 400\u{a0}ml methylated spirit",
                    'solvents' => 'white spirit and methylated spirit',
                ]),
            );
        foreach (['white_spirit' => '8,00', 'methylated_spirit' => '6'] as $supply => $amount) {
            $this->post('/prices', [
                'action_id' => (string) Str::uuid(),
                'supply' => $supply,
                'amount' => $amount,
                'quantity' => '1000',
                'date' => '2026-11-01',
            ])->assertSessionHasNoErrors();
        }
        // Begun at 12:00: 22 minutes of timers and twelve steps of a minute until the steel is bare, three hours to dry, a minute to look.
        ($this->plan)()
            ->assertJsonPath('lines.3', "Fresh solvent: 200\u{a0}ml white spirit and 400\u{a0}ml methylated spirit, €4.00.")
            ->assertJsonPath('lines.1', 'Bare about 12:34, dry about 15:35 if nothing has to be repeated.')
            ->assertJsonPath(
                'lines.2',
                fn(string $line) => str_contains($line, 'Pot plugged in from 15:35 at the earliest') &&
                    str_contains($line, 'Wax it before 00:34 tomorrow'),
            );

        // The solvent at hand is split by strip.rinse.
        ($this->plan)(['split' => 'white_spirit', 'total_ml' => '600', 'target_pct' => '1'])
            ->assertJsonCount(4, 'baths')
            ->assertJsonPath('baths.0.takes', "300\u{a0}ml");
        ($this->plan)(['split' => 'white_spirit', 'total_ml' => '60', 'target_pct' => '0,1'])->assertJsonValidationErrors(
            'target_fraction',
        );

        // What cannot be is said where it is.
        ($this->jar)('Small', 'dirty', 'methylated_spirit', 150);
        $small = $this->bench->lastAction()->about->jar;
        $from = fn(int $bath, int $jar) => [
            'sources' => array_map(fn(int $n) => ['jar' => $n === $bath ? $jar : null, 'into' => null], range(0, 4)),
        ];
        ($this->plan)($from(3, $small))->assertJsonValidationErrors([
            'sources.3' => __('errors.jar_too_little', ['has' => 150, 'needs' => 200]),
        ]);
        ($this->plan)($from(3, $dirty->id))->assertJsonValidationErrors(['sources.3' => __('errors.jar_other_solvent')]);
        ($this->plan)(['protocol' => 'own-99'])->assertJsonValidationErrors('protocol');
        ($this->plan)(['protocol' => 'two_petrol_jars'])
            ->assertOk()
            ->assertJsonPath('advised', false);
        ($this->plan)(['protocol' => 'two_petrol_jars', 'without_petrol' => true])
            ->assertJsonPath('advised', true)
            ->assertJsonPath('baths.0.solvent', 'White spirit');
    },
);

it('leads from the box to bare steel, counts each tap once, and writes the record by itself', function (): void {
    $dirty = ($this->jar)('Dirty', 'dirty', 'white_spirit', 600);
    $can = ($this->jar)('Can', 'waste', null, null);
    $job = ($this->begin)();
    $this->post('/strip', ['action_id' => $job->id, 'chains' => [$this->box->id], 'protocol' => Protocols::DEFAULT])->assertRedirect(
        "/jobs/{$job->id}",
    );
    expect(GuidedJob::query()->count())->toBe(1);

    // Nothing is skipped that must be confirmed.
    ($this->tap)($job, ['position' => 0])->assertJsonValidationErrors(['ticks' => __('errors.tick_all')]);
    $ticks = ['gloves', 'open_air', 'no_flame', 'plastic_jar', 'link_along'];
    $first = ['id' => (string) Str::uuid(), 'position' => 0, 'ticks' => $ticks];
    ($this->tap)($job, $first)->assertOk()->assertJsonPath('current.position', 1);
    ($this->tap)($job, $first)->assertOk()->assertJsonPath('current.position', 1);
    // Another device taps the same step: it counts once. One that is ahead is told where the job is.
    ($this->tap)($job, ['position' => 0, 'ticks' => $ticks])
        ->assertOk()
        ->assertJsonPath('current.position', 1);
    ($this->tap)($job, ['position' => 4])
        ->assertStatus(409)
        ->assertJsonPath('current.position', 1);
    ($this->tap)($job, ['position' => 1, 'kind' => 'again'])->assertStatus(409);

    // Taps that waited for the server keep their times and their order.
    $nowS = app(AppClock::class)->unixS();
    app(AppClock::class)->stopAt($nowS + 1200);
    ($this->tap)(
        $job,
        ['position' => 1, 'at' => $nowS + 30],
        ['position' => 2, 'at' => $nowS + 95],
        ['position' => 3, 'kind' => 'longer', 'at' => $nowS + 100],
    )->assertJsonPath('current', [
        'position' => 3,
        'step' => 3,
        'round' => 1,
        'seconds' => 840,
        'gone' => 1105,
        'paused' => false,
        'signed' => false,
    ]);
    ($this->tap)($job, ['position' => 3, 'kind' => 'pause'])->assertJsonPath('current.paused', true);
    app(AppClock::class)->stopAt($nowS + 5000);
    $this->getJson("/jobs/{$job->id}/state")->assertJsonPath('current.gone', 1105);
    ($this->tap)($job, ['position' => 3, 'kind' => 'resume'])->assertJsonPath('current.gone', 1105);

    // The third bath is cloudy once; the chain is bare from the end of the last bath on, while it still dries.
    ($this->lead)($job, 'dry', [11]);
    $action = Action::query()->findOrFail($job->refresh()->action_id);
    $baths = Bath::query()->where('action_id', $action->id)->orderBy('id')->get();
    expect($baths->map(fn(Bath $bath) => [$bath->component_id, $bath->into_id, $bath->volume_ml, $bath->look])->all())
        ->toBe([
            [$dirty->id, null, 600.0, null],
            [null, $can->id, 200.0, null],
            [null, $can->id, 200.0, 'cloudy'],
            [null, $can->id, 200.0, 'clear'],
            [null, null, 200.0, null],
            [null, null, 200.0, 'clear'],
        ])
        ->and($this->bench->state($this->box)->status)
        ->toBe(ChainStatus::Bare)
        ->and($this->bench->state($this->box)->dryness->bareSinceS)
        ->toBe($action->about->at)
        ->and(array_map(fn(JarState $jar) => [$jar->cleanings, round($jar->volumeMl)], ($this->jars)()))
        ->toBe([$dirty->id => [1, 600.0], $can->id => [0, 600.0]]);
    $this->get('/history')->assertInertia(
        fn($page) => $page->where(
            'actions.0.sentence',
            fn(string $text) => str_starts_with($text, 'Stripped Heron N by “Three shakes and two” in 6 baths'),
        ),
    );
    $this->getJson("/jobs/{$job->id}/state")
        ->assertJsonPath('residues.3.seen', 'seen: cloudy')
        ->assertJsonPath('residues.4.name', '3 again')
        ->assertJsonPath('residues.4.seen', 'seen: clear');

    // Next carries it until it is dry; no pot for it before the last check.
    $this->get('/')->assertInertia(
        fn($page) => $page
            ->where('next.0.line.kind', 'job')
            ->where('next.0.line.verb', 'go')
            ->where('next.0.line.job', $job->id)
            ->where('pot.solventOut', true)
            ->where('pot.chains', [])
            ->where('rails.0.hanging.0.job', $job->id),
    );
    $this->post('/dips', ['chains' => [$this->box->id], 'dry' => true] + Bench::form(-0.0))->assertSessionHasErrors([
        'chains' => __('errors.chain_in_job', ['chain' => 'Heron N']),
    ]);
    ($this->lead)($job);
    expect($job->refresh()->ended_at)->not->toBeNull();
    ($this->tap)($job, ['position' => 3])->assertOk();
    $this->get('/')->assertInertia(fn($page) => $page->where('next.0.line.kind', 'bare')->where('pot.solventOut', false));

    // Taken back like any other action: the chain is in its box again and the jar was not used.
    $this->post("/actions/{$action->id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect($this->bench->state($this->box)->status)
        ->toBe(ChainStatus::Unwaxed)
        ->and(($this->jars)()[$dirty->id]->cleanings)
        ->toBe(0);
});

it('lets one job at a time have a jar or a chain, and remembers the baths of one that was given up', function (): void {
    $dirty = ($this->jar)('Dirty', 'dirty', 'white_spirit', 600);
    $other = $this->bench->chain($this->heron, 'M', null);
    $job = ($this->begin)();
    ($this->plan)()->assertJsonValidationErrors(['chains' => __('errors.chain_in_job', ['chain' => 'Heron N'])]);
    $sources = [['jar' => $dirty->id, 'into' => null], ...array_fill(0, 4, ['jar' => null, 'into' => null])];
    ($this->plan)(['chains' => [$other->id], 'sources' => $sources])->assertJsonValidationErrors(['sources.0' => __('errors.jar_in_job')]);
    ($this->plan)(['chains' => [$other->id]])
        ->assertOk()
        ->assertJsonPath('baths.0.jar', null);
    $this->post("/jars/{$dirty->id}/entries", ['act' => 'top_up', 'volume_ml' => 10] + Bench::form(0))->assertSessionHasErrors([
        'jar' => __('errors.jar_in_job'),
    ]);

    ($this->lead)($job, 'look');
    $this->post("/jobs/{$job->id}/give-up", ['action_id' => (string) Str::uuid()])->assertRedirect("/jobs/{$job->id}");
    $this->post("/jobs/{$job->id}/give-up", ['action_id' => (string) Str::uuid()])->assertSessionHasErrors('job');
    expect(($this->jars)()[$dirty->id]->cleanings)
        ->toBe(1)
        ->and($this->bench->state($this->box)->status)
        ->toBe(ChainStatus::Unwaxed)
        ->and(Action::query()->findOrFail($job->refresh()->action_id)->about->baths)
        ->toBe(2);
    $this->get("/jobs/{$job->id}")->assertInertia(fn($page) => $page->where('job.givenUp', true));
    // One that had no bath leaves nothing behind, and its chain can be stripped again.
    $none = ($this->begin)();
    $rows = Bath::query()->count();
    $this->post("/jobs/{$none->id}/give-up", ['action_id' => (string) Str::uuid()]);
    expect(Bath::query()->count())
        ->toBe($rows)
        ->and($none->refresh()->action_id)
        ->toBeNull();
    ($this->plan)()->assertOk();
});

it('runs every school through to bare steel; petrol only if agreed to', function (string $school): void {
    $protocol = app(Protocols::class)->schools()[$school];
    $chain = $protocol->dripOnly ? $this->bench->chain($this->heron, 'F', null, fit: true) : $this->box;
    if (!$protocol->advised()) {
        $this->post('/strip', [
            'action_id' => (string) Str::uuid(),
            'chains' => [$chain->id],
            'protocol' => $school,
        ])->assertSessionHasErrors(['not_advised' => __('errors.not_advised')]);
    }
    $job = ($this->begin)(['chains' => [$chain->id], 'protocol' => $school, 'not_advised' => true]);
    $this->get("/jobs/{$job->id}")->assertInertia(
        fn($page) => $page->where('job.steps', function ($steps): bool {
            foreach ($steps as $step) {
                expect($step['title'] . $step['text'] . implode($step['cautions']))
                    ->not->toContain('strip.')
                    ->not->toContain(':ml');
            }

            return true;
        }),
    );
    ($this->lead)($job);
    expect($this->bench->state($chain)->status)
        ->toBe(ChainStatus::Bare)
        ->and($job->refresh()->ended_at)
        ->not->toBeNull();
    $this->get("/protocols/{$school}")->assertOk();
})->with([
    'three_and_two',
    'long_soak',
    'petrol_degreaser_spirit',
    'two_soaks',
    'two_petrol_jars',
    'petrol_degreaser_soap_alcohol',
    'two_bottles',
    'sieve_box',
    'ultrasonic',
    'on_the_bike',
]);

it('says which chains are not for this, and what an oil-ridden one costs against a new one', function (): void {
    $fitted = $this->bench->chain($this->heron, 'F', fit: true);
    // On the bike, freshly waxed: asked, taken off and on again in one sitting; hot water before the spirit.
    ($this->plan)(['chains' => [$fitted->id]])
        ->assertOk()
        ->assertJsonPath('asks.0.field', 'fresh_wax')
        ->assertJsonPath('lines.5', __('strip.plan.on_again'))
        ->assertJsonCount(4, 'baths');
    $this->post('/strip', [
        'action_id' => (string) Str::uuid(),
        'chains' => [$fitted->id],
        'protocol' => Protocols::DEFAULT,
    ])->assertSessionHasErrors([
        'fresh_wax' => __('errors.strip_fresh_wax'),
    ]);
    $job = ($this->begin)(['chains' => [$fitted->id], 'fresh_wax' => true]);
    expect(array_slice(array_column($job->steps, 'code'), 0, 4))->toBe(['prepare', 'take_off', 'hot_water', 'wipe']);
    $this->post("/jobs/{$job->id}/give-up", ['action_id' => (string) Str::uuid()]);
    ($this->plan)(['protocol' => 'on_the_bike'])->assertJsonValidationErrors([
        'chains' => __('errors.strip_off_bike', ['chain' => 'Heron N']),
    ]);
    $this->post(
        '/chains',
        ['bike_id' => $this->heron->id, 'label' => 'W', 'speeds' => 12, 'state' => 'factory_waxed'] + Bench::form(1),
    )->assertSessionHasNoErrors();
    $waxed = Chain::query()->findOrFail($this->bench->lastAction()->about->chain);
    expect($this->bench->state($waxed)->status)
        ->toBe(ChainStatus::Waxed)
        ->and($this->bench->state($waxed)->leftKm())
        ->toBe(300.0);
    ($this->plan)(['chains' => [$waxed->id]])->assertJsonValidationErrors([
        'chains' => __('errors.strip_factory_waxed', ['chain' => 'Heron W']),
    ]);
    $this->get('/strip')->assertInertia(fn($page) => $page->count('chains', 1));

    $this->post('/arrive', [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $this->heron->id,
        'date' => '2026-11-25',
        'chains' => [['label' => 'O', 'state' => 'none', 'km' => '900']],
    ])->assertSessionHasNoErrors();
    $oiled = $this->bench->lastAction()->about->chains[0];
    ($this->plan)(['chains' => [$oiled]])
        ->assertJsonPath('start', '16')
        ->assertJsonCount(6, 'baths')
        ->assertJsonPath('offers.0.school', 'ultrasonic')
        ->assertJsonPath('offers.1.href', "/chains/new?bike={$this->heron->id}")
        ->assertJsonPath(
            'lines.4',
            fn(string $line) => str_contains($line, '4 baths of white spirit') && str_contains($line, 'a new chain 3'),
        );
    foreach (['white_spirit' => 30, 'methylated_spirit' => 6, 'chain' => 22] as $supply => $amount) {
        $this->post('/prices', [
            'action_id' => (string) Str::uuid(),
            'supply' => $supply,
            'amount' => $amount,
            'quantity' => $supply === 'chain' ? 1 : 1000,
            'date' => '2026-11-01',
        ]);
    }
    ($this->plan)(['chains' => [$oiled]])->assertJsonPath(
        'lines.4',
        fn(string $line) => str_contains($line, 'The solvent alone costs €26.40, a new chain €22.00: buy a new one.'),
    );
});

it('keeps protocols of one’s own and refuses one that would be dangerous', function (): void {
    $steps = app(Protocols::class)->schools()['two_soaks']->toArray()['steps'];
    $keep = fn(array $steps, array $with = []) => $this->post(
        '/protocols',
        $with + ['action_id' => (string) Str::uuid(), 'name' => 'Mine', 'steps' => $steps],
    );
    $keep($steps)->assertSessionHasNoErrors()->assertRedirect('/strip');
    $this->get('/strip')->assertInertia(fn($page) => $page->count('protocols', 11)->where('protocols.10.name', 'Mine')->etc());
    $code = 'own-' . DB::table('protocols')->value('id');
    $job = app(StartStrip::class)($this->bench->by(), new StripChoices([$this->box], $code), []);
    expect($job->title)->toBe('Mine');
    // Changed while a job runs: the job keeps what it began with.
    $steps[0]['volume_ml'] = 400;
    $this->put('/protocols/' . substr($code, 4), [
        'action_id' => (string) Str::uuid(),
        'name' => 'Mine too',
        'steps' => $steps,
    ])->assertSessionHasNoErrors();
    expect($job->refresh()->run()->steps[1]->about['volume_ml'])->toEqual(200);
    $this->get('/strip')->assertInertia(fn($page) => $page->where('protocols.10.name', 'Mine too')->count('protocols', 11)->etc());
    $this->delete('/protocols/' . DB::table('protocols')->whereNull('voided_by')->value('id'), ['action_id' => (string) Str::uuid()]);
    $this->get('/strip')->assertInertia(fn($page) => $page->count('protocols', 10)->etc());

    $keep([
        ['kind' => 'ultrasonic', 'solvent' => 'isopropyl_alcohol', 'volume_ml' => 200, 'moves' => [['kind' => 'rest', 'seconds' => 60]]],
        ['kind' => 'dry', 'seconds' => 600],
    ])->assertSessionHasErrors('steps.0.solvent');
    $keep(array_slice($steps, 0, 3))->assertSessionHasErrors('steps');
});

it('makes a chain that was bare for too long be looked at before it is dipped', function (): void {
    $this->post("/chains/{$this->box->id}/strips", Bench::form(10))->assertSessionHasNoErrors();
    $this->get('/')->assertInertia(
        fn($page) => $page->where('next.0.line.kind', 'bare')->where('next.0.line.urgent', true)->where('next.0.line.late', false),
    );
    app(AppClock::class)->stopAt(Bench::NOW + 3 * 3600);
    $this->get('/')->assertInertia(
        fn($page) => $page
            ->where('next.0.line.late', true)
            ->where('rails.0.hanging.0.detail', 'check for rust')
            ->where('pot.chains.0.rust', true),
    );
    $dip = fn(array $with) => $this->post('/dips', $with + ['chains' => [$this->box->id], 'dry' => true] + Bench::form(-3));
    $dip([])->assertSessionHasErrors(['rust_looked' => __('errors.rust', ['chain' => 'Heron N'])]);
    $dip(['rust_looked' => true])->assertSessionHasNoErrors();
    expect($this->bench->state($this->box)->status)->toBe(ChainStatus::Waxed);
});

it('takes several chains in one jar, counts each, and leaves out one that was taken back meanwhile', function (): void {
    $clean = ($this->jar)('Clean', 'clean', 'white_spirit', 800);
    $two = [$this->box, $this->bench->chain($this->heron, 'M', null)];
    $gone = $this->bench->chain($this->heron, 'L', null);
    $job = ($this->begin)(['chains' => [...array_map(fn(Chain $chain) => $chain->id, $two), $gone->id], 'protocol' => 'two_bottles']);
    // As much for each: 24 g in 750 ml, 45 ml carried over by the three: 8 · 45/795 = 0.45 g each.
    $this->getJson("/jobs/{$job->id}/state")->assertJsonPath('residues.1.text', "0.45\u{a0}g");
    $this->post("/actions/{$gone->action_id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    ($this->lead)($job);
    expect(array_map(fn(Chain $chain) => $this->bench->state($chain)->status, $two))
        ->toBe([ChainStatus::Bare, ChainStatus::Bare])
        ->and(($this->jars)()[$clean->id]->cleanings)
        ->toBe(3)
        ->and(DB::table('strips')->count())
        ->toBe(2);
    ($this->plan)(['chains' => []])->assertJsonValidationErrors(['chains' => __('errors.no_chains')]);
    ($this->plan)(['chains' => array_fill(0, 2, $this->box->id)])->assertJsonValidationErrors('chains.0');
});

it('shows the sheet of the very solvent at the step', function (): void {
    $this->post(
        '/jars',
        [
            'action_id' => (string) Str::uuid(),
            'name' => 'Odourless',
            'role' => 'dirty',
            'solvent' => 'white_spirit',
            'volume_ml' => 500,
            'flash' => 62,
            'boiling' => 190,
        ] + Bench::form(5),
    )->assertSessionHasNoErrors();
    $job = ($this->begin)();
    $this->get("/jobs/{$job->id}")->assertInertia(
        fn($page) => $page
            ->where('job.steps.1.subject', "White spirit. Flash point 62\u{a0}°C: GHS category 4, “Warning”, combustible liquid.")
            ->where('job.steps.6.subject', fn(string $text) => str_contains($text, "39\u{a0}°C: GHS category 3"))
            ->where('job.steps.1.text', 'Open “Odourless”, 500' . "\u{a0}" . 'ml of white spirit. Chain in, lid on.'),
    );
});

it('says nothing new of a chain when its letter is changed', function (): void {
    $edit = fn(array $with) => $this->put(
        "/chains/{$this->box->id}",
        $with + [
            'action_id' => (string) Str::uuid(),
            'bike_id' => $this->heron->id,
            'label' => 'N',
            'speeds' => 12,
            'pitches' => 116,
            'load' => 'greased',
            'joint' => 'quick_link',
        ],
    );
    $edit(['label' => 'Q'])->assertSessionHasNoErrors();
    expect($this->bench->lastAction()->about->changed)->toBe(['chain.label' => ['N', 'Q']]);
    $edit(['label' => 'Q', 'load' => 'oiled', 'price' => '19,5'])->assertSessionHasNoErrors();
    expect($this->bench->lastAction()->about->changed)->toBe(['chain.load' => [null, 'oiled'], 'chain.price_minor' => [null, 1950]]);
    $this->get('/history')->assertInertia(
        fn($page) => $page->where('actions.0.sentence', 'Changed Heron Q: came with old oil, price €19.50'),
    );
    // What was said can be taken back by saying otherwise.
    $edit(['label' => 'Q'])->assertSessionHasNoErrors();
    expect($this->bench->lastAction()->about->changed)->toBe(['chain.load' => ['oiled', 'greased'], 'chain.price_minor' => [1950, null]]);
});

it('mixes no solvents in one can, and keeps a can that something was poured into', function (): void {
    $can = ($this->jar)('Can', 'waste', null, null);
    $second = ($this->jar)('Second can', 'waste', null, null);
    $into = fn(int ...$cans) => ['sources' => array_map(fn(int $id) => ['jar' => null, 'into' => $id], $cans)];
    ($this->plan)()->assertJsonPath('baths.0.into', $can->id)->assertJsonPath('baths.4.into', $second->id);
    ($this->plan)($into($can->id, $can->id, $can->id, $can->id, $second->id))->assertJsonValidationErrors([
        'sources.3' => __('errors.jar_other_solvent'),
    ]);
    ($this->plan)($into($can->id, $can->id, $can->id))->assertJsonValidationErrors('sources');
    $job = ($this->begin)($into($can->id, $can->id, $can->id, $second->id, $second->id));
    ($this->lead)($job);
    expect(array_map(fn(JarState $jar) => [$jar->solvent?->value, $jar->volumeMl, $jar->cleanings, $jar->spent()], ($this->jars)()))->toBe([
        $can->id => ['white_spirit', 600.0, 0, false],
        $second->id => ['methylated_spirit', 400.0, 0, false],
    ]);
    // The next job finds each can for what it holds.
    $other = $this->bench->chain($this->heron, 'M', null);
    ($this->plan)(['chains' => [$other->id], 'protocol' => 'two_bottles'])->assertJsonPath('baths.2.into', $second->id);
    ($this->plan)(['chains' => [$other->id], 'protocol' => 'two_soaks'])->assertJsonPath('baths.1.into', null);
    // A can with something in it does not vanish: what was poured into it would have to go too.
    $this->get("/actions/{$can->action_id}/undo")->assertInertia(
        fn($page) => $page->component('History/Undo')->where('also.0.id', $job->refresh()->action_id),
    );
    $this->get('/pot')->assertInertia(
        fn($page) => $page
            ->where('jars.0.acts', [['value' => 'hand_in', 'title' => 'Hand in', 'volume' => true]])
            ->where('jars.0.cleanings', ''),
    );
    $this->post("/jars/{$can->id}/entries", ['act' => 'hand_in', 'volume_ml' => 600] + Bench::form(-0.33))->assertSessionHasNoErrors();
    $this->get('/pot')->assertInertia(fn($page) => $page->where('jars.0.holds', 'empty'));
});

it('lets a viewer look on while somebody else strips', function (): void {
    $job = ($this->begin)();
    app('auth')->forgetGuards();
    app()->forgetScopedInstances();
    $this->actingAs($this->bench->person(Role::Viewer));
    $this->get("/jobs/{$job->id}")->assertOk();
    $this->getJson("/jobs/{$job->id}/state")->assertJsonPath('current.position', 0);
    ($this->tap)($job, ['position' => 0])->assertForbidden();
    $this->get('/pot')->assertOk();
    $this->get('/protocols/long_soak')->assertInertia(
        fn($page) => $page
            ->where('lines.0', "250\u{a0}ml white spirit: stand 10\u{a0}h, shake 1\u{a0}min; repeat with fresh solvent until clear")
            ->where('notAdvised', null),
    );
    $this->get('/strip')->assertForbidden();
});

it('learns what a strip takes from its taps, and offers it to the plan', function (): void {
    $learned = fn(): mixed => Bench::deferred($this, '/ahead', 'learned')['learned'];
    $boxes = array_map(fn(string $name) => $this->bench->chain($this->heron, $name, null), ['O', 'P', 'Q', 'R', 'S']);
    // One given up at its second bath taught nothing; of the others one had two chains in its jars.
    ($this->lead)(($this->begin)(['chains' => [$boxes[4]->id]]), 'look');
    $this->post('/jobs/' . GuidedJob::query()->sole()->id . '/give-up', ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    foreach ([[$boxes[0]], [$boxes[1]], [$boxes[2], $boxes[3]]] as $chains) {
        expect($learned())->toBeNull();
        $job = ($this->lead)(($this->begin)(['chains' => array_map(fn($chain) => $chain->id, $chains)]));
        expect($job->ended_at)->not->toBeNull();
    }
    // A minute a step; the air that dries it can be left.
    $minutes = count(array_filter($job->run()->steps, fn($step) => !$step->leavable()));
    $offer = $learned();
    expect($offer['texts'])
        ->toContain("Your last 3 guided strips took {$minutes} to {$minutes} min, waits of half an hour and more left out.")
        ->and([$offer['strip'], $offer['fixed']])
        ->toBe([(string) $minutes, '45']);
    // Next goes by it too.
    $lasts = fn(): string => collect(Bench::steps($this->get('/')->inertiaProps()['next']))->firstWhere('kind', 'strip')['hour'];
    expect($lasts())->toBe("35\u{a0}min");
    $terms = ['weekdays' => [6, 7]] + array_diff_key($offer, ['texts' => 1]) + Bench::TERMS;
    $this->put('/ahead/terms', ['action_id' => (string) Str::uuid()] + $terms)->assertSessionHasNoErrors();
    app()->forgetScopedInstances();
    expect($learned())
        ->toBeNull()
        ->and($lasts())
        ->toBe("{$offer['strip']}\u{a0}min");
});
