<?php

declare(strict_types=1);

use App\Archive\Backups;
use App\Archive\ExportWorkshop;
use App\Models\User;
use App\Models\Workshop;
use App\Support\AppClock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Feature\WrittenDemo;

// On whichever database the tests are run: a file is the other one (bin/test postgres has both directions).
beforeEach(function (): void {
    $this->folder = sys_get_temp_dir() . '/dripel-move-' . Str::random(8);
    mkdir($this->folder);
    config(['dripel.demo' => true, 'dripel.backups' => "{$this->folder}/backups"]);
    config([
        'database.connections.other' =>
            ['database' => "{$this->folder}/other.sqlite", 'synchronous' => 'off'] + config('database.connections.sqlite'),
    ]);
    touch("{$this->folder}/other.sqlite");
    $now = '2026-11-25T12:20:00+01:00';
    app(AppClock::class)->stopAt((new DateTimeImmutable($now))->getTimestamp());
    WrittenDemo::ending($now);
    $this->file = fn(): array => app(ExportWorkshop::class)->file(Workshop::query()->sole())['tables'];
});

afterEach(fn() => exec('rm -rf ' . escapeshellarg($this->folder)));

it('copies a whole installation, holds its figures against each other, and never over somebody’s', function (): void {
    $before = ($this->file)();
    $this->artisan('dripel:move', ['to' => 'other'])
        ->expectsOutputToContain('figures compared: all the same')
        ->assertSuccessful();
    $this->artisan('dripel:move', ['to' => 'other'])
        ->expectsOutputToContain('There is somebody in that database already')
        ->assertFailed();
    $this->artisan('dripel:move', ['to' => DB::getDefaultConnection()])->assertFailed();
    $here = DB::getDefaultConnection();
    DB::setDefaultConnection('other');
    app()->forgetScopedInstances();
    expect(($this->file)())
        ->toBe($before)
        ->and(User::query()->sole()->name)
        ->not->toBe('');
    DB::table('users')->update(['name' => 'Gone']);
    DB::setDefaultConnection($here);
    $this->artisan('dripel:move', ['to' => 'other', '--replace' => true])->assertSuccessful();
    expect(DB::connection('other')->table('users')->where('name', 'Gone')->exists())->toBeFalse();
});

it('backs up a database server to a file and restores it from there, with the doors as they are now', function (): void {
    $before = ($this->file)();
    $backup = (string) app(Backups::class)->make();
    expect(Backups::isSound($backup))->toBeTrue();
    DB::table('rides')->update(['km' => 1]);
    DB::table('users')->update(['password' => 'changed since']);
    $this->artisan('dripel:restore', ['file' => $backup])->assertSuccessful();
    app()->forgetScopedInstances();
    expect(($this->file)())
        ->toBe($before)
        ->and(User::query()->sole()->getRawOriginal('password'))
        ->toBe('changed since')
        ->and(glob("{$this->folder}/backups/before/*.sqlite"))
        ->toHaveCount(1);
})->skip(fn() => DB::getDriverName() === 'sqlite', 'a database server');
