<?php

declare(strict_types=1);

use App\Http\Middleware\KeepPage;
use App\Kept\KeptPage;
use App\Kept\Reads;
use App\Models\Role;
use App\Support\AppClock;
use App\Support\CacheMemo;
use App\Support\LeanRows;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Tests\Feature\Bench;
use Tests\KeptAgainstMade;

require_once dirname(__DIR__) . '/furnish.php';

/** A page of a question to the database, and how often it was made. */
function told(Closure $body): Closure
{
    [$memory, $made] = [Cache::build(['driver' => 'array']), 0];
    app()->bind(KeepPage::class, fn() => new KeepPage($memory, app(AppClock::class)));
    Route::middleware(['web', KeepPage::class])->any('/told', function () use ($body, &$made) {
        $made++;

        return $body();
    });

    return function (string $query = '', array $headers = [], string $method = 'GET') use (&$made): array {
        [$before, $text] = [
            $made,
            test()
                ->call($method, "/told{$query}", server: $headers)
                ->getContent(),
        ];

        return [$text, $made > $before];
    };
}

it('answers a page as it was kept until anything that it read reads otherwise, whoever wrote it', function (): void {
    $bench = new Bench();
    $this->actingAs($bench->owner);
    $ask = told(
        fn() => implode(' ', [
            DB::table('workshops')->value('revision'),
            ...array_column(LeanRows::all('select kind from components where workshop_id = ? order by id', [$bench->workshop->id]), 0),
        ]),
    );
    expect($ask())
        ->toBe(['1', true])
        ->and($ask())
        ->toBe(['1', false]);
    DB::table('workshops')->update(['revision' => 7]);
    expect($ask())
        ->toBe(['7', true])
        ->and($ask())
        ->toBe(['7', false]);
    $bench->chain($bench->bike(), 'A');
    expect($ask())
        ->toBe(['9 chain', true])
        ->and($ask())
        ->toBe(['9 chain', false]);
    // What it does not read is nothing to it, and as it was it may be answered as it was.
    DB::table('users')
        ->where('id', '<>', $bench->owner->id)
        ->update(['name' => 'Somebody']);
    DB::table('components')->update(['kind' => 'cassette']);
    DB::table('components')->update(['kind' => 'chain']);
    expect($ask())->toBe(['9 chain', false]);
});

it('is of one person, one address, one minute and one way of asking', function (): void {
    $bench = new Bench();
    $this->actingAs($bench->owner);
    $ask = told(fn() => (string) DB::table('workshops')->value('revision'));
    $ask();
    expect($ask()[1])->toBeFalse();
    foreach (
        [
            ['?page=2'],
            ['', ['HTTP_X_INERTIA' => 'true']],
            ['', ['HTTP_X_INERTIA' => 'true', 'HTTP_X_INERTIA_PARTIAL_DATA' => 'plan']],
            ['', ['HTTP_CACHE_CONTROL' => 'no-cache']],
        ]
        as $other
    ) {
        expect($ask(...$other)[1])->toBeTrue();
    }
    expect($ask()[1])->toBeFalse()->and($ask('', [], 'POST')[1])->toBeTrue()->and($ask('', [], 'HEAD')[1])->toBeTrue();
    app(AppClock::class)->stopAt(Bench::NOW + 59);
    expect($ask()[1])->toBeFalse();
    app(AppClock::class)->stopAt(Bench::NOW + 60);
    expect($ask()[1])->toBeTrue();
    $this->actingAs($bench->person(Role::Member));
    expect($ask()[1])->toBeTrue()->and($ask()[1])->toBeFalse();
    // The same person, of whom something else is known.
    $this->actingAs($bench->owner->fill(['name' => 'Else']));
    expect($ask()[1])->toBeTrue();
});

it('says once what a session has to say, and then the page as it was kept', function (): void {
    $this->actingAs((new Bench())->owner);
    $ask = told(fn() => (string) session('done', 'nothing'));
    expect($ask())
        ->toBe(['nothing', true])
        ->and($ask())
        ->toBe(['nothing', false]);
    $this->flushSession()->withSession(['done' => 'Saved.', '_flash' => ['old' => ['done'], 'new' => []]]);
    expect($ask())
        ->toBe(['Saved.', true])
        ->and($ask())
        ->toBe(['nothing', false]);
});

it('keeps nothing that writes, reads a great deal or fails', function (Closure $body): void {
    $bench = new Bench();
    $this->actingAs($bench->owner);
    $ask = told($body);
    [$text, $made] = $ask();
    expect(strlen($text))->toBeLessThan(10)->and($made)->toBeTrue()->and($ask()[1])->toBeTrue();
})->with([
    'writes' => fn() => (string) DB::table('workshops')->increment('revision'),
    'reads thousands' => fn() => (string) count(
        LeanRows::all('with recursive n(i) as (select 1 union all select i + 1 from n where i < 2500) select i from n', []),
    ),
    'reads as much as there is' => fn() => (string) iterator_count(LeanRows::each('select 1', [])),
    'reads row by row' => fn() => (string) DB::table('workshops')->cursor()->count(),
    'fails' => fn() => new Response('Not here', 404),
]);

it('keeps a page that keeps what it worked out', function (): void {
    $this->actingAs((new Bench())->owner);
    // As a server runs it: what is made is kept for other pages at once.
    DB::swap(Mockery::mock(app('db'), ['transactionLevel' => 0]));
    (fn() => ($this->isRunningInConsole = false))->call(app());
    $ask = told(fn() => (new CacheMemo(Cache::store('database')))->of('plan', fn() => 'worked out'));
    expect($ask())
        ->toBe(['worked out', true])
        ->and(DB::table('cache')->where('key', 'like', '%memo%')->count())
        ->toBe(1)
        ->and($ask())
        ->toBe(['worked out', false]);
});

it('puts the second and the word by which scripts may run in anew', function (): void {
    [$made, $reads] = Reads::of(fn() => new Response('<script nonce="abc">{"nowS":100,"at":100}</script>', 200, ['X-Inertia' => 'true']));
    $answer = KeptPage::of($made, $reads, 'abc', 100)->answer('xyz', 107);
    expect($answer->getContent())
        ->toBe('<script nonce="xyz">{"nowS":107,"at":100}</script>')
        ->and($answer->headers->get('X-Inertia'))
        ->toBe('true');
});

/** @return list<string> the paths of all pages that are kept */
function keptPaths(int $chain): array
{
    $pages = array_filter(Route::getRoutes()->getRoutes(), fn($route) => in_array(KeepPage::class, $route->gatherMiddleware(), true));

    return array_values(array_map(fn($route) => '/' . ltrim(str_replace('{chain}', (string) $chain, $route->uri()), '/'), $pages));
}

it('keeps each page that is said to be kept', function (): void {
    $bench = new Bench();
    $all = furnish($bench);
    $paths = keptPaths($all['chain']);
    expect(count($paths))->toBeGreaterThan(10);
    foreach ($paths as $path) {
        foreach ([1, 2, 3] as $time) {
            $before = KeptAgainstMade::$answered;
            $this->actingAs($bench->owner)->get($path)->assertOk();
        }
        expect(KeptAgainstMade::$answered)->toBe($before + 1, $path);
    }
});

it('says at once what stands beside the entries, however it came there', function (Closure $happens): void {
    $bench = new Bench();
    $all = furnish($bench);
    $this->actingAs($bench->owner);
    // Each page, and what comes after one.
    [$paths, $ahead] = [keptPaths($all['chain']), $this->get('/ahead')->viewData('page')];
    $answered = function () use ($paths, $ahead): int {
        $before = KeptAgainstMade::$answered;
        array_map(fn(string $path) => $this->get($path)->assertOk(), $paths);
        Bench::partial($this, '/ahead', $ahead, 'shopping');

        return KeptAgainstMade::$answered - $before;
    };
    $answered();
    $answered();
    expect($answered())->toBe(count($paths) + 1);
    $happens($all);
    // Each that is still answered is equal (KeptAgainstMade).
    expect($answered())->toBeLessThan(count($paths) + 1);
})->with([
    'a job is over' => fn(array $all) => DB::table('guided_jobs')->update(['ended_at' => Bench::NOW]),
    'a tap in a job' => fn(array $all) => DB::table('guided_taps')->insert([
        'id' => (string) Str::uuid(),
        'job_id' => $all['job'],
        'workshop_id' => $all['workshop'],
        'kind' => 'done',
        'position' => 0,
        'at' => Bench::NOW,
        'received_at' => Bench::NOW,
        'number' => 1,
    ]),
    'a file waits' => fn(array $all) => DB::table('tracks')->update(['source' => 'inbox']),
    'one may only look' => fn(array $all) => DB::table('memberships')->update(['role' => Role::Viewer->value]),
    'a probe is there no more' => fn(array $all) => DB::table('devices')->delete(),
    'a way to strip is called otherwise' => fn(array $all) => DB::table('protocols')->update(['name' => 'Ours']),
    'another revision' => fn(array $all) => DB::table('workshops')->increment('revision'),
]);
