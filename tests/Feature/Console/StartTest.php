<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

// bin/start in a folder of its own, with the packages and the build of this one: it says in a sentence what is in its way.

beforeEach(function (): void {
    $this->folder = sys_get_temp_dir() . '/dripel-start-' . bin2hex(random_bytes(5));
    mkdir("{$this->folder}/path", recursive: true);
    $copy = <<<'BASH'
    cd "$0"
    cp -r bin app bootstrap config core database lang resources routes artisan server.php "$1"
    cp composer.json package.json package-lock.json vite.config.ts tsconfig.json "$1"
    mkdir -p "$1"/storage/{app,logs,framework/{cache,views,sessions}} "$1"/public
    cp -r public/. "$1"/public
    ln -s "$0"/vendor "$1"/vendor
    ln -s "$0"/node_modules "$1"/node_modules
    BASH;
    (new Process(['bash', '-c', $copy, base_path(), $this->folder], timeout: 60))->mustRun();
    file_put_contents(
        "{$this->folder}/.env",
        "APP_ENV=production\nAPP_KEY=base64:" . base64_encode(str_repeat('k', 32)) . "\nDRIPEL_DEMO=false\n",
    );
    // What stands in the way is put before the machine's own programs.
    $this->instead = function (string $program, string $script): void {
        file_put_contents("{$this->folder}/path/{$program}", "#!/bin/bash\n{$script}\n");
        chmod("{$this->folder}/path/{$program}", 0o755);
    };
    // There is nothing to be built for what is looked at here.
    ($this->instead)('npx', 'exit 0');
    $this->start = function (int $port = 61_999): array {
        $env = [
            'PATH' => "{$this->folder}/path:" . getenv('PATH'),
            'DB_DATABASE' => false,
            'DRIPEL_DEMO' => false,
            'APP_KEY' => false,
            'APP_ENV' => false,
        ];
        $start = new Process(
            ['bin/start', '--port', (string) $port],
            $this->folder,
            $env + ['CACHE_STORE' => false, 'DRIPEL_BACKUPS' => false, 'SESSION_DRIVER' => false],
            timeout: 120,
        );

        return [$start->run(), trim($start->getErrorOutput()), trim($start->getOutput())];
    };
});

afterEach(fn() => (new Process(['rm', '-rf', $this->folder]))->run());

it('says in one sentence why it does not start, and the way out', function (Closure $spoil, string $said): void {
    $spoil($this);
    [$status, $error, $output] = ($this->start)();
    expect($status)
        ->toBe(1)
        ->and($output)
        ->not->toContain('Dripel is at')
        ->and(substr_count($error, "\n"))
        ->toBe(0)
        ->and(preg_match("/^dripel: {$said}$/", str_replace("{$this->folder}/", '', $error)))
        ->toBe(1, $error);
})->with([
    'a damaged database' => [
        fn($test) => file_put_contents("{$test->folder}/storage/app/dripel.sqlite", random_bytes(50_000)),
        'The database storage\/app\/dripel\.sqlite is damaged\. Nothing was changed\. There is no backup in storage\/app\/backups; name one: bin\/restore FILE\.',
    ],
    'a folder that cannot be written' => [
        function ($test): void {
            rmdir("{$test->folder}/storage/framework/views");
            file_put_contents("{$test->folder}/storage/framework/views", '');
        },
        'storage\/framework\/views cannot be written\. Is the disk read-only, or does the folder belong to somebody else\? .*nothing was changed',
    ],
    'a full disk' => [
        fn($test) => ($test->instead)('df', 'echo "Filesystem 1M-blocks Used Available"; echo "/dev/x 1000 988 12"'),
        'the disk is nearly full: 12 MB are free, 50 MB are needed\. .*nothing was changed',
    ],
    'an old Node.js' => [
        fn($test) => ($test->instead)('node', '[ "$1" = --version ] && echo v18.1.0; [ "$1" != -e ]'),
        'the build needs Node\.js 20\.19 or newer, this machine has v18\.1\.0: install a newer one, then start again',
    ],
    'a newer database' => [
        fn($test) => ($test->instead)(
            'php',
            'case "$*" in *dripel:migrate*) echo; echo "  Something in the way.  "; exit 1;; *) exec ' . PHP_BINARY . ' "$@";; esac',
        ),
        'Something in the way\.',
    ],
]);

it('says that its port is taken', function (): void {
    $taken = stream_socket_server('tcp://127.0.0.1:0');
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($taken, false), ':'), 1);
    expect(($this->start)($port))->toBe([
        1,
        "dripel: port {$port} is taken: Dripel may be running already; choose another with --port",
        '',
    ]);
});
