<?php

declare(strict_types=1);

use App\Http\Middleware\OnlyOwner;
use App\Models\Bottle;
use App\Models\Commute;
use App\Models\Device;
use App\Models\Dip;
use App\Models\Estimate;
use App\Models\Instrument;
use App\Models\Invitation;
use App\Models\Jar;
use App\Models\Membership;
use App\Models\Opening;
use App\Models\Part;
use App\Models\Pot;
use App\Models\Price;
use App\Models\Protocol;
use App\Models\Ride;
use App\Models\RideImport;
use App\Models\Role;
use App\Models\Track;
use App\Ride\ImportState;
use App\Support\Find;
use Dripel\Core\Ride\RideFileKind;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Bench;

const OWN_ACCOUNT = ['sign-out', 'sign-ins', 'sign-ins/{signIn}', 'push', 'push/key', 'calendar'];

/** One workshop with one of everything. @return array<string, mixed> ids by name */
function furnish(Bench $bench): array
{
    $bike = $bench->bike();
    $chain = $bench->chain($bike, 'A', fit: true);
    $other = $bench->chain($bike, 'B');
    $ride = (string) Str::uuid();
    test()
        ->actingAs($bench->owner)
        ->post('/rides', ['action_id' => $ride, 'bike_id' => $bike->id, 'distance' => 20, 'condition' => 'dry'] + Bench::form(2))
        ->assertRedirect();
    test()->post('/invitations', ['role' => 'member']);
    $track = Track::query()->create([
        'id' => (string) Str::uuid(),
        'workshop_id' => $bench->workshop->id,
        'name' => 'x.gpx',
        'start' => Bench::NOW - 7200,
        'km' => 10,
        'points' => 9,
        'segments' => 1,
        'fingerprint' => "f{$bench->workshop->id}",
        'uploaded_at' => Bench::NOW,
    ]);
    test()
        ->post('/arrive', [
            'action_id' => (string) Str::uuid(),
            'bike_id' => $bike->id,
            'date' => gmdate('Y-m-d', Bench::NOW),
            'chains' => [['label' => 'U', 'state' => 'unsure']],
        ])
        ->assertSessionHasNoErrors();
    test()
        ->post('/commutes', [
            'action_id' => (string) Str::uuid(),
            'bike_id' => $bike->id,
            'weekdays' => [7],
            'time' => '08:00',
            'distance' => 5,
            'condition' => 'dry',
            'from' => '2026-11-25',
        ])
        ->assertSessionHasNoErrors();
    test()
        ->post("/bikes/{$bike->id}/estimates", [
            'action_id' => (string) Str::uuid(),
            'by' => 'distance',
            'distance' => 9,
            'from' => '2026-11-20',
            'to' => '2026-11-21',
            'condition' => 'dry',
        ])
        ->assertSessionHasNoErrors();
    test()
        ->post(
            '/jars',
            ['action_id' => (string) Str::uuid(), 'name' => 'Dirty', 'role' => 'dirty', 'solvent' => 'white_spirit', 'volume_ml' => 500] +
                Bench::form(3),
        )
        ->assertSessionHasNoErrors();
    test()
        ->post('/prices', [
            'action_id' => (string) Str::uuid(),
            'supply' => 'wax',
            'amount' => 10,
            'quantity' => 500,
            'date' => '2026-11-01',
        ])
        ->assertSessionHasNoErrors();
    test()
        ->post('/pots', [
            'action_id' => (string) Str::uuid(),
            'name' => 'Pot',
            'kind' => 'pan',
            'low' => 60,
            'diameter' => 120,
            'height' => 90,
            'wax' => 'plain',
        ])
        ->assertSessionHasNoErrors();
    test()
        ->post('/pots/' . Pot::query()->in($bench->workshop)->sole()->id . '/bath', ['act' => 'fill', 'wax' => 400] + Bench::form(2))
        ->assertSessionHasNoErrors();
    test()
        ->postJson('/pots/' . Pot::query()->in($bench->workshop)->sole()->id . '/devices', ['name' => 'Probe'])
        ->assertOk();
    test()
        ->post('/instruments', ['action_id' => (string) Str::uuid(), 'name' => 'Gauge', 'kind' => 'drop_in', 'marks' => '0.5'])
        ->assertSessionHasNoErrors();
    RideImport::query()->create([
        'id' => ($import = (string) Str::uuid()),
        'workshop_id' => $bench->workshop->id,
        'kind' => RideFileKind::Zip,
        'name' => 'x.zip',
        'state' => ImportState::Stopped,
        'total' => 1,
        'failures' => [],
        'started_at' => Bench::NOW,
    ]);
    test()
        ->post('/bottles', ['action_id' => (string) Str::uuid(), 'name' => 'Drip', 'volume' => 120])
        ->assertSessionHasNoErrors();
    test()
        ->post(
            "/bikes/{$bike->id}/parts",
            ['action_id' => (string) Str::uuid(), 'kind' => 'cassette', 'name' => 'Cassette'] + Bench::form(2),
        )
        ->assertSessionHasNoErrors();
    test()
        ->post('/links', ['action_id' => (string) Str::uuid(), 'name' => 'Spare', 'speeds' => 12, 'count' => 1])
        ->assertSessionHasNoErrors();
    $boxed = $bench->chain($bike, 'N', null);
    $job = (string) Str::uuid();
    test()
        ->post('/strip', ['action_id' => $job, 'chains' => [$boxed->id], 'protocol' => 'two_bottles'])
        ->assertRedirect("/jobs/{$job}");
    test()
        ->post('/protocols', [
            'action_id' => (string) Str::uuid(),
            'name' => 'Mine',
            'steps' => [
                ['kind' => 'bath', 'solvent' => 'isopropyl_alcohol', 'volume_ml' => 200, 'moves' => [['kind' => 'shake', 'seconds' => 60]]],
                ['kind' => 'dry', 'seconds' => 3600],
            ],
        ])
        ->assertSessionHasNoErrors();
    app('auth')->forgetGuards();

    return [
        'job' => $job,
        'device' => Device::query()->in($bench->workshop)->sole()->id,
        'signIn' => $bench->signIn()->id,
        'pot' => Pot::query()->in($bench->workshop)->sole()->id,
        'price' => Price::query()->in($bench->workshop)->sole()->id,
        'instrument' => Instrument::query()->in($bench->workshop)->sole()->id,
        'import' => $import,
        'bottle' => Bottle::query()->in($bench->workshop)->sole()->id,
        'part' => Part::query()->in($bench->workshop)->where('kind', 'cassette')->sole()->id,
        'link' => Part::query()->in($bench->workshop)->where('kind', 'quick_link')->sole()->id,
        'jar' => Jar::query()->in($bench->workshop)->sole()->id,
        'protocol' => Protocol::query()->in($bench->workshop)->sole()->id,
        'code' => 'own-' . Protocol::query()->in($bench->workshop)->sole()->id,
        'bike' => $bike->id,
        'chain' => $other->id,
        'ride' => Ride::query()->in($bench->workshop)->sole()->id,
        'track' => $track->id,
        'action' => $ride,
        'invitation' => Invitation::query()->in($bench->workshop)->sole()->id,
        'opening' => Opening::query()->in($bench->workshop)->sole()->id,
        'estimate' => Estimate::query()->in($bench->workshop)->sole()->id,
        'commute' => Commute::query()->in($bench->workshop)->sole()->id,
        'table' => 'rides',
        'membership' => Membership::query()->where('workshop_id', $bench->workshop->id)->orderBy('id')->firstOrFail()->id,
        'entry' => Dip::query()->in($bench->workshop)->firstOrFail()->id,
        'type' => 'dips',
        'token' => 'none',
    ];
}

/** Every form's fields, with ids where it takes some. @return array<string, mixed> */
function formWith(array $ids): array
{
    return Bench::form(1) + [
        'bike_id' => $ids['bike'],
        'chain_id' => $ids['chain'],
        'chains' => [$ids['chain']],
        'also' => [$ids['action']],
        'dry' => true,
        'distance' => 12,
        'condition' => 'dry',
        'name' => 'Name',
        'kind' => 'road',
        'speeds' => 12,
        'interval' => 300,
        'limit_school' => 'strict',
        'label' => 'Z',
        'state' => 'boxed',
        'role' => 'member',
        'rides' => [$ids['ride']],
        'pot_id' => $ids['pot'],
        'bottle_id' => $ids['bottle'],
        'place' => 'on_bike',
        'coats' => 1,
        'excess' => 'leave',
        'care' => 'wiped',
        'volume' => 50,
        'program' => 'low',
        'first_soak' => 'hour',
        'rewax_soak' => 'five',
        'drain' => 'slow',
        'dry_by' => 'air',
        'heat_up' => $ids['job'],
        'taps' => [
            [
                'id' => (string) Str::uuid(),
                'kind' => 'done',
                'position' => 0,
                'at' => Bench::NOW,
                'ticks' => ['gloves', 'open_air', 'no_flame', 'plastic_jar'],
            ],
        ],
        'act' => 'top_up',
        'wax' => 20,
        'diameter' => 120,
        'power' => 'high',
        'start' => 18,
        'target' => 85,
        'height' => 90,
        'volume_ml' => 50,
        'protocol' => 'two_bottles',
        'steps' => [
            ['kind' => 'bath', 'solvent' => 'isopropyl_alcohol', 'volume_ml' => 200, 'moves' => [['kind' => 'shake', 'seconds' => 60]]],
            ['kind' => 'dry', 'seconds' => 3600],
        ],
    ];
}

/** @return list<Illuminate\Routing\Route> that only who is signed in may take */
function walkedRoutes(string ...$methods): array
{
    return array_values(
        array_filter(
            Route::getRoutes()->getRoutes(),
            fn($route) => in_array($route->methods()[0], $methods, true) && in_array('auth', $route->gatherMiddleware(), true),
        ),
    );
}

/** @param array<string, mixed> $ids */
function pathOf(Illuminate\Routing\Route $route, array $ids): string
{
    return '/' . preg_replace_callback('/\{(\w+)\}/', fn(array $m) => (string) $ids[$m[1]], ltrim($route->uri(), '/'));
}

/** Whether two answers say the same, whatever the addresses that they were asked at. */
function saysTheSame(TestResponse $one, TestResponse $other): bool
{
    $said = function (TestResponse $answer): mixed {
        $page =
            str_contains((string) $answer->headers->get('Content-Type'), 'text/html') && $answer->isOk() ? $answer->viewData('page') : null;

        return $page === null
            ? [$answer->headers->get('Location'), $answer->baseResponse->getContent()]
            : [$page['component'], $page['props']];
    };

    return $one->getStatusCode() === $other->getStatusCode() && $said($one) == $said($other);
}

/** What a field names, by the last part of its name; a list of them by its own. */
const REFERENCES = [
    'bike_id' => 'bike',
    'chain_id' => 'chain',
    'chain' => 'chain',
    'chains.*' => 'chain',
    'powder.*' => 'chain',
    'rinsed.*' => 'chain',
    'pot_id' => 'pot',
    'bottle_id' => 'bottle',
    'instrument_id' => 'instrument',
    'link_id' => 'link',
    'heat_up' => 'job',
    'also.*' => 'action',
    'rides.*' => 'ride',
    'track' => 'track',
    'jar' => 'jar',
    'into' => 'jar',
];

/** What must stand beside a field for its form to be looked at as a whole; @name: one's own. */
const BESIDE = [
    'rides.*.track' => ['rides' => [], 'rides.0.bike_id' => '@bike', 'rides.0.condition' => 'dry'],
    'rides.*.bike_id' => ['rides' => [], 'rides.0.track' => '@track', 'rides.0.condition' => 'dry'],
    'pots.*.pot_id' => [
        'pots.0.at_once' => 2,
        'weekdays' => [6],
        'pot_time' => 'evening',
        'fixed' => 45,
        'dip' => 4,
        'batch' => 10,
        'swap' => 3,
        'topup' => 60,
        'margin' => 10,
    ],
    'not_on.*.chain_id' => ['not_on.0.date' => '2026-12-03'],
    'link_id' => ['new_link' => true],
    'instrument_id' => ['kind' => 'digital', 'value_pct' => 0.1],
];

/**
 * The fields of every form that name something by its id, from the rules of the form itself: a new one is walked without being listed,
 * and one whose kind nobody knows fails.
 *
 * @param array<string, mixed> $own
 *
 * @return list<array{string, string, string, string}> method, path, field, what it names
 */
function referencesOf(array $own, Bench $bench): array
{
    /** @var ArrayObject<int, FormRequest> $seen */
    $seen = new ArrayObject();
    app()->resolving(FormRequest::class, fn(FormRequest $request) => $seen->exchangeArray([$request]));
    $found = [];
    foreach (walkedRoutes('POST', 'PUT', 'DELETE') as $route) {
        if (in_array($route->uri(), [...OWN_ACCOUNT, 'leave'], true)) {
            continue;
        }
        $seen->exchangeArray([]);
        DB::beginTransaction();
        test()->call($route->methods()[0], pathOf($route, $own), formWith($own));
        DB::rollBack();
        app()->forgetScopedInstances();
        $form = $seen[0] ?? null;
        $rules = $form === null ? [] : array_keys(app()->call([$form, 'rules']));
        foreach ($rules as $field) {
            $parts = explode('.', $field);
            $last = array_last($parts);
            $name = match (true) {
                isset(REFERENCES[$field]) => $field,
                $last === '*' => implode('.', array_slice($parts, -2)),
                default => $last,
            };
            // A list of forms within the form has its ids deeper down.
            $isList = $last === '*' && array_filter($rules, fn(string $other) => str_starts_with($other, "{$field}.")) !== [];
            $id = $isList ? null : REFERENCES[$name] ?? null;
            expect($id !== null || $isList || $field === 'action_id' || !str_ends_with($last, '_id'))->toBeTrue(
                "{$route->uri()}: what does {$field} name?",
            );
            $id === null || ($found[] = [$route->methods()[0], pathOf($route, $own), $field, $id]);
        }
    }

    return $found;
}

it('gives nothing of another workshop, by path, query, body or filter, on any route', function (): void {
    [$mine, $theirs] = [new Bench(), new Bench('other@test.example')];
    [$own, $foreign] = [furnish($mine), furnish($theirs)];
    $this->actingAs($mine->owner);
    $rows = Bench::rows();
    $walked = 0;
    $expectClosed = function (string $method, string $url, array $data, string $field = '') use (&$walked): void {
        $status = $this->call($method, $url, $data)->getStatusCode();
        $refused = $field !== '' && session('errors')?->has($field) === true;
        expect($refused || in_array($status, [403, 404], true))->toBeTrue("{$method} {$url}, {$field}: {$status} " . json_encode($data));
        session()->forget('errors');
        $walked++;
    };
    foreach (Route::getRoutes()->getRoutes() as $route) {
        $method = $route->methods()[0];
        if (!in_array('auth', $route->gatherMiddleware(), true)) {
            continue;
        }
        foreach (array_diff($route->parameterNames(), ['type', 'table']) as $name) {
            $path = preg_replace_callback(
                '/\{(\w+)\}/',
                fn(array $m) => (string) ($m[1] === $name ? $foreign : $own)[$m[1]],
                $route->uri(),
            );
            $expectClosed($method, "/{$path}", $method === 'GET' ? [] : formWith($own));
        }
    }
    // By the query: a filter names what is one's own, or nothing. What a page does not ask for changes nothing on it.
    foreach (walkedRoutes('GET') as $route) {
        $path = pathOf($route, $own);
        $plain = $this->get($path);
        foreach (
            ['bike' => 'bike', 'chain' => 'chain', 'pot' => 'pot', 'job' => 'job', 'chains[]' => 'chain', 'rides[]' => 'ride']
            as $name => $id
        ) {
            $answer = $this->get("{$path}?{$name}={$foreign[$id]}");
            $closed = in_array($answer->getStatusCode(), [403, 404], true);
            expect($closed || saysTheSame($plain, $answer))->toBeTrue("{$path}?{$name}=");
            $walked++;
        }
    }
    // By the body: every field that a form's own rules name an id by.
    foreach (referencesOf($own, $mine) as [$method, $path, $field, $id]) {
        $data = formWith($own);
        foreach (BESIDE[$field] ?? [] as $other => $value) {
            data_set($data, $other, is_string($value) && str_starts_with($value, '@') ? $own[substr($value, 1)] : $value);
        }
        data_set($data, str_replace('*', '0', $field), $foreign[$id]);
        $expectClosed($method, $path, $data, str_replace('*', '0', $field));
    }
    // An action id of theirs is no way in either.
    $this->post('/rides', ['action_id' => $foreign['action']] + formWith($own))->assertStatus(409);
    expect(Bench::rows())->toBe($rows)->and($walked)->toBeGreaterThan(30);
});

it('lets a viewer change nothing and a stranger see nothing, on any route', function (): void {
    $bench = new Bench();
    $own = furnish($bench);
    $viewer = $bench->person(Role::Viewer);
    $rows = Bench::rows();
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (
            !in_array('auth', $route->gatherMiddleware(), true) ||
            // Of one's own account; nothing of the workshop.
            in_array($route->uri(), [...OWN_ACCOUNT, 'leave'], true)
        ) {
            continue;
        }
        $path = '/' . preg_replace_callback('/\{(\w+)\}/', fn(array $m) => (string) $own[$m[1]], ltrim($route->uri(), '/'));
        $method = $route->methods()[0];
        app('auth')->forgetGuards();
        expect($this->call($method, $path, formWith($own))->headers->get('Location'))->toEndWith('/sign-in');
        $answer = $this->actingAs($viewer)
            ->call($method, $path, $method === 'GET' ? [] : formWith($own))
            ->getStatusCode();
        // What only asks is open to who may look: that nothing is changed is seen below.
        $method === 'GET' || $route->uri() === 'ahead/what-if'
            ? expect($answer)->toBeIn([200, 302, 403], $path)
            : expect($answer)->toBe(403, "{$method} {$path}");
    }
    expect(Bench::rows())->toBe($rows);
});

it('lets a member manage nobody, and nothing that only the owner may', function (): void {
    $bench = new Bench();
    $own = furnish($bench);
    $member = $bench->person(Role::Member);
    $walked = 0;
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (in_array(OnlyOwner::class, $route->gatherMiddleware(), true)) {
            $path = '/' . preg_replace_callback('/\{(\w+)\}/', fn(array $m) => (string) $own[$m[1]], $route->uri());
            $rows = Bench::rows();
            $this->actingAs($member)->call($route->methods()[0], $path, formWith($own))->assertForbidden();
            expect(Bench::rows())->toBe($rows);
            $walked++;
        }
    }
    expect($walked)
        ->toBeGreaterThanOrEqual(7)
        ->and(Membership::query()->count())
        ->toBe(2);
});

it('turns somebody who was shown out away from every route, at once', function (): void {
    $bench = new Bench();
    $own = furnish($bench);
    $member = $bench->person(Role::Member);
    $this->actingAs($member)->get('/')->assertOk();
    app('auth')->forgetGuards();
    app()->forgetScopedInstances();
    $membership = Membership::query()->where('user_id', $member->id)->sole();
    $this->actingAs($bench->owner)
        ->delete("/people/{$membership->id}")
        ->assertSessionHasNoErrors();
    $rows = Bench::rows();
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (!in_array('auth', $route->gatherMiddleware(), true) || in_array($route->uri(), OWN_ACCOUNT, true)) {
            continue;
        }
        $path = '/' . preg_replace_callback('/\{(\w+)\}/', fn(array $m) => (string) $own[$m[1]], ltrim($route->uri(), '/'));
        app('auth')->forgetGuards();
        app()->forgetScopedInstances();
        // The device still holds its session, as far as it knows.
        $answer = $this->actingAs($member->refresh())->call(
            $route->methods()[0],
            $path,
            $route->methods()[0] === 'GET' ? [] : formWith($own),
        );
        expect($answer->getStatusCode())->toBe(302, $path)->and($answer->headers->get('Location'))->toEndWith('/sign-in');
    }
    expect(Bench::rows())->toBe($rows);
});

it('puts every row of every table into a workshop', function (): void {
    $without = [
        'migrations',
        'workshops',
        'users',
        'sessions',
        'cache',
        'cache_locks',
        'jobs',
        'failed_jobs',
        'sqlite_sequence',
        // Of a person, and of a browser of theirs.
        'sign_ins',
        'push_subscriptions',
        // Of a device, which belongs to a workshop.
        'personal_access_tokens',
    ];
    foreach (Schema::getTableListing(schemaQualified: false) as $table) {
        in_array($table, $without, true) || expect(Schema::hasColumn($table, 'workshop_id'))->toBeTrue($table);
    }
});

it('keeps SQLite strict and safe', function (): void {
    config([
        'database.connections.file' => ['database' => tempnam(sys_get_temp_dir(), 'db')] + config('database.connections.sqlite'),
    ]);
    $pragma = fn(string $name) => array_values((array) DB::connection('file')->selectOne("pragma {$name}"))[0];
    expect($pragma('journal_mode'))->toBe('wal')->and($pragma('foreign_keys'))->toBe(1)->and($pragma('busy_timeout'))->toBe(10000);
});

it('would see any door that stands open: each Find without its workshop gives something away', function (string $what): void {
    [$mine, $theirs] = [new Bench(), new Bench('other@test.example')];
    $foreign = furnish($theirs);
    $this->actingAs($mine->owner);
    // What the door does is look only among one's own: the same question without that finds the other's.
    $model = 'App\\Models\\' . ucfirst($what);
    app()->forgetScopedInstances();
    expect($model::query()->whereKey($foreign[$what])->exists())
        ->toBeTrue()
        ->and(fn() => app(Find::class)->{$what}($foreign[$what]))
        ->toThrow(ModelNotFoundException::class);
})->with(['bike', 'chain', 'jar', 'pot', 'bottle', 'instrument', 'part', 'ride']);
