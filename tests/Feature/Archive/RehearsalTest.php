<?php

declare(strict_types=1);

use App\Archive\Backups;
use App\Support\AppClock;
use Illuminate\Http\UploadedFile;
use Symfony\Component\Process\Process;
use Tests\Feature\Bench;

require_once __DIR__ . '/figures.php';

// Written by those versions themselves, with the demo of that day: the file, and whose figures it comes to.
const FILES = [['0.9.0-version-6', '0.9.0'], ['0.9.x-version-7', '0.9.0'], ['1.0.0-version-8', '1.0.0']];

$figures = fn(string $version): array => json_decode((string) file_get_contents(__DIR__ . "/data/{$version}-figures.json"), true);

it('reads the workshop file of every version since 0.9 and comes to its figures', function (string $file, string $version) use (
    $figures,
): void {
    $bench = new Bench();
    $json = (string) gzdecode((string) file_get_contents(__DIR__ . "/data/{$file}.json.gz"));
    $this->actingAs($bench->owner)
        ->post('/restore', ['file' => UploadedFile::fake()->createWithContent('w.json', $json)])
        ->assertSessionHasNoErrors();
    app()->forgetScopedInstances();
    expect(figuresOf($bench->workshop->refresh()))->toEqual($figures($version));
    app(AppClock::class)->stopAt((int) strtotime('2026-11-25T12:20:00+01:00'));
    foreach (['/', '/pot', '/gauge', '/rides', '/ahead', '/books', '/books/money', '/history', '/settings'] as $page) {
        $this->get($page)->assertOk();
    }
})->with(FILES);

it('restores the backup of every version since 0.9, damaged database or none, and comes to its figures', function (string $version) use (
    $figures,
): void {
    $folder = sys_get_temp_dir() . '/dripel-rehearsal-' . bin2hex(random_bytes(5));
    mkdir($folder);
    $backup = "{$folder}/dripel-20261127-120000.sqlite";
    file_put_contents($backup, gzdecode((string) file_get_contents(__DIR__ . "/data/{$version}-backup.sqlite.gz")));
    $env = [
        'APP_ENV' => 'testing',
        'APP_KEY' => 'base64:' . base64_encode(str_repeat('k', 32)),
        'DB_DATABASE' => "{$folder}/dripel.sqlite",
        'APP_CONFIG_CACHE' => "{$folder}/none.php",
        'APP_ROUTES_CACHE' => "{$folder}/none.php",
        'DRIPEL_BACKUPS' => $folder,
        'DRIPEL_DEMO' => 'true',
    ];
    $php = fn(string ...$command): string => (new Process([PHP_BINARY, ...$command], base_path(), $env, null, 120))->mustRun()->getOutput();
    expect($php('artisan', 'dripel:restore'))->toContain("Restored and checked: {$backup}.");
    Backups::expectSound("{$folder}/dripel.sqlite");
    expect(json_decode(strtok($php('tests/Feature/Archive/crash.php', 'figures'), "\n"), true))->toEqual($figures($version));
    (new Process(['rm', '-rf', $folder]))->run();
})->with(['0.9.0', '1.0.0']);
