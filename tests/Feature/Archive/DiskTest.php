<?php

declare(strict_types=1);

use App\Archive\Backups;
use App\Models\Ride;
use App\Support\AppClock;
use App\Support\DiskTrouble;
use App\Support\NotWritten;
use App\Support\WholeFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Tests\Faults\Trials;
use Tests\Feature\Bench;

it('reads on where nothing can be written, and refuses what is written in words that name the disk', function (): void {
    $bench = new Bench();
    $heron = $bench->bike();
    $bench->chain($heron, 'A', fit: true);
    config(['session.driver' => 'database', 'cache.default' => 'database']);
    app('session')->setDefaultDriver('database');
    $this->actingAs($bench->owner)->get('/')->assertOk();
    $form = fn(): array => ['bike_id' => $heron->id, 'distance' => 20, 'condition' => 'dry', 'action_id' => (string) Str::uuid()] +
        Bench::form(2);
    DB::statement('pragma query_only = on');
    foreach (['/', '/pot', '/gauge', '/rides', '/ahead', '/books', '/history', '/settings'] as $page) {
        app()->forgetScopedInstances();
        $this->get($page)->assertOk();
    }
    $said = ['message' => __('errors.disk.read_only')];
    $this->postJson('/rides', $form())->assertStatus(507)->assertJson($said);
    $this->post('/rides', $form(), ['X-Inertia' => 'true'])
        ->assertStatus(507)
        ->assertJson($said);
    $this->flushHeaders();
    $this->post('/rides', $form())->assertStatus(507)->assertSee('Problem');
    DB::statement('pragma query_only = off');
    expect(Ride::query()->count())->toBe(0);
    $this->post('/rides', $form())->assertRedirect();
    expect(Ride::query()->count())
        ->toBe(1)
        ->and(DiskTrouble::in(new PDOException('SQLSTATE[HY000]: General error: 13 database or disk is full')))
        ->toBe(DiskTrouble::Full)
        ->and(DiskTrouble::in(new RuntimeException('database or disk is full')))
        ->toBeNull();
});

afterEach(function (): void {
    DB::statement('pragma query_only = off');
});

it('writes a file whole or not at all', function (): void {
    $folder = sys_get_temp_dir() . '/dripel-whole-' . bin2hex(random_bytes(4));
    WholeFile::put("{$folder}/a.txt", 'all of it');
    expect(file_get_contents("{$folder}/a.txt"))
        ->toBe('all of it')
        ->and(substr(sprintf('%o', fileperms("{$folder}/a.txt")), -4))
        ->toBe('0600')
        ->and(fn() => WholeFile::copy('/nowhere', "{$folder}/b.txt"))
        ->toThrow(NotWritten::class)
        ->and(fn() => WholeFile::put("{$folder}/a.txt/c.txt", 'x'))
        ->toThrow(NotWritten::class)
        ->and(array_diff(scandir($folder), ['.', '..']))
        ->toBe([2 => 'a.txt']);
    unlink("{$folder}/a.txt");
    rmdir($folder);
});

it('writes down no token, password or session of a query that failed', function (): void {
    $log = storage_path('logs/test-' . bin2hex(random_bytes(4)) . '.log');
    config(['logging.default' => 'single', 'logging.channels.single.path' => $log]);
    Route::get('/fails', fn() => DB::table('nowhere')->where('token', 'a-secret-token')->get());
    $this->get('/fails')->assertStatus(500);
    $written = (string) file_get_contents($log);
    expect($written)
        ->toContain('no such table: nowhere')
        ->toContain('"token" = ?')
        ->not->toContain('a-secret-token')
        ->and(substr(sprintf('%o', fileperms($log)), -4))
        ->toBe('0600');
    unlink($log);
});

it('backs up each night, once, and Settings says how old the last one is', function (): void {
    $folder = sys_get_temp_dir() . '/dripel-night-' . bin2hex(random_bytes(4));
    mkdir($folder);
    file_put_contents("{$folder}/dripel.sqlite", gzdecode((string) file_get_contents(__DIR__ . '/data/0.9.0-backup.sqlite.gz')));
    $bench = new Bench();
    config(['database.connections.sqlite.database' => "{$folder}/dripel.sqlite", 'dripel.backups' => "{$folder}/backups"]);
    $said = function () use ($bench): array {
        app()->forgetScopedInstances();

        return Bench::deferred($this->actingAs($bench->owner->refresh()), '/settings', 'keep')['keep']['backup'];
    };
    $bench->workshop->forceFill(['created_at' => '2026-11-20 12:00:00'])->save();
    expect($said())->toBe(['old' => true, 'text' => __('ui.keep.backup_none')]);
    $bench->workshop->forceFill(['created_at' => '2026-11-25 11:00:00'])->save();
    expect($said())->toBe(['old' => false, 'text' => __('ui.keep.backup_none')]);
    $nightly = fn() => app(Backups::class)->nightly();
    expect($nightly())->not->toBeNull()->and($nightly())->toBeNull();
    // Now is noon: the next is due at three.
    app(AppClock::class)->stopAt(Bench::NOW + 14 * 3600);
    expect($nightly())->toBeNull();
    app(AppClock::class)->stopAt(Bench::NOW + 15 * 3600);
    expect($nightly())
        ->not->toBeNull()
        ->and(glob("{$folder}/backups/*.sqlite"))
        ->toHaveCount(2)
        ->and($said())
        ->toMatchArray(['old' => false]);
    app(AppClock::class)->stopAt(Bench::NOW + 15 * 3600 + 172_801);
    expect($said())->toMatchArray(['old' => true]);
    array_map(unlink(...), [...glob("{$folder}/backups/*"), ...glob("{$folder}/*.sqlite*")]);
    rmdir("{$folder}/backups");
    rmdir($folder);
});

it('survives what bin/faults does, a few times each', function (string $trial, int $tries): void {
    $verdict = (new Trials(20_261_128))->{$trial}($tries);
    expect($verdict->holds())->toBeTrue(json_encode($verdict));
})->with([['kill', 3], ['disk', 1], ['clock', 16], ['damage', 3]]);
