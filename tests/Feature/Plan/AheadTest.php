<?php

declare(strict_types=1);

use App\Models\Action;
use App\Models\Membership;
use App\Models\PlannedRide;
use App\Models\Pot;
use App\Models\Role;
use App\Models\Setting;
use App\Plan\ReadPlan;
use App\Support\AppClock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Symfony\Component\Process\Process;
use Tests\Feature\Bench;

/** What a page has in the end of an answer that came line by line. @return array<string, mixed> */
function refined(TestResponse $answer): array
{
    $parts = array_map(
        fn(string $line) => json_decode($line, true, 512, JSON_THROW_ON_ERROR),
        array_filter(explode("\n", $answer->assertOk()->streamedContent())),
    );
    $rows = [];
    foreach ($parts as $part) {
        $part['at'] === null || ($rows[$part['at']] = $part['row']);
    }

    return array_last(array_filter(array_column($parts, 'all'))) + [
        'rows' => $rows,
        'economy' => array_last(array_filter(array_column($parts, 'economy'))),
        'parts' => $parts,
    ];
}

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    $this->heron = $this->bench->bike();
    [$this->a, $this->b] = [$this->bench->chain($this->heron, 'A', 900, fit: true), $this->bench->chain($this->heron, 'B', 900)];
    $this->does = fn(string $url, array $data = [], string $method = 'post') => $this->{$method}(
        $url,
        $data + ['action_id' => (string) Str::uuid()],
    )->assertSessionHasNoErrors();
    $this->does->call($this, '/rides', ['bike_id' => $this->heron->id, 'distance' => 200, 'condition' => 'dry'] + Bench::form(400));
    ($this->does)(
        "/bikes/{$this->heron->id}",
        [
            'name' => 'Heron',
            'kind' => 'road',
            'speeds' => 12,
            'interval' => 300,
            'limit_school' => 'strict',
            'week_winter' => '0 0 0 0 0 60 90,0',
        ],
        'put',
    );
    ($this->does)('/ahead/terms', ['weekdays' => [4]] + Bench::TERMS, 'put');
    $this->page = function (string $url = '/ahead'): array {
        $found = [];
        app()->forgetScopedInstances();
        $this->get($url)->assertInertia(function (AssertableInertia $page) use (&$found): void {
            $found = $page->toArray()['props'];
        });

        return $found;
    };
    $this->plain = fn(mixed $text): string => str_replace("\u{a0}", ' ', is_array($text) ? implode(' | ', $text) : (string) $text);
});

it('says that no ride is expected rather than that no pot day is needed', function (): void {
    ($this->does)(
        "/bikes/{$this->heron->id}",
        [
            'name' => 'Heron',
            'kind' => 'road',
            'speeds' => 12,
            'interval' => 300,
            'limit_school' => 'strict',
            'week_winter' => '0 0 0 0 0 0 0',
        ],
        'put',
    );
    $page = ($this->page)();
    expect(($this->plain)($page['plan']['headline']))
        ->toStartWith('No ride is expected until')
        ->and(($this->plain)($page['plan']['about']))
        ->toStartWith('Log rides, or write down a week')
        ->and(($this->plain)($page['plan']['lanes'][0]['about']))
        ->toBe('re-wax at 300 km, no ride expected');
});

it('reads each pot once where a day is only moved, and works the same plan out once', function (): void {
    $asked = [];
    DB::listen(function ($query) use (&$asked): void {
        str_contains($query->sql, '"bath_entries"') && str_starts_with($query->sql, 'select') && ($asked[] = $query->sql);
    });
    $this->postJson('/ahead/try', ['pinned' => ['2026-11-26'], 'action_id' => (string) Str::uuid()])->assertOk();
    expect($asked)->toHaveCount(1);
    // Whoever asks next, the Shed or the calendar, gets the plan that is known.
    $plan = app(ReadPlan::class)($this->bench->workshop->refresh());
    $result = $plan->result();
    expect(app(ReadPlan::class)($this->bench->workshop)->result())->toBe($result);
});

it('goes by hours where the bike does: on the Shed, on the chain and in the weeks ahead', function (): void {
    $bike = ['name' => 'Heron', 'kind' => 'road', 'speeds' => 12, 'interval' => 300, 'interval_hours' => '12', 'limit_school' => 'strict'];
    ($this->does)("/bikes/{$this->heron->id}", $bike + ['week_winter' => '0 0 0 0 0 60 90'], 'put');
    // 60 km in 2 h 30: at that pace the 200 km before, which nobody timed, took 8 h 20. Of 300 km 40 are left, of 12 h 1 h 10.
    ($this->does)('/rides', ['bike_id' => $this->heron->id, 'distance' => 60, 'hours' => '2.5', 'condition' => 'dry'] + Bench::form(1));
    $shed = ($this->page)('/');
    $chain = ($this->page)("/chains/{$this->a->id}");
    $lane = ($this->page)()['plan']['lanes'][0];
    // What runs out first is said large.
    $rail = $shed['rails'][0];
    expect(
        ($this->plain)([
            "{$rail['leftNumber']} {$rail['leftWords']}",
            $rail['alsoLeft'],
            $rail['fitted']['word'],
            $chain['chain']['left'],
            $chain['chain']['alsoLeft'],
        ]),
    )
        ->toBe('1 h 10 of 12 h left on A | 40 km of 300 km left | 1 h 10, 40 km of 300 km left | 1 h 10 | 40 km of 300 km left')
        ->and(($this->plain)(collect($chain['why'])->firstWhere('figure', 'left')['title']))
        ->toBe('Why 1 h 10 of wax left?')
        ->and(($this->plain)($lane['about']))
        ->toBe('re-wax at 300 km or 12 h, as planned')
        // Saturday's 60 km and Sunday's 90 take 2 h 30 and 3 h 45: more than A has.
        ->and(($this->plain)(array_slice(array_column($lane['days'], 'text'), 2, 3)))
        ->toBe(
            'Fri 27 Nov: no ride; 40 km or 1 h 10 on A | ' .
                'Sat 28 Nov: 60 km on B, which takes 60 km and 2 h 30 of wax; then 240 km or 9 h 30; swap to B, A comes off | ' .
                'Sun 29 Nov: 90 km on B, which takes 90 km and 3 h 45 of wax; then 150 km or 5 h 45',
        );
});

it('plans the weeks, plans around what somebody changes and says what that costs; Next, pot day and calendar go by it', function (): void {
    $page = ($this->page)();
    expect($page['plan']['headline'])
        ->toBe('One pot day carries you to Wed 23 Dec')
        ->and(array_column($page['plan']['pots'], 'date'))
        ->toBe(['2026-12-10'])
        ->and(($this->plain)(array_map(fn(array $one) => "{$one['name']}: {$one['why']}", $page['plan']['pots'][0]['chains'])))
        ->toBe('Heron A: 40 km left, not ridden soon; it goes along | Heron B: 60 km left, ridden next on Sat 12 Dec')
        ->and(count($page['plan']['lanes'][0]['days']))
        ->toBe(29)
        ->and($page['plan']['doubts'])
        ->toBe([]);
    $try = fn(array $with) => $this->postJson('/ahead/try', ['action_id' => (string) Str::uuid()] + $with)
        ->assertOk()
        ->json();
    // A week later is too late for the second weekend: the pot is hot twice then, or the bottle bridges.
    $moved = $try(['pinned' => ['2026-12-17'], 'forbidden' => ['2026-12-10']]);
    expect($moved['whole'])
        ->toBeTrue()
        ->and(($this->plain)($moved['change']))
        ->toEndWith('more in all')
        ->and(array_column($moved['pots'], 'date'))
        ->toContain('2026-12-17')
        ->not->toContain('2026-12-10')
        ->and($moved['sure'])
        ->toContain('on wax');
    $without = $try(['not_on' => [['chain_id' => $this->a->id, 'date' => '2026-12-10']]]);
    expect(array_column($without['pots'][0]['chains'], 'id'))->toBe([$this->b->id]);
    // "I have an hour": two chains take 63 minutes, so the one that is ridden next goes in alone; with ten minutes the pot stays cold.
    $hour = $try(['within' => ['date' => '2026-12-10', 'minutes' => '60']]);
    expect(array_column($hour['pots'][0]['chains'], 'id'))
        ->toBe([$this->b->id])
        ->and($hour['pots'][0]['minutes'])
        ->toBe(59)
        ->and($hour['wanted'])
        ->toBe(['pinned' => ['2026-12-10'], 'forbidden' => [], 'not_on' => [['chain_id' => $this->a->id, 'date' => '2026-12-10']]])
        ->and($try(['within' => ['date' => '2026-12-10', 'minutes' => '10']])['wanted']['forbidden'])
        ->toBe(['2026-12-10'])
        ->and($page['plan']['pots'][0]['week'])
        ->toBe(['2026-12-10']);
    $this->postJson('/ahead/try', [
        'action_id' => (string) Str::uuid(),
        'not_on' => [['chain_id' => ($other = new Bench('other@test.example'))->chain($other->bike(), 'A')->id, 'date' => '2026-12-10']],
    ])->assertNotFound();
    ($this->does)('/ahead/days', [
        'pinned' => ['2026-12-17'],
        'forbidden' => ['2026-12-10'],
        'not_on' => [['chain_id' => $this->a->id, 'date' => '2026-12-17']],
    ]);
    $kept = ($this->page)();
    expect(array_column($kept['plan']['pots'], 'date'))
        ->toBe(array_column($moved['pots'], 'date'))
        ->and(($this->plain)(array_column($kept['changes'], 'text')))
        ->toBe('No pot on Thu 10 Dec | Pot day on Thu 17 Dec, whatever it costs | Heron A stays out on Thu 17 Dec');
    // How long the wax is good for goes by the plan too: its Saturdays and Sundays, not the one ride of late.
    expect(($this->plain)(implode(' ', array_map(strval(...), ($this->page)('/')['rails'][0]['until']))))->toContain(
        'Good until Sunday ; that day’s 90 km needs 50 km more',
    );
    // Next and the page of the pot day have the first pot of the plan, with its chains; a browser reminds of it on its day.
    $first = $kept['plan']['pots'][0];
    $ids = array_column($first['chains'], 'id');
    app(AppClock::class)->stopAt((int) strtotime("{$first['date']} 12:00 UTC"));
    $pots = fn(array $lines): array => array_values(
        array_filter(
            array_merge(...array_map(fn(array $line) => $line['steps'] ?: [$line['line']], $lines)),
            fn(array $step) => $step['kind'] === 'planned_pot',
        ),
    );
    $shed = ($this->page)('/');
    expect($pots($shed['next'])[0]['chains'])
        ->toEqualCanonicalizing($ids)
        ->and(array_column(array_filter($shed['pot']['chains'], fn(array $one) => $one['proposed']), 'id'))
        ->toEqualCanonicalizing($ids)
        ->and(($this->page)('/pot-day')['chosen'])
        ->toEqualCanonicalizing($ids);
    app()->forgetScopedInstances();
    expect($this->getJson('/reminders')->json('0.tag'))->toEndWith($first['date']);
    // The morning after, unused, it is said, and planned anew for another day; once something was dipped it is not.
    $later = fn(string $prop): mixed => Bench::deferred($this, '/ahead', $prop)[$prop];
    app(AppClock::class)->stopAt((int) strtotime("{$first['date']} 12:00 UTC") + 86_400);
    app()->forgetScopedInstances();
    expect(($this->plain)($later('passed')))
        ->toContain('passed unused')
        ->and(($this->page)()['plan']['pots'][0]['date'])
        ->toBeGreaterThan($first['date']);
    app(AppClock::class)->stopAt(Bench::NOW);
    // Let go, all is as it was.
    ($this->does)('/ahead/days', ['pinned' => [], 'forbidden' => [], 'not_on' => []]);
    $again = ($this->page)();
    expect([$again['plan'], $again['changes']])->toEqual([$page['plan'], []]);
    // Further ahead is one plan for all.
    ($this->does)('/ahead/days', ['weeks' => 8]);
    expect(($this->page)())
        ->toMatchArray(['weeks' => 8])
        ->and(count(($this->page)()['plan']['days']))
        ->toBe(57);
    ($this->does)('/command', ['text' => 'plan 4 weeks']);
    // More than one is willing to spend is said.
    ($this->does)('/ahead/terms', ['weekdays' => [4], 'hours' => 0.1] + Bench::TERMS, 'put');
    expect(($this->plain)(($this->page)()['plan']['about']))->toContain('more than your 6 min a week');
    // Said in words it comes to the same.
    ($this->does)('/command', ['text' => 'pot 17 dec']);
    expect(array_column(($this->page)()['plan']['pots'], 'date'))->toContain('2026-12-17');
});

it('keeps the pot days that somebody planned by hand before', function (): void {
    Setting::query()->forceCreate([
        'workshop_id' => $this->bench->workshop->id,
        'at' => 0,
        'sequence' => 0,
        'precision' => 'minute',
        'key' => 'plan.by_hand',
        'value' => ['2026-12-03'],
        'action_id' => Action::query()->firstOrFail()->id,
    ]);
    expect(array_column(($this->page)()['plan']['pots'], 'date'))->toContain('2026-12-03');
    ($this->does)('/ahead/days', ['pinned' => []]);
    expect(array_column(($this->page)()['plan']['pots'], 'date'))->toBe(['2026-12-10']);
});

it('takes as many chains at once as the owner of the pot says: in the plan and on the pot day', function (): void {
    ($this->does)('/pots', [
        'name' => 'Shed pot',
        'kind' => 'slow_cooker',
        'diameter' => '130',
        'height' => '105',
        'low' => '90',
        'high' => '150',
        'wax' => 'plain',
    ]);
    $pot = Pot::query()->firstOrFail()->id;
    ($this->does)("/pots/{$pot}/bath", ['act' => 'fill', 'wax' => 600] + Bench::form(1));
    $terms = ['weekdays' => [4]] + Bench::TERMS;
    // Two coils fit on one another; laid loosely, three chains go in.
    expect(app(ReadPlan::class)($this->bench->workshop)->input->potCapacity)->toBe(2);
    ($this->does)('/ahead/terms', $terms + ['pots' => [['pot_id' => $pot, 'at_once' => 3]]], 'put');
    app()->forgetScopedInstances();
    expect(app(ReadPlan::class)($this->bench->workshop->refresh())->input->potCapacity)
        ->toBe(3)
        ->and(($this->page)()['terms']['pots'])
        ->toBe([['pot_id' => $pot, 'name' => 'Shed pot', 'at_once' => '3']]);
    $day = $this->postJson('/pot-day/plan', [
        'action_id' => (string) Str::uuid(),
        'pot_id' => $pot,
        'chains' => [$this->a->id, $this->b->id],
        'program' => 'low',
        'first_soak' => 'hour',
        'rewax_soak' => 'five',
        'drain' => 'slow',
        'dry_by' => 'air',
    ])->assertOk();
    expect(($this->plain)($day->json('lines')))->toContain('One batch')->toContain('3 coils at once');
    ($this->does)('/ahead/terms', $terms + ['pots' => [['pot_id' => $pot, 'at_once' => '']]], 'put');
    app()->forgetScopedInstances();
    expect(app(ReadPlan::class)($this->bench->workshop->refresh())->input->potCapacity)->toBe(2);
});

it('plans with single rides, days off and sensible answers at the edges', function (): void {
    ($this->does)('/ahead/rides', ['bike_id' => $this->heron->id, 'from' => '2026-11-29', 'distance' => 400, 'name' => 'The long one']);
    ($this->does)('/ahead/rides', ['holiday' => true, 'from' => '2026-12-05', 'until' => '2026-12-13']);
    $page = ($this->page)();
    expect(($this->plain)(array_column($page['rides'], 'text')))
        ->toBe('Sun 29 Nov, Heron, 400 km, The long one | Sat 5 Dec – Sun 13 Dec, all bikes, no rides')
        ->and($page['plan']['whole'])
        ->toBeTrue()
        ->and(($this->plain)($page['plan']['lanes'][0]['days'][4]['text']))
        ->toContain('400 km on B')
        ->toContain('longer than a coat: the last 100 km are without wax')
        ->toContain('The long one')
        ->and($page['plan']['lanes'][0]['days'][10]['ride'])
        ->toEqual(0);
    $this->post('/ahead/rides', [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $this->heron->id,
        'from' => '2026-11-29',
        'distance' => -4,
    ])->assertSessionHasErrors('distance');
    $this->post('/ahead/rides', [
        'action_id' => (string) Str::uuid(),
        'holiday' => true,
        'from' => '2026-12-05',
        'until' => '2026-12-01',
    ])->assertSessionHasErrors('until');
    $this->delete('/entries/planned_rides/' . PlannedRide::query()->firstOrFail()->id, [
        'action_id' => (string) Str::uuid(),
    ])->assertSessionHasNoErrors();
    expect(($this->page)()['rides'])->toHaveCount(1);
    // No day for the pot and no bottle: the day that cannot be ridden, and the ways out.
    ($this->does)('/ahead/terms', ['weekdays' => [], 'pot_time' => 'morning'] + Bench::TERMS, 'put');
    ($this->does)(
        '/settings',
        [
            'name' => 'S',
            'time_zone' => 'UTC',
            'distance_unit' => 'km',
            'temperature_unit' => 'C',
            'mass_unit' => 'g',
            'currency' => 'EUR',
            'language' => 'en',
            'interval' => 300,
            'limit_school' => 'strict',
            'topups_most' => 0,
            'factors' => ['indoor' => 0.8, 'dry' => 1, 'dusty' => 1.5, 'damp' => 1.5, 'wet' => 2.5, 'muddy' => 3.5],
        ],
        'put',
    );
    ($this->does)('/ahead/rides', ['bike_id' => $this->heron->id, 'from' => '2026-12-20', 'distance' => 300]);
    $stuck = ($this->page)();
    expect($stuck['plan']['headline'])
        ->toContain('No wax for')
        ->and(($this->plain)($stuck['plan']['broken']))
        ->toContain('Heron’s 300 km on Sun 20 Dec take 300 km of wax')
        ->and($stuck['remedies'][0]['good'])
        ->toBeTrue()
        // The way out, taken: nothing is left to mend.
        ->and(
            $this->postJson('/ahead/try', ['action_id' => (string) Str::uuid(), 'pinned' => $stuck['remedies'][0]['dates']])->json('whole'),
        )
        ->toBeTrue();
    // A workshop without bikes has nothing to plan.
    $this->actingAs((new Bench('new@test.example'))->owner)
        ->get('/ahead')
        ->assertInertia(fn(AssertableInertia $page) => $page->where('plan.headline', 'No bike has a chain to plan with'));
});

it('gives the plan to any calendar, at an address that can be renewed, as an independent reader understands it', function (): void {
    ($this->does)('/ahead/days', ['pinned' => ['2026-12-03']]);
    $this->post('/calendar');
    $address = (string) session('calendarAddress');
    $secret = basename($address, '.ics');
    app('auth')->forgetGuards();
    $text = $this->get("/calendar/{$secret}.ics")
        ->assertOk()
        ->assertHeader('Content-Type', 'text/calendar; charset=utf-8')
        ->getContent();
    // Read by ical.js, which knows nothing of how it was written.
    $read = function (string $text): array {
        $node = new Process(
            [
                'node',
                '--input-type=module',
                '-e',
                'import ICAL from "ical.js"; let t=""; process.stdin.on("data",d=>t+=d).on("end",()=>console.log(JSON.stringify(new ICAL.Component(ICAL.parse(t)).getAllSubcomponents("vevent").map(c=>{const e=new ICAL.Event(c);return {uid:e.uid,summary:e.summary,start:e.startDate.toJSDate().toISOString(),minutes:e.duration.toSeconds()/60,alarms:c.getAllSubcomponents("valarm").length}}))))',
            ],
            base_path(),
            null,
            $text,
        );
        $node->mustRun();

        return json_decode($node->getOutput(), true);
    };
    $all = $read($text);
    $events = array_column($all, null, 'summary');
    expect($events['Heat the pot: Heron A'])
        ->toMatchArray([
            'uid' => "pot-2026-12-03-{$this->bench->workshop->id}@dripel",
            'start' => '2026-12-03T19:00:00.000Z',
            'alarms' => 1,
        ])
        ->and($events['Heat the pot: Heron A']['minutes'])
        ->toEqual(59)
        ->and(array_keys($events))
        ->toContain('Swap Heron to B')
        // Asked again it has the same ids.
        ->and(array_column($read((string) $this->get("/calendar/{$secret}.ics")->getContent()), 'uid'))
        ->toBe(array_column($all, 'uid'));
    // In another zone the pot stands at seven in the evening there.
    $this->actingAs($this->bench->owner);
    $this->get('/ahead/dripel.ics')->assertOk();
    $this->post('/calendar');
    app('auth')->forgetGuards();
    $this->get("/calendar/{$secret}.ics")->assertNotFound();
    $this->get('/calendar/' . str_repeat('x', 40) . '.ics')->assertNotFound();
    // It is a person's own: a viewer has another, switched off it is gone, and so it is once they are shown out.
    $viewer = $this->bench->person(Role::Viewer);
    $calendar = function () use ($viewer): string {
        app('auth')->forgetGuards();
        app()->forgetScopedInstances();
        $this->actingAs($viewer)->post('/calendar')->assertRedirect();
        $path = (string) parse_url((string) session('calendarAddress'), PHP_URL_PATH);
        $this->get('/ahead')->assertInertia(fn(AssertableInertia $page) => $page->where('calendar', true));

        return $path;
    };
    $theirs = $calendar();
    $this->get($theirs)->assertOk();
    $this->delete('/calendar')->assertRedirect();
    $this->get($theirs)->assertNotFound();
    $theirs = $calendar();
    app('auth')->forgetGuards();
    app()->forgetScopedInstances();
    $this->actingAs($this->bench->owner)->delete('/people/' . Membership::query()->where('user_id', $viewer->id)->sole()->id);
    $this->get($theirs)->assertNotFound();
});

it('shows a ride in its own kilometres, and beside them the wax that it takes', function (): void {
    ($this->does)('/ahead/rides', ['bike_id' => $this->heron->id, 'from' => '2026-11-30', 'distance' => 20, 'condition' => 'damp']);
    ($this->does)('/ahead/terms', ['weekdays' => [4], 'margin' => 10] + Bench::TERMS, 'put');
    $days = ($this->page)()['plan']['lanes'][0]['days'];
    // By hand: 20 · 1.5 · 1.1.
    expect(($this->plain)(implode(' ', array_column($days, 'text'))))->toContain('Mon 30 Nov: 20 km on')->toContain('takes 33 km of wax');
});

it('lays policies side by side over the years', function (): void {
    ($this->does)('/prices', ['supply' => 'chain', 'amount' => 30, 'quantity' => 1, 'date' => '2026-01-01']);
    $policy = fn(float $km, bool $drip = false) => [
        'interval' => (string) $km,
        'chains' => null,
        'rotation' => 'even',
        'limit' => null,
        'drip_only' => $drip,
    ];
    $post = fn(array $policies) => $this->postJson('/ahead/what-if', [
        'action_id' => (string) Str::uuid(),
        'years' => 5,
        'bike_id' => $this->heron->id,
        'policies' => $policies,
    ]);
    $ask = fn(array $policies): array => refined($post($policies));
    $answer = $ask([$policy(200), $policy(400), ['chains' => 4] + $policy(300), $policy(200, true)]);
    // Something of each at once, rough; then the curve; then each once more.
    expect(array_map(fn(array $part) => [$part['at'], $part['row']['rough'] ?? null, $part['done']], $answer['parts']))
        ->toBe([
            [0, true, 1],
            [1, true, 2],
            [2, true, 3],
            [3, true, 4],
            [null, null, 5],
            [0, false, 6],
            [1, false, 7],
            [2, false, 8],
            [3, false, 9],
        ])
        ->and(array_unique(array_column($answer['parts'], 'of')))
        ->toBe([9])
        // Rows are held against each other when all of them are there, and good.
        ->and(array_map(fn(?array $all) => $all === null ? null : count($all['differences']), array_column($answer['parts'], 'all')))
        ->toBe([0, null, null, null, null, null, null, null, 3])
        ->and($answer['notes'])
        ->toHaveCount(1);
    [$short, $long, $more, $drip] = $answer['rows'];
    expect((int) $short['figures']['pot_days'])
        ->toBeGreaterThan((int) $long['figures']['pot_days'])
        ->and((int) $more['figures']['pot_days'])
        ->toBeLessThanOrEqual((int) $short['figures']['pot_days'])
        ->and($drip['figures']['pot_days'])
        ->toBe('0')
        ->and((int) $drip['figures']['topups'])
        ->toBeGreaterThan(0)
        ->and($answer['best'])
        ->not->toBe([])
        ->and($short['weeks'])
        ->not->toBe([])
        // The others against the first, in money, hours and chains.
        ->and(($this->plain)($answer['against']))
        ->toBe('Against the first row, Re-wax every 200 km')
        ->and($answer['differences'])
        ->toHaveCount(3)
        ->and(($this->plain)($answer['differences'][0]))
        ->toMatch('/^Re-wax every 400 km: .*h less work/')
        ->and($answer['economy']['chart']['span']['from'])
        ->toBeLessThanOrEqual($answer['economy']['chart']['moments'][1]['at'])
        // What is done now goes first.
        ->and(($this->page)('/ahead/what-if')['policies'][0]['interval'])
        ->toBe('300')
        ->and(array_column($answer['economy']['chart']['moments'], 'text'))
        ->toBe(['yours', 'cheapest'])
        ->and(($this->plain)($answer['bike']['rate']))
        ->toContain('at 300 km');
    // A price that nobody noted counts as nothing, and that is said.
    expect($answer['notes'][0])->toContain('cassette')->toContain('drip wax')->not->toContain('for chain')->not->toContain('chain,');
    // A later limit wears out fewer chains; on twelve speeds the school by speeds says what the strict one does.
    $limits = $ask([['limit' => 'strict'] + $policy(400), ['limit' => 'one_mark'] + $policy(400), ['limit' => 'by_speeds'] + $policy(400)])[
        'rows'
    ];
    expect((int) $limits[1]['figures']['bought'])
        ->toBeLessThanOrEqual((int) $limits[0]['figures']['bought'])
        ->and($limits[2]['figures']['money'])
        ->toBe($limits[0]['figures']['money']);
    // With an hour at a price a longer interval is cheaper than it was.
    ($this->does)('/books/hour', ['hour' => '40'], 'put');
    $dear = $ask([$policy(200), $policy(400)]);
    expect($dear['economy']['chart']['moments'][1]['at'])
        ->toBeGreaterThan($answer['economy']['chart']['moments'][1]['at'])
        ->and(($this->page)('/ahead/what-if')['hour'])
        ->toBe('40')
        ->and(($this->page)('/ahead')['plan']['about'])
        ->toContain('worth €');
    // Years and curve answer the same question alike, at the interval that the bike has.
    $row = (float) str_replace(['€', ','], '', $ask([$policy(300)])['rows'][0]['figures']['per']);
    preg_match('/outside what was measured.* it is €([\d.]+)\. From/', $dear['economy']['text'], $own);
    expect((float) ($own[1] ?? 0))->toEqualWithDelta($row, 0.01 * $row);
    $post([$policy(0)])
        ->assertStatus(422)
        ->assertJsonValidationErrors('policies.0.interval');
    // A pot in which nothing can be dipped: counted with what would do, and that is said.
    ($this->does)('/pots', [
        'name' => 'Drawer',
        'kind' => 'slow_cooker',
        'diameter' => '130',
        'height' => '105',
        'low' => '90',
        'high' => '150',
        'wax' => 'plain',
    ]);
    ($this->does)('/pots/' . Pot::query()->latest('id')->firstOrFail()->id . '/bath', ['act' => 'fill', 'wax' => 8] + Bench::form(1));
    expect(($this->plain)($ask([$policy(300)])['notes'][1]))->toContain('24 g of wax in the pot: less would not do');
    // More chains than there are want more; on the bottle alone nobody asks.
    expect(($this->plain)($ask([$policy(300), ['chains' => 12] + $policy(300)])['notes'][1]))
        ->toContain('144 g of wax')
        ->and($ask([$policy(300, true)])['notes'])
        ->toHaveCount(1);
    expect(($this->page)('/ahead/what-if')['policies'])->toHaveCount(4);
});

it('has bare steel in the calendar by itself only where no pot of the plan is in time for it', function (): void {
    $c = $this->bench->chain($this->heron, 'C', null);
    ($this->does)("/chains/{$c->id}/strips", Bench::form(4));
    $terms = Bench::TERMS;
    // Until eight this Wednesday evening; the pot is hot on Thursdays.
    expect((string) $this->get('/ahead/dripel.ics')->getContent())
        ->toContain("UID:bare-{$c->id}-")
        ->not->toContain('UID:pot-2026-11-25');
    ($this->does)('/ahead/terms', $terms + ['weekdays' => [3, 4]], 'put');
    app()->forgetScopedInstances();
    expect((string) $this->get('/ahead/dripel.ics')->getContent())
        ->toContain('UID:pot-2026-11-25')
        ->not->toContain("UID:bare-{$c->id}-");
});

it('puts the drips of a bike that lives on the bottle into the calendar', function (): void {
    ($this->does)(
        "/bikes/{$this->heron->id}",
        ['name' => 'Heron', 'kind' => 'road', 'speeds' => 12, 'interval' => 300, 'limit_school' => 'strict', 'drip_only' => true],
        'put',
    );
    $ics = (string) $this->get('/ahead/dripel.ics')->getContent();
    // A quarter of an hour on the evening before, whatever the plan prices it at.
    expect($ics)->toContain('UID:drip-')->toMatch('/DTSTART:(\\d{8})T200000Z\\r\\nDTEND:\\1T201500Z/')->not->toContain('UID:pot-');
});

it('has nothing to plan or to work out for an empty shed, and says so', function (): void {
    $this->actingAs((new Bench('new@test.example'))->owner);
    $page = ($this->page)();
    $shopping = Bench::deferred($this, '/ahead', 'shopping')['shopping'];
    expect([$page['plan']['headline'], $page['plan']['about'], $page['plan']['lanes'], $shopping])->toBe([
        'No bike has a chain to plan with',
        '',
        [],
        [],
    ]);
    $policy = ['interval' => '300', 'chains' => null, 'rotation' => 'even', 'limit' => null, 'drip_only' => false];
    expect(
        refined($this->postJson('/ahead/what-if', ['action_id' => (string) Str::uuid(), 'years' => 1, 'policies' => [$policy]])),
    )->toMatchArray(['bike' => null, 'economy' => null]);
    expect(($this->page)('/books/money'))->toMatchArray(['chart' => null, 'years' => [], 'unpriced' => '']);
});

it('shows on which day a chain is due to be measured', function (): void {
    expect(array_filter(array_column(($this->page)()['plan']['lanes'][0]['days'], 'measure')))->toBe([]);
    // Close to its limit and ridden on since: at once. B hangs and has only begun.
    ($this->does)("/chains/{$this->a->id}/readings", ['kind' => 'digital', 'value_pct' => 0.47] + Bench::form(390));
    ($this->does)('/rides', ['bike_id' => $this->heron->id, 'distance' => 150, 'condition' => 'dry'] + Bench::form(380));
    $days = ($this->page)()['plan']['lanes'][0]['days'];
    expect($days[0]['measure'])
        ->toBe('A')
        ->and(($this->plain)($days[0]['text']))
        ->toContain('to be measured: A')
        ->and(array_filter(array_column($days, 'measure')))
        ->toHaveCount(1);
    expect($this->get('/ahead/dripel.ics')->getContent())->toContain("UID:measure-{$this->a->id}-");
});

it('says what to buy and by when, and plans a dozen bikes', function (): void {
    $buy = fn(): array => array_map(
        fn(array $one) => ($this->plain)("{$one['what']} by {$one['by']}: {$one['why']}"),
        Bench::deferred($this, '/ahead', 'shopping')['shopping'],
    );
    expect($buy())->toBe([]);
    // A drip that is planned wants a bottle the evening before; a rail with one chain too few wants one today, with all that goes with it.
    ($this->does)('/ahead/days', ['forbidden' => ['2026-11-26', '2026-12-03', '2026-12-10']]);
    $bottle = $buy();
    expect($bottle)->toHaveCount(1)->and($bottle[0])->toContain('ml of drip wax by');
    ($this->does)(
        "/bikes/{$this->heron->id}",
        ['name' => 'Heron', 'kind' => 'road', 'speeds' => 12, 'interval' => 300, 'limit_school' => 'strict', 'chains_wanted' => 4],
        'put',
    );
    expect($buy()[0])
        ->toBe('2 × chain, 12 speeds, 116 pitches, closed by a quick link by Wed 25 Nov: Heron has fewer chains than it wants')
        ->and(implode("\n", $buy()))
        ->toContain('1 × quick link, 12 speeds by Wed 25 Nov: for the new chain of Heron')
        ->toContain('white spirit by Wed 25 Nov: to strip');
    ($this->does)('/ahead/days', ['forbidden' => [], 'weeks' => 26]);
    foreach (range(1, 11) as $n) {
        $bike = $this->bench->bike("Bike {$n}");
        $this->bench->chain($bike, 'A', 900, fit: true);
        ($this->does)('/rides', ['bike_id' => $bike->id, 'distance' => 40 + $n, 'condition' => 'dry'] + Bench::form(30 + 24 * $n));
    }
    $plan = ($this->page)()['plan'];
    expect($plan['lanes'])->toHaveCount(12)->and($plan['whole'])->toBeTrue()->and($plan['pots'])->not->toBe([]);
});

it('tells a week that is unlike the others, leaves it out by a tap and counts it again', function (): void {
    $crane = $this->bench->bike('Crane');
    // Sundays, 80 km; three weeks ago nothing.
    for ($week = 12; $week > 0; $week--) {
        $week === 3 ||
            ($this->does)(
                '/rides',
                ['bike_id' => $crane->id, 'distance' => 80, 'condition' => 'dry'] + Bench::form(7 * 24 * $week - 4 * 24),
            );
    }
    $page = function (): array {
        app()->forgetScopedInstances();

        return $this->get('/ahead')->assertOk()->inertiaProps();
    };
    $before = $page();
    expect(array_column($before['oddWeeks'], 'monday', 'bike'))
        ->toBe([$crane->id => '2026-11-02'])
        ->and($before['oddWeeks'][0]['text'])
        ->toContain('Crane')
        ->toContain('nothing ridden')
        ->toContain("80\u{a0}km");
    $url = "/bikes/{$crane->id}/odd-weeks";
    $this->put($url, ['action_id' => (string) Str::uuid(), 'monday' => '2026-11-03', 'out' => true])->assertSessionHasErrors('monday');
    $this->put($url, ['action_id' => ($id = (string) Str::uuid()), 'monday' => '2026-11-02', 'out' => true])->assertSessionHasNoErrors();
    expect(array_column($page()['oddWeeks'], 'out', 'monday'))->toBe(['2026-11-02' => true]);
    expect($this->get('/history')->inertiaProps()['actions'][0]['sentence'])->toContain('Crane');

    expect($this->get('/export/workshop.json')->streamedContent())->toContain('bike.odd_weeks');
    ($this->does)($url, ['monday' => '2026-11-02', 'out' => false], 'put');
    expect(array_column($page()['oddWeeks'], 'out', 'monday'))->toBe(['2026-11-02' => false]);
    $this->post("/actions/{$this->bench->lastAction()->id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect(array_column($page()['oddWeeks'], 'out', 'monday'))->toBe(['2026-11-02' => true]);
});
