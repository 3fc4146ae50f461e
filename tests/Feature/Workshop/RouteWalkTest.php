<?php

declare(strict_types=1);

use App\Http\Middleware\OnlyOwner;
use App\Models\Membership;
use App\Models\Role;
use App\Support\Find;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Bench;

require_once __DIR__ . '/../furnish.php';

const OWN_ACCOUNT = [
    'whose',
    'workshops',
    'workshops/{workshop}/enter',
    'sign-out',
    'sign-ins',
    'sign-ins/{signIn}',
    'passkeys',
    'passkeys/new',
    'passkeys/{passkey}',
    'push',
    'push/key',
    'calendar',
    'password',
];

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
    'pots.*.pot_id' => ['pots.0.at_once' => 2, 'weekdays' => [6]] + Bench::TERMS,
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
        'passkeys',
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
