<?php

declare(strict_types=1);

use App\Http\Controllers\Workshop\SettingsController;
use Bench\Visitor;
use Dripel\Core\Logbook\Book;
use Illuminate\Foundation\Application;
use Inertia\Inertia;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;
use Tests\Browser\Support\Ports;
use Tests\Browser\Support\Server;

beforeEach(function (): void {
    $this->folder = sys_get_temp_dir() . '/dripel-served-' . bin2hex(random_bytes(5));
    $this->root = dirname(__DIR__, 2);
});

afterEach(fn() => (new Process(['rm', '-rf', $this->folder]))->run());

it('fills in every blank of what serves it, with the limits that the screens promise', function (): void {
    (new Process([
        "{$this->root}/deploy/render",
        $this->folder,
        'NAME=bikes.example',
        'USER=rider',
        'ROOT=/srv/d',
        'CHILDREN=6',
    ]))->mustRun();
    $file = fn(string $name): string => (string) file_get_contents("{$this->folder}/{$name}");
    $mb = 64;
    expect(implode(array_map(file_get_contents(...), glob("{$this->folder}/*") ?: [])))
        ->not->toMatch('/@[A-Z]+@/')
        ->and($file('nginx.conf'))
        ->toContain('server_name bikes.example;')
        ->toContain('root /srv/d/public;')
        ->toContain('client_max_body_size ' . $mb + 2 . 'm;')
        // What comes line by line is compressed as well (App\Http\Streamed).
        ->toMatch('~gzip_types [^;]*application/x-ndjson~')
        ->and($file('php-fpm.conf'))
        ->toContain("upload_max_filesize] = {$mb}M")
        ->toContain('pm.max_children = 6')
        ->toContain("user = rider\n")
        ->and((string) file_get_contents("{$this->root}/config/dripel.php"))
        ->toContain("'upload_megabytes' => {$mb},");
    foreach (['queue', 'watch', 'backup'] as $service) {
        expect($file("dripel-{$service}.service"))->toContain('User=rider')->toContain('WorkingDirectory=/srv/d');
    }
    $left = new Process(["{$this->root}/deploy/render", $this->folder, 'BACKUPS=@THERE@']);
    expect($left->run())->toBe(1)->and($left->getErrorOutput())->toContain('@THERE@');
});

it('links what pages are made of when PHP starts, all of it', function (): void {
    (new Process(["{$this->root}/deploy/render", $this->folder, 'USER=' . (posix_getpwuid(posix_geteuid())['name'] ?? 'root')]))->mustRun();
    preg_match_all('/^(opcache\S+) = (\S+)$/m', (string) file_get_contents("{$this->folder}/php.ini"), $options, PREG_SET_ORDER);
    $php = new Process([
        PHP_BINARY,
        '-d',
        'opcache.enable_cli=1',
        ...array_merge(...array_map(fn(array $option) => ['-d', "{$option[1]}={$option[2]}"], $options)),
        '-r',
        'echo implode(" ", opcache_get_status()["preload_statistics"]["classes"]);',
    ]);
    $linked = explode(' ', $php->mustRun()->getOutput());
    expect($linked)
        ->toContain(Book::class, SettingsController::class, Application::class, Inertia::class, Request::class)
        ->and($php->getOutput() . $php->getErrorOutput())
        ->not->toContain("Can't preload");
});

it('answers a page as it was kept, in memory that its processes share', function (): void {
    // The minute does not turn.
    $server = Server::start('2026-11-25T12:20:00+01:00', speed: 0.000001);
    try {
        $visitor = new Visitor($server->url);
        $visitor->leastMs('/', anew: false, times: 4);
        // Whoever makes the page works that out again and writes it down, which nothing else tells from outside.
        $pdo = $server->pdo();
        $workedOut = fn(): int => (int) $pdo->query("select count(*) from cache where key like '%snapshot%'")->fetchColumn();
        expect($workedOut())->toBeGreaterThan(0);
        $pdo->exec("delete from cache where key like '%snapshot%'");
        $visitor->leastMs('/', anew: false, times: 8);
        expect($workedOut())->toBe(0);
        $visitor->leastMs('/', anew: true, times: 1);
        // It is written once the page is on its way.
        for ($i = 0; $i < 200 && $workedOut() === 0; $i++) {
            usleep(50_000);
        }
        expect($workedOut())->toBeGreaterThan(0);
    } finally {
        $server->stop();
    }
})->skip(!extension_loaded('apcu'), 'PHP has no such memory here');

it('is served by nginx and php-fpm as deploy/ sets them up', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00', demo: false);
    $port = Ports::free();
    $served = new Process(
        ["{$this->root}/deploy/try", $this->folder, (string) $port, 'CACHE=' . dirname($server->database()), 'NAME=localhost 127.0.0.1'],
        null,
        null,
        null,
        null,
    );
    $served->start();
    try {
        Ports::await($port);
        $ask = function (string $path, array $options = []) use ($port): array {
            $curl = curl_init("http://127.0.0.1:{$port}{$path}");
            curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true] + $options);
            $answer = (string) curl_exec($curl);

            return [curl_getinfo($curl, CURLINFO_RESPONSE_CODE), strtolower(explode("\r\n\r\n", $answer)[0])];
        };
        // With its port, and by what nginx saw, not by what the caller says.
        [$status, $headers] = $ask('/', [CURLOPT_HTTPHEADER => ['X-Forwarded-Host: evil.example', 'X-Forwarded-Proto: https']]);
        expect($status)
            ->toBe(302)
            ->and($headers)
            ->toContain("location: http://127.0.0.1:{$port}/")
            ->not->toContain('x-powered-by');
        expect($ask('/register')[0])->toBe(200);
        $script = basename((glob("{$this->root}/public/build/assets/app-*.js") ?: [''])[0]);
        [$status, $headers] = $ask("/build/assets/{$script}", [CURLOPT_HTTPHEADER => ['Accept-Encoding: gzip']]);
        expect($status)
            ->toBe(200)
            ->and($headers)
            ->toContain('content-encoding: gzip')
            ->toContain('immutable')
            ->toContain('content-type: text/javascript')
            ->toContain('nosniff');
        expect($ask('/sw.js')[1])->toContain('cache-control: no-cache')->toContain('content-type: text/javascript');
        expect($ask('/manifest.webmanifest')[1])->toContain('application/manifest+json');
        // Nothing by its file name, no second PHP.
        foreach (['/.env', '/storage/logs/laravel.log', '/server.php', '/build/assets/none.js', '/build/.stamp'] as $hidden) {
            expect($ask($hidden)[0])->toBe(404, $hidden);
        }
        expect($ask('/register', [CURLOPT_POSTFIELDS => str_repeat('x', 67 * 1024 * 1024)])[0])->toBe(413);
        expect($ask('/sign-in', [CURLOPT_HTTPHEADER => ['Host: evil.example']])[0])->toBe(400);
    } finally {
        $served->stop(10);
        $server->stop();
    }
})->skip(
    fn() => (new ExecutableFinder())->find('nginx', null, ['/usr/sbin']) === null || glob('/usr/sbin/php-fpm*') === [],
    'needs Debian’s nginx and php-fpm',
);
